import { known } from '@nubrin/core/facts'
import { type CataloguePart, kindRule, SPECS, type SpecKey } from '@nubrin/core/parts'
import { formatNumber, MAKER } from '@nubrin/core/units'

/** Size first, then the figures that matter for the kind, with their units. */
export const specLine = (r: CataloguePart) => {
  const v = (k: SpecKey) => known(r.specs[k])
  const d = v('diameter')
  const size = [v('length'), d === undefined ? v('width') : undefined, d === undefined ? v('height') : undefined]
    .flatMap((x) => (x === undefined ? [] : [formatNumber(MAKER, x)]))
    .concat(d === undefined ? [] : [`Ø ${formatNumber(MAKER, d)}`])
    .join(' × ')
  const rest = kindRule(r.kind)
    .needs.concat(kindRule(r.kind).extras)
    .filter((k) => !['length', 'width', 'height', 'diameter'].includes(k) && v(k) !== undefined)
    .slice(0, 4)
    .map((k) =>
      SPECS[k].unit === '×'
        ? `${SPECS[k].label} ${formatNumber(MAKER, v(k)!)}`
        : `${formatNumber(MAKER, v(k)!)} ${SPECS[k].unit}`,
    )
  return [size ? `${size} mm` : '', ...rest].filter(Boolean).join(' · ')
}
