import { wireDrop as dropOf, WHITE } from '../../../power'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

/** What the wire may take at full white, V; trade practice, editable. */
const MOST_VOLTS = 0.3

export const wireDrop = check<{ lost: { volts: number; look: string } }>({
  id: 'wireDrop',
  station: 'power',
  scope: 'saber',
  rule: `The wire takes no more than ${MOST_VOLTS} V in any look that lasts.`,
  source: 'trade practice, editable; R = ρL/A',
  reads: ['hilt', 'parts', 'blades', 'zones', 'presets', 'use'],
  run: ({ saber, loads }) => {
    const looks = saber.presets.length
      ? loads.flatMap((l) => (l.lasts === 'flash' ? [] : [{ ...l, look: l.preset.name }]))
      : [{ colour: WHITE, look: 'full white', current: undefined }]
    const worst = looks
      .flatMap(({ colour, look, current }) => {
        const d = dropOf(saber, colour, current)
        return d.ok ? [{ volts: d.value, look }] : []
      })
      .toSorted((x, y) => y.volts - x.volts)[0]
    return worst && worst.volts > MOST_VOLTS ? [{ code: 'lost', subject: 'drop', level: 'caution', params: worst }] : []
  },
  words: {
    lost: (p) => ({
      title: `${formatNumber(MAKER, p.volts)} V lost in the wire`,
      detail: `In ${p.look}, both ways. The far pixels turn yellow.`,
      remedy: 'Thicker wire, or two in parallel.',
    }),
  },
})
