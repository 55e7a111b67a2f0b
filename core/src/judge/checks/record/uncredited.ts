import { check } from '../../check'

/** A name as it is compared: whatever its case and the space around it. */
const plain = (name: string) => name.trim().toLowerCase()

export const uncredited = check<{ work: { who: string; did: string[] } }>({
  id: 'uncredited',
  station: 'brief',
  scope: 'order',
  source: 'shop practice: a saber says whose hands made it',
  reads: ['order.log', 'order.credits', 'order.sabers', 'order.people'],
  run: ({ commission }) => {
    const named = new Set(commission.credits.map((k) => plain(k.who)))
    const work = [
      // Whose hours are logged against a piece of work belongs to the shop.
      ...commission.log
        .filter((e) => e.kind === 'work' && e.by && !e.work && !e.toDo)
        .map((e) => ({ who: e.by!, did: e.text })),
      // Where several work on it, each of them is somebody's hands.
      ...(commission.people.length > 1
        ? commission.people.flatMap((p) => (p.does ? [{ who: p.name, did: p.does }] : []))
        : []),
      ...commission.sabers.flatMap((s) =>
        s.losses.flatMap((l) => (l.maker && l.how !== 'spoilt' ? [{ who: l.maker, did: l.what }] : [])),
      ),
    ].filter((w) => plain(w.who) && !named.has(plain(w.who)))
    return [...new Set(work.map((w) => plain(w.who)))].map((who) => {
      const theirs = work.filter((w) => plain(w.who) === who)
      return {
        ...{ code: 'work' as const, subject: who, level: 'caution' as const },
        params: { who: theirs[0]!.who, did: theirs.map((w) => w.did) },
      }
    })
  },
})
