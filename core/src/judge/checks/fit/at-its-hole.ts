import { known } from '../../../facts'
import { HOLE_OF } from '../../../fit'
import { inWall, sideOpenings, spanOf } from '../../../geometry'
import { check } from '../../check'

/** How far a button's or port's middle may lie from that of its hole, mm. */
const BESIDE = 0.5

export const atItsHole = check<{ beside: { part: string; hole: string; at: number; middle: number; off: number } }>({
  id: 'atItsHole',
  station: 'fit',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt', 'parts'],
  run: ({ saber }) =>
    (['switch', 'chargePort'] as const).flatMap((kind) => {
      const holes = sideOpenings(saber.hilt).flatMap((o) => {
        const at = known(o.at)
        return o.kind === HOLE_OF[kind] && at !== undefined ? [{ o, at }] : []
      })
      return saber.parts
        .filter((p) => p.kind === kind && inWall(p))
        .flatMap((p) => {
          const span = spanOf(p)
          if (!span) return []
          const middle = (span.x0 + span.x1) / 2
          const near = holes
            .map((h) => ({ ...h, off: middle - h.at }))
            .sort((a, b) => Math.abs(a.off) - Math.abs(b.off))[0]
          if (!near || Math.abs(near.off) <= BESIDE) return []
          return [
            {
              code: 'beside' as const,
              subject: p.id,
              level: 'caution' as const,
              params: { part: p.name, hole: near.o.name, at: near.at, middle, off: near.off },
              refs: [`part:${p.id}` as const, `opening:${near.o.id}` as const],
            },
          ]
        })
    }),
})
