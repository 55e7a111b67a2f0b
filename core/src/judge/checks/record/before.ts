import { check } from '../../check'

export const before = check<{ gone: { what: string } }>({
  id: 'before',
  station: 'brief',
  scope: 'saber',
  rule: 'What an older saber could do stays, or something is said to take its place.',
  source: 'shop practice',
  reads: ['before'],
  run: ({ saber }) =>
    saber.before
      .filter((x) => !x.stays && !x.insteadBy)
      .map((x) => ({ code: 'gone', subject: x.id, level: 'caution', params: { what: x.what }, gate: true })),
  words: {
    gone: (p) => ({
      title: `It can no longer ${p.what}`,
      detail: 'Nothing is said to take its place; the client will look for it.',
      remedy: 'Say what takes its place, in as few words as “nothing: asked for”.',
    }),
  },
})
