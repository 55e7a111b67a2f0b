import { ratings, WHITE } from '../../../power'
import { formatNumber } from '../../../units'
import { check } from '../../check'
import { amps } from '../../text'

interface Load {
  name: string
  share: number
  rated: number
  /** The first preset and its share, when that is known. */
  usual: { preset: string; share: number } | undefined
}
const worded = (p: Load) => ({
  title: `${p.name}: ${amps(p.share * p.rated)} at full white, rated ${amps(p.rated)}`,
  detail: `${formatNumber(p.share * 100, 0)} % of its rating.${p.usual ? ` In ${p.usual.preset} it is ${formatNumber(p.usual.share * 100, 0)} %.` : ''}`,
})

export const overRating = check<{ white: Load; always: Load }>({
  id: 'overRating',
  station: 'power',
  scope: 'saber',
  rule: 'The current at full white stays within the rating of all it passes: cell, pins, switch, wire.',
  source: 'ratings by datasheet; chassis-wiring guide by AWG',
  reads: ['hilt', 'parts', 'blades', 'zones', 'presets'],
  run: ({ saber }) => {
    const first = saber.presets[0]
    const usual = first ? ratings(saber, first.colour).list : []
    return ratings(saber, WHITE)
      .list.filter((r) => r.share > 1)
      .map((r) => {
        const now = usual.find((u) => u.ref === r.ref)
        const fine = now !== undefined && now.share <= 1
        return {
          code: fine ? 'white' : 'always',
          subject: r.ref,
          level: fine ? 'caution' : 'stop',
          params: {
            name: r.name,
            share: r.share,
            rated: r.ratedAmps,
            usual: now && { preset: first!.name, share: now.share },
          },
          refs: [r.ref],
          gate: !fine,
        }
      })
  },
  words: {
    white: (p) => ({
      ...worded(p),
      remedy: 'Limit the brightness of white, or fit the next size; say so in the record.',
    }),
    always: (p) => ({ ...worded(p), remedy: 'Fit the next size, or limit the brightness on the board.' }),
  },
})
