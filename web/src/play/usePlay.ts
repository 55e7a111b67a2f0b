import {
  type BoardEvent,
  type BoardState,
  type ControlProgram,
  compile,
  deadLine,
  eventsFor,
  type HandEvent,
  isOf,
  type Motion,
  type Played,
  type Pose,
  playedLines,
  startOf,
  stateIn,
  step,
} from '@nubrin/core/controls'
import { type Assembly, asShown, type Body, machineOf, outOrBack, powered, type State } from '@nubrin/core/machine'
import { type ControlRow, nameOf, type Saber } from '@nubrin/core/record'
import { MAKER, type Reader } from '@nubrin/core/units'
import { create, type StoreApi } from 'zustand'
import { Hand } from './hand'

/** One line of what came of a hand, numbered as they come. */
interface Line extends Played {
  n: number
  t: number
}
const MOST_LINES = 40

interface Play {
  /** Whom it speaks to. */
  reader: Reader
  saber: Saber | undefined
  board: ControlProgram | undefined
  state: BoardState | undefined
  /** What is out of it, and whether the power is cut. */
  machine: State | undefined
  assembly: Assembly | undefined
  lines: Line[]
  /** What came last, for whoever watches a try. */
  last: { n: number; happened: BoardEvent[] }
  sound: boolean
  /** Takes a saber in hand; the same one again keeps what it was in. */
  take: (reader: Reader, saber: Saber, urlOf: (hash: string) => string) => void
  lay: () => void
  press: (input: string) => void
  release: (input: string) => void
  move: (motion: Motion, input?: string) => void
  turn: (steps: number) => void
  pose: (pose: Pose) => void
  /** Makes the gesture of a row, as a hand would. */
  show: (row: ControlRow) => void
  /** Puts the board into a mode, to begin a try there. */
  bringTo: (mode: string) => void
  /** Brings another preset up, as if it had been gone through. */
  toPreset: (n: number) => void
  /** Takes a thing out of the saber, or puts it back; the cut-off is cut or not. */
  toggle: (body: Body | 'cut') => void
  setSound: (on: boolean) => void
  /** Runs on to now; called for every frame while it is in play. */
  tick: () => void
  /** How the blade shines at this moment; nothing while none is in hand. */
  look: () => ReturnType<Hand['look']>
}

type Get = StoreApi<Play>['getState']
type Set = StoreApi<Play>['setState']

/** What is out of it is named; else the power is cut. */
function deadOf({ reader, saber, machine, assembly }: Play): Played {
  const out = machine?.off.find((b) => assembly?.joints[b]?.cell || assembly?.joints[b]?.contact)
  return deadLine(reader, saber && out && nameOf(saber, out), machine?.cut === true)
}

const isPowered = ({ assembly, machine }: Play): boolean => !!assembly && !!machine && powered(assembly, machine)

/** The board run by what hands do and by the clock: its state, what is read of it, its light and its sound. */
function running(hand: Hand, get: Get, set: Set) {
  const write = (t: number, ...played: Played[]) => {
    const { lines } = get()
    const n = (lines[0]?.n ?? -1) + 1
    const fresh = played.map((p, i): Line => ({ ...p, n: n + i, t })).toReversed()
    if (fresh.length) set({ lines: [...fresh, ...lines].slice(0, MOST_LINES) })
  }
  /** Takes in what came of an event. */
  const follow = (state: BoardState, happened: BoardEvent[]) => {
    const { reader, board, saber, last } = get()
    if (!board || !saber) return
    hand.follow(saber, board, state, happened, isPowered(get()))
    set({ state, ...(happened.length ? { last: { n: last.n + 1, happened } } : {}) })
    for (const h of happened) write(h.t, ...playedLines(reader, saber, h))
  }
  const does = (e: HandEvent) => {
    const { board, state, saber } = get()
    if (!board || !state) return
    if (!isPowered(get()) && e.do !== 'pose' && e.do !== 'wait') {
      if (e.do === 'press' || e.do === 'move') write(hand.now(), deadOf(get()))
      return
    }
    const r = step(board, state, e)
    follow(r.state, r.happened)
    if (e.do === 'move') hand.moved(saber, board, r.state, e.motion)
  }
  return { follow, does }
}

/** Puts the board into a mode or a preset at once, as if it had been gone there. */
const setting = (hand: Hand, get: Get, { follow }: ReturnType<typeof running>) => ({
  bringTo(mode: string) {
    const { board, state } = get()
    if (!board || !state || state.mode === mode) return
    follow(stateIn(board, { ...state, t: Math.max(state.t, hand.now()) }, mode), [])
  },
  toPreset(n: number) {
    const { board, state, saber } = get()
    if (!board || !state || !saber?.presets[n]) return
    follow(stateIn(board, { ...state, t: Math.max(state.t, hand.now()) }, state.mode, n), [])
  },
})

/** Takes a saber in hand and lays it down again; the same one again keeps what it was in. */
const holding = (hand: Hand, get: Get, set: Set): Pick<Play, 'take' | 'lay' | 'setSound'> => ({
  take(reader, saber, urlOf) {
    const before = get()
    if (before.saber === saber) return
    const board = compile(saber)
    const { assembly, rest } = machineOf(saber)
    const was = before.saber?.id === saber.id ? before.state : undefined
    const kept = was && saber.modes.some((m) => m.id === was.mode) ? was : undefined
    if (!kept) {
      hand.begin(urlOf)
      if (before.sound) get().setSound(true)
    }
    const preset = Math.min(kept?.preset ?? 0, Math.max(0, saber.presets.length - 1))
    const state = kept ? stateIn(board, kept, kept.mode, preset) : startOf(board)
    set({
      ...{ reader, saber, board, assembly, state },
      machine: kept && before.machine ? before.machine : asShown(saber, rest),
      ...(kept ? {} : { lines: [], last: { n: 0, happened: [] } }),
    })
    hand.light(board, saber).follow(state, [], isPowered(get()))
  },
  lay() {
    hand.lay()
    set({ saber: undefined, board: undefined, state: undefined, machine: undefined, assembly: undefined, lines: [] })
  },
  setSound(sound) {
    set({ sound })
    if (sound) void hand.sound(() => get().sound && get().saber !== undefined)
    else hand.hush()
  },
})

/** One saber in hand: its board, its light and its sound, run by the clock. Knows nothing of the store that edits. */
export const usePlay = create<Play>()((set, get) => {
  const hand = new Hand()
  const { now } = hand
  const run = running(hand, get, set)
  const { does, follow } = run
  return {
    ...{ reader: MAKER, saber: undefined, board: undefined, state: undefined, machine: undefined },
    ...{ assembly: undefined, lines: [], last: { n: 0, happened: [] }, sound: false },
    ...holding(hand, get, set),
    ...setting(hand, get, run),
    press: (input) => does({ t: now(), do: 'press', input }),
    release: (input) => does({ t: now(), do: 'release', input }),
    move: (motion, input) => does({ t: now(), do: 'move', motion, ...(input ? { input } : {}) }),
    turn: (steps) => does({ t: now(), do: 'turn', steps }),
    pose: (pose) => does({ t: now(), do: 'pose', pose }),
    show(row) {
      const { board, saber, state } = get()
      if (board && state) hand.plan(eventsFor(board, row, now() + 0.05, {}, saber?.presets[state.preset]?.id))
    },
    toggle(body) {
      const { machine, board, assembly, state } = get()
      if (!machine || !board || !assembly || !state) return
      const was = isPowered(get())
      set({ machine: body === 'cut' ? { ...machine, cut: !machine.cut } : outOrBack(assembly, machine, body) })
      if (was === isPowered(get())) return
      // Without current a board forgets all but its preset.
      const { preset, pose } = state
      follow({ ...startOf(board), t: Math.max(state.t, now()), idle: now(), preset, pose }, [])
    },
    look() {
      const { state, saber, assembly, machine } = get()
      if (!state || !saber) return undefined
      const on = !!assembly && !!machine && powered(assembly, machine) && !state.cut
      return hand.look(state, on && isOf(saber, state.mode) !== 'asleep')
    },
    tick() {
      const { board, state } = get()
      if (!board || !state) return
      const t = now()
      const due = hand.due(t)
      for (const e of due) does(e)
      if (due.length || !isPowered(get())) return
      const r = step(board, state, { t, do: 'wait' })
      if (r.happened.length) follow(r.state, r.happened)
    },
  }
})
