import { fromLinear, toLinear } from './linear'
import { goneAt, type Style } from './style'
import { turned } from './turned'

/** Effects that change how a blade shines for a while. */
export type LedEffect = 'clash' | 'deflect' | 'lock' | 'drag' | 'melt' | 'surge'
/** How long each shows when it is not held, s. */
export const EFFECT_SECONDS: Readonly<Record<LedEffect, number>> = {
  ...{ clash: 0.25, deflect: 0.35, lock: 1.2, drag: 1.2, melt: 1.2, surge: 0.9 },
}
/** Those that last while a hand holds them; the others flash. */
export const HELD_EFFECTS: ReadonlySet<string> = new Set<LedEffect>(['lock', 'drag', 'melt'])
/** Whether it is an effect that changes how a blade shines for a while. */
export const isLedEffect = (what: string): what is LedEffect => what in EFFECT_SECONDS
/** Flicker of an effect that is held, Hz: under what the usual photosensitive threshold allows. */
export const SCREEN_FLICKER_HZ = 2.4
/** Flashes nearer to each other than this are shown as one, s: no more than three in a second. */
export const LEAST_BETWEEN_FLASHES = 0.36

const DARK: readonly [number, number, number] = [0, 0, 0]
type Rgb = readonly [r: number, g: number, b: number]

/** How a blade shines at a moment. */
export interface Look {
  colour: Rgb
  /** How it moves; steady where nothing is said. */
  moves?: Style
  /** How much slower than in truth it is shown; 1 as it is. */
  slowed?: number
  /** How much of its length is lit, 0 … 1, from the hilt. */
  extended: number
  /** What goes on, since when (s), in which colour, how it moves, and where along the blade (0 … 1). */
  effects: readonly { kind: LedEffect; since: number; colour: Rgb; at: number; held: boolean; moves?: Style }[]
  /** What of it is seen, in linear light, row by row: red, green and blue of red, green and blue; all of it where nothing is said. */
  through?: readonly number[]
  /** Over how many LEDs the light of one is spread by what is around it. */
  spread?: number
}

/** Red, green and blue of "#rrggbb", 0 … 255. Throws RangeError for what is no colour. */
export const rgbOf = (hex: string): Rgb => {
  if (!/^#[0-9a-f]{6}$/i.test(hex)) throw new RangeError(`rgbOf: not a colour "#rrggbb": ${hex}`)
  return [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16)) as unknown as Rgb
}

/** How strong an effect is at a place of the blade (0 … 1) and a moment, 0 … 1. Zero when it is over. */
export function effectAt(kind: LedEffect, held: boolean, age: number, at: number, x: number): number {
  if (age < 0) return 0
  const whole = EFFECT_SECONDS[kind]
  if (!held && age > whole) return 0
  const fade = held ? 1 : 1 - age / whole
  // A smooth rise and fall, never dark in between.
  const breath = 0.7 + 0.3 * Math.sin(2 * Math.PI * SCREEN_FLICKER_HZ * age)
  const near = (centre: number, width: number) => Math.max(0, 1 - Math.abs(x - centre) / width)
  switch (kind) {
    case 'clash':
      return fade
    case 'deflect':
      return fade * Math.min(1, 1.6 * near(at, 0.09))
    case 'lock':
      return fade * breath * Math.min(1, 1.5 * near(at, 0.14))
    case 'drag':
      return fade * breath * Math.min(1, Math.max(0, (x - 0.84) / 0.08))
    case 'melt':
      return fade * Math.min(1, Math.max(0, (x - 0.7) / 0.3)) * (0.8 + 0.2 * breath)
    case 'surge': {
      const wave = held ? (age * 0.8) % 1.2 : (age / whole) * 1.2
      return Math.min(1, 1.4 * near(wave, 0.2)) * (held ? 1 : Math.min(1, fade * 3))
    }
  }
}

/**
 * Writes the colours of every LED of a blade at a moment into `out`, four bytes each (red, green, blue, opaque), from the hilt to
 * the tip. LEDs beyond what is extended are dark and clear. `out` must hold 4 × `leds` bytes; throws RangeError when it does not.
 */
export function ledFrame(leds: number, look: Look, t: number, out: Uint8ClampedArray): void {
  if (out.length < leds * 4)
    throw new RangeError(`ledFrame: ${leds} LEDs need ${leds * 4} bytes, there are ${out.length}`)
  const lit = Math.max(0, Math.min(1, look.extended)) * leds
  const slow = (look.slowed ?? 1) * t
  const { moves } = look
  const [r, g, b] = moves?.kind === 'cycle' ? turned(look.colour, moves.hz * slow, 1) : look.colour
  const [r2, g2, b2] = moves?.second ?? DARK
  const now = look.effects.filter((e) => e.held || t - e.since <= EFFECT_SECONDS[e.kind])
  for (let i = 0, k = 0; i < leds; i++, k += 4) {
    const share = Math.max(0, Math.min(1, lit - i))
    if (share === 0) {
      out[k] = 0
      out[k + 1] = 0
      out[k + 2] = 0
      out[k + 3] = 0
      continue
    }
    const x = (i + 0.5) / leds
    const gone = moves ? goneAt(moves, x, slow) : 0
    let [cr, cg, cb] = [r + (r2 - r) * gone, g + (g2 - g) * gone, b + (b2 - b) * gone]
    for (const e of now) {
      const s = effectAt(e.kind, e.held, t - e.since, e.at, x)
      if (s <= 0) continue
      const own = e.moves ? goneAt(e.moves, x, slow) : 0
      const to = e.moves?.second ?? DARK
      cr += (e.colour[0] + (to[0] - e.colour[0]) * own - cr) * s
      cg += (e.colour[1] + (to[1] - e.colour[1]) * own - cg) * s
      cb += (e.colour[2] + (to[2] - e.colour[2]) * own - cb) * s
    }
    out[k] = cr
    out[k + 1] = cg
    out[k + 2] = cb
    out[k + 3] = 255 * share
  }
  if (look.through || (look.spread ?? 1) > 1) seenThrough(leds, look, out)
}

/** What is seen of LEDs through what is around them: spread along the blade and tinted, in linear light. */
function seenThrough(leds: number, { through, spread }: Look, out: Uint8ClampedArray): void {
  const light = new Float32Array(leds * 3)
  for (let i = 0; i < leds; i++) {
    const lit = out[i * 4 + 3]! / 255
    for (let c = 0; c < 3; c++) light[i * 3 + c] = toLinear(out[i * 4 + c]!) * lit
  }
  const wide = spread === undefined ? light : spreadOver(light, leds, spread)
  const m = through ?? ALL
  for (let i = 0; i < leds; i++) {
    const [r, g, b] = [wide[i * 3]!, wide[i * 3 + 1]!, wide[i * 3 + 2]!]
    // Where it is only partly lit its share of light stands in how clear it is, as before.
    const lit = out[i * 4 + 3]! / 255
    if (lit === 0) continue
    for (let c = 0; c < 3; c++)
      out[i * 4 + c] = fromLinear((m[c * 3]! * r + m[c * 3 + 1]! * g + m[c * 3 + 2]! * b) / lit)
  }
}
const ALL = [1, 0, 0, 0, 1, 0, 0, 0, 1]

/** The mean of so many neighbours, twice: a hill of that width. What lies beyond an end is as the end. */
function spreadOver(light: Float32Array, leds: number, spread: number): Float32Array {
  const reach = Math.min(leds - 1, Math.floor(spread / 2))
  if (reach < 1) return light
  let from = light
  for (let pass = 0; pass < 2; pass++) {
    const to = new Float32Array(from.length)
    for (let c = 0; c < 3; c++) {
      const at = (i: number) => from[Math.min(leds - 1, Math.max(0, i)) * 3 + c]!
      let sum = 0
      for (let i = -reach; i <= reach; i++) sum += at(i)
      for (let i = 0; i < leds; i++) {
        to[i * 3 + c] = sum / (2 * reach + 1)
        sum += at(i + reach + 1) - at(i - reach)
      }
    }
    from = to
  }
  return from
}
