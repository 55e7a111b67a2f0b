import { check } from '../../check'

export const cardCopied = check<{ never: { card: string } }>({
  id: 'cardCopied',
  station: 'voice',
  scope: 'saber',
  source: 'shop practice: a card is copied before anything on it is changed',
  reads: ['cards', 'order.toDos'],
  run: ({ saber, commission }, each) =>
    each(saber.cards, (c) => {
      // One that is to be copied is on the list already.
      const due = commission.toDos.some((t) => !t.done && t.about === `card:${c.id}`)
      return c.copiedOn || due || c.is === 'spare'
        ? []
        : [
            {
              ...{ code: 'never' as const, subject: c.id, level: 'caution' as const },
              ...{ params: { card: c.name }, refs: [`card:${c.id}` as const] },
            },
          ]
    }),
})
