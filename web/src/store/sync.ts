import type { Api, GoodOf } from '@nubrin/core/api'
import { languageOf } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import { afterPaint } from '../base/afterPaint'
import { languagesFor } from '../base/languages'
import { pathText } from '../base/pathText'
import { tell } from '../base/toast'
import { type ApiError, call, freshId, keepRead, keepUnsaved, keptUnsaved, readKept } from '../data'
import { type Bench, type BenchState, EMPTY, type SaveState } from './bench-state'
import { fetchChecks, judged } from './judging'
import { type Draft, Queue, type Revision, type Undone } from './queue'
import { useSession } from './session'

/** How long to wait before trying again, ms; doubles with each failure. */
const FIRST_WAIT = 1500
const LONGEST_WAIT = 20_000
/** Edits within this time go out together, ms. */
const GATHER = 300

/** The way between a bench and the server: what is edited goes out, what others changed comes in, what is not acknowledged is kept. */
export class Sync {
  private queue: Queue | undefined
  private timer: ReturnType<typeof setTimeout> | undefined
  private running: Promise<void> | undefined
  private wait = FIRST_WAIT
  private looking = false

  constructor(private readonly bench: Bench) {}

  async open(id: string): Promise<void> {
    const { get, set } = this.bench
    if (get().id !== id) {
      this.queue = undefined
      set({ ...EMPTY, id })
    }
    try {
      const saved = await readCommission(id)
      if (get().id !== id) return
      const queue = queueOf(id, saved)
      this.queue = queue
      await takeUp(queue, saved)
      set({
        savedAt: saved.savedAt,
        savedBy: saved.savedBy,
        saberId: queue.shown.sabers.find((s) => s.id === get().saberId)?.id ?? queue.shown.sabers[0]!.id,
      })
      this.show(saved.away ? 'kept' : undefined)
      if (queue.pending.length) this.schedule(saved.away ? FIRST_WAIT : 0)
    } catch (e) {
      set({ error: (e as Error).message })
    }
  }

  edit(label: string, ops: Op[]): void {
    if (ops.length && this.queue?.edit(label, ops)) this.changed()
  }
  undo(): void {
    this.back(this.queue?.undoLast())
  }
  redo(): void {
    this.back(this.queue?.redoLast())
  }
  settle(conflict: string, whose: 'mine' | 'theirs'): void {
    if (!this.queue) return
    if (!this.queue.settle(conflict, whose)) tell('What your change was about is gone. It can only be left out now.')
    this.changed()
  }
  takeBack(): void {
    const gone = this.queue?.takeBack() ?? []
    if (gone.length) tell(`Taken back: ${[...new Set(gone)].join(', ')}.`)
    this.changed()
  }

  /** Sends what waits; while something is under way, that is waited for. */
  flush(): Promise<void> {
    this.running ??= this.send().finally(() => {
      this.running = undefined
    })
    return this.running
  }

  /** Asks what others did, and shows it. */
  async hear(): Promise<void> {
    const { get, set } = this.bench
    const { id } = get()
    const mine = this.queue
    if (!id || !mine || mine.flight || get().save === 'signedOut') return
    try {
      const since = await call('changes', { params: { id }, query: after(mine.revision, mine.at) })
      if (this.queue !== mine || mine.flight) return
      if (!since.length) {
        // What was opened without the server is as it has it, now that it answers.
        if (get().save === 'kept' && !mine.pending.length) this.show()
        return
      }
      mine.others(since)
      const last = since.at(-1)!
      set({ savedAt: last.at, savedBy: last.by })
      await this.putTogether()
    } catch (e) {
      // Anything else is asked again soon; what waits says itself when the server is away.
      if (this.queue === mine && isOther(e)) await this.anew(mine).catch(() => {})
    }
  }

  private changed(): void {
    this.show()
    this.schedule(GATHER)
  }
  private schedule(ms: number): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => void this.flush(), ms)
  }

  private back(done: Undone | undefined): void {
    if (!done) return
    const { record } = this.bench.get()
    const where = record && done.ok === false ? done.paths.map((p) => pathText(record, p)).join(', ') : ''
    if (!done.ok)
      tell(`“${done.label}” stays: ${done.by || 'somebody'} has changed the same since${where ? ` (${where})` : ''}.`)
    this.changed()
  }

  /** Shows what the queue holds, and keeps in the browser what is not acknowledged. */
  private show(save?: SaveState): void {
    const mine = this.queue
    if (!mine) return
    const { get, set } = this.bench
    void languagesFor(languageOf(mine.shown))?.then(() => {
      // What was worded without them is worded again.
      if (this.queue === mine) this.look()
    })
    const other = mine.shown !== get().record
    set(shownOf(mine, save))
    if (other) this.look()
    void keepUnsaved(mine.commission, mine.kept()).catch(() => {
      // Without a place to keep it, closing the tab would lose it: that has to be known.
      if (this.queue?.kept()) set({ save: 'unkept' })
    })
  }

  /** Has the checks look at what there is, once it is on the screen: whoever types sees the letter first, then what is said of it. */
  private look(): void {
    if (this.looking) return
    this.looking = true
    const { get, set } = this.bench
    Promise.all([fetchChecks(), afterPaint()])
      .finally(() => {
        this.looking = false
      })
      .then(
        () => {
          const { record } = get()
          if (record) set({ findings: judged(record) ?? [], judged: 'yes' })
        },
        () => set({ judged: 'failed' }),
      )
  }

  /** Reads the record anew when what came does not fit what is here; what waits is put on top. */
  private async putTogether(): Promise<void> {
    const old = this.queue
    if (!old?.lost) return this.show()
    const saved = await call('commission', { params: { id: old.commission } })
    const since = await call('changes', { params: { id: old.commission }, query: after(old.revision, old.at) })
    const next = queueOf(old.commission, saved)
    const kept = old.kept()
    if (kept) next.adopt(kept, since)
    this.queue = next
    this.show()
  }

  /** Begins anew on a record that was put back to an earlier state; what was not sent is shown beside what is there. */
  private async anew(old: Queue): Promise<void> {
    const saved = await call('commission', { params: { id: old.commission } })
    if (this.queue !== old) return
    const next = queueOf(old.commission, saved)
    const kept = old.kept()
    if (kept) next.layOpen(kept)
    this.queue = next
    const { savedAt, savedBy } = saved
    this.bench.set({ savedAt, savedBy })
    tell('A backup was put back: this is the commission as it is now.')
    this.show()
  }

  /** Sends what waits. What others changed meanwhile comes back and is put beneath what still waits. */
  private async send(): Promise<void> {
    const mine = this.queue
    const ask = mine?.next()
    if (!mine || !ask) return
    this.show('saving')
    try {
      const r = await call('change', { params: { id: mine.commission }, body: ask })
      if (this.queue !== mine) return
      this.wait = FIRST_WAIT
      mine.acknowledged(r.since)
      const { savedAt, savedBy } = r
      this.bench.set({ savedAt, savedBy })
      await this.putTogether()
      void keepRead(`commission ${mine.commission}`, { record: mine.base, revision: mine.revision, savedAt, savedBy })
      if (mine.pending.length) this.schedule(50)
    } catch (e) {
      if (this.queue === mine) await this.refused(mine, e as ApiError)
    }
  }

  private async refused(mine: Queue, err: ApiError): Promise<void> {
    if (isOther(err)) {
      await this.anew(mine).catch(() => {
        this.show('kept')
        this.schedule(this.wait)
      })
    } else if (err.status === 409 && Array.isArray(err.body.since)) {
      mine.clashed(err.body.since as Revision[])
      await this.putTogether()
      this.schedule(0)
    } else if (err.status === 401) this.show('signedOut')
    else if (err.status === 403 && err.body.title === 'csrf') {
      // The session is another one now; its token has to be asked for.
      await useSession.getState().ask()
      this.show('waiting')
      // The server answers again: what it was away for is no measure any more.
      this.wait = FIRST_WAIT
      this.schedule(this.wait)
    } else if ([400, 403, 404, 413, 422].includes(err.status)) {
      mine.refused(err.problems.length ? err.problems : [{ path: '', rule: 'refused', message: err.message }])
      this.show()
      if (!mine.refusal) this.schedule(0)
    } else {
      this.bench.set({ keptBecause: err.status > 0 ? err.message : undefined })
      this.show('kept')
      this.schedule(this.wait)
      this.wait = Math.min(LONGEST_WAIT, this.wait * 2)
    }
  }
}

const queueOf = (id: string, { record, revision, savedAt }: GoodOf<Api['commission']>) =>
  new Queue(id, record, revision, freshId, savedAt)
const after = (revision: number, at: string | undefined) => ({ after: String(revision), ...(at ? { at } : {}) })
/** Whether the server says that what was read is no revision of the record any more. */
const isOther = (e: unknown) =>
  (e as ApiError).status === 409 && (e as ApiError).problems.some((p) => p.rule === 'otherHistory')

/** What is seen of a queue. */
function shownOf(queue: Queue, save: SaveState | undefined): Partial<BenchState> {
  const { shown, base, revision, pending, conflicts, refusal, undo, redo } = queue
  return {
    ...{ record: shown, base, revision, conflicts, problems: refusal ?? [] },
    ...{ pending: pending.length, undos: undo.length, redos: redo.length },
    save: refusal ? 'refused' : (save ?? (pending.length ? 'waiting' : conflicts.length ? 'conflict' : 'saved')),
  }
}

/** Puts what was left unsaved in this browser on top of what was read. */
async function takeUp(queue: Queue, read: { revision: number; away: boolean }): Promise<void> {
  const id = queue.commission
  // A browser that keeps nothing has kept nothing; that is said with the first edit.
  for (const { what, forget } of await keptUnsaved(id).catch(() => [])) {
    const kept = what as Draft
    if (read.away) queue.adopt(kept, [])
    else
      try {
        queue.adopt(kept, await call('changes', { params: { id }, query: after(kept.base, kept.at) }))
      } catch (e) {
        if (!isOther(e)) throw e
        queue.layOpen(kept)
      }
    await keepUnsaved(id, queue.kept())
    await forget()
  }
}

/** A commission from the server, or as it was last read here when the server does not answer. */
async function readCommission(id: string) {
  try {
    const saved = await call('commission', { params: { id } })
    void keepRead(`commission ${id}`, saved)
    return { ...saved, away: false }
  } catch (e) {
    const kept =
      (e as ApiError).status === 0 ? await readKept<GoodOf<Api['commission']>>(`commission ${id}`) : undefined
    if (!kept) throw e
    return { ...kept, away: true }
  }
}
