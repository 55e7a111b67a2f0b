import { known } from '../facts'
import { type ControlRow, tracksOf } from '../record'
import { type Context, type ControlProgram, type Motion, type Pattern, type Pose, type Sort, tapKey } from './compile'
import { after, isOf, modeById, startsOf, timeOutOf } from './modes'

/** A button that is held down. */
interface Held {
  input: string
  since: number
  /** Taps of it that went before and count with it. */
  taps: number
  begun: Begun
  /** Nothing more comes of it: it was part of something else, or has led to another mode. */
  spent: boolean
  /** Holds up to this long have been carried out. */
  done: number
  beeps: number
  lasting?: string
  /** Taps of another while it is held, as long as they may become more: when the first came, and the last. */
  under?: { other: string; n: number; first: number; at: number }
}
/** Where a gesture began: what it means is settled there. */
interface Begun {
  mode: string
  pose: Pose
  preset: number
}

/** The board in use, as plain data. Times in seconds from its start. */
export interface BoardState {
  t: number
  mode: string
  pose: Pose
  /** The preset before one, by its place in the list. */
  preset: number
  /** Steps of volume above silence, and of colour from what the preset has. */
  volume: number
  colour: number
  /** The track that plays. */
  track?: number
  /** What stands to be chosen in a menu. */
  choice: number
  /** Power was cut by hand. */
  cut: boolean
  held: Held[]
  /** Two buttons that were pressed together. */
  chord?: { inputs: [string, string]; since: number; begun: Begun; done: number; lasting?: string }
  /** Taps that may still become more. */
  taps?: { key: string; input: string; motion?: Motion; n: number; at: number; begun: Begun }
  /** The row whose effect goes on. */
  lasting?: string
  /** When a hand last did something, and how many modes ended by themselves since. */
  idle: number
  alone: number
}

/** What a hand does, and when. Times never go back. */
export type HandEvent =
  | { t: number; do: 'press'; input: string }
  | { t: number; do: 'release'; input: string }
  | { t: number; do: 'move'; motion: Motion; input?: string }
  | { t: number; do: 'turn'; steps: number }
  | { t: number; do: 'pose'; pose: Pose }
  | { t: number; do: 'wait' }

/** A gesture as the board has read it. */
export interface Made {
  sort: Sort
  input: string
  other?: string
  motion?: Motion
  times: number
  /** How long it was held, s. */
  held?: number
  mode: string
  pose: Pose
  preset: number
}

/** What came of it, in the order of time. */
export type BoardEvent =
  /** `held`: how long it was held until then, s, where it is a hold. */
  | { t: number; what: 'did' | 'began'; row: string; held?: number }
  | { t: number; what: 'ended'; row: string }
  | { t: number; what: 'waits'; input: string; ms: number; times: number }
  | { t: number; what: 'beep'; input: string; n: number }
  | { t: number; what: 'went'; from: string; to: string; after: number }
  | { t: number; what: 'chose'; choice: number }
  | { t: number; what: 'nothing'; made: Made }

/** Steps of volume where nobody has said how many. */
export const USUAL_STEPS = 10
/** Steps in which a colour is turned through the whole circle. */
export const COLOUR_STEPS = 12
/** Deadlines that fall within this of a moment belong to it, s: sums of tenths are not exact. */
const EPS = 1e-9
/** Whether a hold of so long, s, falls in a pattern's time: from its start, up to where the next longer one begins. */
const inTime = (p: Pattern, long: number): boolean => long >= p.from - EPS && long < p.to - EPS

/** The board as it is found with current: asleep where something wakes it, at its first preset. */
export function startOf(b: ControlProgram): BoardState {
  const starts = startsOf(b.map, b.map.controls)
  return {
    ...{ t: 0, mode: starts.at(-1) ?? b.map.modes[0]?.id ?? '', pose: 'level', preset: 0 },
    ...{ volume: volumeAtFirst(b), colour: 0, choice: 0, cut: false, held: [], idle: 0, alone: 0 },
  }
}

/** As loud as it is shipped, in steps of the board; half way up where nobody has said. */
const volumeAtFirst = (b: ControlProgram): number => {
  const shipped = known(b.map.use?.volume)
  const steps = volumeSteps(b)
  return shipped === undefined
    ? Math.ceil(steps / 2)
    : Math.min(steps, Math.max(0, Math.round((shipped / 100) * steps)))
}
const volumeSteps = (b: ControlProgram): number =>
  Math.max(1, Math.min(100, Math.round(known(b.map.settings.volumeSteps) ?? USUAL_STEPS)))
const presetAt = (b: ControlProgram, n: number): string | undefined => b.map.presets[n]?.id

/**
 * Runs the board on to an event and carries it out: what its deadlines bring on the way (holds that are reached, taps that
 * wait no longer, beeps, modes that end by themselves), then what the hand does. The state given is never changed. An event
 * before the state's own time counts as now; a press of what is held, and a release of what is not, do nothing.
 */
export function step(b: ControlProgram, st: BoardState, e: HandEvent): { state: BoardState; happened: BoardEvent[] } {
  return stepAll(b, st, [e])
}

/** Runs a whole course of events. */
export function stepAll(
  b: ControlProgram,
  st: BoardState,
  events: readonly HandEvent[],
): { state: BoardState; happened: BoardEvent[] } {
  const run = new Run(b, st)
  for (const e of events) {
    const t = Math.max(run.now.t, Number.isFinite(e.t) ? e.t : run.now.t)
    run.advance(t)
    run.carryOut(e)
    run.advance(t)
  }
  return { state: run.now, happened: run.happened }
}

/** What a menu stands at when it is opened: what is set now. */
function choiceIn(b: ControlProgram, st: BoardState, mode: string): number {
  const what = modeById(b.map, mode)?.chooses
  if (what === 'preset') return st.preset
  if (what === 'volume') return st.volume
  if (what === 'colour') return st.colour
  return what === 'track' ? (st.track ?? 0) : 0
}

/** The board in a mode and a preset, as if it had been brought there: at rest, nothing held. */
export function stateIn(b: ControlProgram, st: BoardState, mode: string, preset = st.preset): BoardState {
  const { chord: _c, taps: _t, lasting: _l, ...rest } = st
  const now: BoardState = { ...rest, mode, preset, held: [], cut: false, idle: st.t, alone: 0 }
  return { ...now, choice: choiceIn(b, now, mode) }
}

class Run {
  readonly now: BoardState
  readonly happened: BoardEvent[] = []
  constructor(
    private readonly b: ControlProgram,
    st: BoardState,
  ) {
    this.now = {
      ...st,
      held: st.held.map((h) => ({ ...h, ...(h.under ? { under: { ...h.under } } : {}) })),
      ...(st.chord ? { chord: { ...st.chord } } : {}),
    }
  }

  private context(g: Begun): Context {
    return this.b.context(g.mode, g.pose, presetAt(this.b, g.preset))
  }
  private begun(): Begun {
    return { mode: this.now.mode, pose: this.now.pose, preset: this.now.preset }
  }

  /** Everything that comes by itself until a moment, earliest first. */
  advance(t: number) {
    for (;;) {
      const next = this.next()
      if (!next || next.at > t + EPS) break
      this.now.t = Math.max(this.now.t, next.at)
      next.run()
    }
    this.now.t = Math.max(this.now.t, t)
  }

  private next(): { at: number; run: () => void } | undefined {
    const { now } = this
    let best: { at: number; run: () => void } | undefined
    const offer = (at: number, run: () => void) => {
      if (!best || at < best.at - EPS) best = { at, run }
    }
    for (const h of now.held) {
      if (h.under) offer(h.under.at + this.b.timing.tapGap, () => this.settleUnder(h))
      if (h.spent) continue
      const c = this.context(h.begun)
      const beeps = c.beeps.get(h.input) ?? 0
      if (h.beeps < beeps)
        offer(h.since + (h.beeps + 1) * this.b.timing.beepEvery, () => {
          h.beeps++
          this.happened.push({ t: now.t, what: 'beep', input: h.input, n: h.beeps })
        })
      for (const p of c.of.get(h.input) ?? [])
        if (p.sort === 'hold' && p.times - 1 === h.taps && p.fires !== 'letGo' && p.from > h.done)
          offer(h.since + p.from, () => {
            h.done = p.from
            this.fire(p, h, p.from)
            if (now.mode !== h.begun.mode) h.spent = true
          })
    }
    const { chord } = now
    if (chord)
      for (const p of this.chords(chord))
        if (p.fires !== 'letGo' && p.from > chord.done)
          offer(chord.since + p.from, () => {
            chord.done = p.from
            this.fire(p, chord, p.from)
          })
    if (now.taps) offer(now.taps.at + this.b.timing.tapGap, () => this.settle())
    // Modes that end one another in a round come to rest after one round.
    if (!now.held.length && !now.taps && !now.cut && now.alone <= this.b.map.modes.length) {
      const out = timeOutOf(this.b.map, now.mode)
      if (out)
        offer(now.idle + out.s, () => {
          this.happened.push({ t: now.t, what: 'went', from: now.mode, to: out.to, after: out.s })
          this.goTo(out.to)
          now.idle = now.t
          now.alone++
        })
    }
    return best
  }

  private chords(c: NonNullable<BoardState['chord']>): Pattern[] {
    const [first, second] = c.inputs
    return (this.context(c.begun).of.get(first) ?? []).filter(
      (p) =>
        p.sort === 'chord' &&
        ((p.input === first && p.other === second) || (!p.row.ordered && p.input === second && p.other === first)),
    )
  }

  carryOut(e: HandEvent) {
    if (e.do === 'wait') return
    if (e.do !== 'pose') {
      this.now.idle = this.now.t
      this.now.alone = 0
    }
    if (e.do === 'pose') this.now.pose = e.pose
    else if (e.do === 'press') this.press(e.input)
    else if (e.do === 'release') this.release(e.input)
    else if (e.do === 'turn') this.turn(e.steps)
    else this.move(e.motion, e.input)
  }

  private press(input: string) {
    const { now } = this
    if (now.held.some((h) => h.input === input)) return
    let taps = 0
    let begun = this.begun()
    if (now.taps?.key === input) {
      taps = now.taps.n
      begun = now.taps.begun
      delete now.taps
    } else if (now.taps) {
      this.settle()
      begun = this.begun()
    }
    const first = now.held.find((h) => !h.spent)
    const held: Held = { input, since: now.t, taps, begun, spent: false, done: -1, beeps: 0 }
    now.held.push(held)
    if (!first || now.chord) return
    const chord = { inputs: [first.input, input] as [string, string], since: now.t, begun: first.begun, done: -1 }
    if (now.t - first.since <= this.b.timing.chordGap + EPS && this.chords(chord).length) {
      now.chord = chord
      first.spent = true
      held.spent = true
    }
  }

  private release(input: string) {
    const { now } = this
    const at = now.held.findIndex((h) => h.input === input)
    if (at < 0) return
    const [h] = now.held.splice(at, 1) as [Held]
    if (h.under) this.settleUnder(h)
    if (h.lasting !== undefined) this.end(h.lasting)
    if (now.chord?.inputs.includes(input)) return this.releaseChord(now.chord)
    if (h.spent) return
    const long = now.t - h.since
    const short = long < this.b.timing.tapMost - EPS
    // A tap while another is held belongs to both, where a row asks for them so.
    if (short && this.tapWhileHeld(h)) return
    const c = this.context(h.begun)
    const mine = c.of.get(input) ?? []
    const times = h.taps + 1
    const hold = mine
      .filter(
        (p) => p.sort === 'hold' && p.times === times && p.fires === 'letGo' && p.from > h.done && inTime(p, long),
      )
      .at(-1)
    if (hold) return this.fire(hold, undefined, long)
    if (h.done >= 0 || h.lasting !== undefined) return
    if (!short) {
      this.nothing({ sort: 'hold', input, times, held: long, ...h.begun })
      return
    }
    this.tapped(input, undefined, times, h.begun)
  }

  private releaseChord(chord: NonNullable<BoardState['chord']>) {
    const { now } = this
    delete now.chord
    if (chord.lasting !== undefined) return this.end(chord.lasting)
    const long = now.t - chord.since
    const p = this.chords(chord)
      .filter((x) => x.fires === 'letGo' && x.from > chord.done && inTime(x, long))
      .sort((a, b) => a.from - b.from)
      .at(-1)
    if (p) return this.fire(p, undefined, long)
    if (chord.done >= 0) return
    const [input, other] = chord.inputs
    this.nothing({ sort: 'chord', input, other, times: 1, held: long, ...chord.begun })
  }

  private tapWhileHeld(h: Held): boolean {
    const { now } = this
    for (const under of now.held) {
      if ((under.spent && !under.under) || under.since > h.since) continue
      const again = under.under?.other === h.input ? under.under : undefined
      const tapped = { other: h.input, n: (again?.n ?? 0) + 1, first: again?.first ?? h.since, at: now.t }
      const most = Math.max(0, ...this.tappedUnder(under, tapped).map((p) => p.times))
      if (!most) continue
      under.spent = true
      under.under = tapped
      if (tapped.n >= most) this.settleUnder(under)
      else
        this.happened.push({
          ...{ t: now.t, what: 'waits', input: h.input },
          ...{ ms: Math.round(this.b.timing.tapGap * 1000), times: tapped.n + 1 },
        })
      return true
    }
    return false
  }

  /** What taps of another button may mean while one has been held for as long as it had when the first of them came. */
  private tappedUnder(h: Held, u: NonNullable<Held['under']>): Pattern[] {
    return (this.context(h.begun).of.get(h.input) ?? []).filter(
      (x) => x.sort === 'holdThenTap' && x.input === h.input && x.other === u.other && inTime(x, u.first - h.since),
    )
  }

  /** Taps under a held button are over: as many as there were count. */
  private settleUnder(h: Held) {
    const u = h.under
    if (!u) return
    delete h.under
    const p = this.tappedUnder(h, u).find((x) => x.times === u.n)
    if (p) this.fire(p, h)
    else this.nothing({ sort: 'holdThenTap', input: h.input, other: u.other, times: u.n, ...h.begun })
  }

  private move(motion: Motion, input?: string) {
    const { now } = this
    for (const h of now.held) {
      if (h.spent) continue
      const long = now.t - h.since
      const p = (this.context(h.begun).of.get(h.input) ?? []).find(
        (x) => x.sort === 'holdMotion' && x.motion === motion && inTime(x, long),
      )
      if (!p) continue
      h.spent = true
      return this.fire(p, h)
    }
    const waiting = now.taps
    const begun = waiting?.motion === motion ? waiting.begun : this.begun()
    const p = this.context(begun).patterns.find(
      (x) => x.sort === 'motion' && x.motion === motion && (input === undefined || x.input === input),
    )
    if (!p) {
      this.nothing({ sort: 'motion', input: input ?? '', motion, times: 1, ...begun })
      return
    }
    const key = tapKey(p.input, motion)
    let times = 1
    if (waiting?.key === key) {
      times = waiting.n + 1
      delete now.taps
    } else if (waiting) this.settle()
    this.tapped(p.input, motion, times, times > 1 ? begun : this.begun())
  }

  /** A tap or a motion is over: it counts at once when nothing longer could come of it, else it waits. */
  private tapped(input: string, motion: Motion | undefined, n: number, begun: Begun) {
    const key = tapKey(input, motion)
    const { now } = this
    const most = this.context(begun).mostTaps.get(key) ?? 0
    now.taps = { key, input, ...(motion ? { motion } : {}), n, at: now.t, begun }
    if (n >= most) return this.settle()
    this.happened.push({
      ...{ t: now.t, what: 'waits', input },
      ...{ ms: Math.round(this.b.timing.tapGap * 1000), times: n + 1 },
    })
  }

  private settle() {
    const { now } = this
    const taps = now.taps
    if (!taps) return
    delete now.taps
    const sort = taps.motion ? 'motion' : 'tap'
    const p = this.context(taps.begun).patterns.find(
      (x) => x.sort === sort && x.input === taps.input && x.motion === taps.motion && x.times === taps.n,
    )
    if (p) this.fire(p)
    else
      this.nothing({
        ...{ sort, input: taps.input, times: taps.n, ...taps.begun },
        ...(taps.motion ? { motion: taps.motion } : {}),
      })
  }

  private nothing(made: Made) {
    this.happened.push({ t: this.now.t, what: 'nothing', made })
  }

  private turn(steps: number) {
    const mode = modeById(this.b.map, this.now.mode)
    if (mode?.by === 'turning' && mode.chooses) this.choose(Math.trunc(steps))
  }

  /** How many there are to choose from, and whether the last is followed by the first. */
  private choices(): { n: number; round: boolean } {
    const what = modeById(this.b.map, this.now.mode)?.chooses
    const { map } = this.b
    if (what === 'preset') return { n: Math.max(1, map.presets.length), round: true }
    if (what === 'track') return { n: Math.max(1, this.tracks()), round: true }
    if (what === 'colour') return { n: COLOUR_STEPS, round: true }
    if (what === 'volume') return { n: volumeSteps(this.b) + 1, round: false }
    return { n: 1000, round: false }
  }
  private tracks(): number {
    const p = this.b.map.presets[this.now.preset]
    return p ? tracksOf(this.b.map, p).length : 0
  }
  private choose(by: number) {
    const { now } = this
    const { n, round } = this.choices()
    now.choice = round ? (((now.choice + by) % n) + n) % n : Math.min(n - 1, Math.max(0, now.choice + by))
    this.happened.push({ t: now.t, what: 'chose', choice: now.choice })
    // Where no row keeps a choice, it holds at once.
    if (!this.b.rowsOf(now.mode).some((r) => r.row.does === 'keep')) this.keep()
  }
  private keep() {
    const { now } = this
    const what = modeById(this.b.map, now.mode)?.chooses
    if (what === 'preset') this.setPreset(now.choice)
    else if (what === 'volume') now.volume = now.choice
    else if (what === 'colour') now.colour = now.choice
    else if (what === 'track') now.track = now.choice
  }
  private setPreset(n: number) {
    this.now.preset = n
    this.now.colour = 0
  }

  private goTo(mode: string) {
    const { now } = this
    const from = now.mode
    now.mode = mode
    if (from === mode) return
    if (now.lasting !== undefined) this.end(now.lasting)
    now.choice = choiceIn(this.b, now, mode)
  }

  private end(row: string) {
    if (this.now.lasting === row) {
      delete this.now.lasting
      this.happened.push({ t: this.now.t, what: 'ended', row })
    }
  }

  /** Carries a row out; `by` is what holds it while it lasts. */
  private fire(p: Pattern, by?: { lasting?: string }, held?: number) {
    const { now } = this
    const { row } = p
    const long = held === undefined ? {} : { held }
    if (now.cut && row.does !== 'powerOn') {
      this.nothing({ sort: p.sort, input: p.input, times: p.times, ...this.begun() })
      return
    }
    if (p.fires === 'whileHeld' && by) {
      if (now.lasting !== undefined) this.end(now.lasting)
      by.lasting = row.id
      now.lasting = row.id
      this.happened.push({ t: now.t, what: 'began', row: row.id, ...long })
    } else this.happened.push({ t: now.t, what: 'did', row: row.id, ...long })
    this.effect(row)
    this.goTo(after(this.b.map, row))
  }

  private effect(r: ControlRow) {
    const { now } = this
    const many = this.b.map.presets.length
    switch (r.does) {
      case 'nextPreset':
        if (many) this.setPreset((now.preset + 1) % many)
        break
      case 'previousPreset':
        if (many) this.setPreset((now.preset + many - 1) % many)
        break
      case 'volumeUp':
        now.volume = Math.min(volumeSteps(this.b), now.volume + 1)
        break
      case 'volumeDown':
        now.volume = Math.max(0, now.volume - 1)
        break
      case 'colour':
        // In a mode that chooses colours the row opens the choice; elsewhere it takes the next.
        if (modeById(this.b.map, after(this.b.map, r))?.chooses !== 'colour')
          now.colour = (now.colour + 1) % COLOUR_STEPS
        break
      case 'track': {
        now.track = now.track === undefined ? 0 : (now.track + 1) % Math.max(1, this.tracks())
        break
      }
      case 'trackStop':
        delete now.track
        break
      case 'choose':
        this.choose(1)
        break
      case 'chooseBack':
        this.choose(-1)
        break
      case 'keep':
        this.keep()
        break
      case 'powerOff':
        now.cut = true
        break
      case 'powerOn':
        now.cut = false
        break
      default:
    }
  }
}

/** Whether sound is heard in a mode. */
export const isMuted = (b: ControlProgram, st: BoardState): boolean => isOf(b.map, st.mode) === 'muted'
