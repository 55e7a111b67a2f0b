import { formatFact, known } from '../../../facts'
import { chargersOf, chargeTime, leftAs, runtime, safeVolume, standby, wattHours } from '../../../power'
import type { Saber } from '../../../record'
import { formatNumber, type Reader } from '../../../units'
import { say } from '../../../words'
import type { FactRow, SaberChapter } from '../../block'
import { asText, stepsOf } from '../../values'

export const charging: SaberChapter = (reader, s) => ({
  id: 'charging',
  title: say(reader, 'chapter.charging'),
  blocks: [...stepsOf(reader, s, ['charge']), { kind: 'facts', rows: rows(reader, s) }],
})

function rows(reader: Reader, s: Saber): FactRow[] {
  const asleep = standby(s, leftAs(s))
  const name = (row: string) => say(reader, 'charging.name', { row })
  return [
    { name: name('runtime'), ...asText(reader, runtime(s).minutes) },
    { name: name('charging'), ...asText(reader, chargeTime(s), 1) },
    ...chargersOf(s).flatMap((p) => {
      const said = [p.specs.chargeCurrent, p.specs.chargeVolts].filter((f) => known(f) !== undefined)
      return said.length ? [{ name: name('circuit'), value: said.map((f) => formatFact(reader, f)).join(', ') }] : []
    }),
    ...s.parts.flatMap((p) =>
      known(p.charged) === undefined ? [] : [{ name: name('charged'), value: formatFact(reader, p.charged, 0) }],
    ),
    {
      name: name('asleep'),
      ...(asleep.ok
        ? {
            value: say(reader, 'charging.days', {
              ...{ n: Math.round(asleep.value / 24), days: formatNumber(reader, asleep.value / 24, 0) },
            }),
          }
        : asText(reader, asleep)),
    },
    { name: name('energy'), ...asText(reader, wattHours(s), 1) },
    ...s.parts.flatMap((p) =>
      p.otherEnd
        ? [
            {
              name: say(reader, 'charging.end', { port: p.name }),
              value: [p.otherEnd.lead, p.otherEnd.supply, p.otherEnd.program].filter(Boolean).join('; '),
            },
          ]
        : [],
    ),
    { name: name('volume'), value: formatFact(reader, s.use.volume, 0) },
    ...(s.use.highestVolume ? [{ name: name('loudest'), value: formatFact(reader, s.use.highestVolume, 0) }] : []),
    { name: name('highest'), ...asText(reader, safeVolume(s)) },
    // A brightness that is only assumed was set by nobody.
    ...(s.use.brightness.source === 'assumed'
      ? []
      : [{ name: name('brightness'), value: formatFact(reader, s.use.brightness, 0) }]),
  ]
}
