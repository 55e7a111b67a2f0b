import { refTo, type Visit } from '../../../record'
import { check } from '../../check'

/** How long a question of the client may wait, and a saber that came back lie, before it is said, days. */
const WAITS = { question: 3, visit: 30 }
const DAY = 86_400_000

/** What comes back after it was handed over: a client's question, a saber to look at; and that it went without a record. */
export const afterwards = check<{
  asks: { text: string }
  here: { saber: string; days: number }
  unsaid: { saber: string; what: string }
  noRecord: Record<never, never>
}>({
  id: 'afterwards',
  station: 'handoff',
  scope: 'order',
  rule: 'What went has its record; a client is answered; a saber that came back goes back with what was found and done.',
  source: 'shop practice',
  reads: ['order.questions', 'order.visits', 'order.shipped', 'order.handoff', 'order.sabers', 'today'],
  run: ({ commission: c, today }) => {
    const days = (from: string) => Math.round((Date.parse(today) - Date.parse(from)) / DAY)
    const told = (v: Visit) => ({
      v,
      saber: (c.sabers.find((s) => s.id === v.saber) ?? c.sabers[0]!).name,
      shared: { level: 'caution' as const, subject: v.id, refs: [refTo('visit', v.id)] },
    })
    return [
      ...(c.shipped && !c.handoff.issued.length
        ? [{ code: 'noRecord' as const, subject: 'record', level: 'caution' as const, params: {} }]
        : []),
      ...c.questions
        .filter((q) => q.askedBy === 'client' && !q.answer)
        .map((q) => ({
          ...{ code: 'asks' as const, subject: q.id, params: { text: q.text } },
          level: q.askedOn && days(q.askedOn) > WAITS.question ? ('caution' as const) : ('note' as const),
          refs: [refTo('question', q.id)],
        })),
      ...c.visits
        .map(told)
        .flatMap(({ v, saber, shared }) =>
          !v.backOn && days(v.cameOn) > WAITS.visit
            ? [{ ...shared, code: 'here' as const, params: { saber, days: days(v.cameOn) } }]
            : [],
        ),
      ...c.visits.map(told).flatMap(({ v, saber, shared }) => {
        const open = [...(v.found ? [] : ['what was found']), ...(v.did || v.fixes.length ? [] : ['what was done'])]
        return v.backOn && open.length
          ? [{ ...shared, code: 'unsaid' as const, params: { saber, what: open.join(' and ') } }]
          : []
      }),
    ]
  },
  words: {
    asks: (p) => ({
      title: 'The client asks',
      detail: p.text,
      remedy: 'Answer it, and write the answer down at Brief.',
    }),
    here: (p) => ({
      title: `${p.saber} has been back for ${p.days} days`,
      detail: 'It came back to the shop and is not recorded as gone again.',
      remedy: 'Say when it goes back.',
    }),
    unsaid: (p) => ({
      title: `${p.saber} went back: ${p.what} is not recorded`,
      detail: 'Whoever opens it next reads this.',
      remedy: 'Write it down at the visit.',
    }),
    noRecord: () => ({
      title: 'Shipped without a record',
      detail: 'A day of shipping is entered, and no handoff was issued.',
      remedy: 'Issue the handoff, or take the day back.',
    }),
  },
})
