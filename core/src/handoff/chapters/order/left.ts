import { nameIn } from '../../../record'
import { dayText } from '../../../units'
import { say, whether } from '../../../words'
import { type OrderChapter, table } from '../../block'

/** What is left for the client to do, and what the shop has promised him and still owes. */
export const left: OrderChapter = (reader, c) => {
  const head = (column: 'what' | 'by') => say(reader, 'chapter.left.head', { column })
  return {
    id: 'left',
    title: say(reader, 'chapter.left'),
    blocks: table(
      [head('what'), head('by')],
      c.toDos
        .filter((t) => (t.who === 'client' || t.promised) && !t.done)
        .map((t) => {
          const on = nameIn(c, t.about)
          const what = say(reader, 'left.what', { text: t.text, on: on ?? '', named: whether(on), who: t.who })
          return [
            [what, t.note].filter(Boolean).join(': '),
            [t.person, t.due && dayText(reader, t.due)].filter(Boolean).join(', ') || '–',
          ]
        }),
    ),
  }
}
