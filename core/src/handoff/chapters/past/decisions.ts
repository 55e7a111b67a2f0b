import { nameOf } from '../../../record'
import { dayText } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** What was chosen, why, what was given up for it, and who agreed to what cannot be undone. */
export const decisions: SaberChapter = (reader, s) => {
  const head = (column: 'chose' | 'why' | 'gaveUp' | 'by') => say(reader, 'chapter.decisions.head', { column })
  return {
    id: 'decisions',
    title: say(reader, 'chapter.decisions'),
    blocks: table(
      [head('chose'), head('why'), head('gaveUp'), head('by')],
      s.decisions.map((d) => [
        say(reader, 'decision.chose', {
          text: d.chose,
          about: nameOf(s, d.about) ?? '',
          has: whether(nameOf(s, d.about)),
        }),
        d.why || '–',
        d.gaveUp || '–',
        say(reader, 'decision.by', {
          ...{ by: d.by, on: dayText(reader, d.on), for: whether(d.irreversible), agreed: whether(d.consent) },
          whose: d.whose ?? 'shop',
          ...{ who: d.consent?.who ?? '', day: dayText(reader, d.consent?.on ?? '') },
        }),
      ]),
    ),
  }
}
