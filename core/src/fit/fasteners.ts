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
  if (head === 'thumb') return 'by hand'
  if (head === 'set') return SET_KEYS[thread]
  if (head === 'cap') return CAP_KEYS[thread]
  return undefined
}
