import { adapterSupply, type Commission, keyOf, type OWNERS, refTo, type Saber, type SUPPLIES } from '../record'
import type { Reader } from '../units'
import { BY_HAND, keyText, say } from '../words'

/** A line of a packing list; `key` stays the same for the same thing, whatever it is called. */
export interface PackingLine {
  key: string
  what: string
  quantity: number
  /** The saber it goes with, in an order of several. */
  saber?: string
  owner?: (typeof OWNERS)[number]
  /** In a parcel where nothing is said. */
  supply?: (typeof SUPPLIES)[number]
}

/**
 * What the client is to have beside him, derived from the record: sabers, blades, chargers, keys for the screws he turns, plugs,
 * spares, parts to return; what he has already, and what he has to buy. What is on the list already, by its key or (typed by
 * hand) by its words, is not proposed again; of what is there in too small a number, the rest is.
 */
export function proposePacking(reader: Reader, c: Commission): PackingLine[] {
  const out = new Map<string, PackingLine>()
  const several = c.sabers.length > 1
  const add = (line: PackingLine, like: string = line.key) => {
    const same = out.get(like)
    // What goes with several sabers goes with none of them alone.
    const { saber: _s, ...rest } = same ?? line
    out.set(
      like,
      same ? { ...(same.saber === line.saber ? same : rest), quantity: same.quantity + line.quantity } : line,
    )
  }
  for (const s of c.sabers) {
    const its = several ? { saber: s.id } : {}
    add({ key: refTo('saber', s.id), what: several ? s.name : say(reader, 'box.saber'), quantity: 1, ...its })
    for (const { like, ...line } of ofSaber(reader, s, several)) add({ ...line, ...its }, like)
  }
  for (const a of c.arrivals) {
    const back = a.shares.filter((x) => x.fate === 'returned' || x.fate === 'leftOver')
    const quantity = back.reduce((n, x) => n + x.count, 0)
    const what = say(reader, 'box.returned', { what: a.what })
    if (quantity) add({ key: refTo('arrival', a.id), what, quantity, owner: 'client' })
  }
  add({ key: 'record', what: say(reader, 'box.record'), quantity: 1 })
  return [...out.values()].flatMap((line) => {
    const listed = c.packing.filter((p) => (p.key === undefined ? p.what === line.what : p.key === line.key))
    const rest = line.quantity - listed.reduce((n, p) => n + p.quantity, 0)
    return rest > 0 ? [{ ...line, quantity: rest }] : []
  })
}

/** Of a thing that is not the shop's to pack: the client has it, or has to get it; what only serves on the bench is no line. */
const HOW = { shop: {}, client: { supply: 'hasAlready' }, notSupplied: { supply: 'toBuy' } } as const

/** Several of one row of the shelf are one line, with their number. */
function ofSaber(reader: Reader, s: Saber, several: boolean): (PackingLine & { like?: string })[] {
  const blades = s.blades
    .filter((b) => b.use !== 'demo')
    .map((b) => ({
      key: refTo('blade', b.id),
      what: several ? `${b.name} (${s.name})` : b.name,
      quantity: 1,
      ...(b.use === 'toBuy' ? HOW.notSupplied : {}),
    }))
  const sleeves = s.blades.flatMap((b) => {
    const supplied = adapterSupply(b)
    return b.adapter && b.use !== 'demo' && supplied !== 'bench'
      ? [{ key: `adapter:${b.id}`, what: b.adapter.name, quantity: 1, ...HOW[supplied] }]
      : []
  })
  const parts = s.parts
    // A plug that is recorded for its socket is drafted there.
    .filter((p) => p.kind !== 'plug' || !s.blades.some((b) => b.kind === 'plug'))
    .filter((p) => ['plug', 'charger', 'tool', 'killKey'].includes(p.kind) || (p.kind === 'cell' && p.removable))
    .flatMap((p) => {
      const supplied = p.supplied ?? 'shop'
      if (supplied === 'bench') return []
      const what = p.kind === 'killKey' ? say(reader, 'box.killKey', { name: p.name }) : p.name
      const like = p.catalogue ? { like: `${p.kind} ${p.catalogue} ${supplied}` } : {}
      return [{ key: refTo('part', p.id), what, quantity: 1, ...like, ...HOW[supplied] }]
    })
  const turned = s.hilt.fasteners.filter((f) => f.clientMay !== 'never' && keyOf(f) && keyOf(f) !== BY_HAND)
  const keys = [...new Set(turned.map(keyOf))]
    .filter((key) => !s.parts.some((p) => p.kind === 'tool' && p.key === key))
    .map((key) => ({ key: `key:${key}`, what: say(reader, 'box.hexKey', { key: keyText(reader, key) }), quantity: 1 }))
  const items = s.items.flatMap((x) =>
    x.supplied === 'bench'
      ? []
      : [{ key: refTo('item', x.id), what: x.what, quantity: x.quantity, ...HOW[x.supplied] }],
  )
  return [...blades, ...sleeves, ...parts, ...items, ...keys]
}
