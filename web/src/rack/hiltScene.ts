import { drawSection } from '@nubrin/core/drawing'
import { blankSaber, type Hilt } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'

/** A hilt alone as a little drawing, without its sockets' blades. */
export const hiltScene = (hilt: Hilt, width: number, height: number) =>
  drawSection(
    MAKER,
    { ...blankSaber(() => 'x', '', 'install'), hilt: { ...hilt, sockets: [] } },
    { width, height, bare: true },
  )
