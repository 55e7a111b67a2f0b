import { standby as hoursLeft } from '../../../power'
import { hasCutOff } from '../../../record'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

/** Four weeks in a drawer, days. */
const LEAST_DAYS = 28
const title = (p: { days: number }) => `Asleep in a drawer: empty in ${formatNumber(MAKER, p.days, 0)} days`

export const standby = check<{ cut: { days: number }; uncut: { days: number } }>({
  id: 'standby',
  station: 'power',
  scope: 'saber',
  rule: 'Left in a drawer, a saber does not empty its cell in under four weeks, or the client is told.',
  source: 'capacity ÷ sleep current',
  reads: ['hilt', 'parts', 'blades', 'cutPower'],
  run: ({ saber }) => {
    const s = hoursLeft(saber, 'asleep')
    if (!s.ok || s.value / 24 >= LEAST_DAYS) return []
    const cut = hasCutOff(saber)
    return [
      {
        code: cut ? 'cut' : 'uncut',
        subject: 'standby',
        level: cut ? 'note' : 'caution',
        params: { days: s.value / 24 },
      },
    ]
  },
  words: {
    cut: (p) => ({
      title: title(p),
      detail: 'With the power cut it keeps for years of self-discharge.',
      remedy: 'Tell the client to cut the power for storage.',
    }),
    uncut: (p) => ({
      title: title(p),
      detail: 'Nothing cuts the power.',
      remedy: 'Fit a kill switch or key, or tell the client to take the cell out.',
    }),
  },
})
