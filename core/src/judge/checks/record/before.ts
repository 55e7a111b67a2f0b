import { check } from '../../check'

export const before = check<{ gone: { what: string } }>({
  id: 'before',
  station: 'brief',
  scope: 'saber',
  source: 'shop practice',
  reads: ['before'],
  run: ({ saber }) =>
    saber.before
      .filter((x) => !x.stays && !x.insteadBy)
      .map((x) => ({ code: 'gone', subject: x.id, level: 'caution', params: { what: x.what }, gate: true })),
})
