/** Open-circuit voltage of a generic lithium-ion cell against state of charge, 0…1 (typical NMC rest curve, 25 °C). */
const OCV: readonly (readonly [soc: number, volts: number])[] = [
  [0, 3.0],
  [0.05, 3.35],
  [0.1, 3.45],
  [0.2, 3.56],
  [0.3, 3.62],
  [0.4, 3.67],
  [0.5, 3.74],
  [0.6, 3.83],
  [0.7, 3.92],
  [0.8, 4.01],
  [0.9, 4.09],
  [1, 4.2],
]

/** One column of the table against the other by straight lines between its points; beyond them the end values hold. */
function along(from: 0 | 1, x: number): number {
  const to = from === 0 ? 1 : 0
  if (x <= OCV[0]![from]) return OCV[0]![to]
  for (let i = 1; i < OCV.length; i++) {
    const [p, q] = [OCV[i - 1]!, OCV[i]!]
    if (x <= q[from]) return p[to] + ((q[to] - p[to]) * (x - p[from])) / (q[from] - p[from])
  }
  return OCV.at(-1)![to]
}

/** OCV of a state of charge; outside 0…1 the end values hold. */
export const ocv = (soc: number): number => along(0, soc)

/** Share of a cell's capacity that can be used before its rest voltage falls to a cut-off, 0…1; all of it below the table. */
export const usableShare = (cutoffVolts: number): number => 1 - along(1, cutoffVolts)

export interface DischargeInput {
  capacityMah: number
  internalOhms: number
  /** Cells in series; voltage and cut-off are for the pack. */
  series: number
  cutoffVolts: number
  /** Mean current of the use profile, A. */
  meanAmps: number
  /** Peak current that must still be carried at the end, A; cut-off is judged under it. */
  peakAmps: number
}

export interface Discharge {
  minutes: number
  /** Share of the capacity that could be used before cut-off. */
  usedShare: number
  curve: { minutes: number; volts: number; soc: number }[]
}

/**
 * Integrates the state of charge in steps of 0.5 % under the mean current until the voltage under the peak load,
 * OCV(soc) − I·R, falls to the cut-off. Ends at once (0 minutes) when a full cell cannot carry the peak. A mean current
 * of zero is refused: it would never end.
 */
export function discharge(i: DischargeInput): Discharge {
  if (!(i.meanAmps > 0)) throw new RangeError('discharge: mean current must be positive')
  const step = 0.005
  const curve: Discharge['curve'] = []
  let soc = 1
  let minutes = 0
  const volts = (s: number, amps: number) => i.series * ocv(s) - amps * i.internalOhms
  while (soc > 1e-9 && volts(soc, i.peakAmps) > i.cutoffVolts) {
    curve.push({ minutes, volts: volts(soc, i.meanAmps), soc })
    minutes += ((step * i.capacityMah) / 1000 / i.meanAmps) * 60
    soc -= step
  }
  curve.push({ minutes, volts: volts(Math.max(0, soc), i.meanAmps), soc: Math.max(0, soc) })
  return { minutes, usedShare: 1 - Math.max(0, soc), curve }
}
