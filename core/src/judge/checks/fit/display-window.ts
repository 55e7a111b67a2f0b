import { known } from '../../../facts'
import { layOut, sideOpenings, spanOf } from '../../../geometry'
import { check } from '../../check'

/** A display turned from its window by more than this is not read through it, degrees. */
const TURNED = 20
/** The angle between two clock angles, 0…180. */
const apart = (a: number, b: number) => Math.abs(((((a - b) % 360) + 540) % 360) - 180)

export const displayWindow = check<{
  none: { display: string; middle: number }
  off: { display: string; middle: number; window: number; off: number }
  turned: { display: string; clock: number; window: number; by: number }
}>({
  id: 'displayWindow',
  station: 'fit',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt', 'parts'],
  run: ({ saber }, each) => {
    if (!layOut(saber.hilt).complete) return []
    const windows = sideOpenings(saber.hilt).flatMap((o) => {
      const at = known(o.at)
      return o.kind === 'window' && at !== undefined ? [{ o, at, half: (known(o.length) ?? 0) / 2 }] : []
    })
    return each(
      saber.parts.filter((p) => p.kind === 'display'),
      (p) => {
        const span = spanOf(p)
        if (!span) return []
        const middle = (span.x0 + span.x1) / 2
        const w = windows.find((q) => Math.abs(q.at - middle) <= q.half)
        if (!w)
          return [
            {
              code: 'none' as const,
              subject: p.id,
              level: 'stop' as const,
              params: { display: p.name, middle },
              refs: [`part:${p.id}` as const],
              gate: true,
            },
          ]
        const [clock, faces] = [known(p.clock), known(w.o.clock)]
        const by = clock === undefined || faces === undefined ? 0 : apart(clock, faces)
        if (clock !== undefined && faces !== undefined && by > TURNED)
          return [
            {
              code: 'turned' as const,
              subject: p.id,
              level: 'stop' as const,
              params: { display: p.name, clock, window: faces, by },
              refs: [`part:${p.id}` as const, `opening:${w.o.id}` as const],
              gate: true,
            },
          ]
        const off = Math.abs(w.at - middle)
        return off > 1
          ? [
              {
                code: 'off' as const,
                subject: p.id,
                level: 'caution' as const,
                params: { display: p.name, middle, window: w.at, off },
                refs: [`part:${p.id}` as const, `opening:${w.o.id}` as const],
              },
            ]
          : []
      },
    )
  },
})
