/** Light as CIE 1931 sees it: X, Y and Z; Y is luminance. */
export type Xyz = readonly [x: number, y: number, z: number]

/** Nanometres that are summed over, and their step. */
const [FROM, TO, STEP] = [380, 780, 2]

/** A hill with two slopes, as the fit of the colour matching functions is made of them. */
const hill = (nm: number, top: number, left: number, right: number): number =>
  Math.exp(-0.5 * ((nm - top) / (nm < top ? left : right)) ** 2)

/**
 * The CIE 1931 colour matching functions of 2° at a wavelength, nm, by the fit of several hills (C. Wyman, P.-P. Sloan, P. Shirley:
 * Simple Analytic Approximations to the CIE XYZ Color Matching Functions, 2013); within 0.02 of the published table.
 */
export const matching = (nm: number): Xyz => [
  1.056 * hill(nm, 599.8, 37.9, 31) + 0.362 * hill(nm, 442, 16, 26.7) - 0.065 * hill(nm, 501.1, 20.4, 26.2),
  0.821 * hill(nm, 568.8, 46.9, 40.5) + 0.286 * hill(nm, 530.9, 16.3, 31.1),
  1.217 * hill(nm, 437, 11.8, 36) + 0.681 * hill(nm, 459, 26, 13.8),
]

/** One hill of a spectrum: where it is highest and how wide it is at half of that, nm, and how high. */
export interface Hill {
  nm: number
  wide: number
  high: number
}
/** A full width at half height is so many standard deviations of a normal curve. */
const FULL_WIDTH = 2 * Math.sqrt(2 * Math.LN2)

/** What gets through at a wavelength, 0…1. */
export type Passes = (nm: number) => number

/** Where blue ends and red begins for a tint that is known by its colour only, nm, and how gradually. */
const [BLUE_ENDS, RED_BEGINS, GRADUAL] = [490, 580, 8]
/**
 * What a tint lets through, of which no more is known than its colour in white light, as duties of red, green and blue: three bands
 * that go over into each other. An estimate: two tints of one colour may pass a narrow light differently.
 */
export const tintOf =
  ([red, green, blue]: readonly [number, number, number]): Passes =>
  (nm) => {
    const b = 1 / (1 + Math.exp((nm - BLUE_ENDS) / GRADUAL))
    const r = 1 / (1 + Math.exp((RED_BEGINS - nm) / GRADUAL))
    return red * r + blue * b + green * Math.max(0, 1 - r - b)
  }

/** A spectrum as the eye sees it, through a tint where there is one. */
export function seenLight(spectrum: readonly Hill[], through: Passes = () => 1): Xyz {
  let [x, y, z] = [0, 0, 0]
  for (let nm = FROM; nm <= TO; nm += STEP) {
    let power = 0
    for (const h of spectrum) power += h.high * Math.exp(-0.5 * (((nm - h.nm) * FULL_WIDTH) / h.wide) ** 2)
    const passed = power * through(nm) * STEP
    const [mx, my, mz] = matching(nm)
    x += mx * passed
    y += my * passed
    z += mz * passed
  }
  return [x, y, z]
}
