import { type Font, refTo, type Sound } from '../../../record'
import { LOOPS } from '../../../voice'
import { check } from '../../check'

/** Below this nobody hears a sound over a swing, dB under full scale; usual, by ear at the bench. */
const NEARLY_SILENT = -50
/** A mean above this share of full scale pushes the speaker to one side and thumps where the sound begins. */
const OFFSET = 0.01
/** Later than this after the hand, a sound is heard as late, s (about what a drummer notices). */
const LATE = 0.05
/** What answers a hand at once. */
const PROMPT: ReadonlySet<Sound['event']> = new Set(['ignite', 'clash', 'deflect', 'retract', 'beep'])

const LEVELS = {
  quiet: 'caution',
  seam: 'caution',
  offset: 'note',
  late: 'note',
  rates: 'note',
  doubled: 'note',
} as const

interface Named {
  font: string
  sounds: string[]
}
/** The rate that most sounds of a font have; of as many the higher one. */
function usualRate(f: Font): number | undefined {
  const count = new Map<number, number>()
  for (const x of f.sounds) if (x.rate !== undefined) count.set(x.rate, (count.get(x.rate) ?? 0) + 1)
  return [...count].sort(([a, n], [b, m]) => m - n || b - a)[0]?.[0]
}

export const soundFiles = check<{
  quiet: Named
  seam: Named
  offset: Named
  late: Named
  rates: Named & { usual: number }
  doubled: Named
}>({
  id: 'soundFiles',
  station: 'voice',
  scope: 'saber',
  source: 'measured of each file, as the board plays it',
  reads: ['fonts'],
  run: ({ saber }) =>
    saber.fonts.flatMap((f) => {
      const usual = usualRate(f)
      const media = f.sounds.flatMap((x) => (x.media ? [x.media] : []))
      const found = {
        quiet: f.sounds.filter((x) => x.rmsDb !== undefined && x.rmsDb < NEARLY_SILENT),
        seam: f.sounds.filter((x) => x.seamClicks && LOOPS.has(x.event)),
        offset: f.sounds.filter((x) => Math.abs(x.dc ?? 0) > OFFSET),
        late: f.sounds.filter(
          (x) => PROMPT.has(x.event) && (x.leadSilence ?? 0) > LATE && (x.rmsDb ?? 0) >= NEARLY_SILENT,
        ),
        rates: f.sounds.filter((x) => x.rate !== undefined && x.rate !== usual),
        doubled: f.sounds.filter((x) => x.media && media.indexOf(x.media) !== media.lastIndexOf(x.media)),
      }
      const raised = <K extends keyof typeof found>(code: K) => ({
        ...{ code, subject: `${f.id}-${code}`, level: LEVELS[code], names: found[code].map((x) => x.id) },
        ...{ params: { font: f.name, sounds: found[code].map((x) => x.name) }, refs: [refTo('font', f.id)] },
      })
      const all = [
        raised('quiet'),
        raised('seam'),
        raised('offset'),
        raised('late'),
        { ...raised('rates'), params: { ...raised('rates').params, usual: usual ?? 0 } },
        raised('doubled'),
      ]
      return all.filter((r) => r.names.length)
    }),
})
