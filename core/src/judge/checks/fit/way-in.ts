import { barredParts } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

export const wayIn = check<{ barred: { part: string; section: string; bore: number; short: number } }>({
  id: 'wayIn',
  station: 'fit',
  scope: 'saber',
  rule: 'Every part can be brought to its place: from a joint that comes apart, or through the emitter, past every bore between.',
  source: 'geometry',
  reads: ['hilt', 'parts'],
  run: ({ saber }) =>
    barredParts(saber).map((b) => ({
      code: 'barred',
      subject: b.part.id,
      level: 'stop',
      params: { part: b.part.name, section: b.section, bore: b.bore, short: b.short },
      refs: [`part:${b.part.id}`],
      gate: true,
    })),
  words: {
    barred: (p) => ({
      title: `${p.part} cannot be brought to its place`,
      detail: `It fits where it lies, but on the widest way there it meets a bore of ${mm(p.bore)} in the ${p.section}: ${mm(p.short)} too small.`,
      remedy: 'Bore that out, open another joint, or place it elsewhere.',
    }),
  },
})
