import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { readCommission } from '@nubrin/core/import'
import { CHECKS, judgeCommission, makeJudge, WORDS } from '@nubrin/core/judge'
import { machineOf } from '@nubrin/core/machine'
import { loadsOf } from '@nubrin/core/power'
import type { Commission, Saber } from '@nubrin/core/record'
import { topicsOf } from '@nubrin/core/script'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { ALL_FACTS, check } from '../src/judge/check'
import { tries } from './drawn'
import { leaves, put } from './odd'
import { demo, TODAY } from './samples'

const all = demoCommissions(TODAY)

/** The value behind a proxy that notes which of its own fields are read. */
function watched<T extends object>(value: T, seen: Set<string>, prefix = ''): T {
  return new Proxy(value, {
    get(target, key, self) {
      if (typeof key === 'string' && key in target) seen.add(`${prefix}${key}`)
      return Reflect.get(target, key, self) as unknown
    },
    ownKeys(target) {
      for (const key of Object.keys(target)) seen.add(`${prefix}${key}`)
      return Reflect.ownKeys(target)
    },
  })
}

describe('what a check reads is what it says that it reads', () => {
  // Identity tells where a matter lies; it never changes under a check that is kept.
  const FREE = new Set(['id', 'order.id'])
  test.each(CHECKS.map((c) => [c.id, c] as const))('%s', (_id, c) => {
    for (const commission of all)
      for (const saber of commission.sabers) {
        const seen = new Set<string>()
        let facts = false
        const order = watched(commission, seen, 'order.')
        const own = watched(saber, seen)
        c.run({
          commission: order,
          saber: own,
          get today() {
            seen.add('today')
            return TODAY
          },
          get facts() {
            facts = true
            return demoFacts(saber)
          },
          // Worked out of what is watched, so that what they read is seen too.
          get topics() {
            return topicsOf(order, own)
          },
          get loads() {
            return loadsOf(own)
          },
          get machine() {
            return machineOf(own)
          },
        })
        // What the others are to this one is read as two values of its own; the property below holds that they say enough.
        const others = c.reads.includes('order.told') ? ['order.sabers'] : []
        const declared = new Set<string>([...c.reads, ...others, ...(facts ? ALL_FACTS : [])])
        if (facts) for (const f of ALL_FACTS) expect(c.reads).toContain(f)
        expect([...seen].filter((f) => !declared.has(f) && !FREE.has(f))).toEqual([])
      }
  })
})
const demoFacts = (saber: Saber) => {
  let found: Parameters<(typeof CHECKS)[number]['run']>[0]['facts'] = []
  const probe = check<Record<never, never>>({
    ...{ id: 'probe', station: 'hilt', scope: 'saber', source: '', reads: [] },
    run: (ctx) => {
      found = ctx.facts
      return []
    },
  })
  makeJudge([probe], { probe: { rule: '', says: {} } })({ ...all[0]!, sabers: [saber] }, TODAY)
  return found
}

describe('a judge that remembers', () => {
  type Change = (c: Commission, n: number) => void
  const CHANGES: Change[] = [
    (c, n) => void (c.sabers[0]!.hilt.sections[0]!.length = fact(n, 'mm', 'measured')),
    (c, n) => void (c.sabers.at(-1)!.parts[n % c.sabers.at(-1)!.parts.length]!.at = fact(n, 'mm', 'measured')),
    (c, n) => void (c.sabers[0]!.use.volume = fact(n % 101, '%', 'configured')),
    (c) => void c.sabers[0]!.controls.pop(),
    (c) => void c.sabers[0]!.beats.shift(),
    (c, n) => void (c.requests[0]!.status = n % 2 ? 'open' : 'met'),
    (c, n) => void (c.deadline = n % 2 ? '2026-11-26' : '2027-01-01'),
    (c) => void c.sabers[0]!.blades.pop(),
    (c) => void (c.sabers[0]!.cutPower = 'none'),
    (c, n) => void (c.client.name = n % 2 ? ' ' : 'Someone'),
  ]
  /** Of a copy, so that nothing that is remembered by an object is found again. */
  const anew = (c: Commission) => judgeCommission(structuredClone(c), TODAY)
  test('says after any number of changes what judging anew says', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('reed-warden', 'ember-fair', 'cinder-oath'),
        fc.array(fc.tuple(fc.nat(CHANGES.length - 1), fc.nat(400)), { minLength: 1, maxLength: 8 }),
        (which, steps) => {
          const remembers = makeJudge()
          let c = demo(which)
          remembers(c, TODAY)
          for (const [k, n] of steps) {
            const next = structuredClone(c)
            CHANGES[k]!(next, n)
            // Unchanged fields stay the same values, as they do on the bench.
            c = shared(c, next) as Commission
            expect(remembers(c, TODAY)).toEqual(anew(c))
          }
        },
      ),
      { numRuns: tries(25, 10) },
    )
  })
  test('wherever one value of a record is changed', () => {
    /** By field, so that one that stands once is tried as often as one of a thousand rows. */
    const places = new Map(
      all.map((c) => {
        const fields = new Map<string, (string | number)[][]>()
        for (const path of [...leaves(c, 'string'), ...leaves(c, 'number')]) {
          const field = path.map((k) => (typeof k === 'number' ? '' : k)).join('/')
          fields.set(field, [...(fields.get(field) ?? []), path])
        }
        return [c.id, [...fields.values()]] as const
      }),
    )
    fc.assert(
      fc.property(
        fc.constantFrom(...all.filter((c) => c.sabers.length > 0).map((c) => c.id)),
        fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat(4)), { minLength: 1, maxLength: 6 }),
        (which, steps) => {
          const remembers = makeJudge()
          let c = demo(which)
          remembers(c, TODAY)
          for (const [field, k, n] of steps) {
            const fields = places.get(which)!
            const paths = fields[field % fields.length]!
            const path = paths[k % paths.length]!
            const was = path.reduce<unknown>((v, key) => (v as Record<string | number, unknown>)?.[key], c)
            const now =
              typeof was === 'number' ? was * 1.3 + n : [`${was}`, '', 'other', 'Other words.', '2026-11-25'][n]
            if (was === undefined) continue
            const next = readCommission(JSON.stringify(put(c, [path], now)))
            if (!next.ok) continue
            c = shared(c, next.record) as Commission
            const tell = (list: ReturnType<typeof judgeCommission>) =>
              list.map((f) => `${f.key} ${f.level} ${f.detail}`)
            expect(tell(remembers(c, TODAY))).toEqual(tell(anew(c)))
          }
        },
      ),
      { numRuns: tries(120, 10) },
    )
  })
})
/** `next` with every part that equals its part in `old` taken from `old`. */
function shared(old: unknown, next: unknown): unknown {
  if (JSON.stringify(old) === JSON.stringify(next)) return old
  if (Array.isArray(next)) return next.map((x, i) => shared((old as unknown[] | undefined)?.[i], x))
  if (typeof next !== 'object' || next === null) return next
  const was = (old ?? {}) as Record<string, unknown>
  return Object.fromEntries(Object.entries(next).map(([k, v]) => [k, shared(was[k], v)]))
}

describe('a check that breaks', () => {
  const broken = check<{ never: object }>({
    ...{ id: 'broken', station: 'fit', scope: 'saber', source: 'test' },
    reads: ['hilt'],
    run: () => {
      throw new Error('a length of NaN')
    },
  })
  test('stands against shipping and says what broke it; the others are judged all the same', () => {
    const c = demo('reed-warden')
    const words = { ...WORDS, broken: { rule: 'Something holds.', says: {} } }
    const found = makeJudge([broken, ...CHECKS], words)(c, TODAY)
    const own = found.filter((f) => f.check === 'broken')
    expect(own).toMatchObject([{ gate: true, level: 'caution', code: 'failed', title: 'This could not be judged' }])
    expect(own[0]!.detail).toContain('a length of NaN')
    expect(found.filter((f) => f.check !== 'broken')).toEqual(judgeCommission(c, TODAY))
  })
})

describe('what is set aside holds for what it named', () => {
  const gathers = (names: string[]) =>
    check<{ some: object }>({
      ...{ id: 'gathers', station: 'proof', scope: 'saber', source: 's', reads: ['hilt'] },
      run: () => [{ code: 'some', subject: 'all', level: 'caution', params: {}, names, gate: true }],
    })
  const words = { gathers: { rule: 'r', says: { some: () => ({ title: 't', detail: 'd', remedy: 'r' }) } } }
  const judged = (names: string[]) => makeJudge([gathers(names)], words)
  const keyOf = (names: string[]) => judged(names)(demo('reed-warden'), TODAY, true)[0]!.key
  const left = (waived: string, names: string[]) => {
    const c = demo('reed-warden')
    c.handoff.waivers = [{ key: waived, who: 'Maren', on: TODAY, reason: 'r' }]
    return judged(names)(c, TODAY).length
  }
  test('one of three set aside, then less: still; another: no more', () => {
    const key = keyOf(['c', 'a', 'b'])
    expect(key).toBe('gathers:rw:all#a.b.c')
    expect(left(key, ['a', 'b', 'c'])).toBe(0)
    expect(left(key, ['b'])).toBe(0)
    expect(left(key, ['b', 'd'])).toBe(1)
    expect(left(key, ['a', 'b', 'c', 'd'])).toBe(1)
    expect(left('gathers:rw:other#a.b.c', ['a'])).toBe(1)
    expect(left('gathers:rw:all', ['a'])).toBe(1)
  })
  test('a list too long for a key is set aside as it is, and no other', () => {
    const many = Array.from({ length: 60 }, (_, i) => `preset-number-${i}`)
    const key = keyOf(many)
    expect(key.length).toBeLessThanOrEqual(240)
    expect(left(key, many)).toBe(0)
    expect(left(key, many.slice(1))).toBe(1)
    expect(left(key, [...many.slice(1), 'another'])).toBe(1)
  })
})

describe('a model sheet', () => {
  const model = () => {
    const c = demo('reed-warden')
    c.job = 'model'
    return c
  }
  const stations = (c: Commission) => new Set(judgeCommission(c, TODAY).map((f) => f.station))
  test('is judged for what its film does not tell, once one is written; never for a client or a proof', () => {
    const c = model()
    c.sabers[0]!.beats = c.sabers[0]!.beats.slice(0, 2)
    c.sabers[0]!.access = []
    expect(stations(c)).toContain('walkthrough')
    expect(stations(c)).toContain('access')
    c.sabers[0]!.beats = []
    for (const s of ['walkthrough', 'access', 'proof', 'brief', 'handoff'] as const)
      expect(stations(c)).not.toContain(s)
  })
})
