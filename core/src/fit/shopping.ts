import { known } from '../facts'
import { adapterSupply, type Blade, type Saber } from '../record'
import { formatNumber, MAKER, mmAndInch } from '../units'
import { say, whether } from '../words'
import { exposed, socketOf } from './blade/exposed'

/** What a shop has to be told before it can cut a blade. */
export type ShoppingNeed = 'adapter' | 'outside' | 'wall' | 'length' | 'density' | 'strips' | 'contacts'

const NEED_WORDS: Record<ShoppingNeed, string> = {
  adapter: 'the sizes of the adapter',
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
  saber.blades
    .filter((b) => b.use === 'toBuy' || b.adapter?.supplied === 'notSupplied')
    .map((blade) => order(saber, blade))

/** The sleeve that goes with a blade, where the client has to get it: with the blade, or by itself. */
function sleeve(blade: Blade, put: (v: string | undefined, need: ShoppingNeed) => void) {
  const { adapter } = blade
  if (!adapter || adapterSupply(blade) !== 'notSupplied') return
  const [outside, bore, length] = [known(adapter.outside), known(adapter.bore), known(adapter.length)]
  put(
    outside === undefined || bore === undefined
      ? undefined
      : say(MAKER, 'buy.adapter', {
          ...{ name: adapter.name, outside: mmAndInch(MAKER, outside), bore: mmAndInch(MAKER, bore) },
          ...{
            length: length === undefined ? '' : formatNumber(MAKER, length, 1),
            long: whether(length !== undefined),
          },
        }),
    'adapter',
  )
}

function order(saber: Saber, blade: Blade): Shopping {
  const needs: ShoppingNeed[] = []
  const lines: string[] = []
  const put = (v: number | undefined, need: ShoppingNeed, words: (v: number) => string) => {
    if (v === undefined) needs.push(need)
    else lines.push(words(v))
  }
  sleeve(blade, (v, need) => (v === undefined ? needs.push(need) : lines.push(v)))
  if (blade.use !== 'toBuy') return { blade, socket: socketOf(saber, blade)?.name ?? '?', lines, needs }
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
