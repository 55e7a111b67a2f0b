import { check } from '../../check'

export const portEnd = check<{ blank: { port: string } }>({
  id: 'portEnd',
  station: 'power',
  scope: 'saber',
  rule: 'What a port needs at its other end is said: without the lead and the supply nobody can use it.',
  source: 'shop practice',
  reads: ['parts'],
  run: ({ saber }) =>
    saber.parts
      .filter((p) => p.kind === 'chargePort' && !(p.otherEnd?.lead && p.otherEnd.supply))
      .map((p) => ({
        code: 'blank',
        subject: p.id,
        level: 'caution',
        params: { port: p.name },
        refs: [`part:${p.id}`],
      })),
  words: {
    blank: (p) => ({
      title: `${p.port}: with which lead, from what?`,
      detail: 'The client has to know what goes into it, and what that lead is plugged into.',
      remedy: 'Enter the lead and the supply under the part.',
    }),
  },
})
