import { type Item, isKeyed, type Op } from './op'
import { idOfStep, splitItem, stepsOf } from './path'

export type Applied<T> = { ok: true; value: T } | { ok: false; op: Op; why: 'gone' | 'twice' | 'notAList' }

type Node = Record<string, unknown> | unknown[]
class Refused extends Error {
  constructor(readonly why: 'gone' | 'twice' | 'notAList') {
    super(why)
  }
}

/**
 * Carries operations out on a value without touching it; what is not changed is shared with it. Says which operation cannot
 * be carried out and why: its thing is gone, an item with that id is there already, or the place is no list of things. An
 * item whose anchor is gone goes to the end of its list.
 */
export function applyOps<T>(value: T, ops: readonly Op[]): Applied<T> {
  let at: unknown = value
  // Lists that were made here are nobody else's yet: of two thousand things each is put in, and not the list made anew.
  const own: Own = new WeakSet()
  for (const op of ops) {
    try {
      at = applyOne(at, op, own)
    } catch (e) {
      if (e instanceof Refused) return { ok: false, op, why: e.why }
      throw e
    }
  }
  return { ok: true, value: at as T }
}

type Own = WeakSet<readonly Item[]>

function applyOne(root: unknown, op: Op, own: Own): unknown {
  switch (op.op) {
    case 'set':
    case 'unset':
      return within(root, stepsOf(op.at).slice(0, -1), (parent) => {
        const key = stepsOf(op.at).at(-1)!
        if (Array.isArray(parent) || idOfStep(key) !== undefined) throw new Refused('notAList')
        if (op.op === 'set') return { ...parent, [key]: op.value }
        const { [key]: _gone, ...rest } = parent
        return rest
      })
    case 'insert':
      return within(root, stepsOf(op.at), (list) => {
        if (!own.has(list as Item[]) && !isKeyed(list)) throw new Refused('notAList')
        const items = list as Item[]
        if (items.some((x) => x.id === op.item.id)) throw new Refused('twice')
        return insertAfter(items, op.item, op.after, own)
      })
    case 'remove':
    case 'move': {
      const { list, id } = splitItem(op.at)
      return within(root, stepsOf(list), (items) => {
        if (!isKeyed(items)) throw new Refused('notAList')
        const item = items.find((x) => x.id === id)
        if (!item) throw new Refused('gone')
        const rest = items.filter((x) => x !== item)
        return op.op === 'remove' ? rest : insertAfter(rest, item, op.after, own)
      })
    }
  }
}

function insertAfter(list: Item[], item: Item, after: string | null, own: Own): Item[] {
  const anchor = after === null ? -1 : list.findIndex((x) => x.id === after)
  const place = after === null ? 0 : anchor < 0 ? list.length : anchor + 1
  const mine = own.has(list) ? list : [...list]
  own.add(mine)
  mine.splice(place, 0, item)
  return mine
}

/** Changes what stands at a path, copying only what lies on the way to it. */
function within(node: unknown, steps: string[], change: (node: Node) => unknown): unknown {
  if (typeof node !== 'object' || node === null) throw new Refused('gone')
  const [step, ...rest] = steps
  if (step === undefined) {
    return change(node as Node)
  }
  const id = idOfStep(step)
  if (id !== undefined) {
    if (!isKeyed(node)) throw new Refused('notAList')
    const i = node.findIndex((x) => x.id === id)
    if (i < 0) throw new Refused('gone')
    return node.map((x, k) => (k === i ? within(x, rest, change) : x))
  }
  if (Array.isArray(node) || !Object.hasOwn(node, step)) throw new Refused('gone')
  return { ...node, [step]: within((node as Record<string, unknown>)[step], rest, change) }
}
