import { check } from '../../check'

export const losses = check<{ notTold: { what: string; how: string } }>({
  id: 'losses',
  station: 'brief',
  scope: 'saber',
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
})
