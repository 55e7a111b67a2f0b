import { difference, hueWord } from '../../../light'
import { lampsOf, setTo, shownOn } from '../../../looks'
import { check } from '../../check'

/** Less of a light than this that gets through is nearly nothing, and less than the second much less; set by eye at the bench. */
const NEARLY_DARK = 0.1
/** What is seen is another colour where its word is, and it is further from the one set than this, ΔE00. */
const OTHER = 12

export const behindTint = check<{
  dark: { preset: string; light: string; tint: string; hue: string; share: number; seen: string }
  turned: { preset: string; light: string; tint: string; asked: string; reads: string; seen: string }
}>({
  id: 'behindTint',
  station: 'voice',
  scope: 'saber',
  source: 'spectra of the dies times what a tint of that colour lets through, CIE 1931',
  reads: ['presets', 'zones', 'blades', 'hilt', 'parts'],
  run: ({ saber }, each) => {
    const tinted = lampsOf(saber).filter((l) => l.tint)
    return each(saber.presets, (p) =>
      each(tinted, (lamp) => {
        const set = p.look === 'party' ? undefined : setTo(saber, p, lamp)
        if (set === undefined) return []
        const { seen, share } = shownOn(lamp, set)
        const at = {
          subject: `${p.id}-${lamp.ref.replace(':', '-')}`,
          refs: [`preset:${p.id}` as const, lamp.ref],
        }
        const params = { preset: p.name, light: lamp.name, tint: lamp.tint!.what, seen }
        const [asked, reads] = [hueWord(set), hueWord(seen)]
        if (share < NEARLY_DARK)
          return [{ ...at, code: 'dark' as const, level: 'caution' as const, params: { ...params, hue: asked, share } }]
        return asked !== reads && difference(set, seen) >= OTHER
          ? [{ ...at, code: 'turned' as const, level: 'note' as const, params: { ...params, asked, reads } }]
          : []
      }),
    )
  },
})
