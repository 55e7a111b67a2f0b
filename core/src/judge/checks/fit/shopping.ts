import { type ShoppingNeed, shoppingList } from '../../../fit'
import { check } from '../../check'

export const shopping = check<{ unsaid: { blade: string; needs: ShoppingNeed[] } }>({
  id: 'shopping',
  station: 'fit',
  scope: 'saber',
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
})
