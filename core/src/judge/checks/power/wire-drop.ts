import { wireDrop as dropOf, WHITE } from '../../../power'
import { check } from '../../check'

/** What the wire may take at full white, V; trade practice, editable. */
export const MOST_VOLTS = 0.3

export const wireDrop = check<{ lost: { volts: number; look: string } }>({
  id: 'wireDrop',
  station: 'power',
  scope: 'saber',
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
})
