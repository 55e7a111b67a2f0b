import { known } from '../../../facts'
import { TRIED_WITH } from '../../../record'
import { check } from '../../check'

export const sensitivity = check<{ unset: { sense: string }; untried: { sense: string; without: string[] } }>({
  id: 'sensitivity',
  station: 'voice',
  scope: 'saber',
  rule: 'How readily the board answers is set and tried with the plug and with the blade: each weighs another.',
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
  words: {
    unset: (p) => ({
      title: `Sensitivity of the ${p.sense}: not recorded`,
      detail: 'It stands there without a value.',
      remedy: 'Enter what the board is set to.',
    }),
    untried: (p) => ({
      title: `Sensitivity of the ${p.sense}: not tried with the ${p.without.join(' and the ')}`,
      detail: 'With another weight in the socket the same value answers differently.',
      remedy: 'Try it, and tick what it was tried with.',
    }),
  },
})
