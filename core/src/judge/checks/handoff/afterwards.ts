import { refTo, type Visit } from '../../../record'
import { toldOtherwise } from '../../../script'
import { daysBetween } from '../../../units'
import { check } from '../../check'

/** How long a question of the client may wait, and a saber that came back lie, before it is said, days. */
const WAITS = { question: 3, visit: 30 }

/** What comes back after it was handed over: a client's question, a saber to look at; and that it went without a record. */
export const afterwards = check<{
  asks: { text: string }
  here: { saber: string; days: number }
  unsaid: { saber: string; what: string }
  noRecord: Record<never, never>
  /** The newest issued record tells otherwise of these. */
  outdated: { number: number; changed: string[]; gone: number; fresh: string[] }
}>({
  id: 'afterwards',
  station: 'handoff',
  scope: 'order',
  source: 'shop practice',
  reads: ['order.questions', 'order.visits', 'order.shipped', 'order.handoff', 'order.sabers', 'today'],
  run: ({ commission: c, today }) => {
    const days = (from: string) => daysBetween(from, today)
    const told = (v: Visit) => ({
      v,
      saber: (c.sabers.find((s) => s.id === v.saber) ?? c.sabers[0]!).name,
      shared: { level: 'caution' as const, subject: v.id, refs: [refTo('visit', v.id)] },
    })
    const other = toldOtherwise(c)
    const named = (is: 'changed' | 'gone' | 'new') =>
      other?.of.flatMap((x) => (x.is === is && x.name ? [x.name] : [])) ?? []
    return [
      ...(other
        ? [
            {
              code: 'outdated' as const,
              subject: 'issued',
              level: 'caution' as const,
              params: {
                number: other.number,
                changed: named('changed'),
                gone: other.of.filter((x) => x.is === 'gone').length,
                fresh: named('new'),
              },
              refs: other.of.flatMap((x) => (x.is === 'gone' ? [] : [x.ref])).slice(0, 12),
              names: other.of.map((x) => x.ref),
            },
          ]
        : []),
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
        const open = [...(v.found ? [] : ['what was found']), ...(v.did || v.repairs.length ? [] : ['what was done'])]
        return v.backOn && open.length
          ? [{ ...shared, code: 'unsaid' as const, params: { saber, what: open.join(' and ') } }]
          : []
      }),
    ]
  },
})
