import { isFact } from '../../facts/fact'
import type { Commission } from '../schema/commission'
import { partsOfRef } from '../schema/ref'
import type { Saber } from '../schema/saber'
import { marksOf } from '../walk/mark'
import { thingsOf } from '../walk/references'
import { RECORD_PLAN, walk } from '../walk/schema-plan'
import { blankCommission } from './blank'

/**
 * Gives a record ids of its own, so that it can stand beside the one it was copied from. Only identities and what names them
 * change: references, keys of topics and of what was set aside, and the facts a layout rests on.
 */
export function asCopy(c: Commission, newId: () => string): Commission {
  const fresh = new Map<string, string>([[c.id, newId()]])
  for (const t of thingsOf(c)) if (!fresh.has(t.id)) fresh.set(t.id, newId())
  const next = structuredClone(c)
  next.id = fresh.get(c.id)!
  const put = (pointer: string, value: string) => {
    const steps = pointer.split('/').slice(1)
    const last = steps.pop()!
    let at = next as unknown as Record<string, unknown>
    for (const s of steps) at = at[s] as Record<string, unknown>
    at[last] = value
  }
  walk(RECORD_PLAN, c, (plan, value, at) => {
    if (typeof value !== 'string') return
    if (plan.kind) put(at.pointer, fresh.get(value)!)
    else if (plan.names?.bare) put(at.pointer, fresh.get(value) ?? value)
    else if (plan.names) {
      const p = partsOfRef(value)
      if (p && fresh.has(p.id)) put(at.pointer, `${p.kind}:${fresh.get(p.id)}`)
    }
  })
  // Keys are made of words and ids with colons, hyphens, dots and slashes between them.
  const ids = [...fresh.keys()].sort((a, b) => b.length - a.length)
  const key = (text: string) => {
    let out = ''
    for (let i = 0; i < text.length; ) {
      const free = i === 0 || /[:\-/@.#]/.test(text[i - 1]!)
      const id = free
        ? ids.find((x) => text.startsWith(x, i) && /^([:\-/.#]|$)/.test(text.slice(i + x.length)))
        : undefined
      out += id ? fresh.get(id) : text[i]
      i += id ? id.length : 1
    }
    return out
  }
  for (const w of next.handoff.waivers) w.key = key(w.key)
  for (const x of next.handoff.issued) delete x.told
  for (const [i, s] of next.sabers.entries()) {
    marksAnew(c.sabers[i]!, s)
    for (const w of s.leftOut) w.key = key(w.key)
    for (const t of s.tests) t.key = key(t.key)
    for (const b of s.beats) {
      b.covers = b.covers.map(key)
      // Facts within the words stand there by their path.
      b.say = b.say.replace(/\[\[[^\]]+\]\]/g, key)
    }
    for (const d of s.decisions)
      if (d.layout) d.layout = Object.fromEntries(Object.entries(d.layout).map(([k, v]) => [key(k), v]))
  }
  return next
}

/**
 * Marks are made of ids too: what a reading rested on and still is so keeps that with the ids of the copy, what has changed stays
 * changed. What a film showed is not known of a copy.
 */
function marksAnew(from: Saber, to: Saber) {
  for (const t of to.takes) for (const m of t.marks) delete m.was
  for (const [i, t] of to.tests.entries())
    for (const [k, r] of t.readings.entries()) {
      const refs = { was: from.tests[i]!.readings[k]!.rested ?? [], now: r.rested ?? [] }
      const marks = (s: Saber, of: (typeof refs)['was']) =>
        (['works', 'placed'] as const).map((how) => {
          const all = new Map(
            marksOf(
              s,
              of.map((x) => x.of),
              how,
            ).map((x) => [x.of, x.was]),
          )
          return of.map((x) => all.get(x.of))
        })
      const [before, after] = [marks(from, refs.was), marks(to, refs.now)]
      refs.now.forEach((x, n) => {
        const how = before.findIndex((all) => all[n] !== undefined && all[n] === x.was)
        if (how >= 0) x.was = after[how]![n]!
      })
    }
}

/** What was measured, told or remembered on another saber is only an assumption on this one, until it is confirmed. */
export function unconfirmed<T>(v: T): T {
  if (Array.isArray(v)) return v.map(unconfirmed) as T
  if (isFact(v)) {
    const { value, source, unit } = v as unknown as { value: unknown; source: string; unit: unknown }
    const foreign = ['measured', 'read', 'client', 'recalled', 'believed'].includes(source)
    return (
      foreign ? { value, ...(unit === undefined ? {} : { unit }), source: 'assumed', with: 'model sheet' } : v
    ) as T
  }
  if (v && typeof v === 'object') return Object.fromEntries(Object.entries(v).map(([k, x]) => [k, unconfirmed(x)])) as T
  return v
}

/** A saber without what belongs to one specimen: its tests, repairs, films and decisions, whose it was and will be. */
export function withoutSpecimen(s: Saber, name: string, job: Saber['job']): Saber {
  const { recipient: _r, edition: _e, ...rest } = s
  return {
    ...{ ...rest, name, job },
    hilt: { ...s.hilt, fasteners: s.hilt.fasteners.map(({ confirmed: _c, ...f }) => f) },
    parts: s.parts.map(({ lot: _lot, charged: _f, damaged: _d, ...part }) => part),
    ...{
      tests: [],
      repairs: [],
      takes: [],
      leftOut: [],
      beats: [],
      decisions: [],
      losses: [],
      provenance: [],
      before: [],
    },
  }
}

/**
 * One more saber like one of an order: ids of its own, nothing of the specimen, and what was measured on the first only
 * assumed of this one. Its name in the order is the caller's.
 */
export function anotherLike(c: Commission, id: string, name: string, newId: () => string): Saber {
  const s = c.sabers.find((x) => x.id === id)
  if (!s) throw new RangeError(`anotherLike: no saber ${id}`)
  // In an order of its own: only the saber's ids are made anew.
  const alone = blankCommission(() => c.id, { title: c.title, client: '', job: c.job, purpose: c.purpose })
  const copy = asCopy({ ...alone, sabers: [withoutSpecimen(s, name, s.job)] }, newId).sabers[0]!
  return { ...copy, ...unconfirmed({ hilt: copy.hilt, parts: copy.parts, blades: copy.blades }) }
}
