import { byId, nameOf, toldWishes } from '../../../record'
import { dayText } from '../../../units'
import { say, whether } from '../../../words'
import { orderGiver } from '../../addressee'
import { type OrderChapter, table } from '../../block'
import { money } from '../../values'

export const requests: OrderChapter = (reader, c) => {
  const several = c.sabers.length > 1
  const giver = orderGiver(c)
  const head = (column: 'wish' | 'answer' | 'where') =>
    say(reader, 'chapter.requests.head', { column, given: whether(giver) })
  return {
    id: 'requests',
    title: say(reader, 'chapter.requests', { giver, given: whether(giver) }),
    blocks: table(
      [head('wish'), head('answer'), head('where')],
      toldWishes(c).map((r) => [
        say(reader, 'request.text', {
          text: r.text,
          saber: byId(c.sabers, r.saber)?.name ?? say(reader, 'handoff.all'),
          several: whether(several),
          own: whether(r.shape === 'ownIdea'),
        }),
        say(reader, 'request.answer', {
          ...{ status: r.status, answer: r.answer ?? '', answered: whether(r.answer) },
          ...{ told: whether(r.toldOn), on: dayText(reader, r.toldOn ?? '') },
          ...{
            price: r.price ? money(reader, r.price) : '',
            priced: whether(r.price),
            accepted: dayText(reader, r.acceptedOn ?? ''),
            took: whether(r.acceptedOn),
          },
        }),
        c.sabers.map((s) => nameOf(s, r.where)).find(Boolean) ??
          (r.status === 'met' ? say(reader, 'notRecorded') : '–'),
      ]),
    ),
  }
}
