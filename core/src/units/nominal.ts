import { formatNumber, inchFraction } from './format'
import { MAKER } from './language'

/** Standard sizes a typed value is held against, per kind of thing. Millimetres, with the name the trade uses. */
const NOMINALS = {
  tube: [
    { mm: 15.875, name: '5/8 in' },
    { mm: 19.05, name: '3/4 in' },
    { mm: 22.225, name: '7/8 in' },
    { mm: 25.4, name: '1 in' },
  ],
  speaker: [20, 22, 24, 25, 28, 36].map((mm) => ({ mm, name: `${mm} mm` })),
} as const

/** Lengths outside these are asked back; they are plausibility windows for a hand-held hilt, editable by their caller. */
const WINDOWS: Record<string, [number, number]> = {
  sectionLength: [2, 260],
  outside: [15, 80],
  bore: [3, 70],
  bladeTube: [150, 1400],
  armTube: [30, 400],
  wall: [0.4, 12],
  partLength: [0.5, 250],
}
export type SizeKind =
  | keyof typeof NOMINALS
  | 'sectionLength'
  | 'outside'
  | 'bore'
  | 'bladeTube'
  | 'armTube'
  | 'wall'
  | 'partLength'

export interface Suggestion {
  /** Why the value is doubted. */
  code: 'offStandard' | 'implausible' | 'unknownCode'
  got: string
  nearest?: { text: string; value?: number }
  /** What such a size usually is, mm. */
  usual?: [low: number, high: number]
}

/**
 * Asks back about a size that is far from any standard or plausible one. Returns undefined when the value is fine.
 * The nearest is searched two ways: the nominal closest in size, and one that results from a likely slip of the pen
 * (`6 3/4` for `3/4`: a stray whole number; ten times too big or small: a lost decimal point; inches typed as mm).
 */
export function suggestNominal(mm: number, kind: SizeKind): Suggestion | undefined {
  const got = `${formatNumber(MAKER, mm)} mm`
  if (kind in NOMINALS) {
    const list = NOMINALS[kind as keyof typeof NOMINALS]
    const near = list.find((n) => Math.abs(n.mm - mm) <= 0.6)
    if (near) return undefined
    const fractionPart = mm - Math.floor(mm / 25.4) * 25.4
    const slip = list.find((n) =>
      [fractionPart, mm / 10, mm * 10, mm * 25.4, mm / 25.4].some((v) => Math.abs(v - n.mm) < 0.3),
    )
    const closest = [...list].sort((a, b) => Math.abs(a.mm - mm) - Math.abs(b.mm - mm))[0]!
    const pick = slip ?? closest
    return { code: 'offStandard', got, nearest: { text: pick.name, value: pick.mm } }
  }
  const [low, high] = WINDOWS[kind]!
  if (mm >= low && mm <= high) return undefined
  // Blades are sold by the inch: a number that is a blade in inches was meant so.
  const inches = [mm * 25.4, mm / 25.4]
  const tens = [mm * 10, mm / 10]
  const tries = kind === 'bladeTube' || kind === 'armTube' ? [...inches, ...tens] : [...tens, ...inches]
  const guess = tries.find((v) => v >= low && v <= high)
  return {
    code: 'implausible',
    got,
    usual: [low, high],
    ...(guess === undefined
      ? {}
      : {
          nearest: {
            text: `${formatNumber(MAKER, guess)} mm${inchFraction(guess) ? ` (${inchFraction(guess)} in)` : ''}`,
            value: Number(guess.toPrecision(6)),
          },
        }),
  }
}

const CODES = {
  cell: ['14500', '16340', '18350', '18500', '18650', '21700'],
  screw: [
    ...['M1.6', 'M2', 'M2.5', 'M3', 'M3.5', 'M4', 'M5', 'M6', 'M8', 'M10'],
    ...['#2-56', '#4-40', '#5-40', '#6-32', '#8-32', '#10-24', '#10-32', '1/4-20', '1/4-28'],
  ],
}
/** A screw as the table has it: without its length (`M4×6`) or fine pitch, with the sign that numbers have (`6-32`). */
export const screwName = (text: string): string => {
  const name = text.replace(/\s+/g, '').replace(/[x×*].*$/i, '')
  return /^\d{1,2}-\d\d/.test(name) ? `#${name}` : name
}

/** Asks back about a size code: `1835` → `18350?`, `632` → `#6-32?`. Undefined when the code is a known one. */
export function suggestCode(text: string, kind: keyof typeof CODES): Suggestion | undefined {
  const known = CODES[kind]
  const bare = (s: string) => s.toLowerCase().replace(/[^a-z0-9]/g, '')
  const said = kind === 'screw' ? screwName(text) : text.trim()
  if (known.some((k) => k.toLowerCase() === said.toLowerCase())) return undefined
  const got = bare(said)
  const best = known.map((k) => ({ k, d: distance(got, bare(k)) })).sort((a, b) => a.d - b.d)[0]!
  return {
    code: 'unknownCode',
    got: text,
    ...(best.d <= 2 && best.d < got.length ? { nearest: { text: best.k } } : {}),
  }
}

/** The word of a list nearest to what was typed, when it is within two slips of the pen; undefined otherwise. */
export function nearestWord(text: string, words: readonly string[]): string | undefined {
  const got = text.trim().toLowerCase()
  const best = words.map((w) => ({ w, d: distance(got, w.toLowerCase()) })).sort((a, b) => a.d - b.d)[0]
  return best && best.d <= 2 ? best.w : undefined
}

/** Levenshtein distance: insertions, deletions and substitutions, one each. */
function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const next = [i]
    for (let j = 1; j <= b.length; j++)
      next[j] = Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1))
    row = next
  }
  return row[b.length]!
}
