import { validateChange } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { applyOps, type Op, rebaseOps, touches } from '@nubrin/core/record/ops'
import { Conflict, Invalid } from '../http/problem'
import type { Revised } from './store'

const isOp = (v: unknown): v is Op => typeof v === 'object' && v !== null && 'at' in v

/** What a line of history touched, in the paths of its time. */
export const pathsOf = (ops: readonly unknown[]): string[] =>
  ops.every(isOp) ? touches(ops) : ops.map((o) => String((o as { path?: unknown }).path ?? ''))

const WHY = {
  gone: 'names something that is not there any more',
  twice: 'brings in an id that is there already',
  notAList: 'does not fit what stands there',
}

/**
 * A record after operations made against an older revision of it: what others did meanwhile stands, and a field that both
 * changed is a conflict that names them. Throws Conflict or Invalid; the record given stays as it is.
 */
export function merge(
  record: Commission,
  ops: readonly Op[],
  since: readonly Revised[],
): { record: Commission; ops: Op[] } {
  const foreign = since.flatMap((h) => h.ops as unknown[])
  const readable = foreign.every(isOp)
  const theirs = readable ? (foreign as Op[]) : []
  const rebased = rebaseOps(ops, theirs)
  if (rebased.clashes.length || !readable) {
    const latest = since.at(-1)!.revision
    throw new Conflict('Somebody else changed the same meanwhile.', undefined, {
      revision: latest,
      changes: since.map((h) => ({ revision: h.revision, by: h.by, at: h.at, paths: pathsOf(h.ops) })),
      clashes: [...new Set(rebased.clashes.map((c) => c.mine.at))],
      since,
    })
  }
  const applied = applyOps(record, rebased.ops)
  if (!applied.ok)
    throw new Invalid('The change does not apply to this record.', [
      { path: applied.op.at, rule: applied.why, message: WHY[applied.why] },
    ])
  const checked = validateChange(record, applied.value)
  if (!checked.ok) throw new Invalid('The change would make the record invalid; nothing was saved.', checked.problems)
  if (checked.record.id !== record.id)
    throw new Invalid('The id of a commission cannot be changed.', [
      { path: '/id', rule: 'immutable', message: 'cannot be changed', got: checked.record.id },
    ])
  return { record: checked.record, ops: rebased.ops }
}
