import { dayText } from '../../../units'
import { say } from '../../../words'
import { type OrderChapter, table } from '../../block'

/** What somebody set aside by name and reason, for the order and for the film of each saber. */
export const aside: OrderChapter = (reader, c) => {
  const head = (column: 'why' | 'who' | 'when') => say(reader, 'chapter.aside.head', { column })
  return {
    id: 'aside',
    title: say(reader, 'chapter.aside'),
    blocks: table(
      [head('why'), head('who'), head('when')],
      [...c.handoff.waivers, ...c.sabers.flatMap((s) => s.leftOut)].map((w) => [
        w.reason,
        w.who,
        dayText(reader, w.on),
      ]),
    ),
  }
}
