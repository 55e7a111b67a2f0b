import { onlyOffered } from '../../../record'
import { check } from '../../check'

export const openRequest = check<{
  open: { text: string; own: boolean }
  notTold: { text: string; status: string; answer: string | undefined }
  nowhere: { text: string }
}>({
  id: 'openRequest',
  station: 'brief',
  scope: 'order',
  rule: 'Every wish is met, changed or declined before shipping, and the client is told; what is only offered waits.',
  source: 'shop practice',
  reads: ['order.requests'],
  run: ({ commission }, each) =>
    each(commission.requests, (r) => {
      if (onlyOffered(r)) return []
      const own = r.shape === 'ownIdea'
      if (r.status === 'open')
        return [
          {
            code: 'open' as const,
            subject: r.id,
            level: own ? ('note' as const) : ('caution' as const),
            params: { text: r.text, own },
            gate: !own,
            ...(r.where ? { refs: [r.where] } : {}),
          },
        ]
      if (!own && (r.status === 'declined' || r.status === 'changed') && !r.toldOn)
        return [
          {
            code: 'notTold' as const,
            subject: r.id,
            level: 'caution' as const,
            params: { text: r.text, status: r.status, answer: r.answer },
            gate: true,
          },
        ]
      return r.status === 'met' && !r.where
        ? [{ code: 'nowhere' as const, subject: r.id, level: 'note' as const, params: { text: r.text } }]
        : []
    }),
  words: {
    open: (p) => ({
      title: p.own ? 'An idea of your own is still open' : 'A wish is still open',
      detail: `“${p.text}”`,
      remedy: 'Say where it is met, or that it was changed or declined.',
    }),
    notTold: (p) => ({
      title: `The client was not told: wish ${p.status}`,
      detail: `“${p.text}”${p.answer ? `: ${p.answer}` : ''}`,
      remedy: 'Tell the client and note the day.',
    }),
    nowhere: (p) => ({
      title: 'A wish is met, but where?',
      detail: `“${p.text}”`,
      remedy: 'Link it to its place so that it can be shown.',
    }),
  },
})
