import type { Card } from '../../../record'
import { dayText, formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** What is on the memory cards, when that was looked at last, and what was changed since; before anything else that it is to be copied. */
export const card: SaberChapter = (reader, s) => {
  const head = (column: 'card' | 'holds' | 'copied' | 'changed') => say(reader, 'chapter.card.head', { column })
  const limits = s.firmwareLimits
  return {
    id: 'card',
    title: say(reader, 'chapter.card'),
    blocks: [
      ...(s.cards.length ? [{ kind: 'para' as const, text: say(reader, 'card.first') }] : []),
      ...table(
        [head('card'), head('holds'), head('copied'), head('changed')],
        s.cards.map((c) => [
          [say(reader, 'card.name', { name: c.name, is: c.is }), c.note].filter(Boolean).join('; '),
          holds(reader, c) || say(reader, 'notRecorded'),
          c.copiedOn ? dayText(reader, c.copiedOn) : say(reader, 'notRecorded'),
          c.edits
            .map((e) =>
              say(reader, 'card.edit', {
                ...{ day: dayText(reader, e.on), what: e.what, by: e.by ?? '', who: whether(e.by) },
              }),
            )
            .join('; ') || '–',
        ]),
      ),
      ...(limits ? [{ kind: 'para' as const, text: say(reader, 'card.limits', { what: limits }) }] : []),
    ],
  }
}

/** What was found on a card when it was looked at last. */
function holds(reader: Reader, c: Card): string {
  const last = c.readings.at(-1)
  if (!last) return ''
  const bytes = last.files.reduce((n, f) => n + f.bytes, 0)
  return say(reader, 'card.holds', {
    n: last.files.length,
    size: bytes < 1e6 ? `${formatNumber(reader, bytes / 1e3, 0)} kB` : `${formatNumber(reader, bytes / 1e6, 1)} MB`,
    ...{ day: dayText(reader, last.on), bad: last.unreadable.length, was: last.was },
    ...{ by: last.by ?? '', who: whether(last.by) },
  })
}
