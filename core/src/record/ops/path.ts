import { isKeyed, type Op } from './op'

/** Steps of a path. A step `@id` names an item of a list. */
export const stepsOf = (path: string): string[] =>
  path
    .split('/')
    .slice(1)
    .map((s) => s.replaceAll('~1', '/').replaceAll('~0', '~'))
export const stepTo = (path: string, key: string) => `${path}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`
export const itemAt = (list: string, id: string) => stepTo(list, `@${id}`)
/** The identity that a step names; undefined where it names a field. */
export const idOfStep = (step: string): string | undefined => (step.startsWith('@') ? step.slice(1) : undefined)

/** List and id of a path that names an item. */
export function splitItem(path: string): { list: string; id: string } {
  const at = path.lastIndexOf('/@')
  return { list: path.slice(0, at), id: path.slice(at + 2) }
}

/** The field that a path ends at or in, whatever things it leads through; empty where it names none. */
export const fieldOf = (path: string): string =>
  stepsOf(path).findLast((s) => idOfStep(s) === undefined && !/^\d+$/.test(s)) ?? ''

/** What an operation touches: the path of the field or item it changes. An insertion touches the item it brings. */
export const touched = (op: Op): string => (op.op === 'insert' ? itemAt(op.at, op.item.id) : op.at)

function stepped(at: unknown, step: string): unknown {
  const id = idOfStep(step)
  if (id !== undefined) return isKeyed(at) ? at.find((x) => x.id === id) : undefined
  return typeof at === 'object' && at !== null && Object.hasOwn(at, step)
    ? (at as Record<string, unknown>)[step]
    : undefined
}

/** What stands at a path by identity; undefined when nothing does. */
export const valueAt = (root: unknown, path: string): unknown => stepsOf(path).reduce(stepped, root)

/** Writes into what stands where a path leads, in place; nothing when its thing is gone. For drafts that are nobody else's. */
export function writeAt<T>(root: unknown, path: string, next: (old: T) => T): void {
  const steps = stepsOf(path)
  const last = steps.pop()!
  const at = steps.reduce(stepped, root) as Record<string, unknown> | undefined
  if (at) at[last] = next(at[last] as T)
}
