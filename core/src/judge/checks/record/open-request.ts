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
})
