import { check } from '../../check'

export const losses = check<{ notTold: { what: string; how: string } }>({
  id: 'losses',
  station: 'brief',
  scope: 'saber',
  rule: 'The client is told when a part was spoilt, made again or replaced.',
  source: 'shop practice: honesty before the box is closed',
  reads: ['losses'],
  run: ({ saber }) =>
    saber.losses
      .filter((x) => !x.toldOn)
      .map((x) => ({
        code: 'notTold',
        subject: x.id,
        level: 'caution',
        params: { what: x.what, how: x.how },
        ...(x.about ? { refs: [x.about] } : {}),
        gate: true,
      })),
  words: {
    notTold: (p) => ({
      title: `The client was not told: ${p.what} ${p.how === 'remade' ? 'made again' : p.how}`,
      detail: 'It is printed once the client knows.',
      remedy: 'Tell the client and note the day.',
    }),
  },
})
