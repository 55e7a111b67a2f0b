import { keysAlike } from '../../../fit'
import { check } from '../../check'

export const sameKey = check<{
  dummy: { never: string; other: string }
  key: { never: string; other: string; keys: [string, string] }
}>({
  id: 'sameKey',
  station: 'hilt',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt', 'beats'],
  run: ({ saber }) => {
    const screws = saber.hilt.fasteners
    // The remedy: a beat that says which one is left alone.
    const told = new Set(saber.beats.flatMap((b) => b.covers))
    return screws
      .filter((a) => a.clientMay === 'never' && !told.has(`fastener:${a.id}`))
      .flatMap((a) =>
        screws
          .filter((b) => b.clientMay !== 'never')
          .filter((b) => a.head === 'dummy' || keysAlike(a.key, b.key))
          .map((b) => ({
            ...(a.head === 'dummy'
              ? { code: 'dummy' as const, params: { never: a.name, other: b.name } }
              : {
                  code: 'key' as const,
                  params: { never: a.name, other: b.name, keys: [a.key, b.key] as [string, string] },
                }),
            subject: `${a.id}-${b.id}`,
            level: 'caution' as const,
            refs: [`fastener:${a.id}` as const, `fastener:${b.id}` as const],
          })),
      )
  },
})
