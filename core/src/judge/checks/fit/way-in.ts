import { blockedParts } from '../../../fit'
import { check } from '../../check'

export const wayIn = check<{ barred: { part: string; section: string; bore: number; short: number } }>({
  id: 'wayIn',
  station: 'fit',
  scope: 'saber',
  source: 'geometry',
  reads: ['hilt', 'parts'],
  run: ({ saber }) =>
    blockedParts(saber).map((b) => ({
      code: 'barred',
      subject: b.part.id,
      level: 'stop',
      params: { part: b.part.name, section: b.section, bore: b.bore, short: b.short },
      refs: [`part:${b.part.id}`],
      gate: true,
    })),
})
