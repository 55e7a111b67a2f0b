import { nameIn } from '../../../record'
import { dayText } from '../../../units'
import { say, whether } from '../../../words'
import { type OrderChapter, table } from '../../block'

/** What is left for the client to do. */
export const left: OrderChapter = (c) => {
  const head = (column: 'what' | 'by') => say('chapter.left.head', { column })
  return {
    id: 'left',
    title: say('chapter.left'),
    blocks: table(
      [head('what'), head('by')],
      c.toDos
        .filter((t) => t.who === 'client' && !t.done)
        .map((t) => {
          const on = nameIn(c, t.about)
          const what = say('left.what', { text: t.text, on: on ?? '', named: whether(on) })
          return [
            [what, t.note].filter(Boolean).join(': '),
            [t.person, t.due && dayText(t.due)].filter(Boolean).join(', ') || '–',
          ]
        }),
    ),
  }
}
