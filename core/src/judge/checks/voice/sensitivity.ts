import { known } from '../../../facts'
import { TRIED_WITH } from '../../../record'
import { check } from '../../check'

export const sensitivity = check<{ unset: { sense: string }; untried: { sense: string; without: string[] } }>({
  id: 'sensitivity',
  station: 'voice',
  scope: 'saber',
  source: 'shop practice',
  reads: ['settings', 'blades'],
  run: ({ saber }, each) =>
    each(saber.settings.sensitivities, (x) => {
      if (known(x.value) === undefined)
        return [{ code: 'unset' as const, subject: x.id, level: 'note' as const, params: { sense: x.sense } }]
      const there = new Set(saber.blades.map((b) => (b.kind === 'plug' ? 'plug' : 'blade')))
      const without = TRIED_WITH.filter((t) => there.has(t) && !x.triedWith.includes(t))
      return without.length
        ? [
            {
              ...{ code: 'untried' as const, subject: x.id, level: 'caution' as const },
              params: { sense: x.sense, without: [...without] },
            },
          ]
        : []
    }),
})
