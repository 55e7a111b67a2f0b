import { fitParts } from '../../../fit'
import { layOut, outerAt } from '../../../geometry'
import { check } from '../../check'

interface Tight {
  part: string
  section: string
  bore: number
  at: number
  spare: number
  beside: boolean
  /** What reaches in from the wall there and makes the difference. */
  under?: string
  /** Wall that would be left there if it were bored out until the part goes in, mm; none where nobody measured the outside. */
  left?: number
}
/** Below this a part goes in only when the tolerances are kind, mm on the diameter. */
const SNUG = 0.3

export const tooWide = check<{ outside: { part: string; mm: number }; blocked: Tight; tight: Tight }>({
  id: 'tooWide',
  station: 'fit',
  scope: 'saber',
  source: 'radial fit: R = (bore − 2·wall − 2·clearance)/2',
  reads: ['hilt', 'parts'],
  run: ({ saber }, each) => {
    const shape = layOut(saber.hilt)
    return each(fitParts(saber), (f) => {
      const base = { subject: f.part.id, refs: [`part:${f.part.id}` as const] }
      if (f.outsideMm > 0.05)
        return [
          {
            ...base,
            code: 'outside' as const,
            level: 'stop' as const,
            params: { part: f.part.name, mm: f.outsideMm },
            gate: true,
          },
        ]
      if (f.spareMm === undefined || !f.at) return []
      const outer = f.spareMm < 0 ? outerAt(shape, f.at.x) : undefined
      const params = {
        part: f.part.name,
        section: f.at.section,
        bore: f.at.d,
        at: f.at.x,
        spare: f.spareMm,
        beside: f.besideOf !== undefined,
        ...(f.at.under ? { under: f.at.under } : {}),
        ...(outer === undefined ? {} : { left: (outer - f.at.d + f.spareMm) / 2 }),
      }
      if (f.spareMm < 0) return [{ ...base, code: 'blocked' as const, level: 'stop' as const, params, gate: true }]
      return f.spareMm < SNUG ? [{ ...base, code: 'tight' as const, level: 'caution' as const, params }] : []
    })
  },
})
