import { inEndWall, inSeat, overlaps } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

export const overlap = check<{
  share: { a: string; b: string; mm: number }
  endWall: { part: string; mm: number }
  seat: { part: string; socket: string; mm: number }
}>({
  id: 'overlap',
  station: 'fit',
  scope: 'saber',
  rule: 'Two parts do not share the same length, unless one carries the other; none stands in the seat of the blade or in the closed end of the pommel.',
  source: 'geometry',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => [
    ...overlaps(saber).map((o) => ({
      code: 'share' as const,
      subject: `${o.a.id}-${o.b.id}`,
      level: 'stop' as const,
      params: { a: o.a.name, b: o.b.name, mm: o.mm },
      refs: [`part:${o.a.id}` as const, `part:${o.b.id}` as const],
      gate: true,
    })),
    ...inEndWall(saber).map((o) => ({
      code: 'endWall' as const,
      subject: `${o.part.id}-end`,
      level: 'stop' as const,
      params: { part: o.part.name, mm: o.mm },
      refs: [`part:${o.part.id}` as const],
      gate: true,
    })),
    ...inSeat(saber).map((o) => ({
      code: 'seat' as const,
      subject: `${o.part.id}-seat`,
      level: 'stop' as const,
      params: { part: o.part.name, socket: o.socket, mm: o.mm },
      refs: [`part:${o.part.id}` as const],
      gate: true,
    })),
  ],
  words: {
    endWall: (p) => ({
      title: `${p.part} stands in the end wall of the pommel`,
      detail: `It reaches ${mm(p.mm)} into it.`,
      remedy: `Move it forward by ${mm(p.mm)}, or measure the wall again.`,
    }),
    seat: (p) => ({
      title: `${p.part} stands in the seat of the blade`,
      detail: `It reaches ${mm(p.mm)} into the ${p.socket}.`,
      remedy: `Move it back by ${mm(p.mm)}, or make the seat shallower.`,
    }),
    share: (p) => ({
      title: `${p.a} and ${p.b} overlap`,
      detail: `They share ${mm(p.mm)} of length.`,
      remedy: `Move one by ${mm(p.mm)}, or lay one beside the other.`,
    }),
  },
})
