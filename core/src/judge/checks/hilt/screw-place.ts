import { known } from '../../../facts'
import { layOut, roundApart, sideOpenings } from '../../../geometry'
import { type Fastener, purposeOf } from '../../../record'
import { check } from '../../check'

/** How far a place may be off on paper, mm. */
const NEAR = 0.05

export const screwPlace = check<{
  nowhere: { screw: string }
  off: { screw: string; at: number; length: number }
  meet: { a: string; b: string }
  inHole: { screw: string; opening: string }
}>({
  id: 'screwPlace',
  station: 'hilt',
  scope: 'saber',
  source: 'geometry, shop practice',
  reads: ['hilt'],
  run: ({ saber }) => {
    const shape = layOut(saber.hilt)
    const placed = shape.complete ? saber.hilt.fasteners.flatMap(placeOf) : []
    const base = (...screws: Fastener[]) => ({
      refs: screws.map((f) => `fastener:${f.id}` as const),
      ...{ level: 'stop' as const, gate: true },
    })
    return [
      ...saber.hilt.fasteners
        .filter((f) => known(f.at) === undefined || known(f.clock) === undefined)
        .map((f) => ({
          code: 'nowhere' as const,
          subject: f.id as string,
          level: 'caution' as const,
          params: { screw: f.name },
          refs: [`fastener:${f.id}` as const],
          gate: f.clientMay !== 'never' || purposeOf(saber, f) === 'bladeRetention',
        })),
      ...placed
        .filter((p) => p.at < -NEAR || p.at > shape.length + NEAR)
        .map((p) => ({
          ...{ ...base(p.f), code: 'off' as const, subject: `${p.f.id}-off` },
          params: { screw: p.f.name, at: p.at, length: shape.length },
        })),
      ...placed.flatMap((a, i) =>
        placed
          .slice(i + 1)
          .filter((b) => Math.hypot(a.at - b.at, roundApart(shape, a, b)) < (a.d + b.d) / 2 - NEAR)
          .map((b) => ({
            ...{ ...base(a.f, b.f), code: 'meet' as const, subject: `${a.f.id}-${b.f.id}` },
            params: { a: a.f.name, b: b.f.name },
          })),
      ),
      ...placed.flatMap((p) =>
        sideOpenings(saber.hilt)
          .filter((o) => o.kind !== 'screwHole')
          .filter((o) => {
            const [at, long, wide, clock] = [known(o.at), known(o.length), known(o.width), known(o.clock)]
            if (at === undefined || long === undefined || wide === undefined || clock === undefined) return false
            const round = roundApart(shape, p, { at, clock })
            return Math.abs(p.at - at) < long / 2 - NEAR && round < wide / 2 - NEAR
          })
          .map((o) => ({
            ...{ ...base(p.f), code: 'inHole' as const, subject: `${p.f.id}-${o.id}` },
            params: { screw: p.f.name, opening: o.name },
          })),
      ),
    ]
  },
})

interface Placed {
  f: Fastener
  at: number
  clock: number
  /** Diameter of its thread, mm. */
  d: number
}

function placeOf(f: Fastener): Placed[] {
  const [at, clock] = [known(f.at), known(f.clock)]
  const metric = /^M(\d+(?:\.\d+)?)/.exec(f.thread)?.[1]
  return at === undefined || clock === undefined ? [] : [{ f, at, clock, d: metric ? Number(metric) : 3 }]
}
