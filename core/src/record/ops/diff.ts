import { isFact } from '../../facts/fact'
import { isObject } from '../walk/schema-plan'
import { type Item, isKeyed, type Op } from './op'
import { itemAt, stepTo } from './path'

/**
 * The operations that turn one value into another. Facts and lists without identities are changed whole; items of lists are
 * found again by their id, so that moving one is a move and not a rewriting of its neighbours. Equal values give none.
 */
export function diffOps(before: unknown, after: unknown, path = ''): Op[] {
  if (before === after) return []
  if (isKeyed(before) && isKeyed(after) && before.length + after.length > 0) return diffLists(before, after, path)
  if (isObject(before) && isObject(after) && !isFact(before) && !isFact(after)) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])]
    return keys.flatMap((k): Op[] => {
      const [b, a] = [before[k], after[k]]
      const at = stepTo(path, k)
      if (a === undefined && b === undefined) return []
      if (a === undefined) return [{ op: 'unset', at, was: b }]
      if (b === undefined) return [{ op: 'set', at, value: a }]
      return diffOps(b, a, at)
    })
  }
  return same(before, after) ? [] : [{ op: 'set', at: path, value: after, was: before }]
}

/** Equality of plain values, whatever the order of their keys. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => same(x, b[i]))
  if (!isObject(a) || !isObject(b)) return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every((k) => same(a[k], b[k]))
}

function diffLists(before: readonly Item[], after: readonly Item[], path: string): Op[] {
  const out: Op[] = []
  const next = new Map(after.map((x) => [x.id, x]))
  let now = [...before]
  for (const x of before)
    if (!next.has(x.id)) {
      const i = now.findIndex((y) => y.id === x.id)
      out.push({ op: 'remove', at: itemAt(path, x.id), item: x, after: now[i - 1]?.id ?? null })
      now = now.filter((y) => y.id !== x.id)
    }
  const stay = longestRun(now.map((x) => after.findIndex((y) => y.id === x.id)))
  const standing = new Set(stay.map((i) => after[i]!.id))
  after.forEach((x, i) => {
    const anchor = after[i - 1]?.id ?? null
    const at = now.findIndex((y) => y.id === x.id)
    if (at < 0) out.push({ op: 'insert', at: path, item: x, after: anchor })
    else if (standing.has(x.id)) return
    else out.push({ op: 'move', at: itemAt(path, x.id), after: anchor, was: now[at - 1]?.id ?? null })
    now = now.filter((y) => y.id !== x.id)
    const place = anchor === null ? 0 : now.findIndex((y) => y.id === anchor) + 1
    now = [...now.slice(0, place), x, ...now.slice(place)]
  })
  const old = new Map(before.map((x) => [x.id, x]))
  for (const x of after) {
    const was = old.get(x.id)
    if (was) out.push(...diffOps(was, x, itemAt(path, x.id)))
  }
  return out
}

/** The longest rising run among some different numbers: what need not move when a list is reordered. */
function longestRun(numbers: readonly number[]): number[] {
  const tails: number[] = []
  const before: (number | undefined)[] = []
  numbers.forEach((n, i) => {
    let lo = 0
    let hi = tails.length
    while (lo < hi) {
      const mid = (lo + hi) >> 1
      if (numbers[tails[mid]!]! < n) lo = mid + 1
      else hi = mid
    }
    before[i] = tails[lo - 1]
    tails[lo] = i
  })
  const out: number[] = []
  for (let i = tails.at(-1); i !== undefined; i = before[i]) out.unshift(numbers[i]!)
  return out
}
