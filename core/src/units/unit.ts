/** Every unit a stored value may carry. One unit per quantity: what is typed in inches is stored in mm. */
export const UNITS = [
  'mm',
  'deg',
  'g',
  'V',
  'A',
  'mA',
  'µA',
  'mAh',
  'Ω',
  'mΩ',
  'W',
  's',
  'ms',
  '%',
  '×',
  'mm²',
  '1/m',
  'dB',
  'Hz',
  'min',
  'h',
  'Wh',
  'N·cm',
] as const
export type Unit = (typeof UNITS)[number]

/** Beyond what no part of a saber can have; a slip of the keyboard or a damaged file. */
const MOST: Record<Unit, number> = {
  mm: 100_000,
  deg: 3600,
  g: 100_000,
  V: 1000,
  A: 1000,
  mA: 1e6,
  µA: 1e9,
  mAh: 1e6,
  Ω: 1e7,
  mΩ: 1e7,
  W: 1e5,
  s: 1e6,
  ms: 1e9,
  '%': 1000,
  '×': 1e5,
  'mm²': 1e7,
  '1/m': 1e5,
  dB: 300,
  Hz: 1e9,
  min: 1e7,
  h: 1e6,
  Wh: 1e5,
  N·cm: 1e5,
}
const SIGNED: ReadonlySet<Unit> = new Set(['mm', 'deg', 'dB'])

/** What every unit allows: most values are looked up no further. */
const ALWAYS = Math.min(...Object.values(MOST))

/** Whether a value can be at all: a finite number within what a saber can have, below zero only for places, angles and levels. */
export const possible = (value: number, unit: Unit): boolean =>
  (value >= 0 && value <= ALWAYS) || (Math.abs(value) <= MOST[unit] && (value >= 0 || SIGNED.has(unit)))
