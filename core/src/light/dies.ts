import { converter, formatHex } from 'culori/fn'
import { duties } from './colour'
import { type Hill, seenLight, tintOf, type Xyz } from './spectra'

/** Dies that LEDs are made of. */
export const DIES = ['red', 'green', 'blue', 'white', 'warmWhite', 'amber', 'cyan', 'deepBlue'] as const
export type DieColour = (typeof DIES)[number]
/** What a pixel has where nobody has said what it has. */
export const USUAL_DIES: readonly DieColour[] = ['red', 'green', 'blue']

/** Spectra as datasheets of such dies usually have them: peak and width at half height. A white one is a blue die under phosphor. */
const SPECTRA: Readonly<Record<DieColour, readonly Hill[]>> = {
  red: [{ nm: 632, wide: 20, high: 1 }],
  green: [{ nm: 521, wide: 34, high: 1 }],
  blue: [{ nm: 466, wide: 24, high: 1 }],
  white: [
    { nm: 452, wide: 22, high: 1 },
    { nm: 564, wide: 142, high: 0.56 },
  ],
  warmWhite: [
    { nm: 452, wide: 22, high: 0.36 },
    { nm: 606, wide: 126, high: 1 },
  ],
  amber: [{ nm: 592, wide: 18, high: 1 }],
  cyan: [{ nm: 502, wide: 30, high: 1 }],
  deepBlue: [{ nm: 450, wide: 20, high: 1 }],
}

const toXyz = converter('xyz65')
const toLinear = converter('lrgb')
/** Colour stimulus of "#rrggbb" (IEC 61966-2-1), white with Y = 1. Throws RangeError for what is no colour. */
export function stimulusOf(hex: string): Xyz {
  duties(hex)
  const c = toXyz(hex)!
  return [c.x, c.y, c.z]
}
/** The nearest "#rrggbb" that a screen can show: what is outside of it clips. */
export function hexOf([x, y, z]: Xyz): string {
  const { r, g, b } = toLinear({ mode: 'xyz65', x, y, z })
  const [red, green, blue] = [r, g, b].map((v) => Math.min(1, Math.max(0, v)))
  return formatHex({ mode: 'lrgb', r: red!, g: green!, b: blue! })
}

type Triple = readonly [number, number, number]
const cross = (a: Triple, b: Triple): Triple => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
const dot = (a: Triple, b: Triple): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
/** How much of three lights makes a fourth; undefined where they lie in one plane. */
function mixOf([a, b, c]: readonly [Xyz, Xyz, Xyz], wanted: Xyz): Triple | undefined {
  const det = dot(a, cross(b, c))
  if (Math.abs(det) < 1e-12) return undefined
  return [dot(wanted, cross(b, c)) / det, dot(a, cross(wanted, c)) / det, dot(a, cross(b, wanted)) / det]
}

/**
 * Each die at full. Red, green and blue together are taken to make white of D65 with Y = 1, as boards are balanced; a white die to
 * be as bright as they; another to give the power of the red one. What a datasheet says of the flux may differ.
 */
const FULL: Readonly<Record<DieColour, { light: Xyz; scale: number }>> = (() => {
  const raw = (d: DieColour) => seenLight(SPECTRA[d])
  const [r, g, b] = mixOf([raw('red'), raw('green'), raw('blue')], stimulusOf('#ffffff'))!
  const scale = (d: DieColour): number => {
    if (d === 'red') return r
    if (d === 'green') return g
    if (d === 'blue') return b
    return d === 'white' || d === 'warmWhite' ? 1 / raw(d)[1] : r
  }
  return Object.fromEntries(
    DIES.map((d) => {
      const k = scale(d)
      return [d, { scale: k, light: raw(d).map((v) => v * k) as unknown as Xyz }]
    }),
  ) as Record<DieColour, { light: Xyz; scale: number }>
})()

/** CIE 1931 x and y of a die. */
export function chromaticity(die: DieColour): [x: number, y: number] {
  const [x, y, z] = FULL[die].light
  return [x / (x + y + z), y / (x + y + z)]
}

/** All choices of up to three of some things. */
function* upToThree<T>(all: readonly T[]): Generator<T[]> {
  for (const [i, a] of all.entries()) {
    yield [a]
    for (const [j, b] of all.slice(i + 1).entries()) {
      yield [a, b]
      for (const c of all.slice(i + j + 2)) yield [a, b, c]
    }
  }
}
/** How much of up to three lights comes nearest to a fourth, none of them less than nothing; the squares of what is left. */
function nearest(lights: readonly Xyz[], wanted: Xyz): { duty: number[]; left: number } | undefined {
  const [a, b, c] = lights
  let duty: number[] | undefined
  if (a && b && c) duty = mixOf([a, b, c], wanted) as unknown as number[] | undefined
  else if (a && b) {
    const [aa, ab, bb] = [dot(a, a), dot(a, b), dot(b, b)]
    const det = aa * bb - ab * ab
    if (Math.abs(det) > 1e-12)
      duty = [(bb * dot(a, wanted) - ab * dot(b, wanted)) / det, (aa * dot(b, wanted) - ab * dot(a, wanted)) / det]
  } else if (a) duty = [dot(a, wanted) / dot(a, a)]
  if (!duty || duty.some((d) => d < -1e-9)) return undefined
  const made = sum(lights.map((l, i) => scaled(l, Math.max(0, duty[i]!))))
  return { duty: duty.map((d) => Math.max(0, d)), left: made.reduce((s, v, i) => s + (v - wanted[i]!) ** 2, 0) }
}
const scaled = ([x, y, z]: Xyz, k: number): Xyz => [x * k, y * k, z * k]
const sum = (all: readonly Xyz[]): Xyz => all.reduce<Xyz>((a, b) => [a[0] + b[0], a[1] + b[1], a[2] + b[2]], [0, 0, 0])

/** Two ways to a colour that leave less than this of each other are equally near. */
const AS_NEAR = 1e-9

/**
 * How far each die is turned up for a colour, 0…1, in the order of the dies: as near to what the eye should see as they come, and of
 * the ways there the one with the least current; so a white die takes all the white that it can. What asks for more than full clips.
 * Throws RangeError for what is no colour, and for a light without dies.
 */
export function drive(hex: string, dies: readonly DieColour[] = USUAL_DIES): number[] {
  if (!dies.length) throw new RangeError('drive: a light has at least one die')
  const wanted = stimulusOf(hex)
  const own = [...new Set(dies)]
  let best: { at: DieColour[]; duty: number[]; left: number; total: number } | undefined
  for (const at of upToThree(own)) {
    const found = nearest(
      at.map((d) => FULL[d].light),
      wanted,
    )
    if (!found) continue
    const total = found.duty.reduce((s, d) => s + d, 0)
    const nearer = !best || found.left < best.left - AS_NEAR
    const cheaper = best && found.left <= best.left + AS_NEAR && total < best.total - 1e-12
    if (nearer || cheaper) best = { at, total, ...found }
  }
  // Several dies of one colour share what that colour has to give.
  return dies.map((d) => {
    const i = best?.at.indexOf(d) ?? -1
    return i < 0 ? 0 : Math.min(1, best!.duty[i]!)
  })
}

/** Tints that are remembered; a picker that is dragged goes through many. */
const MOST_TINTS = 400
const passed = new Map<string, Xyz>()
/** A die at full as it comes through a tint. */
function fullThrough(die: DieColour, tint: string): Xyz {
  const key = `${die} ${tint}`
  const had = passed.get(key)
  if (had) return had
  if (passed.size >= MOST_TINTS) passed.clear()
  const light = scaled(seenLight(SPECTRA[die], tintOf(duties(tint))), FULL[die].scale)
  passed.set(key, light)
  return light
}

/** What is seen of dies that are turned up so far, through a tint of a colour where there is one: the light itself. */
export function lightOf(duty: readonly number[], dies: readonly DieColour[], tint?: string): Xyz {
  const counted = new Set<DieColour>()
  return sum(
    dies.flatMap((d, i) => {
      if (counted.has(d)) return []
      counted.add(d)
      return [scaled(tint === undefined ? FULL[d].light : fullThrough(d, tint), duty[i]!)]
    }),
  )
}

/** A colour as it comes through a tint: what it looks like then, and what share of its light gets through. */
export interface Through {
  hex: string
  share: number
}
/** How a colour that is shown by some dies looks behind a tint. Nothing of black gets through, and nothing of it is missing: share 1. */
export function through(hex: string, tint: string, dies: readonly DieColour[] = USUAL_DIES): Through {
  const duty = drive(hex, dies)
  const [before, after] = [lightOf(duty, dies), lightOf(duty, dies, tint)]
  return { hex: hexOf(after), share: before[1] > 1e-9 ? after[1] / before[1] : 1 }
}

/**
 * What a tint does to any colour of red, green and blue dies, as a matrix for linear sRGB, row by row: what `through` works out for
 * one colour, for pictures that are worked out many times in a second. Colours that clip come out slightly other.
 */
export function tintMatrix(tint: string): number[] {
  const dies = USUAL_DIES
  const columns = (['#ff0000', '#00ff00', '#0000ff'] as const).map((hex) => {
    const [x, y, z] = lightOf(drive(hex, dies), dies, tint)
    const { r, g, b } = toLinear({ mode: 'xyz65', x, y, z })
    return [r, g, b]
  })
  return [0, 1, 2].flatMap((row) => columns.map((c) => c[row]!))
}
