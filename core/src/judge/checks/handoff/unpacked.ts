import { check } from '../../check'

export const unpacked = check<{ noList: Record<never, never>; open: { items: string[] } }>({
  id: 'unpacked',
  station: 'handoff',
  scope: 'order',
  rule: 'Everything on the packing list is in the box.',
  source: 'packing list',
  reads: ['order.packing'],
  run: ({ commission }) => {
    if (!commission.packing.length)
      return [{ code: 'noList', subject: 'empty', level: 'caution', params: {}, gate: true }]
    const items = commission.packing.filter((p) => !p.packed).map((p) => p.what)
    return items.length ? [{ code: 'open', subject: 'open', level: 'caution', params: { items }, gate: true }] : []
  },
  words: {
    noList: () => ({
      title: 'No packing list',
      detail: 'Nothing says what goes into the box.',
      remedy: 'Draft it from the record.',
    }),
    open: ({ items }) => ({
      title: `${items.length} not packed`,
      detail: items.join('; '),
      remedy: 'Pack it and tick it off.',
    }),
  },
})
