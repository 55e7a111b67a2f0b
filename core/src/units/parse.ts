import type { Unit } from './unit'

/** What a field measures; it decides which units may be typed and which one is stored. */
export type Quantity =
  | 'length'
  | 'area'
  | 'angle'
  | 'mass'
  | 'voltage'
  | 'current'
  | 'charge'
  | 'resistance'
  | 'power'
  | 'time'
  | 'share'
  | 'count'
  | 'density'
  | 'level'

/** The quantity that a stored unit measures; units without one of their own are plain counts. */
const QUANTITY_OF: Partial<Record<Unit, Quantity>> = {
  mm: 'length',
  'mm²': 'area',
  deg: 'angle',
  g: 'mass',
  V: 'voltage',
  A: 'current',
  mA: 'current',
  mAh: 'charge',
  Ω: 'resistance',
  mΩ: 'resistance',
  W: 'power',
  s: 'time',
  ms: 'time',
  '%': 'share',
  '1/m': 'density',
}
export const quantityOf = (unit: Unit): Quantity => QUANTITY_OF[unit] ?? 'count'

export interface Parsed {
  ok: true
  value: number
  unit: Unit
  /** Stated tolerance (`±0.2`), in the stored unit. */
  tol?: number
  /** True when the text itself hedges ("about", "~", "approx", "just under"): such a value is recalled, not measured. */
  hedged: boolean
}

type ParseCode = 'empty' | 'notANumber' | 'either' | 'unknownUnit' | 'zeroDenominator' | 'negative' | 'tooMany'
export interface ParseFailure {
  ok: false
  code: ParseCode
  /** The offending piece of the text, echoed. */
  got: string
  /** What may stand there: units; of a number that can be read in two ways both. */
  accepts: string[]
}

interface QuantityRule {
  stored: Unit
  /** Spelling → factor to the stored unit. The empty spelling is the default when no unit is typed. */
  factors: Record<string, number>
  /** Spellings whose capital letters matter: a megohm is no milliohm. */
  exact?: Record<string, number>
  negative: boolean
}

/** 1 in = 25.4 mm exactly (international yard and pound agreement, 1959); 1 oz = 28.349523125 g. */
const INCH = 25.4
const FOOT = 12 * INCH
const OUNCE = 28.349523125

const RULES: Record<Quantity, QuantityRule> = {
  length: {
    stored: 'mm',
    negative: false,
    factors: {
      ...{ '': 1, mm: 1, cm: 10, m: 1000, in: INCH, inch: INCH, inches: INCH, '"': INCH, '″': INCH, '”': INCH },
      ...{ ft: FOOT, foot: FOOT, feet: FOOT, "'": FOOT, '′': FOOT, '’': FOOT },
    },
  },
  area: {
    stored: 'mm²',
    negative: false,
    factors: { '': 1, 'mm²': 1, mm2: 1, 'cm²': 100, cm2: 100, 'in²': INCH ** 2, in2: INCH ** 2 },
  },
  angle: { stored: 'deg', negative: true, factors: { '': 1, deg: 1, '°': 1, "o'clock": 30, oclock: 30 } },
  mass: { stored: 'g', negative: false, factors: { '': 1, g: 1, kg: 1000, oz: OUNCE } },
  voltage: { stored: 'V', negative: false, factors: { '': 1, v: 1, mv: 0.001 } },
  current: { stored: 'A', negative: false, factors: { '': 1, a: 1, ma: 0.001, ua: 1e-6, µa: 1e-6 } },
  charge: { stored: 'mAh', negative: false, factors: { '': 1, mah: 1, ah: 1000 } },
  resistance: {
    stored: 'Ω',
    negative: false,
    factors: { '': 1, ohm: 1, ohms: 1, ω: 1, r: 1, mohm: 0.001, mω: 0.001, k: 1000, kω: 1000, kohm: 1000 },
    exact: { M: 1e6, 'M\u03a9': 1e6, Mohm: 1e6, MOhm: 1e6 },
  },
  power: { stored: 'W', negative: false, factors: { '': 1, w: 1, mw: 0.001 } },
  time: {
    stored: 's',
    negative: false,
    factors: { '': 1, s: 1, sec: 1, second: 1, seconds: 1, ms: 0.001, min: 60, minutes: 60, h: 3600 },
  },
  share: { stored: '%', negative: false, factors: { '': 1, '%': 1, percent: 1 } },
  count: { stored: '×', negative: false, factors: { '': 1, '×': 1, x: 1, pcs: 1, leds: 1, pixels: 1, px: 1 } },
  density: { stored: '1/m', negative: false, factors: { '': 1, '/m': 1, '1/m': 1, 'per m': 1 } },
  level: { stored: 'dB', negative: true, factors: { '': 1, db: 1, lufs: 1 } },
}

const HEDGE = /^(about|around|approx\.?|approximately|roughly|circa|ca\.?|~|≈|just under|just over|maybe|i think)\s*/i
const NUMBER = /^(?:(\d+)\s+(\d+)\s*\/\s*(\d+)|(\d+)-(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/

/**
 * Reads what a maker types: `22.2`, `22,2 mm`, `7/8`, `7/8 in`, `1 1/8"`, `0.875 in`, `about 24`, `48 ± 0.2`.
 *
 * A bare fraction in a length field means inches, since nobody writes millimetres as vulgar fractions; a decimal comma
 * is a decimal point, but of `3,500` nobody can say whether it is three or three thousand: that is asked. A unit behind the
 * tolerance is that of both, as ISO 80000-1 writes it: `0.875 ± 0.01 in`. The result is in the quantity's stored unit, or in the unit of the `field` it was typed into, which is
 * then also what a bare number means: `12` in a field of mA is 12 mA. Fails with a code and the echoed piece; never guesses
 * a unit it does not know. Lengths, masses and electrical values may not be negative; angles and levels may.
 */
export function parseMeasure(text: string, quantity: Quantity, field?: Unit): Parsed | ParseFailure {
  const rule = RULES[quantity]
  const accepts = Object.keys(rule.factors).filter(Boolean)
  const fail = (why: ParseCode | [number, number], got: string) => failure(why, got, accepts)

  let rest = plainDigits(text.trim())
  if (!rest) return fail('empty', text)
  const hedge = HEDGE.exec(rest)
  if (hedge) rest = rest.slice(hedge[0].length)

  const [main, tolText, ...more] = rest.split(/±|\+\/?-/)
  if (more.length) return fail('tooMany', text)

  const feet = quantity === 'length' ? feetAndInches(main!.trim()) : undefined
  const read = feet ?? readNumber(main!.trim())
  if (isUnread(read)) return fail(read, main!.trim())
  if (read.value < 0 && !rule.negative) return fail('negative', main!.trim())

  const own = (field && rule.factors[field.toLowerCase()]) || 1
  const factorOf = (unit: string): number | undefined =>
    unit === '' ? own : (rule.exact?.[ohms(unit)] ?? rule.factors[unit.toLowerCase()])
  const tol = tolText === undefined ? undefined : readNumber(tolText.trim())
  const tolUnit = tol === undefined || isUnread(tol) ? '' : tol.rest.trim()
  const unitText = read.rest.trim() || (quantity === 'length' && read.fraction ? 'in' : tolUnit)
  const factor = factorOf(unitText)
  if (factor === undefined) return fail('unknownUnit', unitText)

  const result: Parsed = {
    ok: true,
    value: clean((read.value * factor) / own),
    unit: field ?? rule.stored,
    hedged: !!hedge,
  }
  if (tol !== undefined) {
    const got = tolText!.trim()
    if (isUnread(tol)) return fail(tol === 'zeroDenominator' ? 'notANumber' : tol, got)
    if (tol.value < 0) return fail('notANumber', got)
    // A bare fraction is a fraction of an inch here too.
    const inches = quantity === 'length' && tol.fraction
    const tolFactor = tolUnit ? factorOf(tolUnit) : inches ? INCH : factor
    if (tolFactor === undefined) return fail('unknownUnit', tolUnit)
    result.tol = clean((tol.value * tolFactor) / own)
  }
  return result
}

/** Reads a number that has no unit, as a price or a count: `3`, `2,5`, `1/2`, `-4`. Fails as `parseMeasure` does. */
export function parseNumber(text: string): { ok: true; value: number } | ParseFailure {
  const got = text.trim()
  if (!got) return failure('empty', got)
  const read = readNumber(plainDigits(got))
  if (isUnread(read)) return failure(read, got)
  return read.rest.trim() ? failure('notANumber', got) : { ok: true, value: read.value }
}

/** What could not be read, and why: by its code, or by the two that it can be. */
const failure = (why: ParseCode | [number, number], got: string, accepts: string[] = []): ParseFailure =>
  typeof why === 'string'
    ? { ok: false, code: why, got, accepts }
    : { ok: false, code: 'either', got, accepts: why.map(String) }

/** One sign for what has two: the Greek letter for the micro sign, the letter for the ohm sign, digits for a vulgar fraction. */
const plainDigits = (text: string) =>
  text
    .replace(/μ/g, 'µ')
    .replace(/(\d)?\s*([¼½¾⅐-⅞])/g, (_all, whole: string | undefined, f: string) =>
      [whole, f.normalize('NFKC').replace('⁄', '/')].filter(Boolean).join(' '),
    )
const ohms = (unit: string) => unit.replace(/\u2126/g, '\u03a9')

/** `3' 6 1/2"`, `3 ft 6 in`: feet with inches after them, in inches; undefined when it is not written so. */
function feetAndInches(text: string): Read | undefined {
  const m = /^(\d+)\s*(?:ft|foot|feet|['′’])\s*(\d.*)$/i.exec(text)
  const inches = m ? readNumber(m[2]!.trim()) : undefined
  if (!m || !inches || isUnread(inches) || !/^(in|inch|inches|["″”])?$/i.test(inches.rest.trim())) return undefined
  return { value: Number(m[1]) * 12 + inches.value, fraction: true, rest: 'in' }
}

/** Why a number is not read: what it is not, or the two that it can be. */
type Unread = 'notANumber' | 'zeroDenominator' | [number, number]
const isUnread = (read: Read | Unread): read is Unread => typeof read === 'string' || Array.isArray(read)
interface Read {
  value: number
  fraction: boolean
  rest: string
}
/** A comma before three digits parts thousands or is a decimal one; behind a nought it can only be the latter. */
const EITHER = /^[1-9]\d{0,2},\d{3}$/

function readNumber(text: string): Read | Unread {
  const negative = /^[-−]\s*/.exec(text)
  const body = negative ? text.slice(negative[0].length) : text
  const m = NUMBER.exec(body)
  if (!m) return 'notANumber'
  const [whole, num, den] =
    m[1] !== undefined ? [m[1], m[2], m[3]] : m[4] !== undefined ? [m[4], m[5], m[6]] : ['0', m[7], m[8]]
  let value: number
  const fraction = den !== undefined
  if (fraction) {
    if (Number(den) === 0) return 'zeroDenominator'
    value = Number(whole) + Number(num) / Number(den)
  } else value = Number(m[9]!.replace(',', '.'))
  // "1.234,5" and "22.2.1" are not numbers we know how to read.
  const rest = body.slice(m[0].length)
  if (/^[.,/]?\d/.test(rest) || /^[.,]/.test(rest)) return 'notANumber'
  const sign = negative ? -1 : 1
  if (EITHER.test(m[0])) return [sign * value, sign * value * 1000]
  return { value: sign * value, fraction, rest }
}

/** Removes binary dust (0.875·25.4 = 22.224999…) without losing a micrometre. */
const clean = (v: number) => Number(v.toPrecision(12))
