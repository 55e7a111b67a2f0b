import { type Finding, judgeCommission, type Station } from '@nubrin/core/findings'
import type { Commission, Problem, Saber } from '@nubrin/core/record'
import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer'
import { create } from 'zustand'
import { type ApiError, api, type Saved, todayIso } from '../api'

enablePatches()

interface Change {
  label: string
  patches: Patch[]
  inverse: Patch[]
}

export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'conflict' | 'refused'

interface Bench {
  id: string | undefined
  record: Commission | undefined
  revision: number
  save: SaveState
  savedAt: string
  savedBy: string
  saberId: string
  /** The thing lit on the drawing. */
  lit: string | undefined
  /** A saber shown on the drawing in place of the recorded one while something is only being considered. */
  preview: { saber: Saber; label: string } | undefined
  /** Whether the cut across the hilt is shown, with its mark on the drawing. */
  cutting: boolean
  findings: Finding[]
  undo: Change[]
  redo: Change[]
  pending: Patch[]
  problems: Problem[]
  conflict: { by: string; paths: string[]; revision: number } | undefined
  error: string | undefined
  open: (id: string) => Promise<void>
  edit: (label: string, recipe: (draft: Commission) => void) => void
  editSaber: (label: string, recipe: (draft: Saber, order: Commission) => void) => void
  undoLast: () => void
  redoLast: () => void
  chooseSaber: (id: string) => void
  light: (ref: string | undefined) => void
  consider: (preview: Bench['preview']) => void
  showCut: (on: boolean) => void
  flush: () => Promise<void>
  settleConflict: (how: 'mine' | 'theirs') => Promise<void>
}

const pointer = (path: (string | number)[]) =>
  path.map((p) => `/${String(p).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('')
const toOps = (patches: Patch[]) =>
  patches.map((p) =>
    p.op === 'remove' ? { op: p.op, path: pointer(p.path) } : { op: p.op, path: pointer(p.path), value: p.value },
  )
const shelf = (id: string) => `nubrin:unsaved:${id}`

let timer: ReturnType<typeof setTimeout> | undefined
let running: Promise<void> | undefined

/** One commission on the bench: its record, what is not saved yet, and what the checks say of it. */
export const useBench = create<Bench>()((set, get) => {
  const judge = (record: Commission) => judgeCommission(record, todayIso())
  /** Work not yet acknowledged is kept in the browser too, so that a lost connection or a closed tab loses nothing. */
  const keep = () => {
    const { id, pending, revision } = get()
    if (!id) return
    if (pending.length) localStorage.setItem(shelf(id), JSON.stringify({ base: revision, pending }))
    else localStorage.removeItem(shelf(id))
  }
  const schedule = (ms: number) => {
    clearTimeout(timer)
    timer = setTimeout(() => void get().flush(), ms)
  }
  const apply = (patches: Patch[]) => {
    const record = applyPatches(get().record!, patches)
    set({
      record,
      findings: judge(record),
      pending: [...get().pending, ...patches],
      save: get().save === 'conflict' ? 'conflict' : 'waiting',
      problems: [],
    })
    keep()
    schedule(300)
  }

  return {
    id: undefined,
    record: undefined,
    revision: 0,
    save: 'saved',
    savedAt: '',
    savedBy: '',
    saberId: '',
    lit: undefined,
    preview: undefined,
    cutting: false,
    findings: [],
    undo: [],
    redo: [],
    pending: [],
    problems: [],
    conflict: undefined,
    error: undefined,

    async open(id) {
      if (get().id !== id)
        set({
          id,
          record: undefined,
          undo: [],
          redo: [],
          pending: [],
          conflict: undefined,
          lit: undefined,
          preview: undefined,
          error: undefined,
          problems: [],
          save: 'saved',
        })
      try {
        const saved = await api<Saved>('GET', `/commissions/${id}`)
        let record = saved.record
        let pending: Patch[] = []
        const kept = localStorage.getItem(shelf(id))
        if (kept) {
          try {
            pending = (JSON.parse(kept) as { pending: Patch[] }).pending
            record = applyPatches(record, pending)
          } catch {
            pending = []
          }
        }
        set({
          id,
          record,
          revision: saved.revision,
          savedAt: saved.savedAt,
          savedBy: saved.savedBy,
          saberId: record.sabers.find((s) => s.id === get().saberId)?.id ?? record.sabers[0]!.id,
          findings: judge(record),
          pending,
          save: pending.length ? 'waiting' : 'saved',
        })
        if (pending.length) schedule(0)
      } catch (e) {
        set({ error: (e as Error).message })
      }
    },

    edit(label, recipe) {
      const { record } = get()
      if (!record) return
      const [, patches, inverse] = produceWithPatches(record, recipe)
      if (!patches.length) return
      set({ undo: [...get().undo.slice(-199), { label, patches, inverse }], redo: [] })
      apply(patches)
    },
    editSaber(label, recipe) {
      const { saberId } = get()
      get().edit(label, (d) => {
        const s = d.sabers.find((x) => x.id === saberId)
        if (s) recipe(s, d)
      })
    },
    undoLast() {
      const change = get().undo.at(-1)
      if (!change) return
      set({ undo: get().undo.slice(0, -1), redo: [...get().redo, change] })
      apply(change.inverse)
    },
    redoLast() {
      const change = get().redo.at(-1)
      if (!change) return
      set({ redo: get().redo.slice(0, -1), undo: [...get().undo, change] })
      apply(change.patches)
    },
    chooseSaber: (saberId) => set({ saberId, lit: undefined, preview: undefined }),
    light: (lit) => set({ lit }),
    consider: (preview) => set({ preview }),
    showCut: (cutting) => set({ cutting }),

    flush() {
      running ??= (async () => {
        const { id, pending, revision, save } = get()
        if (!id || !pending.length || save === 'conflict') return
        set({ save: 'saving' })
        try {
          const r = await api<Omit<Saved, 'record'>>('PATCH', `/commissions/${id}`, {
            base: revision,
            ops: toOps(pending),
          })
          if (get().id !== id) return
          const rest = get().pending.slice(pending.length)
          set({
            revision: r.revision,
            savedAt: r.savedAt,
            savedBy: r.savedBy,
            pending: rest,
            save: rest.length ? 'waiting' : 'saved',
          })
          keep()
          if (rest.length) schedule(50)
        } catch (e) {
          const err = e as ApiError
          if (err.status === 409) {
            const changes = (err.body.changes ?? []) as { by: string; paths: string[] }[]
            set({
              save: 'conflict',
              conflict: {
                by: [...new Set(changes.map((c) => c.by))].join(' and ') || 'Someone',
                paths: [...new Set(changes.flatMap((c) => c.paths))].slice(0, 8),
                revision: Number(err.body.revision),
              },
            })
          } else if (err.status === 422) set({ save: 'refused', problems: err.problems })
          else {
            set({ save: 'offline' })
            schedule(2500)
          }
        }
      })().finally(() => {
        running = undefined
      })
      return running
    },

    async settleConflict(how) {
      const { id, pending } = get()
      if (!id) return
      const saved = await api<Saved>('GET', `/commissions/${id}`)
      set({
        undo: [],
        redo: [],
        conflict: undefined,
        revision: saved.revision,
        savedAt: saved.savedAt,
        savedBy: saved.savedBy,
      })
      if (how === 'theirs') {
        set({ record: saved.record, findings: judge(saved.record), pending: [], save: 'saved', problems: [] })
        keep()
        return
      }
      try {
        const record = applyPatches(saved.record, pending)
        set({ record, findings: judge(record), save: 'waiting', problems: [] })
        await get().flush()
      } catch {
        set({
          save: 'conflict',
          conflict: {
            by: saved.savedBy,
            paths: ['Your change no longer fits theirs; take theirs and enter it again.'],
            revision: saved.revision,
          },
        })
      }
    },
  }
})

/** The saber on the bench; stations are only shown once there is one. */
export const useSaber = (): Saber =>
  useBench((b) => b.record!.sabers.find((s) => s.id === b.saberId) ?? b.record!.sabers[0]!)
export const useOrder = (): Commission => useBench((b) => b.record!)
export const useEdit = () => useBench((b) => b.edit)
export const useEditSaber = () => useBench((b) => b.editSaber)
export const useLight = () => useBench((b) => b.light)
/** Findings of one station for the saber on the bench and the order as a whole. */
export const useStationFindings = (station: Station): Finding[] => {
  const all = useBench((b) => b.findings)
  const saberId = useBench((b) => b.saberId)
  return all.filter((f) => f.station === station && (!f.saber || f.saber === saberId))
}
export type { ApiError }
