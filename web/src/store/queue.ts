import type { Commission, Problem } from '@nubrin/core/record'
import { applyOps, invertOps, type Op, rebaseOps, same, touched, valueAt } from '@nubrin/core/record/ops'
import { keepMine } from './keep-mine'

/** One edit of the maker, not acknowledged yet. A frozen one was sent under its id already and is sent again only as it was. */
export interface Change {
  id: string
  label: string
  ops: Op[]
  frozen?: true
}
/** What was sent and is not answered yet. */
interface Flight {
  id: string
  base: number
  at?: string
  ops: Op[]
  /** How many of the waiting changes it holds. */
  count: number
}
/** Something of mine that cannot stand beside what somebody else did; it waits for a person. */
export interface Conflict {
  id: string
  label: string
  by: string
  mine: Op
  /** What the other did; absent when what mine is about is simply not there any more. */
  theirs?: Op
}
/** A revision as the server tells it. */
export interface Revision {
  revision: number
  by: string
  at: string
  ops: Op[]
  change?: string
}
/** What is kept in the browser of work that is not acknowledged. */
export interface Draft {
  commission: string
  base: number
  /** When that revision was saved: one of the same number may be another, once a backup was put back. */
  at?: string
  pending: Change[]
  flight?: Flight
  conflicts: Conflict[]
}
interface Undoable {
  /** The change it came from, while that waits. */
  id: string
  label: string
  ops: Op[]
  /** What others did after it. */
  since: { op: Op; by: string }[]
}
export type Undone = { ok: true; label: string } | { ok: false; label: string; by: string; paths: string[] }

const MOST_UNDO = 200
const isOp = (v: unknown): v is Op => typeof v === 'object' && v !== null && 'at' in v

/**
 * The edits of one maker on one commission, from the keystroke to the acknowledgement: a plain machine without clock,
 * network or screen. The record shown is the acknowledged one with what waits. What others did comes beneath it; what
 * cannot stand beside theirs is never dropped but laid aside as a conflict until a person has said which it shall be.
 */
export class Queue {
  pending: Change[] = []
  flight: Flight | undefined
  conflicts: Conflict[] = []
  undo: Undoable[] = []
  redo: Undoable[] = []
  /** The first waiting change, when the server refused it; nothing goes out until it is mended or taken back. */
  refusal: Problem[] | undefined
  /** True when what came cannot be put together with what is here: the record has to be read anew. */
  lost = false
  shown: Commission
  /** One change at a time, to find which one is refused. */
  private alone = false

  constructor(
    readonly commission: string,
    public base: Commission,
    public revision: number,
    private readonly newId: () => string,
    /** When that revision was saved. */
    public at?: string,
  ) {
    this.shown = base
  }

  /** Carries an edit out; false when it cannot be, and then nothing has changed. */
  edit(label: string, ops: Op[]): boolean {
    const id = this.newId()
    if (!this.push({ id, label, ops })) return false
    this.undo = [...this.undo.slice(1 - MOST_UNDO), { id, label, ops, since: [] }]
    this.redo = []
    return true
  }
  private push(change: Change): boolean {
    if (!change.ops.length) return false
    const next = applyOps(this.shown, change.ops)
    if (!next.ok) return false
    this.shown = next.value
    this.pending = [...this.pending, change]
    this.refusal = undefined
    this.alone = false
    return true
  }

  undoLast(): Undone | undefined {
    return this.back('undo', 'redo')
  }
  redoLast(): Undone | undefined {
    return this.back('redo', 'undo')
  }
  /** Takes the last entry of one list back, as far as nobody else has built on it, and puts its reverse on the other list. */
  private back(from: 'undo' | 'redo', to: 'undo' | 'redo'): Undone | undefined {
    const last = this[from].at(-1)
    if (!last) return undefined
    this[from] = this[from].slice(0, -1)
    const { ops, clashes } = rebaseOps(
      invertOps(last.ops),
      last.since.map((s) => s.op),
    )
    const id = this.newId()
    const { label } = last
    if (clashes.length || (ops.length && !this.push({ id, label, ops }))) {
      const theirs = new Set(clashes.map((c) => c.theirs))
      const by = [...new Set(last.since.filter((s) => theirs.has(s.op)).map((s) => s.by))].join(', ')
      return { ok: false, label, by, paths: clashes.map((c) => c.mine.at) }
    }
    this[to] = [...this[to].slice(1 - MOST_UNDO), { id, label, ops, since: [] }]
    return { ok: true, label }
  }

  /** What is to be sent now; the same again until it is answered. */
  next(): { base: number; ops: Op[]; change: string; at?: string } | undefined {
    if (!this.flight) {
      if (this.refusal || !this.pending.length) return undefined
      const frozen = this.pending.findIndex((c) => c.frozen)
      const count = this.pending[0]!.frozen || this.alone ? 1 : frozen > 0 ? frozen : this.pending.length
      const taken = this.pending.slice(0, count)
      this.flight = {
        id: taken[0]!.frozen ? taken[0]!.id : this.newId(),
        base: this.revision,
        ...this.known(),
        ops: taken.flatMap((c) => c.ops),
        count,
      }
    }
    const { id, count: _, ...ask } = this.flight
    return { ...ask, change: id }
  }
  private known(): { at?: string } {
    return this.at ? { at: this.at } : {}
  }

  /** The server has it: `since` is every revision after the one it was made on. */
  acknowledged(since: readonly Revision[]): void {
    const { flight } = this
    if (!flight) return
    this.flight = undefined
    this.pending = this.pending.slice(flight.count)
    if (!this.pending.length) this.alone = false
    this.take(since, flight.id)
  }
  /** Somebody else changed the same: their revisions come beneath, mine are held against them. */
  clashed(since: readonly Revision[]): void {
    this.flight = undefined
    this.take(since)
  }
  /** What others did meanwhile; not while something of mine is under way. */
  others(since: readonly Revision[]): void {
    if (!this.flight) this.take(since)
  }
  /** The server takes this change for wrong; which of several it is shows when each goes alone. */
  refused(problems: Problem[]): void {
    const count = this.flight?.count ?? 0
    this.flight = undefined
    if (count > 1) this.alone = true
    else this.refusal = problems
  }
  /** Takes the refused change back; gives what went with it because it was built on it. */
  takeBack(): string[] {
    const [gone, ...rest] = this.pending
    if (!this.refusal || !gone) return []
    this.refusal = undefined
    this.pending = rest
    this.undo = this.undo.filter((u) => u.id !== gone.id)
    this.redo = []
    return [gone.label, ...this.rebuild('')]
  }

  /** Says which of two values it shall be. Theirs stands already; mine becomes an edit of its own. */
  settle(id: string, whose: 'mine' | 'theirs'): boolean {
    const c = this.conflicts.find((x) => x.id === id)
    if (!c) return false
    const ops = whose === 'mine' ? keepMine(this.shown, c.mine, c.theirs) : []
    if (whose === 'mine' && !ops) return false
    this.conflicts = this.conflicts.filter((x) => x !== c)
    return ops?.length ? this.edit(c.label, ops) : true
  }

  private take(since: readonly Revision[], own?: string): void {
    const news = since.filter((r) => r.revision > this.revision).toSorted((a, b) => a.revision - b.revision)
    for (const r of news) {
      if (r.revision !== this.revision + 1 || !r.ops.every(isOp)) {
        this.lost = true
        return
      }
      const next = applyOps(this.base, r.ops)
      if (!next.ok) {
        this.lost = true
        return
      }
      this.base = next.value
      this.revision = r.revision
      this.at = r.at
      if (r.change === own && own !== undefined) continue
      const theirs = r.ops.map((op) => ({ op, by: r.by }))
      for (const list of [this.undo, this.redo]) for (const u of list) u.since.push(...theirs)
      this.pending = this.pending.map((c) => this.beside(c, r))
    }
    this.rebuild(news.at(-1)?.by ?? '')
  }
  /** A waiting change after somebody's revision; what cannot stand becomes a conflict. */
  private beside(change: Change, r: Revision): Change {
    const { ops, clashes } = rebaseOps(change.ops, r.ops)
    for (const c of clashes) this.layAside(change, c.mine, r.by, c.theirs)
    return ops.length === change.ops.length ? change : { ...change, ops }
  }
  private layAside(change: Change, mine: Op, by: string, theirs?: Op) {
    this.conflicts = [
      ...this.conflicts,
      { id: this.newId(), label: change.label, by, mine, ...(theirs ? { theirs } : {}) },
    ]
    // What never came to stand cannot be undone.
    this.undo = this.undo.flatMap((u) => {
      if (u.id !== change.id) return [u]
      const ops = u.ops.filter((o) => o !== mine && !(o.op === mine.op && o.at === mine.at))
      return ops.length ? [{ ...u, ops }] : []
    })
  }
  /** Shows the base with what waits. What does not apply any more is laid aside, and named. */
  private rebuild(by: string): string[] {
    const failed: string[] = []
    let at = this.base
    this.pending = this.pending.flatMap((change) => {
      const ops = change.ops.filter((op) => {
        const next = applyOps(at, [op])
        if (next.ok) {
          at = next.value
          return true
        }
        // What is there already, as when a reply was lost, was not lost.
        if (op.op === 'insert' && same(valueAt(at, touched(op)), op.item)) return false
        failed.push(change.label)
        this.layAside(change, op, by)
        return false
      })
      return ops.length ? [ops.length === change.ops.length ? change : { ...change, ops }] : []
    })
    this.shown = at
    return [...new Set(failed)]
  }

  /** What is to be kept in the browser; nothing when all is acknowledged and settled. */
  kept(): Draft | undefined {
    if (!this.pending.length && !this.conflicts.length) return undefined
    return {
      commission: this.commission,
      base: this.revision,
      ...this.known(),
      pending: this.pending,
      ...(this.flight ? { flight: this.flight } : {}),
      conflicts: this.conflicts,
    }
  }

  /**
   * Takes over what was kept by a tab that is gone. `since`: every revision after the one it was kept on, up to the one here.
   * What was under way is sent again under its id, unless it is there already.
   */
  adopt(kept: Draft, since: readonly Revision[]): void {
    const { flight } = kept
    const behind = since.filter((r) => r.revision > kept.base && r.revision <= this.revision)
    const readable = behind.every((r) => r.ops.every(isOp))
    const arrived = flight !== undefined && behind.some((r) => r.change === flight.id)
    let changes = unsent(kept, arrived)
    this.conflicts = [...this.conflicts, ...kept.conflicts]
    for (const r of behind) {
      if (r.change === flight?.id && flight) continue
      changes = changes.map((c) => {
        const theirs = readable ? r.ops : []
        const { ops, clashes } = rebaseOps(c.ops, theirs)
        for (const x of clashes) this.layAside(c, x.mine, r.by, x.theirs)
        return { ...c, ops }
      })
    }
    this.pending = [...this.pending, ...changes.filter((c) => c.ops.length)]
    this.rebuild(behind.at(-1)?.by ?? '')
  }

  /**
   * Takes over what was kept on a revision that is none of this record any more, as after a backup was put back. Nothing of it
   * goes out by itself: what does not stand there is laid beside what does, for a person to say.
   */
  layOpen(kept: Draft): void {
    this.conflicts = [...this.conflicts, ...kept.conflicts]
    for (const change of unsent(kept, false))
      for (const op of change.ops) {
        const at = touched(op)
        const now = valueAt(this.shown, at)
        const wanted = op.op === 'set' ? op.value : op.op === 'insert' ? op.item : undefined
        if (op.op !== 'move' && same(now, wanted)) continue
        const theirs: Op = now === undefined ? { op: 'unset', at, was: null } : { op: 'set', at, value: now }
        this.layAside(change, op, PUT_BACK, theirs)
      }
  }
}

/** Who is said to have saved what stands in a record that was put back. */
export const PUT_BACK = 'the backup that was put back'

/** What is to be sent of what was kept: first what was under way, under its id, unless it has arrived. */
function unsent({ flight, pending }: Draft, arrived: boolean): Change[] {
  if (!flight) return pending
  const [sent, rest] = [pending.slice(0, flight.count), pending.slice(flight.count)]
  if (arrived) return rest
  return [{ id: flight.id, label: sent.map((c) => c.label).join(', '), ops: flight.ops, frozen: true }, ...rest]
}
