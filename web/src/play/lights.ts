import {
  type BoardEvent,
  type BoardState,
  COLOUR_STEPS,
  type ControlProgram,
  modeById,
  rowOfMap,
  shines,
} from '@nubrin/core/controls'
import { known } from '@nubrin/core/facts'
import {
  isLedEffect,
  LEAST_BETWEEN_FLASHES,
  type LedEffect,
  type Look,
  rgbOf,
  type Style,
  turned,
} from '@nubrin/core/light'
import { lookOf, styleOf } from '@nubrin/core/looks'
import { colourOf, type Preset, type Saber } from '@nubrin/core/record'

/** How long a blade takes to come out and go in where nobody has said, s. */
const EXTEND = 0.3
const RETRACT = 0.4
/** Colours of effects that have none of their own. */
export const USUAL_COLOUR: Readonly<Record<LedEffect, string>> = {
  ...{ clash: '#ffffff', deflect: '#ffffff', lock: '#fff4d0', drag: '#ffb060', melt: '#ff7a20', surge: '#e8f4ff' },
}

/** How the blade of a saber in play shines: it follows the board, and knows what goes on along it. Times in seconds. */
export class Lights {
  private lit = false
  /** When it last began to come out or go in, and how far it was then. */
  private since = 0
  private from = 0
  private effects: {
    kind: LedEffect
    since: number
    colour: readonly [number, number, number]
    at: number
    held: boolean
    moves?: Style
    row?: string
  }[] = []
  private flashed = Number.NEGATIVE_INFINITY

  constructor(
    private readonly board: ControlProgram,
    private readonly saber: Saber,
  ) {}

  private preset(st: BoardState): Preset | undefined {
    const { presets } = this.board.map
    const mode = modeById(this.board.map, st.mode)
    // A menu of presets shows what stands to be chosen.
    return presets[mode?.chooses === 'preset' ? st.choice : st.preset]
  }
  /** The colour of the blade as the board has it now. */
  colour(st: BoardState): readonly [number, number, number] {
    const p = this.preset(st)
    const mode = modeById(this.board.map, st.mode)
    const steps = mode?.chooses === 'colour' ? st.choice : st.colour
    return turned(rgbOf(p ? colourOf(p) : '#ffffff'), steps, COLOUR_STEPS)
  }
  private speed(st: BoardState, lit: boolean): number {
    const p = this.preset(st)
    const ms = known(lit ? p?.extendMs : p?.retractMs)
    return ms !== undefined && ms >= 0 ? Math.max(0.01, ms / 1000) : lit ? EXTEND : RETRACT
  }

  /** How far it is out at a moment, 0 … 1. */
  extended(st: BoardState, t: number): number {
    const way = Math.min(1, Math.max(0, (t - this.since) / this.speed(st, this.lit)))
    return this.lit ? this.from + (1 - this.from) * way : this.from * (1 - way)
  }

  /** Takes in what came of a hand; `powered` false puts everything out at once. */
  follow(st: BoardState, happened: readonly BoardEvent[], powered: boolean): void {
    const lit = powered && !st.cut && shines(this.board.map, st.mode)
    if (!powered) {
      Object.assign(this, { lit: false, from: 0, since: st.t, effects: [] })
      return
    }
    for (const h of happened) {
      if (h.what === 'did' || h.what === 'began') {
        const does = rowOfMap(this.board.map, h.row)?.does
        if (does && isLedEffect(does)) this.show(st, does, h.t, h.what === 'began', h.row)
      } else if (h.what === 'ended') this.effects = this.effects.filter((e) => e.row !== h.row)
    }
    if (lit !== this.lit) {
      this.from = this.extended(st, st.t)
      this.since = st.t
      this.lit = lit
      if (!lit) this.effects = []
    }
  }

  /** Shows an effect; flashes that would follow each other too fast for the eye's safety are left out. */
  show(st: BoardState, kind: LedEffect, t: number, held = false, row?: string): void {
    if (kind === 'clash' || kind === 'deflect') {
      if (t - this.flashed < LEAST_BETWEEN_FLASHES) return
      this.flashed = t
    }
    const set = this.preset(st)?.effects?.[kind]
    if (set?.is === 'notThere') return
    const own = known(set?.colour)
    const moves = set?.moves && styleOf(set.moves)
    // Somewhere along the blade, another place each time.
    const at = 0.3 + ((t * 7.31) % 1) * 0.45
    this.effects = [
      ...this.effects.filter((e) => e.held || t - e.since < 2).slice(-6),
      {
        kind,
        since: t,
        colour: rgbOf(own ?? USUAL_COLOUR[kind]),
        at,
        held,
        ...(moves ? { moves } : {}),
        ...(row ? { row } : {}),
      },
    ]
  }

  look(st: BoardState, t: number): Look {
    const p = this.preset(st)
    return {
      ...(p ? this.movesIn(p) : {}),
      ...{ colour: this.colour(st), extended: this.extended(st, t), effects: this.effects },
    }
  }
  private readonly known = new WeakMap<Preset, ReturnType<typeof lookOf>>()
  /** How the blade moves in a preset; worked out once. */
  private movesIn(p: Preset) {
    const look = this.known.get(p) ?? lookOf(this.saber, p, undefined)
    this.known.set(p, look)
    return look
  }
  /** The preset that is shown. */
  shown(st: BoardState): Preset | undefined {
    return this.preset(st)
  }
  /** Whether anything moves at a moment, so that it has to be drawn again. */
  moving(st: BoardState, t: number): boolean {
    if (this.lit && (this.preset(st)?.moves || this.preset(st)?.lights.some((l) => l.moves))) return true
    return this.effects.some((e) => e.held || t - e.since < 1.5) || t - this.since < this.speed(st, this.lit) + 0.1
  }
}
