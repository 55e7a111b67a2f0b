import { drawSection, svgOf } from '@nubrin/core/drawing'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'

/** A picture of a saber lying on the bench, as SVG: a shaded hilt on a cloth, made from the record itself. */
export function benchPicture(saber: Saber): string {
  const scene = drawSection(MAKER, saber, { width: 900, height: 240, bare: true })
  const drawing = svgOf(scene, saber.name, 'made picture').replace(
    '<svg ',
    '<svg x="30" y="180" width="900" height="240" ',
  )
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 600" width="960" height="600"><defs><radialGradient id="l" cx="0.4" cy="0.3" r="0.9"><stop offset="0" stop-color="#cdbb97"/><stop offset="1" stop-color="#6d5b3d"/></radialGradient></defs><rect width="960" height="600" fill="url(#l)"/><rect x="30" y="150" width="900" height="300" rx="14" fill="#efe6d2" opacity="0.85"/>${drawing}</svg>`
}
