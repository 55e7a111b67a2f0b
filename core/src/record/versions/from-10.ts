import { type Loose, listOf, object, text } from './loose'

/** What the client does after what, so that the steps of several tasks become one way there and back. */
const ORDER = ['open', 'cellOut', 'cellIn', 'close']
const BACK: ReadonlySet<string> = new Set(['cellIn', 'close'])
const INSIDE: ReadonlySet<string> = new Set(ORDER)

/**
 * Version 10 had steps for ten tasks, which stood for themselves. They become what is said of the acts of a procedure: those of
 * opening, the cell and closing of one there and back, those of blades of one for each socket. Words that were made from an act
 * are made anew. What a beat shows is named by its task, where it was an id.
 */
export function liftProcedures(d: Loose): Loose {
  return { ...d, sabers: listOf(d.sabers).map(saber), version: 11 }
}

function saber(s: Loose): Loose {
  const all = listOf(s.access)
  const taskOf = new Map(all.map((p) => [`task:${text(p.id)}`, text(p.task)]))
  const beats = listOf(s.beats).map((b) => {
    const task = taskOf.get(text(b.perform))
    if (!text(b.perform).startsWith('task:')) return b
    const { perform: _, ...rest } = b
    return task ? { ...rest, task } : rest
  })
  const inOrder = [...all].sort((p, q) => ORDER.indexOf(text(p.task)) - ORDER.indexOf(text(q.task)))
  const out: Loose[] = []
  const into = (goal: string, at: string | undefined, id: unknown, steps: readonly Loose[]) => {
    const had = out.find((p) => p.goal === goal && p.at === at)
    if (had) (had.steps as Loose[]).push(...steps)
    else out.push({ id, goal, ...(at ? { at } : {}), steps: [...steps] })
  }
  for (const p of inOrder) {
    const task = text(p.task)
    const steps = listOf(p.steps).map((x) => said(x, BACK.has(task)))
    if (task === 'bladeIn' || task === 'bladeOut') {
      const sockets = bySocket(s, steps)
      for (const [i, [at, own]] of sockets.entries()) into(task, at, i ? `${text(p.id).slice(0, 44)}-${i}` : p.id, own)
      if (!sockets.length) into(task, undefined, p.id, [])
    } else into(INSIDE.has(task) ? inner(s) : task, atOf(s, task), p.id, steps)
  }
  return { ...s, beats, access: out }
}

/** A step without what follows from its act. */
function said(step: Loose, back: boolean): Loose {
  const { ownWords, text: words, direction, ...rest } = step
  const made = step.act !== undefined && ownWords !== true
  return {
    ...rest,
    ...(made ? {} : { text: words }),
    ...(direction === undefined || direction === 'none' ? {} : { direction }),
    ...(back && step.act === undefined ? { back: true } : {}),
  }
}

const partsOf = (s: Loose, kind: string) => listOf(s.parts).filter((p) => p.kind === kind)
const cellsOf = (s: Loose) => partsOf(s, 'cell').filter((p) => p.removable === true)
const inner = (s: Loose) => (cellsOf(s).length ? 'cell' : 'open')

/** What a task was about, where its goal says it. */
function atOf(s: Loose, task: string): string | undefined {
  const first = (list: readonly Loose[]) => (list[0] ? `part:${text(list[0].id)}` : undefined)
  if (task === 'charge') return first(partsOf(s, 'chargePort')) ?? first(partsOf(s, 'cell'))
  if (task === 'card') return first(partsOf(s, 'card'))
  return INSIDE.has(task) ? first(cellsOf(s)) : undefined
}

/** The steps of a blade by the blade of the socket that each is about: where it says nothing, of the one before. */
function bySocket(s: Loose, steps: readonly Loose[]): [string, Loose[]][] {
  const sockets = listOf(object(s.hilt).sockets)
  const blades = listOf(s.blades)
  const socketAt = (ref: string): Loose | undefined => {
    const [kind, id] = ref.split(':')
    const blade = kind === 'blade' ? blades.find((b) => b.id === id) : undefined
    return sockets.find(
      (k) =>
        (kind === 'socket' && k.id === id) ||
        (blade && k.id === blade.socket) ||
        (kind === 'fastener' && (k.retention as unknown[] | undefined)?.includes(id)),
    )
  }
  const told = (k: Loose): string => {
    const own = blades.filter((b) => b.socket === k.id && b.kind !== 'plug' && b.kind !== 'inHilt')
    const b = own.find((x) => x.use === 'ship') ?? own.find((x) => x.use === 'toBuy') ?? own[0]
    return b ? `blade:${text(b.id)}` : `socket:${text(k.id)}`
  }
  const out = new Map<string, Loose[]>()
  let now = sockets[0]
  for (const x of steps) {
    now = socketAt(text(object(x.act).at)) ?? socketAt(text(x.place)) ?? now
    const at = now ? told(now) : ''
    const own = out.get(at) ?? []
    own.push(x)
    out.set(at, own)
  }
  return [...out].map(([at, own]) => [at, own])
}
