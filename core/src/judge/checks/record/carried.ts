import { byId, refTo } from '../../../record'
import { check } from '../../check'

export const carried = check<{ circle: { part: string } }>({
  id: 'carried',
  station: 'fit',
  scope: 'saber',
  source: 'what goes along with another does not carry it',
  reads: ['parts'],
  run: ({ saber }) =>
    saber.parts.flatMap((p) => {
      const seen = new Set<string>()
      let at = p.on
      while (at && at !== p.id && !seen.has(at)) {
        seen.add(at)
        at = byId(saber.parts, at)?.on
      }
      return at === p.id
        ? [
            {
              ...{ code: 'circle' as const, subject: p.id, level: 'stop' as const, gate: true },
              ...{ params: { part: p.name }, refs: [refTo('part', p.id)] },
            },
          ]
        : []
    }),
})
