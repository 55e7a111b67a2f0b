import { type ShoppingNeed, shoppingList, shoppingNeedText } from '../../../fit'
import { check } from '../../check'

export const shopping = check<{ unsaid: { blade: string; needs: ShoppingNeed[] } }>({
  id: 'shopping',
  station: 'fit',
  scope: 'saber',
  rule: 'What the client has to buy is said so that a shop can cut it.',
  source: 'shop practice',
  reads: ['hilt', 'parts', 'blades'],
  run: ({ saber }) =>
    shoppingList(saber)
      .filter((s) => s.needs.length)
      .map((s) => ({
        code: 'unsaid',
        subject: s.blade.id,
        level: 'caution',
        params: { blade: s.blade.name, needs: s.needs },
        refs: [`blade:${s.blade.id}`],
        gate: true,
      })),
  words: {
    unsaid: (p) => ({
      title: `${p.blade}: the client cannot order it yet`,
      detail: `Not said: ${p.needs.map(shoppingNeedText).join(', ')}.`,
      remedy: 'Enter it under the blade.',
    }),
  },
})
