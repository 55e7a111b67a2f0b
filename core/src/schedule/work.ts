import { standing } from '../proof'
import {
  type Commission,
  type Id,
  nameIn,
  openFacts,
  partsOfRef,
  type Saber,
  WORK_OF_ALL,
  type WorkItem,
  type WorkKind,
} from '../record'
import { WORK, WORK_OF_JOB } from './kinds'

/** Something that work waits for and that no hand in the shop can hasten. */
export interface Waits {
  kind: 'part' | 'question' | 'client'
  id: string
  what: string
  /** The day from which it is waited for, where that is known. */
  since?: string
  /** Of a part: its row of the shelf. */
  catalogue?: string
}
/** A piece of work of a commission. */
export interface Work {
  /** Stays the same for the same work: `wire/rw`, `film`, `toDo/t1`. */
  key: string
  kind: WorkKind | 'toDo'
  saber?: Id<'saber'>
  /** What is said of it, and the thing left to do that it is. */
  note?: Id<'work'>
  toDo?: Id<'toDo'>
  /** Of a thing left to do: what it is, and whose kind of work. */
  text?: string
  like?: WorkKind
  job: Saber['job']
  /** Hours guessed for this one, and spent on it so far. */
  hours?: number
  spent: number
  /** The name of the one who does it. */
  person?: string
  /** Keys of the work it waits for. */
  after: string[]
  waits: Waits[]
  /** Hours that pass by themselves afterwards. */
  cures: number
  /** The day before which it is not begun. */
  on?: string
  done?: 'record' | 'said' | 'leftOut'
}

const ofAll = (k: WorkKind) => (WORK_OF_ALL as readonly string[]).includes(k)
/** The key of work that follows from the record. */
export const workKey = (kind: WorkKind, saber: string | undefined): string =>
  ofAll(kind) || !saber ? kind : `${kind}/${saber}`
/** Of what is said of work; where no saber is named it is the first one's. */
const keyOfNote = (c: Commission, w: WorkItem) => workKey(w.kind, w.saber ?? c.sabers[0]!.id)
const toDoKey = (id: string) => `toDo/${id}`

const fitted = (s: Saber, kinds?: readonly string[]) => {
  const mine = s.parts.filter((p) => !kinds || kinds.includes(p.kind))
  return mine.length > 0 && mine.every((p) => p.fittedOn)
}
/** Whether the record itself says that something is done; undefined where it cannot say. */
const SAYS: Readonly<Record<WorkKind, (c: Commission, s: Saber, open: ReadonlySet<string>) => boolean>> = {
  measure: (_c, s, open) => s.hilt.sections.length > 0 && !open.has(s.id),
  bore: () => false,
  print: (_c, s) => fitted(s, ['chassis']),
  finish: () => false,
  wire: (_c, s) => fitted(s),
  setUp: (_c, s) => s.cards.some((k) => k.readings.length > 0),
  prove: (_c, s) =>
    s.tests.length > 0 && s.tests.every((t) => ['pass', 'waived', 'notPossible'].includes(standing(s, t))),
  film: (c) =>
    c.sabers.every(
      (s) =>
        s.takes.some((t) => t.endMs !== undefined) &&
        !s.takes.some((t) => t.slips?.some((x) => x.kind === 'retake' && !x.done)),
    ),
  write: (c) => c.handoff.issued.length > 0,
  pack: (c) => !!c.shipped || (c.packing.length > 0 && c.packing.every((p) => p.packed)),
}
/** What no later work on the same saber can be done without. */
const HANDS: readonly WorkKind[] = ['measure', 'bore', 'print', 'finish', 'wire', 'setUp', 'prove']

/** Sabers of whose hilt a length, diameter or bore is not settled. */
function unmeasured(c: Commission): ReadonlySet<string> {
  const hilt = /^\/hilt\/(sections|sockets)\/.*\/(length|outside|bore|depth)$/
  return new Set(openFacts(c).flatMap((f) => (hilt.test(f.path) ? [f.saber] : [])))
}

/** A chassis is printed here where it is no part of the shelf. */
const prints = (s: Saber) => s.parts.some((p) => p.kind === 'chassis' && !p.catalogue)

/** What hours went into each piece of work, by its key. */
function spentOn(c: Commission): Map<string, number> {
  const spent = new Map<string, number>()
  for (const e of c.log) {
    const key = e.toDo ? toDoKey(e.toDo) : e.work ? workKey(e.work, e.saber ?? c.sabers[0]!.id) : undefined
    if (key && e.hours) spent.set(key, (spent.get(key) ?? 0) + e.hours)
  }
  return spent
}

/** Parts that are chosen and neither built in nor laid aside; what the client sends is his to send. */
const notInHand = (s: Saber) => s.parts.filter((p) => !p.fittedOn && !p.reservedOn && p.supplied !== 'bench')

/**
 * The work of a commission in the order in which it is usual: what follows from the record, and what is left to do, with what
 * each waits for. Done where the record says so or somebody did; nothing for a model sheet. A wait for a part is named whether
 * or not the shop has it: that is for who knows the shelf.
 */
export function workOf(c: Commission): Work[] {
  const open = unmeasured(c)
  const spent = spentOn(c)
  const notes = new Map((c.work ?? []).map((w) => [keyOfNote(c, w), w]))
  const work: Work[] = []
  const keyOfRef = new Map<string, string>((c.work ?? []).map((w) => [`work:${w.id}`, keyOfNote(c, w)]))
  for (const t of c.toDos) if (t.who === 'shop') keyOfRef.set(`toDo:${t.id}`, toDoKey(t.id))

  const add = (kind: WorkKind, s: Saber, of: readonly Saber[]) => {
    const key = workKey(kind, s.id)
    const note = notes.get(key)
    const after = WORK[kind].after.flatMap((k) => before(k, of))
    work.push({
      ...{ key, kind, job: s.job, spent: spent.get(key) ?? 0, after: [...new Set(after)], waits: [] },
      ...(ofAll(kind) ? {} : { saber: s.id }),
      cures: note?.cures ?? WORK[kind].cures ?? 0,
      ...said(note),
      ...doneBy(c, kind, s, note, open),
    })
  }
  /** What of a kind is there, and where there is none what that would have waited for. */
  const before = (kind: WorkKind, of: readonly Saber[]): string[] => {
    const there = of.flatMap((s) => work.filter((w) => w.key === workKey(kind, s.id)).map((w) => w.key))
    return there.length ? there : WORK[kind].after.flatMap((k) => before(k, of))
  }
  const mine = c.sabers.filter((s) => s.job !== 'model')
  for (const s of mine) {
    const usual = WORK_OF_JOB[s.job].filter((k) => k !== 'print' || prints(s))
    for (const kind of HANDS) if (usual.includes(kind) || notes.has(workKey(kind, s.id))) add(kind, s, [s])
    impliedBefore(work.filter((w) => w.saber === s.id))
    const wire = work.find((w) => w.key === workKey('wire', s.id))
    wire?.waits.push(
      ...notInHand(s).map(
        (p): Waits => ({ kind: 'part', id: p.id, what: p.name, ...(p.catalogue ? { catalogue: p.catalogue } : {}) }),
      ),
    )
  }
  if (mine.length) for (const kind of WORK_OF_ALL) add(kind, mine[0]!, mine)
  toDos(c, work, spent)
  furtherWaits(c, work, keyOfRef)
  const write = work.find((w) => w.key === 'write')
  for (const q of c.questions)
    if (q.blocks && !q.answer && write && !work.some((w) => w.waits.some((x) => x.id === q.id)))
      write.waits.push(waitFor('question', q.id, q.text, q.askedOn))
  if (c.shipped) for (const w of work) w.done ??= 'record'
  return work
}

const waitFor = (kind: Waits['kind'], id: string, what: string, since?: string): Waits => ({
  ...{ kind, id, what },
  ...(since ? { since } : {}),
})

const said = (note: WorkItem | undefined) => ({
  ...(note ? { note: note.id } : {}),
  ...(note?.hours === undefined ? {} : { hours: note.hours }),
  ...(note?.person ? { person: note.person } : {}),
  ...(note?.on ? { on: note.on } : {}),
})

function doneBy(
  c: Commission,
  kind: WorkKind,
  s: Saber,
  note: WorkItem | undefined,
  open: ReadonlySet<string>,
): Pick<Work, 'done'> {
  if (note?.leftOut) return { done: 'leftOut' }
  if (note?.doneOn) return { done: 'said' }
  return SAYS[kind](c, s, open) ? { done: 'record' } : {}
}

/** What has been built on was done: nobody wires what is not bored. */
function impliedBefore(work: readonly Work[]): void {
  const byKey = new Map(work.map((w) => [w.key, w]))
  const mark = (w: Work) => {
    for (const k of w.after) {
      const earlier = byKey.get(k)
      if (!earlier) continue
      earlier.done ??= 'record'
      mark(earlier)
    }
  }
  for (const w of work) if (w.done === 'record' || w.done === 'said') mark(w)
}

/** What is left to do stands before the work that it blocks, or else before the box is closed. */
function toDos(c: Commission, work: Work[], spent: ReadonlyMap<string, number>): void {
  for (const t of c.toDos) {
    const blocks = work.find((w) => w.key === (t.blocks === 'filming' ? 'film' : 'pack'))
    if (t.who === 'client') {
      if (!t.done) blocks?.waits.push(waitFor('client', t.id, t.text))
      continue
    }
    const key = toDoKey(t.id)
    const about = t.about && partsOfRef(t.about)
    const saber = about?.kind === 'saber' ? c.sabers.find((s) => s.id === about.id) : undefined
    work.push({
      ...{ key, kind: 'toDo', toDo: t.id, text: t.text, job: (saber ?? c.sabers[0]!).job },
      ...{ spent: spent.get(key) ?? 0, after: [], waits: [], cures: t.cures ?? 0 },
      ...(t.kind ? { like: t.kind } : {}),
      ...(t.hours === undefined ? {} : { hours: t.hours }),
      ...(t.person ? { person: t.person } : {}),
      ...(t.done ? { done: 'said' } : {}),
    })
    if (!t.done) blocks?.after.push(key)
  }
}

/** What somebody said that work waits for, beside what it waits for as usual. */
function furtherWaits(c: Commission, work: readonly Work[], keyOfRef: ReadonlyMap<string, string>): void {
  const more = [
    ...(c.work ?? []).map((w) => [keyOfRef.get(`work:${w.id}`)!, w.after] as const),
    ...c.toDos.map((t) => [toDoKey(t.id), t.after] as const),
  ]
  for (const [key, after] of more) {
    const w = work.find((x) => x.key === key)
    for (const ref of (w && after) ?? []) {
      const earlier = keyOfRef.get(ref)
      if (earlier && work.some((x) => x.key === earlier)) w!.after.push(earlier)
      else if (!earlier) w!.waits.push(...waitsForThing(c, ref))
    }
  }
}

function waitsForThing(c: Commission, ref: string): Waits[] {
  const { kind, id } = partsOfRef(ref)!
  const question = kind === 'question' ? c.questions.find((q) => q.id === id) : undefined
  if (question) return question.answer ? [] : [waitFor('question', id, question.text, question.askedOn)]
  const toDo = kind === 'toDo' ? c.toDos.find((t) => t.id === id) : undefined
  if (toDo) return toDo.done ? [] : [waitFor('client', id, toDo.text)]
  const part = c.sabers.flatMap(notInHand).find((p) => p.id === id)
  if (!part) return []
  return [
    {
      ...waitFor('part', id, nameIn(c, `part:${id}`) ?? part.name),
      ...(part.catalogue ? { catalogue: part.catalogue } : {}),
    },
  ]
}

/**
 * Work that waits for itself, by way of other work: keys in the order in which each waits for the next, the first once more at
 * the end. Undefined where there is none.
 */
export function loopIn(work: readonly Pick<Work, 'key' | 'after'>[]): string[] | undefined {
  const byKey = new Map(work.map((w) => [w.key, w]))
  const seen = new Set<string>()
  const path: string[] = []
  const visit = (key: string): string[] | undefined => {
    const at = path.indexOf(key)
    if (at >= 0) return [...path.slice(at), key]
    if (seen.has(key)) return undefined
    seen.add(key)
    path.push(key)
    for (const k of byKey.get(key)?.after ?? []) {
      const found = visit(k)
      if (found) return found
    }
    path.pop()
    return undefined
  }
  for (const w of work) {
    const found = visit(w.key)
    if (found) return found
  }
  return undefined
}

/** What comes next: the first that is not done and waits for nothing that is not. */
export function nextWork(work: readonly Work[]): Work | undefined {
  const undone = new Set(work.flatMap((w) => (w.done ? [] : [w.key])))
  return work.find((w) => !w.done && !w.after.some((k) => undone.has(k)))
}
