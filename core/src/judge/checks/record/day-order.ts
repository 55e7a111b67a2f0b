import type { Commission, Ref } from '../../../record'
import { check } from '../../check'

/** Two days of one matter, of which the second cannot be before the first. */
interface Pair {
  subject: string
  of: string
  first: DayOf
  then: DayOf
  on: [string | undefined, string | undefined]
  ref?: Ref
}
export type DayOf =
  | 'ordered'
  | 'asked'
  | 'answered'
  | 'told'
  | 'accepted'
  | 'shipped'
  | 'reported'
  | 'repaired'
  | 'lost'
  | 'cameBack'
  | 'wentBack'
  | 'done'
  | 'promised'

function pairs(c: Commission): Pair[] {
  const { ordered } = c
  const one = (subject: string, of: string, first: DayOf, then: DayOf, on: Pair['on'], ref?: Ref): Pair => ({
    ...{ subject, of, first, then, on },
    ...(ref ? { ref } : {}),
  })
  return [
    one('promised', c.title, 'ordered', 'promised', [ordered, c.deadline]),
    one('shipped', c.title, 'ordered', 'shipped', [ordered, c.shipped]),
    ...c.requests.flatMap((r) => [
      one(`told-${r.id}`, r.text, 'ordered', 'told', [ordered, r.toldOn], `request:${r.id}`),
      one(`accepted-${r.id}`, r.text, 'ordered', 'accepted', [ordered, r.acceptedOn], `request:${r.id}`),
    ]),
    ...c.questions.map((q) =>
      one(`answered-${q.id}`, q.text, 'asked', 'answered', [q.askedOn, q.answeredOn], `question:${q.id}`),
    ),
    ...c.toDos.map((t) => one(`done-${t.id}`, t.text, 'ordered', 'done', [ordered, t.doneOn], `toDo:${t.id}`)),
    ...c.visits.map((v) => one(`visit-${v.id}`, v.saber ?? c.title, 'cameBack', 'wentBack', [v.cameOn, v.backOn])),
    ...c.sabers.flatMap((s) => [
      ...s.repairs.map((f) =>
        one(`fix-${f.id}`, f.fix, 'reported', 'repaired', [f.reportedOn, f.on], `repair:${f.id}`),
      ),
      ...s.losses.map((l) => one(`loss-${l.id}`, l.what, 'lost', 'told', [l.on, l.toldOn])),
    ]),
  ]
}

/** Days that stand before what they follow from. */
export const dayOrder = check<{ before: { of: string; first: DayOf; then: DayOf; firstOn: string; thenOn: string } }>({
  id: 'dayOrder',
  station: 'brief',
  scope: 'order',
  source: 'nothing is answered before it was asked',
  reads: [
    ...([
      'order.title',
      'order.ordered',
      'order.deadline',
      'order.shipped',
      'order.requests',
      'order.questions',
      'order.toDos',
    ] as const),
    ...(['order.visits', 'order.sabers'] as const),
  ],
  run: ({ commission }) =>
    pairs(commission).flatMap(({ subject, of, first, then, on: [firstOn, thenOn], ref }) =>
      firstOn && thenOn && thenOn < firstOn
        ? [
            {
              ...{ code: 'before' as const, subject, level: 'caution' as const },
              params: { of, first, then, firstOn, thenOn },
              ...(ref ? { refs: [ref] } : {}),
            },
          ]
        : [],
    ),
})
