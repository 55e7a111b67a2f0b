import { sized } from '../../../facts'
import { mainSocket } from '../../../geometry'
import { byId } from '../../../record'
import { check } from '../../check'

export const bladeSeat = check<{
  plug: { plug: string; socket: string; by: number }
  twisted: { blade: string; socket: string }
}>({
  id: 'bladeSeat',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice',
  reads: ['hilt', 'parts', 'blades'],
  run: ({ saber }, each) => {
    const main = mainSocket(saber)
    const bore = sized(main?.bore)
    return [
      ...each(
        saber.parts.filter((p) => p.kind === 'plug'),
        (p) => {
          const d = sized(p.specs.diameter)
          return main && bore !== undefined && d !== undefined && d > bore
            ? [
                {
                  code: 'plug' as const,
                  subject: p.id as string,
                  level: 'stop' as const,
                  params: { plug: p.name, socket: main.name, by: d - bore },
                  refs: [`part:${p.id}` as const, `socket:${main.id}` as const],
                  gate: true,
                },
              ]
            : []
        },
      ),
      ...each(
        saber.blades.filter((b) => b.kind === 'string'),
        (b) => {
          const k = byId(saber.hilt.sockets, b.socket)
          return k?.insertion === 'clockwise'
            ? [
                {
                  code: 'twisted' as const,
                  subject: b.id as string,
                  level: 'stop' as const,
                  params: { blade: b.name, socket: k.name },
                  refs: [`blade:${b.id}` as const, `socket:${k.id}` as const],
                  gate: true,
                },
              ]
            : []
        },
      ),
    ]
  },
})
