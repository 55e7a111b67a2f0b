import { known } from '../facts'
import type { Blade, Saber } from '../record'
import { formatNumber, MAKER, mmAndInch } from '../units'
import { say } from '../words'
import { exposed, socketOf } from './blade/exposed'

/** What a shop has to be told before it can cut a blade. */
export type ShoppingNeed = 'outside' | 'wall' | 'length' | 'density' | 'strips' | 'contacts'

const NEED_WORDS: Record<ShoppingNeed, string> = {
  outside: 'the outside of the tube',
  wall: 'its wall',
  length: 'its length',
  density: 'pixels per metre',
  strips: 'how many strips',
  contacts: 'which contacts it must match',
}
export const shoppingNeedText = (n: ShoppingNeed) => NEED_WORDS[n]

export interface Shopping {
  blade: Blade
  socket: string
  lines: string[]
  needs: ShoppingNeed[]
}

/** What the client has to get for every blade that is not supplied, in words a shop understands, and what is still to be said. */
export const shoppingList = (saber: Saber): Shopping[] =>
  saber.blades.filter((b) => b.use === 'toBuy').map((blade) => order(saber, blade))

function order(saber: Saber, blade: Blade): Shopping {
  const needs: ShoppingNeed[] = []
  const lines: string[] = []
  const put = (v: number | undefined, need: ShoppingNeed, words: (v: number) => string) => {
    if (v === undefined) needs.push(need)
    else lines.push(words(v))
  }
  put(known(blade.outside), 'outside', (v) => say(MAKER, 'buy.tube', { size: mmAndInch(MAKER, v) }))
  put(known(blade.wall), 'wall', (v) => say(MAKER, 'buy.wall', { wall: formatNumber(MAKER, v) }))
  put(known(blade.length), 'length', (v) => say(MAKER, 'buy.length', { size: mmAndInch(MAKER, v) }))
  const out = exposed(saber, blade)
  if (out.ok) lines.push(say(MAKER, 'buy.exposed', { mm: formatNumber(MAKER, out.value, 0) }))
  if (blade.kind === 'pixel') {
    put(known(blade.density), 'density', (v) => say(MAKER, 'buy.density', { density: formatNumber(MAKER, v, 0) }))
    put(known(blade.strips), 'strips', (v) => say(MAKER, 'buy.strips', { strips: formatNumber(MAKER, v, 0) }))
    const c = saber.parts.find((p) => p.kind === 'connector')
    if (c) lines.push(say(MAKER, 'buy.contacts', { connector: c.name }))
    else needs.push('contacts')
  } else lines.push(say(MAKER, 'buy.kind', { kind: blade.kind }))
  return { blade, socket: socketOf(saber, blade)?.name ?? '?', lines, needs }
}
