import { known } from '../../../facts'
import type { Material, Ref } from '../../../record'
import { check } from '../../check'

interface Hint {
  name: string
}

/** Words in names that ask for a field, and nothing more: what is judged is the field. */
const SHARP = /claw|fin\b|fins\b|spike|prong/i
const RESIN = /resin/i
const CONVERTS = /convert/i

/** Materials by the words that name them. */
const NAMED: readonly [RegExp, Material][] = [
  [/alumin|\balu\b/i, 'aluminium'],
  [/brass/i, 'brass'],
  [/copper/i, 'copper'],
  [/steel/i, 'steel'],
  [/silver/i, 'silver'],
  [/polycarbonate/i, 'polycarbonate'],
  [/leather/i, 'leather'],
  [/\bwood|walnut|\boak\b/i, 'wood'],
]
/** A material that a name speaks of and the record does not; nothing when it names none, or the recorded one as well. */
function otherMaterial(name: string, material: Material | undefined): Material | undefined {
  const named = NAMED.filter(([words]) => words.test(name)).map(([, m]) => m)
  return material === undefined || named.includes(material) ? undefined : named[0]
}
/** The end that a landmark says the plus pole looks to; undefined when it says none, or both. */
function plusTo(landmark: string): 'emitter' | 'pommel' | undefined {
  const m = [...landmark.matchAll(/(?:plus|positive|\+)[^.;,]*?\b(emitter|front|blade|pommel|rear|back)\b/gi)]
  const ends = new Set(m.map((x) => (/emitter|front|blade/i.test(x[1]!) ? ('emitter' as const) : ('pommel' as const))))
  return ends.size === 1 ? [...ends][0] : undefined
}

export const nameHints = check<{
  sharp: Hint
  resin: Hint
  converter: Hint
  material: Hint & { says: string; is: string }
  facing: Hint & { landmark: string; is: string }
}>({
  id: 'nameHints',
  station: 'hilt',
  scope: 'saber',
  source: 'house rule: facts know where they come from',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    const ask = (code: 'sharp' | 'resin' | 'converter', ref: Ref, name: string) => ({
      code,
      subject: ref,
      level: 'note' as const,
      params: { name },
      refs: [ref],
    })
    return [
      ...saber.hilt.sections
        .filter((s) => s.sharp === undefined && SHARP.test(s.name))
        .map((s) => ask('sharp', `section:${s.id}`, s.name)),
      ...saber.parts
        .filter((p) => p.kind === 'chassis' && p.material === undefined && RESIN.test(p.name))
        .map((p) => ask('resin', `part:${p.id}`, p.name)),
      ...saber.parts
        .filter((p) => p.kind === 'auxBoard' && p.converter === undefined && CONVERTS.test(p.name))
        .map((p) => ask('converter', `part:${p.id}`, p.name)),
      ...saber.hilt.sections.flatMap((x) => {
        const says = otherMaterial(x.name, x.material)
        return says
          ? [
              {
                ...{ code: 'material' as const, subject: `${x.id}-material`, level: 'caution' as const },
                params: { name: x.name, says, is: x.material },
                refs: [`section:${x.id}` as const],
              },
            ]
          : []
      }),
      ...saber.parts.flatMap((p) => {
        const to = p.kind === 'cell' && p.landmark ? plusTo(p.landmark) : undefined
        const is = known(p.faces)
        return to && is && to !== is
          ? [
              {
                ...{ code: 'facing' as const, subject: `${p.id}-facing`, level: 'caution' as const, gate: true },
                params: { name: p.name, landmark: p.landmark!, is },
                refs: [`part:${p.id}` as const],
              },
            ]
          : []
      }),
    ]
  },
})
