import { say, whether } from '../../words'
import { type OrderChapter, table } from '../block'

export const packing: OrderChapter = (c) => {
  const head = (column: 'what' | 'quantity' | 'packed') => say('chapter.packing.head', { column })
  return {
    id: 'packing',
    title: say('chapter.packing'),
    blocks: table(
      [head('what'), head('quantity'), head('packed')],
      c.packing.map((p) => [p.what, String(p.quantity), say('packing.packed', { packed: whether(p.packed) })]),
    ),
  }
}
