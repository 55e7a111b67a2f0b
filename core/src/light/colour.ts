import {
  converter,
  differenceCiede2000,
  modeLab,
  modeLab65,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  modeXyz50,
  modeXyz65,
  useMode,
} from 'culori/fn'

/** More than three general flashes a second is the usual photosensitive threshold (WCAG 2.3.1). */
export const FLASH_LIMIT_HZ = 3
/** Below about this ΔE00 two blade colours are hard to tell apart side by side. */
export const SAME_COLOUR = 5

// Only the spaces that are asked for: the whole library knows thirty.
for (const mode of [modeRgb, modeLrgb, modeXyz50, modeXyz65, modeLab, modeLab65, modeOklab, modeOklch]) useMode(mode)

const ciede = differenceCiede2000()
const linear = converter('lrgb')
const oklch = converter('oklch')

/** CIEDE2000 between two colours given as "#rrggbb". 0 is equal; 100 is black against white. */
export const difference = (a: string, b: string): number => ciede(a, b)

/** Lightness (0…1), chroma and hue angle (°) of OKLCH; a grey has no angle. Throws RangeError for what is no colour. */
export function lightnessChromaHue(hex: string): { light: number; chroma: number; hue: number | undefined } {
  duties(hex)
  const { l, c, h } = oklch(hex)!
  return { light: l, chroma: c, hue: h }
}

/**
 * Duty of the red, green and blue dies for a stated colour, 0…1. A colour "#rrggbb" means what the eye should see (sRGB), so
 * each pair is decoded by the curve of IEC 61966-2-1 before a die is driven with it. Throws RangeError for what is no colour.
 */
export function duties(hex: string): [red: number, green: number, blue: number] {
  if (!/^#[0-9a-f]{6}$/i.test(hex)) throw new RangeError(`duties: not a colour "#rrggbb": ${hex}`)
  const c = linear(hex)!
  return [c.r, c.g, c.b]
}

const HUES: [upTo: number, word: string][] = [
  [15, 'pink'],
  [40, 'red'],
  [75, 'orange'],
  [115, 'yellow'],
  [165, 'green'],
  [210, 'teal'],
  [245, 'sky blue'],
  [285, 'blue'],
  [325, 'violet'],
  [350, 'magenta'],
  [360, 'pink'],
]

/** A colour in a word, so that it is never carried by colour alone. */
export function hueWord(hex: string): string {
  const c = oklch(hex)!
  if (c.l < 0.15) return 'dark'
  // A dim light has less chroma than a bright one of the same colour.
  const strong = c.c / Math.min(1, c.l / 0.6)
  if (strong < 0.05) return 'white'
  const h = c.h ?? 0
  const word = HUES.find(([to]) => h <= to)![1]
  return strong < 0.11 ? `pale ${word}` : word
}
