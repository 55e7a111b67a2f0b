import { gestureText } from '../../../controls'
import { MAKER } from '../../../units'
import { check } from '../../check'

export const unsureControl = check<{ unsure: { does: string; gesture: string } }>({
  id: 'unsureControl',
  station: 'controls',
  scope: 'saber',
  source: 'shop practice',
  reads: ['controls', 'inputs', 'spoken'],
  run: ({ saber }) =>
    saber.controls
      .filter((r) => r.status === 'unsure')
      .map((r) => ({
        code: 'unsure',
        subject: r.id,
        level: 'caution',
        params: { does: r.says ?? r.does, gesture: gestureText(MAKER, saber, r) },
        refs: [`row:${r.id}`],
        gate: true,
      })),
})
