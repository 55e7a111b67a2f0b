import { known } from '../../facts'
import {
  byId,
  type Commission,
  type Item,
  nameOf,
  nounOf,
  nounText,
  partsOfRef,
  type Ref,
  refTo,
  type Saber,
  toldNoun,
  toldWishes,
} from '../../record'
import { dayText, MAKER, type Reader } from '../../units'
import { large, say, whether } from '../../words'
import { giftOf } from './readers'
import { bare, listed, type Told, type Topic, topic, within } from './topic'

/** Whether a wish belongs into the film of a saber: one that names a thing of another saber only does not. */
const isOf = (c: Commission, s: Saber, where: Ref | undefined): boolean =>
  !where || nameOf(s, where) !== undefined || !c.sabers.some((other) => nameOf(other, where) !== undefined)

/** What was asked and what became of it. */
export const requestTopics = ({ reader, c, s }: Told): Topic[] =>
  toldWishes(c)
    .filter((r) => (r.saber ? r.saber === s.id : isOf(c, s, r.where)))
    .map((r) =>
      topic({
        key: `request:${r.id}`,
        chapter: 'requests',
        what: say(MAKER, 'topic.request.what', { text: r.text, own: whether(r.shape === 'ownIdea') }),
        say: say(reader, 'topic.request', {
          ...{ text: within(reader, bare(r.text)), own: whether(r.shape === 'ownIdea'), status: r.status },
          ...{ answer: r.answer ? answer(reader, r.status, bare(r.answer)) : '', answered: whether(r.answer) },
          ...{ on: r.toldOn ? dayText(reader, r.toldOn) : '', told: whether(r.toldOn && r.status !== 'met') },
          ...giverOf({ reader, c, s }),
        }),
        ...(r.where && nameOf(s, r.where) ? { show: r.where } : {}),
        must: true,
        weight: 1,
      }),
    )
/** Who wished and sent, where the saber is a gift: whoever gives it. */
const giverOf = ({ c, s }: Told) => {
  const { gift, giver } = giftOf(c, s)
  return { gift: whether(gift && giver), giver }
}
/** An answer begins a sentence where it stands alone. */
const answer = (reader: Reader, status: string, text: string) => (status === 'met' ? large(text) : within(reader, text))

/** What the client sent and gets back, keeps, or finds altered. */
export const arrivalTopics = ({ reader, c, s }: Told): Topic[] =>
  c.arrivals.flatMap((a) =>
    a.shares
      .filter((x) => x.fate === 'leftOver' || x.fate === 'returned' || x.fate === 'altered')
      .map((x, i) => {
        const name = (what: string) =>
          a.shares.length > 1 ? say(reader, 'arrival.what', { quantity: x.count, what }) : what
        const now = x.now ? nounText(reader, s, x.now) : undefined
        return topic({
          key: i ? `share:${x.id}` : `arrival:${a.id}`,
          chapter: 'requests',
          what: say(MAKER, 'topic.arrival.what', { what: name(a.what), fate: x.fate }),
          say: say(reader, 'topic.arrival', {
            ...{ what: name(within(reader, bare(a.what))), fate: x.fate },
            ...{ note: a.note ? within(reader, bare(a.note)) : '', noted: whether(a.note) },
            ...{ now: now ?? '', placed: whether(now) },
            ...giverOf({ reader, c, s }),
          }),
          must: true,
          weight: 1,
        })
      }),
  )

/** What was found on it when it came. */
export const faultTopics = ({ reader, c, s }: Told): Topic[] =>
  c.arrivals
    .filter((a) => !a.saber || a.saber === s.id)
    .flatMap((a) =>
      a.faults.map((f) =>
        topic({
          ...{ key: `fault:${f.id}`, chapter: 'requests', must: false, weight: 2 },
          what: say(MAKER, 'topic.fault.what', { fault: f.text }),
          say: say(reader, 'topic.fault', {
            ...{
              what: within(reader, bare(a.what)),
              fault: bare(f.text),
              left: f.left ? bare(f.left) : '',
            },
            ...{ why: whether(f.left), became: becameOf(c, f.became), ...giverOf({ reader, c, s }) },
          }),
        }),
      ),
    )

/** What became of a fault, as far as that has come: work that is still open is not said to be done. */
function becameOf(c: Commission, ref: Ref | undefined): string {
  const to = partsOfRef(ref ?? '')
  if (!to) return 'none'
  if (to.kind === 'toDo') return byId(c.toDos, to.id)?.done ? 'toDo' : 'open'
  const wish = to.kind === 'request' ? byId(c.requests, to.id) : undefined
  return wish ? (wish.status === 'open' ? 'open' : 'request') : to.kind
}

/** Who made it, besides whoever speaks. */
export const creditTopics = ({ reader, c }: Told): Topic[] =>
  c.credits.map((k) =>
    topic({
      ...{ key: `credit:${k.id}`, chapter: 'requests', must: false, weight: 2 },
      what: say(MAKER, 'topic.credit.what', { who: k.who }),
      say: creditsText(reader, c, [k.id]),
    }),
  )

/** Several who worked on it, in one breath. */
export function creditsText(reader: Reader, c: Commission, ids: readonly string[]): string {
  const all = ids.map((id) => c.credits.find((k) => k.id === id)!)
  const [first] = all
  if (all.length === 1) return say(reader, 'topic.credit', { who: first!.who, did: bare(first!.did), n: 1 })
  const each = all.map((k) => `${k.who}: ${bare(k.did)}`).join('; ')
  return say(reader, 'topic.credit', { who: '', did: each, n: all.length })
}

/** Work that is left for the client, and what the shop has promised and still owes. */
export const toDoTopics = ({ reader, c, s }: Told): Topic[] =>
  c.toDos
    .filter((t) => (t.who === 'client' || t.promised) && !t.done && about(c, s, t.about))
    .map((t) =>
      topic({
        ...{ key: `toDo:${t.id}`, chapter: 'requests', must: true, weight: 1 },
        what: say(MAKER, 'topic.toDo.what', { text: t.text, who: t.who }),
        say: say(reader, 'topic.toDo', {
          ...{ text: within(reader, bare(t.text)), who: t.who },
          ...{ due: t.due ? dayText(reader, t.due) : '', dated: whether(t.due && t.who === 'shop') },
        }),
        ...(t.about && nameOf(s, t.about) ? { show: t.about } : {}),
      }),
    )
const about = (c: Commission, s: Saber, ref: Ref | undefined): boolean => {
  const to = partsOfRef(ref ?? '')
  return to?.kind === 'saber' ? to.id === s.id : isOf(c, s, ref)
}

const itemText = (reader: Reader, i: Item): string =>
  `${i.quantity > 1 ? `${i.quantity} × ` : ''}${within(reader, bare(i.what))}`

/** What goes with it, what has to be bought, and what is only seen here. */
export const itemTopics = ({ reader, s }: Told): Topic[] =>
  s.items
    .filter((i) => i.role !== 'alternative' || i.shown || i.supplied === 'shop')
    .map((i) => {
      const of = i.of ? nounOf(reader, s, i.of) : undefined
      const guarded = i.protected ? say(reader, 'item.protected') : ''
      const ask = [i.type, i.size, guarded].filter(Boolean).join(', ')
      const from = i.from ? bare(i.from) : ''
      const buys = i.supplied === 'notSupplied'
      return topic({
        ...{ key: `item:${i.id}`, chapter: 'care', must: buys, weight: buys ? 1 : 3 },
        what: say(MAKER, 'topic.item.what', { what: i.what }),
        say: say(reader, 'topic.item', {
          ...{ what: itemText(reader, i), role: i.role, from: i.supplied },
          ...{ of: of ?? '', named: whether(of), ask, asked: whether(ask), place: from, placed: whether(from) },
          ...{ note: i.note ? bare(i.note) : '', noted: whether(i.note) },
        }),
      })
    })

/** What simply comes with it, of which nothing more is to be said. */
export const plainItems = (s: Saber): string[] =>
  s.items.flatMap((i) => {
    const more = i.of ?? i.type ?? i.size ?? i.protected ?? i.from ?? i.note
    return i.role === 'accessory' && i.supplied === 'shop' && !more ? [i.id] : []
  })

/** Several things that come with it, in one breath. */
export const itemsText = (reader: Reader, s: Saber, ids: readonly string[]): string =>
  say(reader, 'topic.items', {
    items: listed(
      reader,
      s.items.filter((i) => ids.includes(i.id)).map((i) => itemText(reader, i)),
    ),
  })

/** What it is not made for, with the reason. */
export const limitTopics = ({ reader, s }: Told): Topic[] =>
  s.notFor.map((n) =>
    topic({
      ...{ key: `limit:${n.id}`, chapter: 'care', must: true },
      what: say(MAKER, 'topic.notFor.what', { what: n.what }),
      say: say(reader, 'topic.notFor', { what: within(reader, bare(n.what)), why: bare(n.why) }),
    }),
  )

/** What was wrong, why, and what was done about it. Who is given it hears what was done, and not what the shop had got wrong. */
export const fixTopics = ({ reader, c, s }: Told): Topic[] =>
  s.repairs.map((f) => {
    const fault = known(f.fault) ?? ''
    return topic({
      ...{ key: `repair:${f.id}`, chapter: 'requests', must: s.job === 'repair', weight: 1 },
      what: say(MAKER, 'topic.fix.what', { fix: f.fix }),
      say: say(reader, 'topic.fix', {
        ...{ fault: bare(fault), reported: whether(fault) },
        ...{ cause: bare(f.cause), known: whether(f.cause && !giftOf(c, s).gift) },
        ...{ fix: bare(f.fix), cycles: f.cycles ?? 0, ...giverOf({ reader, c, s }) },
      }),
      ...(f.place && nameOf(s, f.place) ? { show: f.place } : {}),
    })
  })

/** What it could do before the work and can no longer. */
export const abilityTopics = ({ reader, s }: Told): Topic[] =>
  s.before
    .filter((w) => !w.stays)
    .map((w) =>
      topic({
        ...{ key: `ability:${w.id}`, chapter: 'requests', must: true, weight: 1 },
        what: say(MAKER, 'topic.ability.what', { what: w.what }),
        say: say(reader, 'topic.ability', {
          ...{
            what: within(reader, bare(w.what)),
            instead: w.insteadBy ? bare(w.insteadBy) : '',
            by: whether(w.insteadBy),
          },
        }),
      }),
    )

/** What had to be made again; who gets it as a gift has no part in that. */
export const lossTopics = ({ reader, c, s }: Told): Topic[] =>
  (giftOf(c, s).gift ? [] : s.losses).map((l) =>
    topic({
      ...{ key: `loss:${l.id}`, chapter: 'requests', must: false, weight: 2 },
      what: say(MAKER, 'topic.loss.what', { what: l.what }),
      say: say(reader, 'topic.loss', {
        what: within(reader, bare(l.what)),
        how: l.how,
        cause: large(bare(l.cause)),
      }),
    }),
  )

/** What was chosen, and what it cost; what cannot be undone has to be told. */
export const decisionTopics = ({ reader, c, s }: Told): Topic[] =>
  s.decisions.map((d) =>
    topic({
      ...{
        key: `decision:${d.id}`,
        chapter: 'requests',
        must: d.irreversible === true,
        weight: d.irreversible ? 1 : 3,
      },
      what: say(MAKER, 'topic.decision.what', { chose: d.chose }),
      say: say(reader, 'topic.decision', {
        ...{ chose: bare(d.chose), why: bare(d.why) },
        ...{ gaveUp: d.gaveUp ? bare(d.gaveUp) : '', gave: whether(d.gaveUp) },
        ...{ whose: d.whose ?? 'shop', ...giverOf({ reader, c, s }) },
      }),
      ...(d.about && nameOf(s, d.about) ? { show: d.about } : {}),
    }),
  )

/** Whose hands it went through before; what is only believed is said to be believed. */
export const ownerTopics = ({ reader, s }: Told): Topic[] =>
  s.provenance.map((o) => {
    const did = known(o.did) ?? ''
    return topic({
      ...{ key: `owner:${o.id}`, chapter: 'requests', must: false, weight: 1 },
      what: say(MAKER, 'topic.owner.what', { who: o.who }),
      say: say(reader, 'topic.owner', {
        ...{ who: bare(o.who), you: whether(o.client) },
        ...{ when: o.when ? bare(o.when) : '', dated: whether(o.when) },
        ...{ did: bare(did), known: whether(did) },
        believed: whether(o.did && (o.did.source === 'believed' || o.did.source === 'recalled')),
      }),
    })
  })

/** Notes for the client on a part of it. */
export const noteTopics = ({ reader, s }: Told): Topic[] =>
  [
    ...s.parts.map((x) => ({ ref: refTo('part', x.id), name: x.name, note: x.note })),
    ...s.hilt.sections.map((x) => ({ ref: refTo('section', x.id), name: x.name, note: x.note })),
    ...s.hilt.sockets.map((x) => ({ ref: refTo('socket', x.id), name: x.name, note: x.note })),
    ...s.hilt.openings.map((x) => ({ ref: refTo('opening', x.id), name: x.name, note: x.note })),
    ...s.blades.map((x) => ({ ref: refTo('blade', x.id), name: x.name, note: x.note })),
    // Of a screw that is never to be touched it is said where that is said.
    ...s.hilt.fasteners
      .filter((x) => x.clientMay !== 'never')
      .map((x) => ({ ref: refTo('fastener', x.id), name: x.name, note: x.note })),
    ...s.presets.map((x) => ({ ref: refTo('preset', x.id), name: x.name, note: x.note })),
  ].flatMap(({ ref, name, note }) =>
    note
      ? [
          topic({
            ...{ key: `note:${ref}`, chapter: 'care', must: false, weight: 3, show: ref },
            what: say(MAKER, 'topic.note.what', { of: name }),
            say: large(
              say(reader, 'topic.note', {
                of: partsOfRef(ref)!.kind === 'preset' ? name : (toldNoun(reader, s, ref) ?? name),
                note: bare(note),
              }),
            ),
          }),
        ]
      : [],
  )
