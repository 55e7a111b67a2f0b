import { refTo } from '../../../record'
import { evened } from '../../../voice'
import { check } from '../../check'

/** So far one font may stand from the others before a hand goes to the volume, dB; usual, set by ear. */
const UNEVEN = 3

export const unevenFonts = check<{
  louder: { font: string; by: number; gain: number }
  softer: { font: string; by: number; gain: number }
}>({
  id: 'unevenFonts',
  station: 'voice',
  scope: 'saber',
  source: 'gated loudness of like events, ITU-R BS.1770-4',
  reads: ['fonts'],
  run: ({ saber }) =>
    evened(saber.fonts).flatMap(({ font, louder, gain }) =>
      louder === undefined || Math.abs(louder) <= UNEVEN
        ? []
        : [
            {
              code: louder > 0 ? ('louder' as const) : ('softer' as const),
              ...{ subject: font.id, level: 'note' as const, refs: [refTo('font', font.id)] },
              params: { font: font.name, by: Math.abs(louder), gain },
            },
          ],
    ),
})
