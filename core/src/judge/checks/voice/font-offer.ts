import { byId, onlyOffered, refTo } from '../../../record'
import { check } from '../../check'

export const fontOffer = check<{ unoffered: { font: string }; unaccepted: { font: string; presets: string[] } }>({
  id: 'fontOffer',
  station: 'voice',
  scope: 'saber',
  source: 'shop practice',
  reads: ['fonts', 'presets', 'order.requests'],
  run: ({ saber, commission }, each) =>
    each(
      saber.fonts.filter((f) => f.price),
      (f) => {
        const wish = byId(commission.requests, f.wish)
        const presets = saber.presets.filter((p) => p.font === f.id)
        const refs = [refTo('font', f.id), ...(wish ? [refTo('request', wish.id)] : [])]
        if (!wish)
          return [{ code: 'unoffered' as const, subject: f.id, level: 'note' as const, params: { font: f.name }, refs }]
        return onlyOffered(wish) && presets.length
          ? [
              {
                ...{ code: 'unaccepted' as const, subject: f.id, level: 'caution' as const, refs },
                params: { font: f.name, presets: presets.map((p) => p.name) },
              },
            ]
          : []
      },
    ),
})
