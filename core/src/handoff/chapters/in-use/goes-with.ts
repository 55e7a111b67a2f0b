import { nameOf } from '../../../record'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** What goes with it beside what is built in, who brings each, and what to ask for where the client buys it. */
export const goesWith: SaberChapter = (reader, s) => {
  const head = (column: 'what' | 'for' | 'from' | 'ask') => say(reader, 'chapter.goesWith.head', { column })
  const items = s.items.filter((x) => x.supplied !== 'bench')
  return {
    id: 'goes-with',
    title: say(reader, 'chapter.goesWith'),
    blocks: table(
      [head('what'), head('for'), head('from'), head('ask')],
      items.map((x) => [
        say(reader, 'arrival.what', { quantity: x.quantity, what: x.what }),
        say(reader, 'item.role', { role: x.role, of: nameOf(s, x.of) ?? '', named: whether(nameOf(s, x.of)) }),
        say(reader, 'item.from', { from: x.supplied }),
        [x.type, x.size, x.protected ? say(reader, 'item.protected') : undefined, x.from].filter(Boolean).join(', ') ||
          '–',
      ]),
    ),
  }
}
