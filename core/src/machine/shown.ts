import type { Saber } from '../record'
import type { Assembly } from './assembly'
import type { Body } from './joint'
import type { State } from './state'

/** A saber as it is shown: with power and every screw tight, in each socket the first blade instead of its plug, the others out. */
export function asShown(s: Saber, rest: State): State {
  const blades = s.blades.filter((b) => b.kind !== 'inHilt')
  const sockets = new Set(blades.filter((b) => b.kind !== 'plug').map((b) => b.socket))
  const first = new Set([...sockets].map((k) => blades.find((b) => b.kind !== 'plug' && b.socket === k)))
  const out = blades.filter((b) => sockets.has(b.socket) && !first.has(b)).map((b): Body => `blade:${b.id}`)
  return { ...rest, screws: {}, cut: false, off: [...rest.off.filter((b) => !b.startsWith('blade:')), ...out] }
}

/** A body taken out, or put back: one at a time in a socket, so that what was in it comes out. */
export function outOrBack(a: Assembly, st: State, body: Body): State {
  if (!st.off.includes(body)) return { ...st, off: [...st.off, body] }
  const place = a.joints[body]?.place
  const others = Object.values(a.joints).flatMap((j) =>
    place && j.place === place && j.body !== body && !st.off.includes(j.body) ? [j.body] : [],
  )
  return { ...st, off: [...st.off.filter((b) => b !== body), ...others] }
}
