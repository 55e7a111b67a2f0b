import { known } from '../facts'
import { type Commission, type Ref, refTo, type Saber } from '../record'

export const HISTORY_KINDS = [
  'ordered',
  'arrived',
  'decided',
  'fault',
  'repaired',
  'lost',
  'tested',
  'handedOver',
] as const
/** Something that happened to a saber on a day. */
export interface HistoryEntry {
  on: string
  kind: (typeof HISTORY_KINDS)[number]
  text: string
  ref?: Ref
}

/**
 * What happened to one saber of an order, day by day, the oldest first: its order, what came in, what was decided, its faults
 * and repairs, what was lost, the days on which it was tested, and when it went out. What is of another saber is left out.
 */
export function historyOf(c: Commission, s: Saber): HistoryEntry[] {
  const own = (saber: string | undefined) => saber === undefined || saber === s.id
  const tested = new Map<string, { all: number; failed: number }>()
  for (const t of s.tests)
    for (const r of t.readings) {
      const day = tested.get(r.at.slice(0, 10)) ?? { all: 0, failed: 0 }
      tested.set(r.at.slice(0, 10), { all: day.all + 1, failed: day.failed + (r.pass ? 0 : 1) })
    }
  const list: (Omit<HistoryEntry, 'on'> & { on: string | undefined })[] = [
    { on: c.ordered, kind: 'ordered', text: c.title },
    ...c.arrivals.flatMap((a) =>
      own(a.saber) ? [{ on: a.conditionOn, kind: 'arrived' as const, text: `${a.what}: ${a.condition}` }] : [],
    ),
    ...s.decisions.map((d) => ({
      ...{ on: d.on, kind: 'decided' as const, text: d.chose },
      ...(d.about ? { ref: d.about } : {}),
    })),
    ...s.repairs.flatMap((f) => [
      { on: f.reportedOn, kind: 'fault' as const, text: known(f.fault) ?? f.cause, ref: refTo('repair', f.id) },
      { on: f.on, kind: 'repaired' as const, text: f.fix, ref: refTo('repair', f.id) },
    ]),
    ...s.losses.map((l) => ({
      on: l.on,
      kind: 'lost' as const,
      text: `${l.what}: ${l.cause}`,
      ref: refTo('loss', l.id),
    })),
    ...[...tested].map(([on, n]) => ({
      ...{ on, kind: 'tested' as const },
      text: `${n.all} ${n.all === 1 ? 'reading' : 'readings'}${n.failed ? `, ${n.failed} failed` : ''}`,
    })),
    ...c.handoff.issued.map((h) => ({ on: h.on, kind: 'handedOver' as const, text: `handoff ${h.number}` })),
    { on: c.shipped, kind: 'handedOver', text: 'shipped' },
  ]
  return list
    .flatMap((h) => (h.on ? [{ ...h, on: h.on }] : []))
    .toSorted((a, b) => a.on.localeCompare(b.on) || HISTORY_KINDS.indexOf(a.kind) - HISTORY_KINDS.indexOf(b.kind))
}
