import { type Commission, refTo, type Saber } from '../record'
import { say } from '../words'

/** A line of a packing list; `key` stays the same for the same thing, whatever it is called. */
export interface PackingLine {
  key: string
  what: string
  quantity: number
}

/**
 * What goes into the box, derived from the record: sabers, blades, chargers, keys, parts to return. What is on the list
 * already, by its key or (typed by hand) by its words, is not proposed again; of what is there in too small a number, the rest is.
 */
export function proposePacking(c: Commission): PackingLine[] {
  const out = new Map<string, PackingLine>()
  const add = (line: PackingLine, like: string = line.key) => {
    const same = out.get(like)
    out.set(like, same ? { ...same, quantity: same.quantity + line.quantity } : line)
  }
  for (const s of c.sabers) {
    add({ key: refTo('saber', s.id), what: c.sabers.length > 1 ? s.name : say('box.saber'), quantity: 1 })
    for (const { like, ...line } of ofSaber(s, c.sabers.length > 1)) add(line, like)
  }
  for (const a of c.arrivals) {
    const back = a.shares.filter((x) => x.fate === 'returned' || x.fate === 'leftOver')
    const quantity = back.reduce((n, x) => n + x.count, 0)
    if (quantity) add({ key: refTo('arrival', a.id), what: say('box.returned', { what: a.what }), quantity })
  }
  add({ key: 'record', what: say('box.record'), quantity: 1 })
  return [...out.values()].flatMap((line) => {
    const listed = c.packing.filter((p) => (p.key === undefined ? p.what === line.what : p.key === line.key))
    const rest = line.quantity - listed.reduce((n, p) => n + p.quantity, 0)
    return rest > 0 ? [{ ...line, quantity: rest }] : []
  })
}

/** Several of one row of the shelf are one line, with their number. */
function ofSaber(s: Saber, several: boolean): (PackingLine & { like?: string })[] {
  const blades = s.blades
    .filter((b) => b.use === 'ship')
    .map((b) => ({ key: refTo('blade', b.id), what: several ? `${b.name} (${s.name})` : b.name, quantity: 1 }))
  const parts = s.parts
    .filter((p) => p.supplied === undefined || p.supplied === 'shop')
    .filter((p) => ['plug', 'charger', 'tool', 'killKey'].includes(p.kind) || (p.kind === 'cell' && p.removable))
    .map((p) => ({
      key: refTo('part', p.id),
      what: p.kind === 'killKey' ? say('box.killKey', { name: p.name }) : p.name,
      quantity: 1,
      ...(p.catalogue ? { like: `${p.kind} ${p.catalogue}` } : {}),
    }))
  const turned = s.hilt.fasteners.filter((f) => f.clientMay !== 'never' && f.key && f.key !== 'by hand')
  const keys = [...new Set(turned.map((f) => f.key))]
    .filter((key) => !s.parts.some((p) => p.kind === 'tool' && p.key === key))
    .map((key) => ({ key: `key:${key}`, what: say('box.hexKey', { key }), quantity: 1 }))
  const items = s.items
    .filter((x) => x.supplied === 'shop')
    .map((x) => ({ key: refTo('item', x.id), what: x.what, quantity: x.quantity }))
  return [...blades, ...parts, ...items, ...keys]
}
