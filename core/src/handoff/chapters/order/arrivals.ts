import { type Arrival, byId, nameIn } from '../../../record'
import { dayText, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { orderGiver } from '../../addressee'
import { type OrderChapter, table } from '../../block'
import { orNotRecorded } from '../../values'

export const arrivals: OrderChapter = (reader, c) => {
  const head = (column: 'part' | 'condition' | 'fate') => say(reader, 'chapter.arrivals.head', { column })
  return {
    id: 'arrivals',
    title: say(reader, 'chapter.arrivals', { giver: orderGiver(c), given: whether(orderGiver(c)) }),
    blocks: table(
      [head('part'), head('condition'), head('fate')],
      c.arrivals.flatMap((a) =>
        a.shares.map((x) => [
          say(reader, 'arrival.what', { quantity: x.count, what: a.what }),
          condition(reader, a),
          say(reader, 'arrival.fate', {
            ...{ fate: x.fate, note: a.note ?? '', noted: whether(a.note) },
            ...{ now: nameIn(c, x.now) ?? '', placed: whether(nameIn(c, x.now)) },
            saber: byId(c.sabers, x.saber)?.name ?? '',
            of: whether(c.sabers.length > 1 && x.saber),
          }),
        ]),
      ),
    ),
  }
}

/** How it came, on which day that was noted, and what was wrong with it. */
const condition = (reader: Reader, a: Arrival): string =>
  [
    say(reader, 'arrival.condition', {
      ...{
        condition: orNotRecorded(reader, a.condition),
        on: dayText(reader, a.conditionOn ?? ''),
        dated: whether(a.conditionOn),
      },
      whole: whether(a.whole),
    }),
    ...a.faults.map((f) => say(reader, 'arrival.fault', { fault: f.text, left: f.left ?? '', why: whether(f.left) })),
  ].join('; ')
