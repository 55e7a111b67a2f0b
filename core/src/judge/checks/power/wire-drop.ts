import { wireDrop as dropOf } from '../../../power'
import { formatNumber } from '../../../units'
import { check } from '../../check'

/** What the wire may take at full white, V; trade practice, editable. */
const MOST_VOLTS = 0.3

export const wireDrop = check<{ lost: { volts: number } }>({
  id: 'wireDrop',
  station: 'power',
  scope: 'saber',
  rule: `The wire takes no more than ${MOST_VOLTS} V at full white.`,
  source: 'trade practice, editable; R = ρL/A',
  reads: ['hilt', 'parts', 'blades', 'zones'],
  run: ({ saber }) => {
    const d = dropOf(saber)
    return d.ok && d.value > MOST_VOLTS
      ? [{ code: 'lost', subject: 'drop', level: 'caution', params: { volts: d.value } }]
      : []
  },
  words: {
    lost: (p) => ({
      title: `${formatNumber(p.volts)} V lost in the wire`,
      detail: 'At full white, both ways. The far pixels turn yellow.',
      remedy: 'Thicker wire, or two in parallel.',
    }),
  },
})
