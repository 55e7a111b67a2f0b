import { check } from '../../check'

export const client = check<{ nameless: Record<never, never> }>({
  id: 'client',
  station: 'handoff',
  scope: 'order',
  source: 'shop practice',
  reads: ['order.client', 'order.job'],
  run: ({ commission }) =>
    commission.client.name.trim() || commission.job === 'model'
      ? []
      : [{ code: 'nameless', subject: 'name', level: 'caution', params: {}, gate: true }],
})
