import { known } from '../../../facts'
import { type FittedPart, kindRule, SPECS, type SpecKey } from '../../../record'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

export const specs = check<{
  odd: { part: string; values: { key: SpecKey; value: number }[] }
  incomplete: { part: string; missing: SpecKey[]; unplaced: boolean }
}>({
  id: 'specs',
  station: 'fit',
  scope: 'saber',
  rule: 'A fitted part has the sizes and ratings its kind needs, and a place.',
  source: 'parts catalogue',
  reads: ['parts'],
  run: ({ saber }) =>
    saber.parts.flatMap((p) => {
      const rule = kindRule(p.kind)
      const missing = rule.needs.filter((k) => known(p.specs[k]) === undefined)
      const unplaced = rule.inside && known(p.at) === undefined && rule.glyph !== 'dot'
      const values = oddOf(p)
      const refs = [`part:${p.id}` as const]
      return [
        ...(values.length
          ? [
              {
                code: 'odd' as const,
                subject: `${p.id}-odd`,
                level: 'caution' as const,
                params: { part: p.name, values },
                refs,
              },
            ]
          : []),
        ...(missing.length || unplaced
          ? [
              {
                code: 'incomplete' as const,
                subject: p.id as string,
                level: 'note' as const,
                params: { part: p.name, missing, unplaced },
                refs,
              },
            ]
          : []),
      ]
    }),
  words: {
    odd: (p) => ({
      title: `${p.part}: ${p.values.map((v) => SPECS[v.key].label).join(', ')}?`,
      detail: p.values
        .map(
          ({ key, value }) =>
            `${SPECS[key].label} ${formatNumber(MAKER, value)} ${SPECS[key].unit}; usual ${SPECS[key].min} to ${SPECS[key].max}`,
        )
        .join('. '),
      remedy: 'Check the figure and its unit.',
    }),
    incomplete: (p) => ({
      title: `${p.part}: not judged`,
      detail: `Needs ${[...p.missing.map((k) => SPECS[k].label), ...(p.unplaced ? ['its place'] : [])].join(', ')}.`,
      remedy: 'Enter it; until then nothing is computed with this part.',
    }),
  },
})

/** Values outside the range that is usual for their kind. */
const oddOf = (p: FittedPart) =>
  (Object.keys(p.specs) as SpecKey[]).flatMap((key) => {
    const value = known(p.specs[key])
    return value !== undefined && (value < SPECS[key].min || value > SPECS[key].max) ? [{ key, value }] : []
  })
