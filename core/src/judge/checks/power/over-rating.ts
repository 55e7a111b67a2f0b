import { type LightLoad, ratings, ratingsOfLoads, WHITE } from '../../../power'
import type { Saber } from '../../../record'
import { check } from '../../check'

export interface Over {
  name: string
  share: number
  rated: number
  /** The looks that are too much, the worst first. */
  looks: string[]
}
const lookName = (l: LightLoad) => (l.look === 'steady' ? l.preset.name : `${l.look} of ${l.preset.name}`)

/** What is over its rating in some of the loads: each rated thing with those loads, the worst first. */
const over = (saber: Saber, loads: readonly LightLoad[]) =>
  ratingsOfLoads(saber, loads)
    .map((f) => ({ rating: f.worst, loads: f.loads.filter((l) => l.share > 1) }))
    .filter((f) => f.loads.length)

export const overRating = check<{ lasting: Over; flash: Over; unknown: Over }>({
  id: 'overRating',
  station: 'power',
  scope: 'saber',
  source: 'ratings by datasheet; chassis-wiring guide by AWG',
  reads: ['hilt', 'parts', 'blades', 'zones', 'presets', 'use'],
  run: ({ saber, loads }) => {
    // Without a preset nobody knows how it will shine: then white is what it may come to.
    if (!saber.presets.length)
      return ratings(saber, WHITE)
        .list.filter((r) => r.share > 1)
        .map((r) => ({
          code: 'unknown',
          subject: r.ref,
          level: 'caution',
          params: { name: r.name, share: r.share, rated: r.ratedAmps, looks: [] },
          refs: [r.ref],
        }))
    const lasting = over(
      saber,
      loads.filter((l) => l.lasts !== 'flash'),
    )
    const flashes = over(
      saber,
      loads.filter((l) => l.lasts === 'flash'),
    ).filter((f) => !lasting.some((l) => l.rating.ref === f.rating.ref && l.rating.name === f.rating.name))
    const raise = (f: (typeof lasting)[number]) => ({
      subject: f.rating.ref as string,
      params: {
        ...{ name: f.rating.name, share: f.rating.share, rated: f.rating.ratedAmps },
        looks: f.loads.map((l) => lookName(l.load)),
      },
      refs: [f.rating.ref],
      names: f.loads.map((l) => `${l.load.preset.id}-${l.load.look}`),
    })
    return [
      ...lasting.map((f) => ({ ...raise(f), code: 'lasting' as const, level: 'stop' as const, gate: true })),
      ...flashes.map((f) => ({ ...raise(f), code: 'flash' as const, level: 'caution' as const })),
    ]
  },
})
