import { formatFact } from '../../../facts'
import type { Saber } from '../../../record'
import { say } from '../../../words'
import { type Block, type FactRow, type SaberChapter, table } from '../../block'
import { orNotRecorded, wordsOf } from '../../values'

/** What the board is set to beside sounds and controls: times, the wireless link, how readily it answers. */
export const settings: SaberChapter = (s) => {
  const list = rows(s)
  return {
    id: 'settings',
    title: say('chapter.settings'),
    blocks: [...(list.length ? [{ kind: 'facts' as const, rows: list }] : []), ...senses(s)],
  }
}

function rows({ settings: x }: Saber): FactRow[] {
  const name = (row: string) => say('setting.name', { row })
  return [
    ...(x.sleepAfter ? [{ name: name('sleepAfter'), value: formatFact(x.sleepAfter, 0) }] : []),
    ...(x.displayTimeout ? [{ name: name('displayTimeout'), value: formatFact(x.displayTimeout, 0) }] : []),
    ...(x.displayAngle ? [{ name: name('displayAngle'), value: formatFact(x.displayAngle, 0) }] : []),
    ...(x.volumeSteps ? [{ name: name('volumeSteps'), value: formatFact(x.volumeSteps, 0) }] : []),
    ...(x.link
      ? [
          {
            name: name('link'),
            value: say('setting.link', {
              name: orNotRecorded(x.link.name),
              code: wordsOf(x.link.code) ?? '',
              coded: x.link.code ? 'yes' : 'no',
              program: x.link.program ?? '',
              by: x.link.program ? 'yes' : 'no',
            }),
          },
        ]
      : []),
  ]
}

function senses(s: Saber): Block[] {
  const head = (column: 'sense' | 'value' | 'tried') => say('chapter.senses.head', { column })
  return table(
    [head('sense'), head('value'), head('tried')],
    s.settings.sensitivities.map((x) => [
      say('sense', { sense: x.sense }),
      orNotRecorded(wordsOf(x.value)),
      x.triedWith.map((t) => say('triedWith', { with: t })).join(', ') || say('notRecorded'),
    ]),
  )
}
