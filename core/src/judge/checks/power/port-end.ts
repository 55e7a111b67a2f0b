import { check } from '../../check'

export const portEnd = check<{ blank: { port: string } }>({
  id: 'portEnd',
  station: 'power',
  scope: 'saber',
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
})
