import { known } from '@nubrin/core/facts'
import type { CataloguePart, SpecKey } from '@nubrin/core/parts'
import { formatNumber, MAKER } from '@nubrin/core/units'

/** The sizes of a part of the shelf in a line, with what else tells it from its neighbours. */
export const sizeText = (s: CataloguePart['specs']) => {
  const v = (k: SpecKey) => known(s[k])
  const d = v('diameter')
  const size =
    d !== undefined
      ? `Ø ${formatNumber(MAKER, d)}${v('length') ? ` × ${formatNumber(MAKER, v('length')!)}` : ''}`
      : v('length')
        ? [v('length'), v('width'), v('height')]
            .filter((x) => x !== undefined)
            .map((x) => formatNumber(MAKER, x!))
            .join(' × ')
        : ''
  return [size, v('capacity') ? `${v('capacity')} mAh` : '', v('impedance') ? `${v('impedance')} Ω` : '']
    .filter(Boolean)
    .join(', ')
}
