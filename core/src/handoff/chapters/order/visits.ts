import { byId, nameIn } from '../../../record'
import { dayText } from '../../../units'
import { say, whether } from '../../../words'
import { type OrderChapter, table } from '../../block'

/** What came after it was handed over: each time it was back, what was said, found and done. */
export const visits: OrderChapter = (reader, c) => {
  const head = (column: 'when' | 'said' | 'found' | 'did') => say(reader, 'chapter.visits.head', { column })
  const several = c.sabers.length > 1
  return {
    id: 'visits',
    title: say(reader, 'chapter.visits'),
    blocks: table(
      [head('when'), head('said'), head('found'), head('did')],
      c.visits.map((v) => {
        const done = [v.did, ...v.repairs.map((f) => nameIn(c, f)), v.note].filter((x) => x)
        return [
          say(reader, 'visit.when', {
            ...{ on: dayText(reader, v.cameOn), back: dayText(reader, v.backOn ?? ''), gone: whether(v.backOn) },
            ...{ saber: byId(c.sabers, v.saber)?.name ?? '', of: whether(several && v.saber) },
            ...{ by: v.by ?? '', known: whether(v.by) },
          }),
          v.said || say(reader, 'notRecorded'),
          v.found || say(reader, 'notRecorded'),
          done.join('; ') || say(reader, 'notRecorded'),
        ]
      }),
    ),
  }
}
