import { known } from '../facts'
import { lightnessChromaHue } from '../light'
import type { Preset } from '../record'

/** Where the circle of colours is begun: pink before red. */
const FIRST_HUE = 15
const GREY = '#808080'

/** Ways to put presets in order, beside one by hand. */
export const PRESET_ORDERS = ['colour', 'favourites'] as const
export type PresetOrder = (typeof PRESET_ORDERS)[number]

/**
 * Presets in another order, those that are equal by it as they stood: by colour round the circle from red, greys and looks of many
 * colours after them; or those that the client likes best first. What shows how full the cell is stays last in both.
 */
export function orderedBy(presets: readonly Preset[], by: PresetOrder): Preset[] {
  const rank = (p: Preset): number => {
    if (p.look === 'battery') return 2000
    if (by === 'favourites') return p.favourite ? 0 : 1
    if (p.look) return 1000
    const { chroma, hue } = lightnessChromaHue(known(p.colour) ?? GREY)
    return chroma < 0.05 || hue === undefined ? 900 : (hue - FIRST_HUE + 360) % 360
  }
  return presets
    .map((p, i) => ({ p, i, at: rank(p) }))
    .sort((a, b) => a.at - b.at || a.i - b.i)
    .map((x) => x.p)
}
