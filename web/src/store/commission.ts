import type { Api, GoodOf } from '@nubrin/core/api'
import type { Finding, Station } from '@nubrin/core/judge'
import type { Apart } from '@nubrin/core/machine'
import {
  type Commission,
  findThing,
  type Joint,
  languageOf,
  nameOfThing,
  type Problem,
  partsOfRef,
  type Ref,
  type Removal,
  type Saber,
  type Thing,
  type Towards,
  withoutThing,
} from '@nubrin/core/record'
import { diffOps } from '@nubrin/core/record/ops'
import { produce } from 'immer'
import { create } from 'zustand'
import { pathText } from '../base/pathText'
import { tell } from '../base/toast'
import { tonguesFor } from '../base/tongues'
import { type ApiError, call, freshId, keepRead, keepUnsaved, keptUnsaved, readKept } from '../data'
import type { ActOnDrawing } from './actOnDrawing'
import { fetchChecks, judged } from './judging'
import { type Conflict, type Kept, Queue, type Revision, type Undone } from './queue'
import { useSession } from './session'

/** saved · saving · waiting a moment · kept here, no connection · signed out · something to decide · refused · cannot be read. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'kept' | 'signedOut' | 'conflict' | 'refused' | 'unkept'

/** A body that was drawn away on the drawing, or a screw that was drawn onto what lies there, the smallest first. */
type SaidOnDrawing = { body: Joint['body']; towards: Towards } | { onto: Joint['body'][]; screw: string }

export interface BenchState {
  id: string | undefined
  /** The record as it was last acknowledged by the server, at `revision`. */
  base: Commission | undefined
  /** The base with what is not acknowledged yet. */
  record: Commission | undefined
  revision: number
  save: SaveState
  /** Why work is only kept here, in the server's words; undefined when there is no answer at all. */
  keptBecause: string | undefined
  savedAt: string
  savedBy: string
  saberId: string
  /** The thing lit on the drawing. */
  lit: Ref | undefined
  /** A saber shown on the drawing in place of the recorded one while something is only being considered. */
  preview: { saber: Saber; label: string } | undefined
  /** The saber as it lies apart on the bench while somebody plays with its machine. */
  apart: (Apart & { act: ActOnDrawing | undefined; blade?: string }) | undefined
  /** Whether the cut across the hilt is shown, with its mark on the drawing. */
  cutting: boolean
  /** What was said of a joint on the drawing, until the station has written it down. */
  saidOfJoint: SaidOnDrawing | undefined
  /** Whether the saber is in hand on the drawing: its buttons pressed, its blade lit. */
  playing: boolean
  findings: Finding[]
  /** Whether the checks have looked at the record; they come a moment after it, or do not come at all. */
  judged: 'notYet' | 'yes' | 'failed'
  /** How many edits can be undone, and done again. */
  undos: number
  redos: number
  /** How many edits wait to be acknowledged. */
  pending: number
  problems: Problem[]
  conflicts: Conflict[]
  error: string | undefined
  open: (id: string) => Promise<void>
  edit: (label: string, recipe: (draft: Commission) => void) => void
  /** Takes a thing out, with what cannot stand without it; asks first when anything leans on it. */
  remove: (target: Ref) => void
  /** What would go and be let go, while the question stands. */
  removing: (Removal & { target: Thing }) | undefined
  answerRemoval: (yes: boolean) => void
  editSaber: (label: string, recipe: (draft: Saber, order: Commission) => void) => void
  undoLast: () => void
  redoLast: () => void
  chooseSaber: (id: string) => void
  /** Lights a thing; what names no kind of thing lights nothing. */
  light: (ref: string | undefined) => void
  consider: (preview: BenchState['preview']) => void
  layApart: (apart: BenchState['apart']) => void
  showCut: (on: boolean) => void
  setPlaying: (on: boolean) => void
  sayOfJoint: (said: SaidOnDrawing | undefined) => void
  flush: () => Promise<void>
  /** Asks what others did, and shows it. */
  hear: () => Promise<void>
  /** Says whose value of a conflict it shall be. */
  settle: (conflict: string, whose: 'mine' | 'theirs') => void
  /** Takes back the change that the server refused. */
  takeBack: () => void
}

let timer: ReturnType<typeof setTimeout> | undefined
let running: Promise<void> | undefined
let queue: Queue | undefined
/** How long to wait before trying again, ms; doubles with each failure. */
const FIRST_WAIT = 1500
const LONGEST_WAIT = 20_000
let wait = FIRST_WAIT
/** Edits within this time go out together, ms. */
const GATHER = 300

const EMPTY = {
  base: undefined,
  record: undefined,
  revision: 0,
  save: 'saved' as SaveState,
  keptBecause: undefined as string | undefined,
  savedAt: '',
  savedBy: '',
  lit: undefined,
  preview: undefined,
  apart: undefined as BenchState['apart'],
  findings: [] as Finding[],
  judged: 'notYet' as const,
  undos: 0,
  redos: 0,
  pending: 0,
  problems: [] as Problem[],
  conflicts: [] as Conflict[],
  error: undefined,
  removing: undefined,
}

/** One commission on the bench: its record, what is not saved yet, and what the checks say of it. */
export const useBench = create<BenchState>()((set, get) => {
  /** Has the checks look at a record, and again at what there is by then when they had to be fetched first. */
  const look = (record: Commission): Partial<BenchState> => {
    const findings = judged(record)
    if (findings) return { findings, judged: 'yes' }
    fetchChecks().then(
      () => {
        const now = get().record
        if (now) set({ findings: judged(now) ?? [], judged: 'yes' })
      },
      () => set({ judged: 'failed' }),
    )
    return { findings: [] }
  }
  const schedule = (ms: number) => {
    clearTimeout(timer)
    timer = setTimeout(() => void get().flush(), ms)
  }

  /** Shows what the queue holds, and keeps in the browser what is not acknowledged. */
  const show = (save?: SaveState) => {
    if (!queue) return
    const { shown, base, revision, pending, conflicts, refusal, undo, redo } = queue
    const mine = queue
    void tonguesFor(languageOf(shown))?.then(() => {
      // What was worded without them is worded again.
      if (queue === mine && get().record) set(look(get().record!))
    })
    const changed = shown !== get().record
    set({
      record: shown,
      base,
      revision,
      conflicts,
      pending: pending.length,
      problems: refusal ?? [],
      undos: undo.length,
      redos: redo.length,
      save: refusal ? 'refused' : (save ?? (pending.length ? 'waiting' : conflicts.length ? 'conflict' : 'saved')),
      ...(changed ? look(shown) : {}),
    })
    void keepUnsaved(queue.commission, queue.kept()).catch(() => {
      // Without a place to keep it, closing the tab would lose it: that has to be known.
      if (queue?.kept()) set({ save: 'unkept' })
    })
  }
  const changed = () => {
    show()
    schedule(GATHER)
  }

  return {
    id: undefined,
    saberId: '',
    cutting: false,
    playing: false,
    saidOfJoint: undefined,
    ...EMPTY,

    async open(id) {
      if (get().id !== id) {
        queue = undefined
        set({ ...EMPTY, id })
      }
      try {
        const saved = await readCommission(id)
        if (get().id !== id) return
        queue = new Queue(id, saved.record, saved.revision, freshId)
        // A browser that keeps nothing has kept nothing; that is said with the first edit.
        const left = await keptUnsaved(id).catch(() => [])
        for (const { what, forget } of left) {
          const kept = what as Kept
          const since =
            kept.base < saved.revision && !saved.away
              ? await call('changes', { params: { id }, query: { after: String(kept.base) } })
              : []
          queue.adopt(kept, since)
          await keepUnsaved(id, queue.kept())
          await forget()
        }
        set({
          savedAt: saved.savedAt,
          savedBy: saved.savedBy,
          saberId: queue.shown.sabers.find((s) => s.id === get().saberId)?.id ?? queue.shown.sabers[0]!.id,
        })
        show(saved.away ? 'kept' : undefined)
        if (queue.pending.length) schedule(saved.away ? FIRST_WAIT : 0)
      } catch (e) {
        set({ error: (e as Error).message })
      }
    },

    edit(label, recipe) {
      const { record } = get()
      if (!record || !queue) return
      const ops = diffOps(record, produce(record, recipe))
      if (ops.length && queue.edit(label, ops)) changed()
    },
    editSaber(label, recipe) {
      const { saberId } = get()
      get().edit(label, (d) => {
        const s = d.sabers.find((x) => x.id === saberId)
        if (s) recipe(s, d)
      })
    },
    remove(target) {
      const { record } = get()
      const thing = record && findThing(record, target)
      if (!record || !thing) return
      set({ removing: { ...withoutThing(record, target), target: thing } })
      const { goes, letsGo } = get().removing!
      if (!goes.length && !letsGo.length) get().answerRemoval(true)
    },
    answerRemoval(yes) {
      const asked = get().removing
      set({ removing: undefined })
      const { record, lit } = get()
      if (!yes || !asked || !record) return
      const next = withoutThing(record, asked.target.ref).record
      get().edit(`take out ${nameOfThing(asked.target.kind, asked.target.value)}`, (d) => void Object.assign(d, next))
      if (lit && !findThing(next, lit)) set({ lit: undefined })
    },
    undoLast: () => back(queue?.undoLast()),
    redoLast: () => back(queue?.redoLast()),
    chooseSaber: (saberId) => set({ saberId, lit: undefined, preview: undefined, apart: undefined }),
    light: (ref) => set({ lit: ref && partsOfRef(ref) ? (ref as Ref) : undefined }),
    consider: (preview) => set({ preview }),
    layApart: (apart) => set({ apart }),
    showCut: (cutting) => set({ cutting }),
    setPlaying: (playing) => set({ playing }),
    sayOfJoint: (saidOfJoint) => set({ saidOfJoint }),

    flush() {
      running ??= send().finally(() => {
        running = undefined
      })
      return running
    },
    async hear() {
      const { id } = get()
      if (!id || !queue || queue.flight || get().save === 'signedOut') return
      const mine = queue
      try {
        const since = await call('changes', { params: { id }, query: { after: String(mine.revision) } })
        if (queue !== mine || !since.length || mine.flight) return
        mine.others(since)
        const last = since.at(-1)!
        set({ savedAt: last.at, savedBy: last.by })
        await putTogether()
      } catch {
        // Asked again soon; what waits says itself when the server is away.
      }
    },
    settle(conflict, whose) {
      if (!queue) return
      if (!queue.settle(conflict, whose)) tell('What yours was about is gone. It can only be left out now.')
      changed()
    },
    takeBack() {
      const gone = queue?.takeBack() ?? []
      if (gone.length) tell(`Taken back: ${[...new Set(gone)].join(', ')}.`)
      changed()
    },
  }

  function back(done: Undone | undefined) {
    if (!done) return
    if (!done.ok)
      tell(
        `“${done.label}” stays: ${done.by || 'somebody'} has changed the same since${get().record && done.paths.length ? ` (${done.paths.map((p) => pathText(get().record!, p)).join(', ')})` : ''}.`,
      )
    changed()
  }

  /** Reads the record anew when what came does not fit what is here; what waits is put on top. */
  async function putTogether(): Promise<void> {
    if (!queue?.lost) return show()
    const old = queue
    const saved = await call('commission', { params: { id: old.commission } })
    const since = await call('changes', { params: { id: old.commission }, query: { after: String(old.revision) } })
    const next = new Queue(old.commission, saved.record, saved.revision, freshId)
    const kept = old.kept()
    if (kept) next.adopt(kept, since)
    queue = next
    show()
  }

  /** Sends what waits. What others changed meanwhile comes back and is put beneath what still waits. */
  async function send(): Promise<void> {
    const mine = queue
    const ask = mine?.next()
    if (!mine || !ask) return
    show('saving')
    try {
      const r = await call('change', { params: { id: mine.commission }, body: ask })
      if (queue !== mine) return
      wait = FIRST_WAIT
      mine.acknowledged(r.since)
      set({ savedAt: r.savedAt, savedBy: r.savedBy })
      await putTogether()
      void keepRead(`commission ${mine.commission}`, {
        record: mine.base,
        revision: mine.revision,
        savedAt: r.savedAt,
        savedBy: r.savedBy,
      })
      if (mine.pending.length) schedule(50)
    } catch (e) {
      if (queue === mine) await refused(mine, e as ApiError)
    }
  }

  async function refused(mine: Queue, err: ApiError): Promise<void> {
    if (err.status === 409 && Array.isArray(err.body.since)) {
      mine.clashed(err.body.since as Revision[])
      await putTogether()
      schedule(0)
    } else if (err.status === 401) show('signedOut')
    else if (err.status === 403 && err.body.title === 'csrf') {
      // The session is another one now; its token has to be asked for.
      await useSession.getState().ask()
      show('waiting')
      schedule(wait)
    } else if ([400, 403, 404, 413, 422].includes(err.status)) {
      mine.refused(err.problems.length ? err.problems : [{ path: '', rule: 'refused', message: err.message }])
      show()
      if (!mine.refusal) schedule(0)
    } else {
      set({ keptBecause: err.status > 0 ? err.message : undefined })
      show('kept')
      schedule(wait)
      wait = Math.min(LONGEST_WAIT, wait * 2)
    }
  }
})

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

/** The saber on the bench; stations are only shown once there is one. */
export const useSaber = (): Saber =>
  useBench((b) => b.record!.sabers.find((s) => s.id === b.saberId) ?? b.record!.sabers[0]!)
export const useOrder = (): Commission => useBench((b) => b.record!)
export const useEdit = () => useBench((b) => b.edit)
export const useEditSaber = () => useBench((b) => b.editSaber)
/** Takes a thing out of the record by its reference. */
export const useRemove = () => useBench((b) => b.remove)
export const useLight = () => useBench((b) => b.light)
/** Findings of one station for the saber on the bench and the order as a whole. */
export const useStationFindings = (station: Station): Finding[] => {
  const all = useBench((b) => b.findings)
  const saberId = useBench((b) => b.saberId)
  return all.filter((f) => f.station === station && (!f.saber || f.saber === saberId))
}

type Lists =
  | ('parts' | 'blades' | 'zones' | 'presets' | 'inputs' | 'modes' | 'controls' | 'tests' | 'fixes' | 'beats')
  | ('items' | 'notFor' | 'before' | 'provenance' | 'losses' | 'decisions' | 'spoken')
/** Changes one thing of a list of the saber on the bench, found by its id wherever it stands by then. */
export function useEditThing<L extends Lists>(list: L) {
  const editSaber = useEditSaber()
  return (label: string, id: string, run: (x: Saber[L][number], s: Saber) => void) =>
    editSaber(label, (s) => {
      const x = (s[list] as Saber[L][number][]).find((y) => y.id === id)
      if (x) run(x, s)
    })
}

type HiltLists = 'sections' | 'fasteners' | 'openings' | 'sockets'
/** The same for what the hilt is made of. */
export function useEditHilt<L extends HiltLists>(list: L) {
  const editSaber = useEditSaber()
  return (label: string, id: string, run: (x: Saber['hilt'][L][number], s: Saber) => void) =>
    editSaber(label, (s) => {
      const x = (s.hilt[list] as Saber['hilt'][L][number][]).find((y) => y.id === id)
      if (x) run(x, s)
    })
}

type OrderLists =
  | 'requests'
  | 'arrivals'
  | 'questions'
  | 'credits'
  | 'packing'
  | 'log'
  | 'media'
  | 'people'
  | 'toDos'
  | 'parcels'
  | 'visits'
/** The same for the lists of the order. */
export function useEditEntry<L extends OrderLists>(list: L) {
  const edit = useEdit()
  return (label: string, id: string, run: (x: Commission[L][number]) => void) =>
    edit(label, (d) => {
      const x = (d[list] as Commission[L][number][]).find((y) => y.id === id)
      if (x) run(x)
    })
}
