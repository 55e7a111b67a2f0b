import { say, whether } from '../../words'
import { type OrderChapter, table } from '../block'
import { orNotRecorded } from '../values'

export const arrivals: OrderChapter = (c) => {
  const head = (column: 'part' | 'condition' | 'fate') => say('chapter.arrivals.head', { column })
  return {
    id: 'arrivals',
    title: say('chapter.arrivals'),
    blocks: table(
      [head('part'), head('condition'), head('fate')],
      c.arrivals.flatMap((a) =>
        a.shares.map((x) => [
          say('arrival.what', { quantity: x.count, what: a.what }),
          orNotRecorded(a.condition),
          say('arrival.fate', { fate: x.fate, note: a.note ?? '', noted: whether(a.note) }),
        ]),
      ),
    ),
  }
}
