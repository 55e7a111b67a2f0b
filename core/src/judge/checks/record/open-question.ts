import { check } from '../../check'

interface Asked {
  text: string
  askedOn: string | undefined
}
const detail = (p: Asked) => `“${p.text}”${p.askedOn ? ` Asked ${p.askedOn}.` : ' Not asked yet.'}`
const remedy = (p: Asked) => (p.askedOn ? 'Write the answer down when it comes.' : 'Ask, and note the day.')

export const openQuestion = check<{ blocking: Asked; open: Asked }>({
  id: 'openQuestion',
  station: 'brief',
  scope: 'order',
  rule: 'A question to the client that blocks the handoff needs its answer.',
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
        gate: q.blocks,
      })),
  words: {
    blocking: (p) => ({
      title: p.askedOn ? 'Waiting for the client' : 'The client has not been asked',
      detail: detail(p),
      remedy: remedy(p),
    }),
    open: (p) => ({ title: 'Open question', detail: detail(p), remedy: remedy(p) }),
  },
})
