import type { Commission } from '../record'
import { say } from '../words'

/** What goes into the box, derived from the record: sabers, blades, chargers, keys, parts to return. Nothing already listed is repeated. */
export function proposePacking(c: Commission): { what: string; quantity: number }[] {
  const out = new Map<string, number>()
  const add = (what: string, n = 1) => out.set(what, (out.get(what) ?? 0) + n)
  for (const s of c.sabers) {
    add(c.sabers.length > 1 ? s.name : say('box.saber'))
    for (const b of s.blades.filter((q) => q.use === 'ship')) add(b.name)
    for (const p of s.parts) {
      if (p.supplied === 'notSupplied') continue
      if (p.kind === 'plug' || p.kind === 'charger' || p.kind === 'tool') add(p.name)
      if (p.kind === 'killKey') add(say('box.killKey', { name: p.name }))
      if (p.kind === 'cell' && p.removable) add(p.name)
    }
    const keys = s.hilt.fasteners.filter((f) => f.clientMay !== 'never' && f.key && f.key !== 'by hand')
    for (const key of new Set(keys.map((f) => f.key)))
      if (!s.parts.some((p) => p.kind === 'tool' && p.key === key)) add(say('box.hexKey', { key }))
  }
  for (const a of c.arrivals.filter((q) => q.fate === 'returned' || q.fate === 'leftOver'))
    add(say('box.returned', { what: a.what }), a.quantity)
  add(say('box.record'))
  const have = new Set(c.packing.map((p) => p.what))
  return [...out].filter(([what]) => !have.has(what)).map(([what, quantity]) => ({ what, quantity }))
}
