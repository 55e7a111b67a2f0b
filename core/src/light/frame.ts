/** Effects that change how a blade shines for a while. */
export type LedEffect = 'clash' | 'deflect' | 'lock' | 'drag' | 'melt' | 'surge'
/** How long each shows when it is not held, s. */
export const EFFECT_SECONDS: Readonly<Record<LedEffect, number>> = {
  ...{ clash: 0.25, deflect: 0.35, lock: 1.2, drag: 1.2, melt: 1.2, surge: 0.9 },
}
/** Flicker of an effect that is held, Hz: under what the usual photosensitive threshold allows. */
export const SCREEN_FLICKER_HZ = 2.4
/** Flashes nearer to each other than this are shown as one, s: no more than three in a second. */
export const LEAST_BETWEEN_FLASHES = 0.36

type Rgb = readonly [r: number, g: number, b: number]

/** How a blade shines at a moment. */
export interface Look {
  colour: Rgb
  /** How much of its length is lit, 0 … 1, from the hilt. */
  extended: number
  /** What goes on, since when (s), in which colour, and where along the blade (0 … 1). */
  effects: readonly { kind: LedEffect; since: number; colour: Rgb; at: number; held: boolean }[]
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
  const [r, g, b] = look.colour
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
    let [cr, cg, cb] = [r, g, b]
    const x = (i + 0.5) / leds
    for (const e of now) {
      const s = effectAt(e.kind, e.held, t - e.since, e.at, x)
      if (s <= 0) continue
      cr += (e.colour[0] - cr) * s
      cg += (e.colour[1] - cg) * s
      cb += (e.colour[2] - cb) * s
    }
    out[k] = cr
    out[k + 1] = cg
    out[k + 2] = cb
    out[k + 3] = 255 * share
  }
}

/** A colour turned on by steps of a whole circle, as a board does it: red, green and blue, 0 … 255. */
export function turned([r, g, b]: Rgb, steps: number, circle: number): Rgb {
  if (((steps % circle) + circle) % circle === 0) return [r, g, b]
  const a = (2 * Math.PI * steps) / circle
  const [c, s] = [Math.cos(a), Math.sin(a)]
  // Turning about the grey axis keeps how light it is, as near as three dies allow.
  const k = (1 - c) / 3
  const w = s / Math.sqrt(3)
  const mix = (x: number, y: number, z: number) => Math.max(0, Math.min(255, x * (c + k) + y * (k - w) + z * (k + w)))
  return [mix(r, g, b), mix(g, b, r), mix(b, r, g)]
}
