import type { Commission } from '@nubrin/core/record'
import { applyOps, type Op, splitItem, touched, valueAt } from '@nubrin/core/record/ops'

/**
 * The operations that make mine stand after all, on the record as it is now. When theirs took the thing away, it comes back
 * first. Undefined when that cannot be done: what mine is about is gone for good.
 */
export function keepMine(record: Commission, mine: Op, theirs?: Op): Op[] | undefined {
  const back: Op[] =
    theirs?.op === 'remove' && valueAt(record, theirs.at) === undefined
      ? [{ op: 'insert', at: splitItem(theirs.at).list, item: theirs.item, after: theirs.after }]
      : theirs && (theirs.op === 'unset' || theirs.op === 'set') && mine.at.startsWith(`${theirs.at}/`)
        ? [{ op: 'set', at: theirs.at, value: theirs.was, was: valueAt(record, theirs.at) }]
        : []
  const base = applyOps(record, back)
  if (!base.ok) return undefined
  const now = valueAt(base.value, mine.at)
  const again = (): Op[] => {
    switch (mine.op) {
      case 'set':
        return [{ op: 'set', at: mine.at, value: mine.value, ...(now === undefined ? {} : { was: now }) }]
      case 'unset':
        return now === undefined ? [] : [{ op: 'unset', at: mine.at, was: now }]
      case 'remove':
        return now === undefined ? [] : [{ ...mine, item: now as typeof mine.item }]
      case 'insert': {
        const path = touched(mine)
        const there = valueAt(base.value, path)
        return [
          ...(there ? [{ op: 'remove', at: path, item: there as typeof mine.item, after: null } satisfies Op] : []),
          mine,
        ]
      }
      case 'move':
        return [mine]
    }
  }
  const ops = [...back, ...again()]
  return applyOps(record, ops).ok ? ops : undefined
}
