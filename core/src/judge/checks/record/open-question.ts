import { refTo } from '../../../record'
import { check } from '../../check'

export interface Asked {
  text: string
  askedOn: string | undefined
}

export const openQuestion = check<{ blocking: Asked; open: Asked }>({
  id: 'openQuestion',
  station: 'brief',
  scope: 'order',
  source: 'shop practice',
  reads: ['order.questions'],
  run: ({ commission }) =>
    commission.questions
      // What the client asks is the shop's to answer, and said elsewhere.
      .filter((q) => !q.answer && q.askedBy !== 'client')
      .map((q) => ({
        code: q.blocks ? 'blocking' : 'open',
        subject: q.id,
        level: q.blocks ? 'stop' : 'note',
        params: { text: q.text, askedOn: q.askedOn },
        refs: [refTo('question', q.id)],
        gate: q.blocks,
      })),
})
