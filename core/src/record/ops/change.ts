import { same } from './diff'
import type { Op } from './op'
import { itemAt, splitItem, touched } from './path'

/** The operation that takes another one back. */
export function invertOp(op: Op): Op {
  switch (op.op) {
    case 'set':
      return op.was === undefined
        ? { op: 'unset', at: op.at, was: op.value }
        : { op: 'set', at: op.at, value: op.was, was: op.value }
    case 'unset':
      return { op: 'set', at: op.at, value: op.was }
    case 'insert':
      return { op: 'remove', at: itemAt(op.at, op.item.id), item: op.item, after: op.after }
    case 'remove':
      return { op: 'insert', at: splitItem(op.at).list, item: op.item, after: op.after }
    case 'move':
      return { op: 'move', at: op.at, after: op.was, was: op.after }
  }
}
/** Takes a whole change back, last operation first. */
export const invertOps = (ops: readonly Op[]): Op[] => ops.map(invertOp).reverse()

/** One change after another as a single one; a field set twice in a row is set once, and a set that comes back to where it began is none. */
export function composeOps(first: readonly Op[], second: readonly Op[]): Op[] {
  const out = [...first]
  for (const op of second) {
    const last = out.at(-1)
    if (op.op === 'set' && last?.op === 'set' && last.at === op.at) {
      out.pop()
      if (last.was === undefined || !same(last.was, op.value))
        out.push({ op: 'set', at: op.at, value: op.value, ...(last.was === undefined ? {} : { was: last.was }) })
    } else out.push(op)
  }
  return out
}

/** All that a change touches, each once. */
export const touches = (ops: readonly Op[]): string[] => [...new Set(ops.map(touched))]

const covers = (outer: string, inner: string) => inner === outer || inner.startsWith(`${outer}/`)

export interface Clash {
  mine: Op
  theirs: Op
}

/**
 * My operations as they must be after somebody else's, and where the two cannot both stand: the same field set to different
 * values, a thing one takes away and the other changes, one id brought in twice. Equal changes are done once; two moves of
 * one thing both count, mine last. `mine` and `theirs` start from the same record.
 */
export function rebaseOps(mine: readonly Op[], theirs: readonly Op[]): { ops: Op[]; clashes: Clash[] } {
  const clashes: Clash[] = []
  const ops = mine.filter((m) => {
    for (const t of theirs) {
      const outcome = meet(m, t)
      if (outcome === 'clash') {
        clashes.push({ mine: m, theirs: t })
        return false
      }
      if (outcome === 'done') return false
    }
    return true
  })
  return { ops, clashes }
}

function meet(m: Op, t: Op): 'free' | 'clash' | 'done' {
  const [pm, pt] = [touched(m), touched(t)]
  if (m.op === 'move' || t.op === 'move') {
    if (m.op === 'move' && t.op === 'remove' && covers(pt, pm)) return 'done'
    if (t.op === 'move' || !covers(pt, pm) || t.op !== 'remove') return 'free'
  }
  if (m.op === 'remove' && t.op === 'remove') return covers(pt, pm) ? 'done' : 'free'
  if (m.op === 'insert' && t.op === 'insert' && pm === pt) return same(m.item, t.item) ? 'done' : 'clash'
  if (pm === pt && (m.op === 'set' || m.op === 'unset') && (t.op === 'set' || t.op === 'unset')) {
    if (m.op === 'unset' && t.op === 'unset') return 'done'
    return m.op === 'set' && t.op === 'set' && same(m.value, t.value) ? 'done' : 'clash'
  }
  // One lies inside what the other replaces or takes away.
  const whole = (op: Op) => op.op === 'remove' || op.op === 'set' || op.op === 'unset'
  if (whole(t) && covers(pt, pm)) return 'clash'
  if (whole(m) && covers(pm, pt)) return 'clash'
  return 'free'
}
