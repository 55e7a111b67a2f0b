import { moved, type Possible, procedureIn, proceduresOf, stepFor } from '@nubrin/core/access'
import { fact } from '@nubrin/core/facts'
import type { Fastener, Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'

const mm = (v: number) => fact(v, 'mm', 'measured')
/** A screw in the wall of a hilt. */
export const screw =
  (at: number | null, more: Partial<Fastener> = {}) =>
  (s: Saber) =>
    void s.hilt.fasteners.push({
      ...{ id: 'js', name: 'joint screw', thread: 'M3', key: '1.5', head: 'set', purpose: 'joint' },
      ...{ clientMay: 'loosen', at: at === null ? fact(null, 'mm') : mm(at), clock: fact(0, 'deg', 'measured') },
      ...more,
    } as Fastener)

const JOINT = ['thread', 'setScrew', 'magnet', 'buttonAndScrews', 'collar', 'press', 'glue'] as const
/** What may be otherwise on a saber: its joints, screws and parts, and what is said of its acts. */
export const CHANGES = fc.array(
  fc.oneof(
    fc.record({
      what: fc.constant('joint' as const),
      kind: fc.constantFrom(...JOINT),
      at: fc.integer({ min: 0, max: 2 }),
    }),
    fc.record({
      what: fc.constant('screw' as const),
      at: fc.integer({ min: 0, max: 240 }),
      may: fc.constantFrom('loosen', 'remove', 'never'),
    }),
    fc.record({
      what: fc.constant('part' as const),
      kind: fc.constantFrom('card', 'chargePort', 'cover', 'charger', 'board', 'display', 'chassis'),
      at: fc.integer({ min: 5, max: 200 }),
    }),
    fc.record({ what: fc.constant('cell' as const), out: fc.boolean() }),
    fc.record({ what: fc.constant('plug' as const) }),
    // What lies over the hilt; what comes out or goes along; what is only turned, or closed past its place.
    fc.record({
      what: fc.constant('sleeve' as const),
      at: fc.integer({ min: 0, max: 180 }),
      wide: fc.integer({ min: 36, max: 44 }),
      screw: fc.boolean(),
    }),
    fc.record({ what: fc.constant('comesOut' as const), pick: fc.nat(20), on: fc.nat(20) }),
    fc.record({ what: fc.constant('turned' as const), at: fc.integer({ min: 0, max: 2 }), shows: fc.boolean() }),
    fc.record({ what: fc.constant('noStop' as const) }),
    fc.record({ what: fc.constant('word' as const), pick: fc.nat(40), order: fc.boolean() }),
  ),
  { maxLength: 6 },
)
type Change = typeof CHANGES extends fc.Arbitrary<(infer C)[]> ? C : never

/** A saber with such changes, its parts as new. */
export function changed(from: Saber, list: readonly Change[]): Saber {
  const s = structuredClone(from)
  s.access = []
  let n = 0
  const id = () => `r${n++}x`
  for (const c of list) {
    if (c.what === 'joint') s.hilt.sections[c.at]!.joint = { kind: c.kind }
    if (c.what === 'screw') screw(c.at, { id: id(), clientMay: c.may as 'loosen', purpose: 'joint' })(s)
    if (c.what === 'part') s.parts.push({ id: id(), kind: c.kind as 'card', name: c.kind, specs: {}, at: mm(c.at) })
    if (c.what === 'cell') for (const p of s.parts.filter((q) => q.kind === 'cell')) p.removable = c.out
    if (c.what === 'plug') s.blades.push({ ...structuredClone(s.blades[0]!), id: id(), kind: 'plug' })
    if (c.what === 'sleeve') {
      const specs = { length: mm(40), diameter: mm(c.wide), wall: mm(1) }
      s.parts.push({ ...{ id: id(), kind: 'sleeve', name: 'sleeve', heldBy: 'setScrew', at: mm(c.at) }, specs })
      if (c.screw) screw(c.at + 20, { id: id(), purpose: 'sleeve', clientMay: 'loosen' })(s)
    }
    if (c.what === 'comesOut') {
      const p = s.parts[c.pick % s.parts.length]!
      const q = s.parts[c.on % s.parts.length]!
      p.removable = true
      // Never in a circle: only what stands later goes along with what stands before.
      if (s.parts.indexOf(q) < s.parts.indexOf(p)) p.on = q.id
    }
    if (c.what === 'turned') {
      const body = `section:${s.hilt.sections[c.at]!.id}` as const
      s.joints = s.joints.filter((j) => j.body !== body)
      s.joints.push({ id: id(), body, how: 'turn', who: 'client', ...(c.shows ? { byItself: 'showsDisplay' } : {}) })
    }
    if (c.what === 'noStop') s.hilt.sections[0]!.joint = { kind: 'thread', stop: false }
    if (c.what !== 'word') continue
    s.parts = [...s.parts]
    const acts = proceduresOf(MAKER, s).flatMap((p) => (p.ok ? p.acts.map((a) => [p, a] as const) : []))
    const [p, a] = acts[c.pick % Math.max(1, acts.length)] ?? []
    if (!p || !a || a.key === 'dark' || a.key.startsWith('step:')) continue
    if (c.order) moved(procedureIn(s, p, id), p as Possible, a.key, 1, id)
    else stepFor(procedureIn(s, p, id), p as Possible, a.key, id).text = `own ${n}`
  }
  s.parts = [...s.parts]
  return s
}
