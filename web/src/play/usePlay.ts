import {
  type Board,
  type BoardState,
  compile,
  doingOf,
  eventsFor,
  type HandEvent,
  type Happening,
  isMuted,
  isOf,
  type Motion,
  modeName,
  type Pose,
  rowOfMap,
  shines,
  startOf,
  stateIn,
  step,
  USUAL_STEPS,
} from '@nubrin/core/controls'
import { known } from '@nubrin/core/facts'
import { type Assembly, type Body, machineOf, powered, type State } from '@nubrin/core/machine'
import { type ControlRow, type EVENTS, keyWords, nameOf, type Saber } from '@nubrin/core/record'
import { MAKER, type Reader } from '@nubrin/core/units'
import { say, whether } from '@nubrin/core/words'
import { create } from 'zustand'
import { Lights } from './lights'
import type { Sounds } from './sound'

/** One line of what came of a hand. */
export interface Line {
  n: number
  t: number
  what: 'did' | 'waits' | 'beep' | 'went' | 'nothing' | 'cue' | 'dead'
  text: string
}
const MOST_LINES = 40
/** The sound that a doing makes. */
const EVENT_OF: Partial<Record<ControlRow['does'], (typeof EVENTS)[number]>> = {
  ...{ ignite: 'ignite', retract: 'retract', lock: 'lock', drag: 'drag', melt: 'melt', deflect: 'deflect' },
  ...{ surge: 'surge', quote: 'quote', track: 'track', wake: 'boot', powerOn: 'boot' },
}

interface Play {
  /** Whom it speaks to. */
  reader: Reader
  saber: Saber | undefined
  board: Board | undefined
  state: BoardState | undefined
  /** What is out of it, and whether the power is cut. */
  machine: State | undefined
  assembly: Assembly | undefined
  lines: Line[]
  /** What came last, for whoever watches a try. */
  last: { n: number; happened: Happening[] }
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
}

let lights: Lights | undefined
let sounds: Sounds | undefined
let mediaUrl: (hash: string) => string = () => ''
let began = 0
let queue: HandEvent[] = []
let lineNo = 0
const now = () => performance.now() / 1000 - began

/** How the blade shines at this moment; nothing while none is in hand. */
export const lookNow = () => {
  const { state, saber, assembly, machine } = usePlay.getState()
  if (!lights || !state || !saber) return undefined
  const t = now()
  const look = lights.look(state, t)
  const awake =
    !!assembly && !!machine && powered(assembly, machine) && !state.cut && isOf(saber, state.mode) !== 'asleep'
  // Who wants less motion sees a blade that is lit or not, in the colour of what goes on.
  if (matchMedia('(prefers-reduced-motion: reduce)').matches) {
    const held = look.effects.findLast((e) => e.held)
    return {
      look: { colour: held?.colour ?? look.colour, extended: look.extended > 0.5 ? 1 : 0, effects: [] },
      ...{ t, awake, moving: false },
    }
  }
  return { look, t, awake, moving: lights.moving(state, t) }
}

/** One saber in hand: its board, its light and its sound, run by the clock. Knows nothing of the store that edits. */
export const usePlay = create<Play>()((set, get) => {
  const isPowered = () => {
    const { assembly, machine } = get()
    return !!assembly && !!machine && powered(assembly, machine)
  }
  /** Takes in what came of an event: lines, light, sound. */
  const follow = (state: BoardState, happened: Happening[]) => {
    const before = get()
    const { board, saber } = before
    if (!board || !saber) return
    const live = isPowered()
    lights?.follow(state, happened, live)
    const preset = saber.presets[state.preset]
    if (sounds && live) {
      for (const h of happened) {
        const does = h.what === 'did' || h.what === 'began' ? rowOfMap(saber, h.row)?.does : undefined
        const event = does && EVENT_OF[does]
        if (event && !isMuted(board, state)) void sounds.play(event, preset)
        if (h.what === 'beep' || h.what === 'chose') void sounds.play('beep', undefined)
      }
      sounds.setHum(shines(saber, state.mode) && !isMuted(board, state))
      sounds.setVolume(state.volume / Math.max(1, known(saber.settings.volumeSteps) ?? USUAL_STEPS))
    }
    const lines = happened.flatMap((h) => linesOf(before.reader, saber, h))
    set({
      state,
      ...(lines.length ? { lines: [...lines.toReversed(), ...before.lines].slice(0, MOST_LINES) } : {}),
      ...(happened.length ? { last: { n: before.last.n + 1, happened } } : {}),
    })
  }
  const hand = (e: HandEvent) => {
    const { board, state } = get()
    if (!board || !state) return
    if (!isPowered() && e.do !== 'pose' && e.do !== 'wait') {
      if (e.do === 'press' || e.do === 'move') set({ lines: [dead(), ...get().lines].slice(0, MOST_LINES) })
      return
    }
    const r = step(board, state, e)
    follow(r.state, r.happened)
    // The board knows no swings and strikes of a lit blade: they sound and flash by themselves.
    if (e.do === 'move' && lights && shines(board.map, r.state.mode)) {
      const preset = get().saber?.presets[r.state.preset]
      if (e.motion === 'strike') {
        lights.show(r.state, 'clash', r.state.t)
        if (!isMuted(board, r.state)) void sounds?.play('clash', preset)
      } else if (e.motion === 'swing' && !isMuted(board, r.state)) void sounds?.play('swing', preset)
    }
  }
  const dead = (): Line => {
    const { reader, saber, machine, assembly } = get()
    const out = machine?.off.find((b) => assembly?.joints[b]?.cell || assembly?.joints[b]?.contact)
    const name = (saber && out && nameOf(saber, out)) || ''
    return {
      ...{ n: lineNo++, t: now(), what: 'dead' },
      text: say(reader, 'play.dead', { out: name, named: whether(name), cut: whether(machine?.cut) }),
    }
  }
  return {
    reader: MAKER,
    saber: undefined,
    board: undefined,
    state: undefined,
    machine: undefined,
    assembly: undefined,
    lines: [],
    last: { n: 0, happened: [] },
    sound: false,
    take(reader, saber, urlOf) {
      const before = get()
      if (before.saber === saber) return
      const board = compile(saber)
      const { assembly, rest } = machineOf(saber)
      const same = before.saber?.id === saber.id && before.state && saber.modes.some((m) => m.id === before.state!.mode)
      if (!same) {
        began = performance.now() / 1000
        queue = []
        sounds?.close()
        sounds = undefined
        mediaUrl = urlOf
        if (before.sound) get().setSound(true)
      }
      // It is played as it is shown: with power, its blades in and its plugs out.
      const blades = saber.blades.filter((b) => b.kind !== 'inHilt')
      const inPlace = new Set(blades.filter((b) => b.kind !== 'plug').map((b) => b.socket))
      const plugs = blades
        .filter((b) => b.kind === 'plug' && inPlace.has(b.socket))
        .map((b) => `blade:${b.id}` as const)
      const shown = new Set<string>()
      const others = blades.flatMap((b) => {
        if (b.kind === 'plug') return []
        if (!shown.has(b.socket)) {
          shown.add(b.socket)
          return []
        }
        return [`blade:${b.id}` as const]
      })
      const spare = rest.off.filter((b) => !b.startsWith('blade:'))
      lights = new Lights(board)
      const state = same
        ? stateIn(
            board,
            before.state!,
            before.state!.mode,
            Math.min(before.state!.preset, Math.max(0, saber.presets.length - 1)),
          )
        : startOf(board)
      set({
        ...{ reader, saber, board, assembly, state },
        machine:
          same && before.machine
            ? before.machine
            : { ...rest, screws: {}, cut: false, off: [...spare, ...plugs, ...others] },
        ...(same ? {} : { lines: [], last: { n: 0, happened: [] } }),
      })
      lights.follow(state, [], isPowered())
    },
    lay() {
      sounds?.close()
      sounds = undefined
      lights = undefined
      queue = []
      set({ saber: undefined, board: undefined, state: undefined, machine: undefined, assembly: undefined, lines: [] })
    },
    press: (input) => hand({ t: now(), do: 'press', input }),
    release: (input) => hand({ t: now(), do: 'release', input }),
    move: (motion, input) => hand({ t: now(), do: 'move', motion, ...(input ? { input } : {}) }),
    turn: (steps) => hand({ t: now(), do: 'turn', steps }),
    pose: (pose) => hand({ t: now(), do: 'pose', pose }),
    show(row) {
      const { board, saber, state } = get()
      if (!board || !state) return
      const events = eventsFor(board, row, now() + 0.05, {}, saber?.presets[state.preset]?.id)
      queue = [...queue, ...events]
    },
    bringTo(mode) {
      const { board, state } = get()
      if (!board || !state || state.mode === mode) return
      follow(stateIn(board, { ...state, t: Math.max(state.t, now()) }, mode), [])
    },
    toPreset(n) {
      const { board, state, saber } = get()
      if (!board || !state || !saber?.presets[n]) return
      follow(stateIn(board, { ...state, t: Math.max(state.t, now()) }, state.mode, n), [])
    },
    toggle(body) {
      const { machine, board, assembly } = get()
      if (!machine || !board || !assembly) return
      const next = body === 'cut' ? { ...machine, cut: !machine.cut } : moved(assembly, machine, body)
      const was = isPowered()
      set({ machine: next })
      const live = isPowered()
      const state = get().state!
      // Without current a board forgets all but its preset.
      if (was !== live)
        follow(
          { ...startOf(board), t: Math.max(state.t, now()), idle: now(), preset: state.preset, pose: state.pose },
          [],
        )
    },
    setSound(on) {
      set({ sound: on })
      if (!on) {
        sounds?.close()
        sounds = undefined
      } else if (!sounds)
        // What makes sound comes with the first wish for it.
        void import('./sound').then((m) => {
          if (get().sound && get().saber) sounds ??= new m.Sounds(mediaUrl)
        })
    },
    tick() {
      const { board, state } = get()
      if (!board || !state) return
      const t = now()
      const due = queue.filter((e) => e.t <= t)
      if (due.length) {
        queue = queue.filter((e) => e.t > t)
        for (const e of due) hand(e)
        return
      }
      if (!isPowered()) return
      const r = step(board, state, { t, do: 'wait' })
      if (r.happened.length) follow(r.state, r.happened)
    },
  }
})

/** A body taken out, or put back: one at a time in a socket, so that what was in it comes out. */
function moved(a: Assembly, st: State, body: Body): State {
  if (!st.off.includes(body)) return { ...st, off: [...st.off, body] }
  const place = a.joints[body]?.place
  const others = Object.values(a.joints).flatMap((j) =>
    place && j.place === place && j.body !== body && !st.off.includes(j.body) ? [j.body] : [],
  )
  return { ...st, off: [...st.off.filter((b) => b !== body), ...others] }
}

/** How a happening reads in the list of what came of a hand. */
function linesOf(reader: Reader, saber: Saber, h: Happening): Line[] {
  const line = (what: Line['what'], text: string): Line => ({ n: lineNo++, t: h.t, what, text })
  switch (h.what) {
    case 'did':
    case 'began': {
      const row = rowOfMap(saber, h.row)
      if (!row) return []
      const cues = (row.cues ?? []).filter((c) => c.at !== 'step')
      return [
        line('did', say(reader, 'play.did', { what: doingOf(reader, row), lasts: whether(h.what === 'began') })),
        ...cues.map((c) =>
          line('cue', say(reader, 'control.cue', { at: c.at, as: c.as, says: c.says ?? '', said: whether(c.says) })),
        ),
      ]
    }
    case 'ended': {
      const row = rowOfMap(saber, h.row)
      return row ? [line('did', say(reader, 'play.ended', { what: doingOf(reader, row) }))] : []
    }
    case 'waits':
      return [line('waits', say(reader, 'play.waits', { ms: h.ms, times: say(reader, 'times', { n: h.times }) }))]
    case 'beep':
      return [line('beep', say(reader, 'play.beep', { n: h.n }))]
    case 'went':
      return [line('went', say(reader, 'play.went', { to: modeName(saber, h.to) }))]
    case 'nothing':
      return [
        line(
          'nothing',
          say(reader, 'play.nothing', {
            made: keyWords(h.made.motion ?? h.made.sort),
            times: say(reader, 'times', { n: h.made.times }),
          }),
        ),
      ]
    case 'chose':
      return [line('cue', say(reader, 'play.chose', { n: h.choice }))]
  }
}
