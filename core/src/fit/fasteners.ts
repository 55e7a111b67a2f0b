import { parseMeasure, screwName } from '../units'
import { BY_HAND } from '../words'

/** Hex key for a set screw, by thread. ISO 4026 (metric) and ASME B18.3 (inch). */
const SET_KEYS: Record<string, string> = {
  M2: '0.9 mm',
  'M2.5': '1.3 mm',
  M3: '1.5 mm',
  M4: '2 mm',
  M5: '2.5 mm',
  '#4-40': '0.050 in',
  '#6-32': '1/16 in',
  '#8-32': '5/64 in',
  '#10-32': '3/32 in',
  '#10-24': '3/32 in',
}
/** Hex key for a socket cap screw, by thread. ISO 4762. */
const CAP_KEYS: Record<string, string> = { M2: '1.5 mm', 'M2.5': '2 mm', M3: '2.5 mm', M4: '3 mm', M5: '4 mm' }

/** The standard key of a screw, or undefined when the tables have none (thumb screws need no key, dummies take none). */
export function standardKey(thread: string, head: 'set' | 'cap' | 'button' | 'thumb' | 'dummy'): string | undefined {
  if (head === 'thumb') return BY_HAND
  const name = screwName(thread)
  if (head === 'set') return SET_KEYS[name]
  if (head === 'cap') return CAP_KEYS[name]
  return undefined
}

/**
 * Size across the flats of a hex key, mm, however it is written: `2 mm`, `2.0`, `1/16 in`, `0.050"`. Undefined for what is no
 * size, as "by hand".
 */
export function keyMm(key: string): number | undefined {
  const read = parseMeasure(key.replace(/^hex\s*(key)?\s*/i, ''), 'length')
  return read.ok ? read.value : undefined
}

/** Two keys nearer than this go into each other's screws, mm: 1.5 mm and 1/16 in do, 3 mm and 1/8 in do not. */
const ALIKE = 0.12
/** Whether one key is easily taken for another, across both systems; words that are no size only when they are the same. */
export function keysAlike(a: string, b: string): boolean {
  const [x, y] = [keyMm(a), keyMm(b)]
  return x === undefined || y === undefined ? a.trim() !== '' && a.trim() === b.trim() : Math.abs(x - y) <= ALIKE
}
