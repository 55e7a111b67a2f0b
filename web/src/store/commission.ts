import { type Finding, makeJudge, type Station } from '@nubrin/core/judge'
import {
  type Commission,
  findThing,
  nameOfThing,
  type Problem,
  partsOfRef,
  type Ref,
  type Removal,
  type Saber,
  type Thing,
  withoutThing,
} from '@nubrin/core/record'
import { applyOps, diffOps, invertOps, type Op } from '@nubrin/core/record/ops'
import { produce } from 'immer'
import { create } from 'zustand'
import { type ApiError, call, todayIso } from '../data'
import { keepUnsaved, keptUnsaved } from './unsaved'

interface Change {
  label: string
  ops: Op[]
}

type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'conflict' | 'refused'

export interface BenchState {
  id: string | undefined
  /** The record as it was last acknowledged by the server, at `revision`. */
  base: Commission | undefined
  /** The base with what is not acknowledged yet. */
  record: Commission | undefined
  revision: number
  save: SaveState
  savedAt: string
  savedBy: string
  saberId: string
  /** The thing lit on the drawing. */
  lit: Ref | undefined
  /** A saber shown on the drawing in place of the recorded one while something is only being considered. */
  preview: { saber: Saber; label: string } | undefined
  /** Whether the cut across the hilt is shown, with its mark on the drawing. */
  cutting: boolean
  findings: Finding[]
  undo: Change[]
  redo: Change[]
  pending: Op[]
  problems: Problem[]
  conflict: { by: string; paths: string[]; revision: number } | undefined
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
  showCut: (on: boolean) => void
  flush: () => Promise<void>
  settleConflict: (how: 'mine' | 'theirs') => Promise<void>
}

let timer: ReturnType<typeof setTimeout> | undefined
let running: Promise<void> | undefined

const EMPTY = {
  base: undefined,
  record: undefined,
  revision: 0,
  save: 'saved' as SaveState,
  savedAt: '',
  savedBy: '',
  lit: undefined,
  preview: undefined,
  findings: [] as Finding[],
  undo: [] as Change[],
  redo: [] as Change[],
  pending: [] as Op[],
  problems: [] as Problem[],
  conflict: undefined,
  error: undefined,
  removing: undefined,
}

/** One commission on the bench: its record, what is not saved yet, and what the checks say of it. */
export const useBench = create<BenchState>()((set, get) => {
  const remembers = makeJudge()
  const judge = (record: Commission) => remembers(record, todayIso())
  const schedule = (ms: number) => {
    clearTimeout(timer)
    timer = setTimeout(() => void get().flush(), ms)
  }
  const keep = () => {
    const { id, pending, revision } = get()
    if (id) keepUnsaved(id, revision, pending)
  }
  /** Takes a record over as it is shown, with its judgement. */
  const show = (record: Commission) => set({ record, findings: judge(record) })

  /** Carries operations out here and queues them; what cannot be carried out is not done. */
  const apply = (ops: Op[]): boolean => {
    const next = applyOps(get().record!, ops)
    if (!next.ok) return false
    show(next.value)
    set({
      pending: [...get().pending, ...ops],
      save: get().save === 'conflict' ? 'conflict' : 'waiting',
      problems: [],
    })
    keep()
    schedule(300)
    return true
  }

  return {
    id: undefined,
    saberId: '',
    cutting: false,
    ...EMPTY,

    async open(id) {
      if (get().id !== id) set({ ...EMPTY, id })
      try {
        const saved = await call('commission', { params: { id } })
        // Kept work goes out against the revision it was made on, so that the server sees what others did since.
        const kept = keptUnsaved(id)
        const merged = kept && applyOps(saved.record, kept.ops)
        const pending = kept && merged?.ok ? kept.ops : []
        const record = merged?.ok ? merged.value : saved.record
        set({
          id,
          base: saved.record,
          revision: kept && pending.length ? kept.base : saved.revision,
          savedAt: saved.savedAt,
          savedBy: saved.savedBy,
          saberId: record.sabers.find((s) => s.id === get().saberId)?.id ?? record.sabers[0]!.id,
          pending,
          save: pending.length ? 'waiting' : 'saved',
        })
        show(record)
        if (pending.length) schedule(0)
      } catch (e) {
        set({ error: (e as Error).message })
      }
    },

    edit(label, recipe) {
      const { record } = get()
      if (!record) return
      const ops = diffOps(record, produce(record, recipe))
      if (!ops.length) return
      set({ undo: [...get().undo.slice(-199), { label, ops }], redo: [] })
      apply(ops)
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
    undoLast() {
      const change = get().undo.at(-1)
      if (!change) return
      set({ undo: get().undo.slice(0, -1) })
      if (apply(invertOps(change.ops))) set({ redo: [...get().redo, change] })
    },
    redoLast() {
      const change = get().redo.at(-1)
      if (!change) return
      set({ redo: get().redo.slice(0, -1) })
      if (apply(change.ops)) set({ undo: [...get().undo, change] })
    },
    chooseSaber: (saberId) => set({ saberId, lit: undefined, preview: undefined }),
    light: (ref) => set({ lit: ref && partsOfRef(ref) ? (ref as Ref) : undefined }),
    consider: (preview) => set({ preview }),
    showCut: (cutting) => set({ cutting }),

    flush() {
      running ??= send().finally(() => {
        running = undefined
      })
      return running
    },

    async settleConflict(how) {
      const { id, pending } = get()
      if (!id) return
      const saved = await call('commission', { params: { id } })
      set({
        base: saved.record,
        revision: saved.revision,
        savedAt: saved.savedAt,
        savedBy: saved.savedBy,
        undo: [],
        redo: [],
        conflict: undefined,
      })
      const mine = how === 'mine' ? applyOps(saved.record, pending) : undefined
      if (mine && !mine.ok) {
        set({
          save: 'conflict',
          conflict: {
            by: saved.savedBy,
            paths: ['Your change no longer fits theirs; take theirs and enter it again.'],
            revision: saved.revision,
          },
        })
        return
      }
      show(mine ? mine.value : saved.record)
      set({ pending: mine ? pending : [], save: mine ? 'waiting' : 'saved', problems: [] })
      keep()
      if (mine) await get().flush()
    },
  }

  /** Sends what is queued. What others changed meanwhile comes back and is put beneath what is still queued. */
  async function send(): Promise<void> {
    const { id, base, pending, revision, save } = get()
    if (!id || !base || !pending.length || save === 'conflict') return
    set({ save: 'saving' })
    try {
      const r = await call('change', { params: { id }, body: { base: revision, ops: pending } })
      if (get().id !== id) return
      const rest = get().pending.slice(pending.length)
      const theirs = applyOps(base, r.since)
      const mine = theirs.ok ? applyOps(theirs.value, pending) : theirs
      set({
        revision: r.revision,
        savedAt: r.savedAt,
        savedBy: r.savedBy,
        pending: rest,
        save: rest.length ? 'waiting' : 'saved',
        ...(mine.ok ? { base: mine.value } : {}),
      })
      keep()
      if (r.since.length) {
        // What they and we did may not commute to the letter; the server's record is the one that counts.
        const whole = await call('commission', { params: { id } })
        const shown = applyOps(whole.record, get().pending)
        set({ base: whole.record, revision: whole.revision })
        show(shown.ok ? shown.value : whole.record)
      }
      if (rest.length) schedule(50)
    } catch (e) {
      refused(e as ApiError)
    }
  }

  function refused(err: ApiError) {
    if (err.status === 409) {
      const changes = (err.body.changes ?? []) as { by: string; paths: string[] }[]
      const clashes = (err.body.clashes ?? []) as string[]
      set({
        save: 'conflict',
        conflict: {
          by: [...new Set(changes.map((c) => c.by))].join(' and ') || 'Someone',
          paths: clashes.length ? clashes : [...new Set(changes.flatMap((c) => c.paths))].slice(0, 8),
          revision: Number(err.body.revision),
        },
      })
    } else if (err.status === 422) set({ save: 'refused', problems: err.problems })
    else {
      set({ save: 'offline' })
      schedule(2500)
    }
  }
})

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

type Lists = 'parts' | 'blades' | 'zones' | 'presets' | 'inputs' | 'controls' | 'tests' | 'fixes' | 'beats'
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

type OrderLists = 'requests' | 'arrivals' | 'questions' | 'credits' | 'packing' | 'log' | 'media'
/** The same for the lists of the order. */
export function useEditEntry<L extends OrderLists>(list: L) {
  const edit = useEdit()
  return (label: string, id: string, run: (x: Commission[L][number]) => void) =>
    edit(label, (d) => {
      const x = (d[list] as Commission[L][number][]).find((y) => y.id === id)
      if (x) run(x)
    })
}
