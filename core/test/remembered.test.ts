import { expect, test } from '@jest/globals'
import { proceduresOf } from '@nubrin/core/access'
import { type Commission, danglingOf, readerOf, type Saber } from '@nubrin/core/record'
import { compose, rehearse, type TopicMemory, topicsOf } from '@nubrin/core/script'
import { drawn } from './drawn'
import { kindOfOrder, ORDERS } from './orders'

/** All that is remembered between two looks at a saber: what is planned, what is told, and how its script goes. */
const worked = (c: Commission, memory?: TopicMemory) => {
  const [reader, s] = [readerOf(c), c.sabers[0]!]
  return {
    planned: proceduresOf(reader, s),
    told: topicsOf(c, s, memory),
    troubles: rehearse(reader, s).troubles,
  }
}
const having = (c: Commission, s: Saber): Commission => ({ ...c, sabers: [s, ...c.sabers.slice(1)] })
const KEPT: ReadonlySet<keyof Saber> = new Set(['id', 'name', 'beats'])

/** One of its fields alone is another's or nobody's, the rest the very same values: another hilt, other blades, another listener. */
test.each(drawn(ORDERS, 1 / 6, (o) => [kindOfOrder(o)], 'remembered'))(
  '%s: whatever of it changes, what was worked out before is what is worked out anew',
  (name, make) => {
    const c = make()
    const own: Saber = { ...c.sabers[0]!, beats: compose(c, c.sabers[0]!) }
    const bladeless: Saber = { ...own, blades: [] }
    const bare: Saber = { ...bladeless, recipient: { name: 'Somebody' }, hilt: { ...own.hilt, sockets: [] } }
    const others = drawn(ORDERS, 1 / 9, () => [], `for ${name}`).map(([, o]) => o().sabers[0]!)
    const tried = new Set<keyof Saber>()
    for (const s of [own, bladeless])
      for (const other of s === own ? [bare, ...others] : [bare])
        for (const key of new Set([...Object.keys(s), ...Object.keys(other)]) as Set<keyof Saber>) {
          const next = having(c, { ...s, [key]: other[key] })
          // What leans on a thing that is not there is refused where it is written.
          if (KEPT.has(key) || danglingOf(next).some((r) => !danglingOf(having(c, s)).some((x) => x.path === r.path)))
            continue
          tried.add(key)
          const memory: TopicMemory = new Map()
          worked(having(c, s), memory)
          expect([key, worked(next, memory)]).toEqual([key, worked(structuredClone(next))])
        }
    expect(tried.size).toBeGreaterThan(10)
  },
)
