import { known } from '../../../facts'
import { type FittedPart, kindRule, SPECS, type SpecKey } from '../../../record'
import { check } from '../../check'

export const specs = check<{
  odd: { part: string; values: { key: SpecKey; value: number }[] }
  incomplete: { part: string; missing: SpecKey[]; unplaced: boolean }
}>({
  id: 'specs',
  station: 'fit',
  scope: 'saber',
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
})

/** Values outside the range that is usual for their kind. */
const oddOf = (p: FittedPart) =>
  (Object.keys(p.specs) as SpecKey[]).flatMap((key) => {
    const value = known(p.specs[key])
    return value !== undefined && (value < SPECS[key].min || value > SPECS[key].max) ? [{ key, value }] : []
  })
