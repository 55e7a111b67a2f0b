import { proposePacking } from '../../fit'
import { type Commission, isForeign } from '../../record'
import { say, whether } from '../../words'
import { type OrderChapter, table } from '../block'

/** What a line of the list is called: drafted again where the record is in another language, else as it stands. */
function named(c: Commission): (p: Commission['packing'][number]) => string {
  if (!isForeign()) return (p) => p.what
  const drafted = new Map(proposePacking({ ...c, packing: [] }).map((p) => [p.key, p.what]))
  return (p) => (p.key && drafted.get(p.key)) || p.what
}

export const packing: OrderChapter = (c) => {
  const head = (column: 'what' | 'quantity' | 'packed') => say('chapter.packing.head', { column })
  const name = named(c)
  return {
    id: 'packing',
    title: say('chapter.packing'),
    blocks: table(
      [head('what'), head('quantity'), head('packed')],
      c.packing.map((p) => [name(p), String(p.quantity), say('packing.packed', { packed: whether(p.packed) })]),
    ),
  }
}
