import type { Finding, Station } from '@nubrin/core/judge'
import {
  type Commission,
  findThing,
  type Kind,
  nameOfThing,
  partsOfRef,
  type Ref,
  readerOf,
  type Saber,
  withoutThing,
} from '@nubrin/core/record'
import { diffOps } from '@nubrin/core/record/ops'
import type { Reader } from '@nubrin/core/units'
import { produce } from 'immer'
import { useEffect } from 'react'
import { create } from 'zustand'
import { type Bench, type BenchState, EMPTY } from './bench-state'
import { Sync } from './sync'

export type { BenchState } from './bench-state'

type Editing = Pick<BenchState, 'edit' | 'editSaber' | 'remove' | 'answerRemoval'>
/** What changes the record: one edit, one saber of it, one thing less. */
const editing = ({ get, set }: Bench, sync: Sync): Editing => ({
  edit(label, recipe) {
    const { record } = get()
    if (record) sync.edit(label, diffOps(record, produce(record, recipe)))
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
    const removing = { ...withoutThing(record, target), target: thing }
    set({ removing })
    if (!removing.goes.length && !removing.letsGo.length) get().answerRemoval(true)
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
})

type Looking = Pick<
  BenchState,
  'chooseSaber' | 'light' | 'seek' | 'consider' | 'layApart' | 'showCut' | 'setPlaying' | 'sayOfJoint'
>
/** What is looked at, and how; the record knows nothing of it. */
const looking = ({ set }: Bench): Looking => ({
  chooseSaber: (saberId) => set({ saberId, lit: undefined, preview: undefined, apart: undefined }),
  light: (ref) => set({ lit: ref && partsOfRef(ref) ? (ref as Ref) : undefined }),
  consider: (preview) => set({ preview }),
  layApart: (apart) => set({ apart }),
  showCut: (cutting) => set({ cutting }),
  setPlaying: (playing) => set({ playing }),
  seek: (sought) => set({ sought }),
  sayOfJoint: (saidOfJoint) => set({ saidOfJoint }),
})

/** One commission on the bench: its record, what is not saved yet, and what the checks say of it. */
export const useBench = create<BenchState>()((set, get) => {
  const bench = { set, get }
  const sync = new Sync(bench)
  return {
    ...EMPTY,
    ...{ id: undefined, saberId: '', cutting: false, playing: false, saidOfJoint: undefined, sought: undefined },
    ...editing(bench, sync),
    ...looking(bench),
    open: (id) => sync.open(id),
    undoLast: () => sync.undo(),
    redoLast: () => sync.redo(),
    flush: () => sync.flush(),
    hear: () => sync.hear(),
    settle: (conflict, whose) => sync.settle(conflict, whose),
    takeBack: () => sync.takeBack(),
  }
})

/** The saber on the bench; stations are only shown once there is one. */
export const useSaber = (): Saber =>
  useBench((b) => b.record!.sabers.find((s) => s.id === b.saberId) ?? b.record!.sabers[0]!)
export const useOrder = (): Commission => useBench((b) => b.record!)
/** The client of the order on the bench, as who is spoken to. */
export const useClient = (): Reader => readerOf(useOrder())
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

/** Where one is led to a thing of this kind, its view is opened; once. */
export function useSought(kind: Kind, open: (id: string) => void) {
  const sought = useBench((b) => b.sought)
  const seek = useBench((b) => b.seek)
  useEffect(() => {
    const at = sought && partsOfRef(sought)
    if (at?.kind !== kind) return
    open(at.id)
    seek(undefined)
  }, [sought])
}

type Lists =
  | (
      | 'parts'
      | 'blades'
      | 'zones'
      | 'fonts'
      | 'presets'
      | 'cards'
      | 'inputs'
      | 'modes'
      | 'controls'
      | 'tests'
      | 'repairs'
      | 'beats'
    )
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
