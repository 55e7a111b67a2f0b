import { formatFact } from '../../../facts'
import { chargeTime, runtime, safeVolume, standby, wattHours } from '../../../power'
import type { Saber } from '../../../record'
import { formatNumber } from '../../../units'
import { say } from '../../../words'
import type { FactRow, SaberChapter } from '../../block'
import { asText, stepsOf } from '../../values'

export const charging: SaberChapter = (s) => ({
  id: 'charging',
  title: say('chapter.charging'),
  blocks: [...stepsOf(s, ['charge']), { kind: 'facts', rows: rows(s) }],
})

function rows(s: Saber): FactRow[] {
  const asleep = standby(s, 'asleep')
  const name = (row: string) => say('charging.name', { row })
  return [
    { name: name('runtime'), ...asText(runtime(s).minutes) },
    { name: name('charging'), ...asText(chargeTime(s), 1) },
    {
      name: name('asleep'),
      ...(asleep.ok ? { value: say('charging.days', { days: formatNumber(asleep.value / 24, 0) }) } : asText(asleep)),
    },
    { name: name('energy'), ...asText(wattHours(s), 1) },
    ...s.parts.flatMap((p) =>
      p.otherEnd
        ? [
            {
              name: say('charging.end', { port: p.name }),
              value: [p.otherEnd.lead, p.otherEnd.supply, p.otherEnd.program].filter(Boolean).join('; '),
            },
          ]
        : [],
    ),
    { name: name('volume'), value: formatFact(s.use.volume, 0) },
    ...(s.use.highestVolume ? [{ name: name('loudest'), value: formatFact(s.use.highestVolume, 0) }] : []),
    { name: name('highest'), ...asText(safeVolume(s)) },
    // A brightness that is only assumed was set by nobody.
    ...(s.use.brightness.source === 'assumed'
      ? []
      : [{ name: name('brightness'), value: formatFact(s.use.brightness, 0) }]),
  ]
}
