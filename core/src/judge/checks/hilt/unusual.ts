import { known } from '../../../facts'
import { isNumberPlace } from '../../../record'
import type { Unit } from '../../../units'
import { ALL_FACTS, check } from '../../check'

/** What a field usually is, by its place: from the smallest to the largest that is met. Trade practice, each to be looked at again. */
const USUAL: Readonly<Record<string, readonly [number, number]>> = {
  '/blades/*/density': [20, 400],
  '/blades/*/strips': [1, 6],
  '/blades/*/channelCurrent': [1, 60],
  '/blades/*/wall': [0.8, 6],
  '/blades/*/mass': [5, 800],
  '/presets/*/extendMs': [30, 5000],
  '/presets/*/retractMs': [30, 5000],
  '/presets/*/flickerHz': [0.1, 60],
  '/controls/*/hold': [0.1, 20],
  '/controls/*/most': [0.1, 20],
  '/timing/tapMost': [0.05, 1],
  '/timing/tapGap': [0.1, 1.5],
  '/timing/chordGap': [0.02, 0.5],
  '/modes/*/after': [0.5, 3600],
  '/settings/sleepAfter': [5, 86_400],
  '/settings/displayTimeout': [1, 3600],
  '/hilt/sockets/*/depth': [5, 120],
  '/hilt/sockets/*/bore': [5, 45],
  '/hilt/clearance': [0, 3],
  '/hilt/endWall': [0, 30],
}
const placeOf = (path: string) => path.replace(/\/@[^/]+/g, '/*')

/** Round cells by their designation (IEC 61960): diameter and length, mm. */
const CELLS: readonly (readonly [number, number])[] = [
  [14, 50],
  [16, 34],
  [18, 35],
  [18, 50],
  [18, 65],
  [21, 70],
  [26, 65],
]
/** A wrap makes a cell a little thicker, a button and a protection circuit longer, mm: less and more than its designation. */
const [THINNER, THICKER] = [0.3, 1.1]
const LONGER = { bare: [-1, 2.5], protected: [1, 7] } as const

/** The lengths that a cell of its diameter has, where its own is none of them. */
function otherLengths(d: number, length: number, protectedToo: boolean | undefined): [number, number][] | undefined {
  const same = CELLS.filter(([cell]) => d >= cell - THINNER && d <= cell + THICKER)
  const [low, high] = [
    protectedToo ? LONGER.protected[0] : LONGER.bare[0],
    protectedToo === false ? LONGER.bare[1] : LONGER.protected[1],
  ]
  const usual = same.map(([, l]): [number, number] => [l + low, l + high])
  return !usual.length || usual.some(([lo, hi]) => length >= lo && length <= hi) ? undefined : usual
}

export const unusual = check<{
  range: { owner: string; field: string; unit: Unit; value: number; low: number; high: number }
  cell: { cell: string; diameter: number; length: number; protected: boolean; usual: [number, number][] }
}>({
  id: 'unusual',
  station: 'hilt',
  scope: 'saber',
  source: 'trade practice; cells by IEC 61960',
  reads: ALL_FACTS,
  run: ({ saber, facts }) => [
    ...facts.filter(isNumberPlace).flatMap((p) => {
      const usual = USUAL[placeOf(p.path)]
      const value = known(p.fact)
      if (!usual || value === undefined || (value >= usual[0] && value <= usual[1])) return []
      return [
        {
          code: 'range' as const,
          subject: p.path,
          level: 'caution' as const,
          params: { owner: p.owner, field: p.field, unit: p.fact.unit, value, low: usual[0], high: usual[1] },
          ...(p.ref ? { refs: [p.ref] } : {}),
        },
      ]
    }),
    ...saber.parts.flatMap((p) => {
      const [d, length] = [known(p.specs.diameter), known(p.specs.length)]
      if (p.kind !== 'cell' || d === undefined || length === undefined) return []
      const usual = otherLengths(d, length, p.protected)
      return usual
        ? [
            {
              code: 'cell' as const,
              subject: `${p.id}-cell`,
              level: 'caution' as const,
              params: { cell: p.name, diameter: d, length, protected: p.protected === true, usual },
              refs: [`part:${p.id}` as const],
            },
          ]
        : []
    }),
  ],
})
