import { type Loose, listOf, object, text } from './loose'

/** What version 9 said of a key by the way in which it is turned. */
const KEY: Readonly<Record<string, Loose>> = {
  killKeyPull: { out: 'closed', in: 'open' },
  killKeyTurn: { out: 'open', in: 'open', turned: 'closed' },
}
/** The longest place that a chosen layout names. */
const LONGEST = 240

/**
 * Version 9 said of a key only how it is moved, told a port that carries the blade's current by its rating, said twice that a
 * screw holds a blade, and let a layout name anything.
 */
export function liftScrews(d: Loose): Loose {
  const kept: { path: string; was: unknown; why: string }[] = []
  const sabers = listOf(d.sabers).map((s) => saber(s, (path, was, why) => kept.push({ path, was, why })))
  const aside = [...listOf(d.aside)]
  const taken = new Set(aside.map((a) => text(a.id)))
  let n = 0
  for (const k of kept) {
    do n++
    while (taken.has(`aside-${n}`))
    const { path, was, why } = k
    aside.push({ id: `aside-${n}`, path: path.slice(0, 600), was: JSON.stringify(was).slice(0, 4000), why })
  }
  return { ...d, sabers, ...(aside.length ? { aside } : {}), version: 10 }
}

function saber(s: Loose, keep: (path: string, was: unknown, why: string) => void): Loose {
  const at = `/sabers/@${text(s.id)}`
  const hilt = object(s.hilt)
  const holding = new Set(listOf(hilt.sockets).flatMap((k) => (Array.isArray(k.retention) ? k.retention : [])))
  const fasteners = listOf(hilt.fasteners).map((f) => {
    if (f.purpose !== 'bladeRetention') return f
    const { purpose, ...rest } = f
    if (!holding.has(f.id))
      keep(`${at}/hilt/fasteners/@${text(f.id)}/purpose`, purpose, 'no socket names the screw that was to hold a blade')
    return rest
  })
  const parts = listOf(s.parts).map((p) =>
    p.kind === 'chargePort' && object(object(p.specs).contCurrent).value != null ? { ...p, switched: true } : p,
  )
  const decisions = listOf(s.decisions).map((x) => {
    if (x.layout === undefined) return x
    const all = Object.entries(object(x.layout))
    const layout = Object.fromEntries(all.filter(([k]) => k.length > 0 && k.length <= LONGEST))
    for (const [k, v] of all)
      if (!(k in layout)) keep(`${at}/decisions/@${text(x.id)}/layout`, { [k]: v }, 'names no place of a record')
    return { ...x, layout }
  })
  const does = KEY[text(s.cutPower)]
  return {
    ...{ ...s, hilt: { ...hilt, fasteners }, parts, decisions },
    ...(does ? { cutPower: 'killKey', keyDoes: does } : {}),
  }
}
