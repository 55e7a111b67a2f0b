import { check } from '../../check'

export const sameKey = check<{
  dummy: { never: string; other: string }
  key: { never: string; other: string; key: string }
}>({
  id: 'sameKey',
  station: 'hilt',
  scope: 'saber',
  rule: 'Two screws that take the same key, one of them not for the client, will be mixed up. Dummies that look alike, too.',
  source: 'shop practice',
  reads: ['hilt'],
  run: ({ saber }) => {
    const screws = saber.hilt.fasteners
    return screws
      .filter((a) => a.clientMay === 'never')
      .flatMap((a) =>
        screws
          .filter((b) => b.clientMay !== 'never')
          .filter((b) => a.head === 'dummy' || (a.key && a.key === b.key))
          .map((b) => ({
            ...(a.head === 'dummy'
              ? { code: 'dummy' as const, params: { never: a.name, other: b.name } }
              : { code: 'key' as const, params: { never: a.name, other: b.name, key: a.key } }),
            subject: `${a.id}-${b.id}`,
            level: 'caution' as const,
            refs: [`fastener:${a.id}` as const, `fastener:${b.id}` as const],
          })),
      )
  },
  words: {
    dummy: (p) => worded(p, 'A dummy'),
    key: (p) => worded(p, `Both take ${p.key}`),
  },
})

const worded = (p: { never: string; other: string }, why: string) => ({
  title: `${p.never} looks like ${p.other}`,
  detail: `${why}, and ${p.never} must not be touched.`,
  remedy: 'Say it in the walkthrough, mark it on the screw map, or change the screw.',
})
