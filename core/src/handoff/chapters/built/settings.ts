import { formatFact } from '../../../facts'
import type { Saber } from '../../../record'
import type { Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type Block, type FactRow, type SaberChapter, table } from '../../block'
import { orNotRecorded, wordsOf } from '../../values'

/** What the board is set to beside sounds and controls: times, the wireless link, how readily it answers. */
export const settings: SaberChapter = (reader, s) => {
  const list = rows(reader, s)
  return {
    id: 'settings',
    title: say(reader, 'chapter.settings'),
    blocks: [...(list.length ? [{ kind: 'facts' as const, rows: list }] : []), ...senses(reader, s)],
  }
}

function rows(reader: Reader, { settings: x }: Saber): FactRow[] {
  const name = (row: string) => say(reader, 'setting.name', { row })
  return [
    ...(x.sleepAfter ? [{ name: name('sleepAfter'), value: formatFact(reader, x.sleepAfter, 0) }] : []),
    ...(x.displayTimeout ? [{ name: name('displayTimeout'), value: formatFact(reader, x.displayTimeout, 0) }] : []),
    ...(x.greeting || x.picture
      ? [
          {
            name: name('greeting'),
            value: say(reader, 'setting.greeting', {
              ...{ greeting: x.greeting ?? '', greets: whether(x.greeting) },
              ...{ picture: x.picture ?? '', pictured: whether(x.picture) },
            }),
          },
        ]
      : []),
    ...(x.displayAngle ? [{ name: name('displayAngle'), value: formatFact(reader, x.displayAngle, 0) }] : []),
    ...(x.volumeSteps ? [{ name: name('volumeSteps'), value: formatFact(reader, x.volumeSteps, 0) }] : []),
    ...(x.link
      ? [
          {
            name: name('link'),
            value: say(reader, 'setting.link', {
              name: orNotRecorded(reader, x.link.name),
              code: wordsOf(reader, x.link.code) ?? '',
              coded: x.link.code ? 'yes' : 'no',
              program: x.link.program ?? '',
              by: x.link.program ? 'yes' : 'no',
            }),
          },
        ]
      : []),
  ]
}

function senses(reader: Reader, s: Saber): Block[] {
  const head = (column: 'sense' | 'value' | 'tried') => say(reader, 'chapter.senses.head', { column })
  return table(
    [head('sense'), head('value'), head('tried')],
    s.settings.sensitivities.map((x) => [
      say(reader, 'sense', { sense: x.sense }),
      orNotRecorded(reader, wordsOf(reader, x.value)),
      x.triedWith.map((t) => say(reader, 'triedWith', { with: t })).join(', ') || say(reader, 'notRecorded'),
    ]),
  )
}
