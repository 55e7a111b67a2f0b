import {
  type Commission,
  nameOf,
  nounText,
  own,
  ownLarge,
  partsOfRef,
  type Ref,
  refTo,
  type Saber,
  toldWishes,
} from '../../record'
import { say, whether } from '../../words'
import { bare, type Told, type Topic, topic, within } from './topic'

/** Whether a wish belongs into the film of a saber: one that names a thing of another saber only does not. */
const isOf = (c: Commission, s: Saber, where: Ref | undefined): boolean =>
  !where || nameOf(s, where) !== undefined || !c.sabers.some((other) => nameOf(other, where) !== undefined)

/** What was asked and what became of it. */
export const requestTopics = ({ c, s }: Told): Topic[] =>
  toldWishes(c)
    .filter((r) => (r.saber ? r.saber === s.id : isOf(c, s, r.where)))
    .map((r) =>
      topic({
        key: `request:${r.id}`,
        chapter: 'requests',
        what: () => say('topic.request.what', { text: r.text, own: whether(r.shape === 'ownIdea') }),
        say: say('topic.request', {
          ...{ text: within(bare(r.text)), own: whether(r.shape === 'ownIdea'), status: r.status },
          ...{ answer: r.answer ? answer(r.status, bare(r.answer)) : '', answered: whether(r.answer) },
        }),
        ...(r.where && nameOf(s, r.where) ? { show: r.where } : {}),
        must: true,
        weight: 1,
      }),
    )
/** An answer begins a sentence where it stands alone. */
const answer = (status: string, text: string) => (status === 'met' ? ownLarge(text) : own(text))

/** What the client sent and gets back, keeps, or finds altered. */
export const arrivalTopics = ({ c, s }: Told): Topic[] =>
  c.arrivals.flatMap((a) =>
    a.shares
      .filter((x) => x.fate === 'leftOver' || x.fate === 'returned' || x.fate === 'altered')
      .map((x, i) => {
        const name = (what: string) => (a.shares.length > 1 ? say('arrival.what', { quantity: x.count, what }) : what)
        const now = x.now ? nounText(s, x.now) : undefined
        return topic({
          key: i ? `share:${x.id}` : `arrival:${a.id}`,
          chapter: 'requests',
          what: () => say('topic.arrival.what', { what: name(a.what), fate: x.fate }),
          say: say('topic.arrival', {
            ...{ what: name(within(bare(a.what))), fate: x.fate },
            ...{ note: a.note ? within(bare(a.note)) : '', noted: whether(a.note) },
            ...{ now: now ?? '', placed: whether(now) },
          }),
          must: true,
          weight: 1,
        })
      }),
  )

/** What was found on it when it came. */
export const faultTopics = ({ c, s }: Told): Topic[] =>
  c.arrivals
    .filter((a) => !a.saber || a.saber === s.id)
    .flatMap((a) =>
      a.faults.map((f) =>
        topic({
          ...{ key: `fault:${f.id}`, chapter: 'requests', must: false, weight: 2 },
          what: () => say('topic.fault.what', { fault: f.text }),
          say: say('topic.fault', {
            ...{ what: within(bare(a.what)), fault: own(bare(f.text)), left: f.left ? own(bare(f.left)) : '' },
            ...{ why: whether(f.left), became: f.became ? partsOfRef(f.became)!.kind : 'none' },
          }),
        }),
      ),
    )

/** Who made it, besides whoever speaks. */
export const creditTopics = ({ c }: Told): Topic[] =>
  c.credits.map((k) =>
    topic({
      ...{ key: `credit:${k.id}`, chapter: 'requests', must: false, weight: 2 },
      what: () => say('topic.credit.what', { who: k.who }),
      say: creditsText(c, [k.id]),
    }),
  )

/** Several who worked on it, in one breath. */
export function creditsText(c: Commission, ids: readonly string[]): string {
  const all = ids.map((id) => c.credits.find((k) => k.id === id)!)
  const [first] = all
  if (all.length === 1) return say('topic.credit', { who: first!.who, did: own(bare(first!.did)), n: 1 })
  const each = all.map((k) => `${k.who}: ${own(bare(k.did))}`).join('; ')
  return say('topic.credit', { who: '', did: each, n: all.length })
}

/** Work that is left for the client. */
export const toDoTopics = ({ c, s }: Told): Topic[] =>
  c.toDos
    .filter((t) => t.who === 'client' && !t.done && about(c, s, t.about))
    .map((t) =>
      topic({
        ...{ key: `toDo:${t.id}`, chapter: 'requests', must: true, weight: 1 },
        what: () => say('topic.toDo.what', { text: t.text }),
        say: say('topic.toDo', { text: within(bare(t.text)) }),
        ...(t.about && nameOf(s, t.about) ? { show: t.about } : {}),
      }),
    )
const about = (c: Commission, s: Saber, ref: Ref | undefined): boolean => {
  const to = partsOfRef(ref ?? '')
  return to?.kind === 'saber' ? to.id === s.id : isOf(c, s, ref)
}

/** What goes with it, what has to be bought, and what is only seen here. */
export const itemTopics = ({ s }: Told): Topic[] =>
  s.items
    .filter((i) => i.role !== 'alternative' || i.shown)
    .map((i) => {
      const of = i.of ? nounText(s, i.of) : undefined
      const guarded = i.protected ? say('item.protected') : ''
      const ask = [i.type && own(i.type), i.size && own(i.size), guarded].filter(Boolean).join(', ')
      const buys = i.supplied === 'notSupplied'
      const quantity = i.quantity > 1 ? `${i.quantity} × ` : ''
      return topic({
        ...{ key: `item:${i.id}`, chapter: 'care', must: buys, weight: buys ? 1 : 3 },
        what: () => say('topic.item.what', { what: i.what }),
        say: say('topic.item', {
          ...{ what: `${quantity}${within(bare(i.what))}`, role: i.role, from: i.supplied },
          ...{ of: of ?? '', named: whether(of), ask, asked: whether(ask) },
        }),
      })
    })

/** What it is not made for, with the reason. */
export const limitTopics = ({ s }: Told): Topic[] =>
  s.notFor.map((n) =>
    topic({
      ...{ key: `limit:${n.id}`, chapter: 'care', must: true },
      what: () => say('topic.notFor.what', { what: n.what }),
      say: say('topic.notFor', { what: within(bare(n.what)), why: own(bare(n.why)) }),
    }),
  )

/** What was wrong, why, and what was done about it. */
export const fixTopics = ({ s }: Told): Topic[] =>
  s.fixes.map((f) => {
    const fault = f.fault && typeof f.fault.value === 'string' ? f.fault.value : ''
    return topic({
      ...{ key: `fix:${f.id}`, chapter: 'requests', must: s.job === 'repair', weight: 1 },
      what: () => say('topic.fix.what', { fix: f.fix }),
      say: say('topic.fix', {
        ...{ fault: own(bare(fault)), reported: whether(fault) },
        ...{ cause: own(bare(f.cause)), known: whether(f.cause), fix: own(bare(f.fix)) },
      }),
      ...(f.place && nameOf(s, f.place) ? { show: f.place } : {}),
    })
  })

/** What it could do before the work and can no longer. */
export const abilityTopics = ({ s }: Told): Topic[] =>
  s.before
    .filter((w) => !w.stays)
    .map((w) =>
      topic({
        ...{ key: `ability:${w.id}`, chapter: 'requests', must: true, weight: 1 },
        what: () => say('topic.ability.what', { what: w.what }),
        say: say('topic.ability', {
          ...{
            what: within(bare(w.what)),
            instead: w.insteadBy ? own(bare(w.insteadBy)) : '',
            by: whether(w.insteadBy),
          },
        }),
      }),
    )

/** What had to be made again. */
export const lossTopics = ({ s }: Told): Topic[] =>
  s.losses.map((l) =>
    topic({
      ...{ key: `loss:${l.id}`, chapter: 'requests', must: false, weight: 2 },
      what: () => say('topic.loss.what', { what: l.what }),
      say: say('topic.loss', { what: within(bare(l.what)), how: l.how, cause: ownLarge(bare(l.cause)) }),
    }),
  )

/** What was chosen, and what it cost; what cannot be undone has to be told. */
export const decisionTopics = ({ s }: Told): Topic[] =>
  s.decisions.map((d) =>
    topic({
      ...{
        key: `decision:${d.id}`,
        chapter: 'requests',
        must: d.irreversible === true,
        weight: d.irreversible ? 1 : 3,
      },
      what: () => say('topic.decision.what', { chose: d.chose }),
      say: say('topic.decision', {
        ...{ chose: own(bare(d.chose)), why: own(bare(d.why)) },
        ...{ gaveUp: d.gaveUp ? own(bare(d.gaveUp)) : '', gave: whether(d.gaveUp) },
      }),
      ...(d.about && nameOf(s, d.about) ? { show: d.about } : {}),
    }),
  )

/** Notes for the client on a part of it. */
export const noteTopics = ({ s }: Told): Topic[] =>
  [
    ...s.parts.map((x) => ({ ref: refTo('part', x.id), name: x.name, note: x.note })),
    ...s.hilt.sections.map((x) => ({ ref: refTo('section', x.id), name: x.name, note: x.note })),
    ...s.hilt.sockets.map((x) => ({ ref: refTo('socket', x.id), name: x.name, note: x.note })),
    ...s.presets.map((x) => ({ ref: refTo('preset', x.id), name: x.name, note: x.note })),
  ].flatMap(({ ref, name, note }) =>
    note
      ? [
          topic({
            ...{ key: `note:${ref}`, chapter: 'care', must: false, weight: 3, show: ref },
            what: () => say('topic.note.what', { of: name }),
            say: say('topic.note', {
              of: partsOfRef(ref)!.kind === 'preset' ? name : (nounText(s, ref) ?? name),
              note: own(bare(note)),
            }),
          }),
        ]
      : [],
  )
