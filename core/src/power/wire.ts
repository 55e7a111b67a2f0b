/** Copper resistivity at 20 °C, Ω·m (IACS 100 %: 1.7241e-8). */
const RHO_CU = 1.724e-8

/** Conductor diameter of an AWG number in mm: 0.127·92^((36−n)/39) (ASTM B258). */
export function awgDiameterMm(awg: number): number {
  return 0.127 * 92 ** ((36 - awg) / 39)
}

/** Resistance of a length of copper wire, both ways already counted by the caller if wanted. Ω. */
export function wireOhms(awg: number, lengthMm: number): number {
  const area = (Math.PI / 4) * (awgDiameterMm(awg) / 1000) ** 2
  return (RHO_CU * (lengthMm / 1000)) / area
}

/** Chassis-wiring current guide, A (handbook table). Undefined outside it. */
const GUIDE: Record<number, number> = { 20: 11, 22: 7, 24: 3.5, 26: 2.2, 28: 1.4, 30: 0.86 }
export const wireGuideAmps = (awg: number): number | undefined => GUIDE[awg]
