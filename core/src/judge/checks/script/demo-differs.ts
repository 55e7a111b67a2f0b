import { type BladeDifference, demoAgainstShipped } from '../../../fit'
import { check } from '../../check'

export const demoDiffers = check<{ other: { differs: BladeDifference[] } }>({
  id: 'demoDiffers',
  station: 'walkthrough',
  scope: 'saber',
  source: 'shop practice',
  reads: ['blades', 'beats'],
  run: ({ saber }) =>
    demoAgainstShipped(saber)
      .filter((d) => d.differs.length)
      .filter((d) => !saber.beats.some((b) => b.covers.includes(`blade:${d.demo.id}`)))
      .map((d) => ({
        code: 'other',
        subject: d.demo.id,
        level: 'caution',
        params: { differs: d.differs },
        refs: [`blade:${d.demo.id}`],
      })),
})
