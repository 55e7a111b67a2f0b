import { inEndWall, inSeat, overlaps } from '../../../fit'
import { check } from '../../check'

export const overlap = check<{
  share: { a: string; b: string; mm: number }
  endWall: { part: string; mm: number }
  seat: { part: string; socket: string; mm: number }
}>({
  id: 'overlap',
  station: 'fit',
  scope: 'saber',
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
})
