import { overlaps } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

export const overlap = check<{ share: { a: string; b: string; mm: number } }>({
  id: 'overlap',
  station: 'fit',
  scope: 'saber',
  rule: 'Two parts in line do not share the same length.',
  source: 'geometry',
  reads: ['hilt', 'parts'],
  run: ({ saber }) =>
    overlaps(saber).map((o) => ({
      code: 'share',
      subject: `${o.a.id}-${o.b.id}`,
      level: 'stop',
      params: { a: o.a.name, b: o.b.name, mm: o.mm },
      refs: [`part:${o.a.id}`, `part:${o.b.id}`],
      gate: true,
    })),
  words: {
    share: (p) => ({
      title: `${p.a} and ${p.b} overlap`,
      detail: `They share ${mm(p.mm)} of length.`,
      remedy: `Move one by ${mm(p.mm)}, or lay one beside the other.`,
    }),
  },
})
