import { known } from '../../facts'
import { type Blade, clientBlade, type Saber } from '../../record'
import { formatNumber, MAKER } from '../../units'

/** One respect in which the bench's blade is not the shipped one. */
export type BladeDifference =
  | { field: 'length' | 'outside' | 'wall' | 'density'; bench: number; shipped: number }
  | { field: 'kind'; bench: Blade['kind']; shipped: Blade['kind'] }

const FIELDS = ['length', 'outside', 'wall', 'density'] as const
const FIELD_WORDS = { length: 'length', outside: 'outside', wall: 'wall', density: 'pixels a metre' }

/** How the bench's blade differs from the shipped one in the same socket: what the film must not promise. */
export function demoAgainstShipped(saber: Saber): { demo: Blade; shipped: Blade; differs: BladeDifference[] }[] {
  return saber.blades
    .filter((b) => b.use === 'demo')
    .flatMap((demo) => {
      const shipped = clientBlade(saber, demo.socket)
      if (!shipped) return []
      const differs = FIELDS.flatMap((field): BladeDifference[] => {
        const [x, y] = [known(demo[field]), known(shipped[field])]
        return x === undefined || y === undefined || Math.abs(x - y) < 1e-6 ? [] : [{ field, bench: x, shipped: y }]
      })
      if (demo.kind !== shipped.kind) differs.push({ field: 'kind', bench: demo.kind, shipped: shipped.kind })
      return [{ demo, shipped, differs }]
    })
}

/** One difference in words. */
export const bladeDifferenceText = (d: BladeDifference): string =>
  d.field === 'kind'
    ? `${d.bench} on the bench, ${d.shipped} shipped`
    : `${FIELD_WORDS[d.field]} ${formatNumber(MAKER, d.bench)} on the bench, ${formatNumber(MAKER, d.shipped)} shipped`
