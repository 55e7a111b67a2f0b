import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { orNotRecorded, wordsOf } from '../../values'

/** What an older saber could do before the work, and whose hands it went through. */
export const before: SaberChapter = (reader, s) => {
  const was = (column: 'what' | 'now') => say(reader, 'chapter.before.head', { column })
  const owner = (column: 'who' | 'when' | 'did') => say(reader, 'chapter.owners.head', { column })
  return {
    id: 'before',
    title: say(reader, 'chapter.before'),
    blocks: [
      ...table(
        [owner('who'), owner('when'), owner('did')],
        s.provenance.map((o) => [
          say(reader, 'owner.who', { who: o.who, you: whether(o.client) }),
          o.when || '–',
          orNotRecorded(reader, wordsOf(reader, o.did)),
        ]),
      ),
      ...table(
        [was('what'), was('now')],
        s.before.map((x) => [
          say(reader, 'before.what', { what: x.what, kind: x.kind }),
          say(reader, 'before.now', { stays: whether(x.stays), instead: x.insteadBy ?? '', by: whether(x.insteadBy) }),
        ]),
      ),
    ],
  }
}
