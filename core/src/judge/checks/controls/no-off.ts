import { traps } from '../../../controls'
import { check } from '../../check'

export const noOff = check<{ trap: { state: string } }>({
  id: 'noOff',
  station: 'controls',
  scope: 'saber',
  rule: 'Every state leads back to off.',
  source: 'simulated board',
  reads: ['controls'],
  run: ({ saber }) =>
    traps(saber.controls).map((state) => ({
      code: 'trap',
      subject: state,
      level: 'stop',
      params: { state },
      gate: true,
    })),
  words: {
    trap: (p) => ({
      title: p.state === 'lit' ? 'Nothing turns it off' : `No way out of ${p.state}`,
      detail: `No sequence of controls leads from ${p.state} back to off.`,
      remedy: 'Record the control that does it.',
    }),
  },
})
