/** E24 mantissas, IEC 60063. */
const E24 = [
  1, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1,
]

export interface ResistorChoice {
  exactOhms: number
  /** The next E24 value not below the exact one; 0 when the LED needs none because no voltage is left over. */
  ohms: number
  /** Twice the heat at full cell. */
  ratingWatts: number
  /** Current at full cell with the chosen value. */
  currentFull: number
  /** Current at the empty cell; 0 when it goes dark. */
  currentEmpty: number
  darkWhenEmpty: boolean
}

/** The smallest E24 value ≥ r, for r > 0. */
export function nextE24(r: number): number {
  if (!(r > 0)) throw new RangeError(`nextE24: resistance must be positive, got ${r}`)
  const decade = 10 ** Math.floor(Math.log10(r))
  const m = r / decade
  const pick = E24.find((e) => e >= m - 1e-9) ?? 10
  return Number((pick * decade).toPrecision(3))
}

/** R = (V − Vf)/I at full cell, next higher E24, rating ≥ 2·I²R; at the empty cell it is dark when V ≤ Vf. Volts, amps. */
export function chooseResistor(
  fullVolts: number,
  emptyVolts: number,
  forwardVolts: number,
  amps: number,
): ResistorChoice {
  if (!(amps > 0)) throw new RangeError(`chooseResistor: current must be positive, got ${amps}`)
  const exact = (fullVolts - forwardVolts) / amps
  const ohms = exact > 0 ? nextE24(exact) : 0
  const at = (v: number) => (ohms > 0 ? Math.max(0, (v - forwardVolts) / ohms) : 0)
  return {
    exactOhms: exact,
    ohms,
    ratingWatts: 2 * at(fullVolts) ** 2 * ohms,
    currentFull: at(fullVolts),
    currentEmpty: at(emptyVolts),
    darkWhenEmpty: emptyVolts <= forwardVolts,
  }
}
