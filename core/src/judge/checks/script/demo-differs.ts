import { type BladeDifference, bladeDifferenceText, demoAgainstShipped } from '../../../fit'
import { check } from '../../check'

export const demoDiffers = check<{ other: { differs: BladeDifference[] } }>({
  id: 'demoDiffers',
  station: 'walkthrough',
  scope: 'saber',
  rule: 'When the blade shown is not the blade shipped, the film says so.',
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
  words: {
    other: (p) => ({
      title: 'The blade on film is not the one that ships',
      detail: `${p.differs.map(bladeDifferenceText).join('; ')}.`,
      remedy: 'Say it in the script: a beat that covers the bench’s blade.',
    }),
  },
})
