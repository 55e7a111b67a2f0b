import { duties, hueWord, lightnessChromaHue } from './colour'

/** By what near colours are told apart: how light they are, how strong, or towards which hue they lean. */
export type Apart = 'light' | 'strong' | 'lean'
/** A colour in words that tell it from others beside it. */
export interface ColourWords {
  /** The hue, as `hueWord` says it. */
  hue: string
  /** Absent where the hue says it all. `rank` counts from 1, the darkest, the palest, the first on the way round; of so many. */
  apart?: { by: Apart; rank: number; of: number; towards?: string }
}

/** Hues that one leans towards, by the angle of OKLCH: what lies further on round the circle. */
const LEANS: readonly (readonly [at: number, word: string])[] = [
  [25, 'red'],
  [60, 'orange'],
  [100, 'yellow'],
  [145, 'green'],
  [195, 'teal'],
  [260, 'blue'],
  [300, 'violet'],
  [345, 'pink'],
]
const turn = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180
/** The hue that a colour leans towards when one goes on round the circle from it, or back. */
function leaning(from: number, way: 1 | -1): string {
  const steps = LEANS.map(([at, word]) => ({ word, gap: (((way * (at - from)) % 360) + 360) % 360 })).filter(
    (s) => s.gap > 8,
  )
  return steps.sort((a, b) => a.gap - b.gap)[0]!.word
}

interface Place {
  hex: string
  light: number
  strong: number
  /** Angle from the middle of its kind. */
  angle: number
}
/** Steps along each way that look about as large as each other, in OKLCH: lightness, chroma, and angle in radians times chroma. */
const EVEN: Readonly<Record<Apart, (p: Place) => number>> = {
  light: (p) => p.light,
  strong: (p) => p.strong,
  lean: (p) => (p.angle * Math.PI * Math.max(0.02, p.strong)) / 180,
}

/**
 * Words for colours that stand beside each other: each hue by its name, and those of one name told apart by what they differ in most.
 * Equal colours have equal words. Throws RangeError for what is no colour.
 */
export function colourWords(hexes: readonly string[]): Map<string, ColourWords> {
  const out = new Map<string, ColourWords>()
  const kinds = new Map<string, string[]>()
  for (const hex of new Set(hexes)) {
    duties(hex)
    const hue = hueWord(hex)
    kinds.set(hue, [...(kinds.get(hue) ?? []), hex])
  }
  for (const [hue, all] of kinds) {
    const apart = all.length > 1 ? toldApart(all) : undefined
    for (const hex of all) out.set(hex, { hue, ...(apart ? { apart: apart(hex) } : {}) })
  }
  return out
}

function toldApart(all: readonly string[]): (hex: string) => NonNullable<ColourWords['apart']> {
  const seen = all.map((hex) => ({ hex, c: lightnessChromaHue(hex) }))
  const middle = seen[0]!.c.hue ?? 0
  const places = seen.map(
    ({ hex, c }): Place => ({ hex, light: c.light, strong: c.chroma, angle: turn((c.hue ?? middle) - middle) }),
  )
  // Of more than three, several would lean to one side.
  const by = (Object.keys(EVEN) as Apart[]).filter((w) => w !== 'lean' || all.length <= 3)
  const ways = by.map((by) => {
    const at = places.map((p) => ({ p, v: EVEN[by](p) })).sort((a, b) => a.v - b.v)
    const gaps = at.slice(1).map((x, i) => x.v - at[i]!.v)
    return { by, order: at.map((x) => x.p), gap: Math.min(...gaps) }
  })
  const best = ways.reduce((a, b) => (b.gap > a.gap + 1e-12 ? b : a))
  return (hex) => {
    const rank = best.order.findIndex((p) => p.hex === hex) + 1
    const of = best.order.length
    if (best.by !== 'lean') return { by: best.by, rank, of }
    const end = best.order[rank * 2 > of ? of - 1 : 0]!
    const middleOne = rank * 2 === of + 1
    return {
      ...{ by: 'lean', rank, of },
      ...(middleOne ? {} : { towards: leaning(middle + end.angle, rank * 2 > of ? 1 : -1) }),
    }
  }
}
