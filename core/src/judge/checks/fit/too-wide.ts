import { fitParts } from '../../../fit'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'
import { mm } from '../../text'

interface Tight {
  part: string
  section: string
  bore: number
  at: number
  spare: number
  beside: boolean
}
/** Below this a part goes in only when the tolerances are kind, mm on the diameter. */
const SNUG = 0.3

export const tooWide = check<{ outside: { part: string; mm: number }; blocked: Tight; tight: Tight }>({
  id: 'tooWide',
  station: 'fit',
  scope: 'saber',
  rule: 'A part, its clearance and the chassis wall round it are no wider than the bore they lie in.',
  source: 'radial fit: R = (bore − 2·wall − 2·clearance)/2',
  reads: ['hilt', 'parts'],
  run: ({ saber }, each) =>
    each(fitParts(saber), (f) => {
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
      const params = {
        part: f.part.name,
        section: f.at.section,
        bore: f.at.d,
        at: f.at.x,
        spare: f.spareMm,
        beside: f.besideOf !== undefined,
      }
      if (f.spareMm < 0) return [{ ...base, code: 'blocked' as const, level: 'stop' as const, params, gate: true }]
      return f.spareMm < SNUG ? [{ ...base, code: 'tight' as const, level: 'caution' as const, params }] : []
    }),
  words: {
    outside: (p) => ({
      title: `${p.part} sticks out of the hilt`,
      detail: `${mm(p.mm)} of it lies outside.`,
      remedy: 'Move it, or take a shorter one.',
    }),
    blocked: (p) => ({
      title: `${p.part} does not go in`,
      detail: `The bore of the ${p.section} is ${mm(p.bore)} at ${formatNumber(MAKER, p.at, 1)}: ${mm(-p.spare)} too small${p.beside ? ' for it beside the cell' : ''}.`,
      remedy: `Bore it out by ${mm(-p.spare)}, move it, or take the next size down.`,
    }),
    tight: (p) => ({
      title: `${p.part} goes in by ${mm(p.spare)}`,
      detail: `Bore ${mm(p.bore)} in the ${p.section}. Tolerances may eat it.`,
      remedy: 'Try the part itself before printing.',
    }),
  },
})
