import { toTranslate } from '../../../handoff'
import { Commission, languageOf, refTo, writtenIn } from '../../../record'
import type { Language } from '../../../units'
import { check } from '../../check'

/** Everything that is told to a client may carry words of the shop. */
const ALL = (Object.keys(Commission.properties) as (keyof Commission)[]).map((key) => `order.${key}` as const)
const SHOWN = 60
const short = (text: string) => (text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text)

/** Words of the shop that reach a client in a language he does not read, and translations that say other numbers or names. */
export const translated = check<{
  missing: { n: number; text: string; language: Language; written: Language; quoted: boolean }
  departs: { text: string; says: string; kind: 'number' | 'name'; what: string; way: 'lost' | 'added' }
}>({
  id: 'translated',
  station: 'handoff',
  scope: 'order',
  source: 'what the client is given is in the language he reads',
  reads: ALL,
  run: ({ commission: c }) => {
    const all = toTranslate(c)
    const missing = all.filter((t) => t.says === undefined)
    const quoted = c.untranslated === 'quote'
    const languages = { language: languageOf(c), written: writtenIn(c) }
    return [
      ...(missing.length
        ? [
            {
              ...{
                code: 'missing' as const,
                subject: 'missing',
                level: quoted ? ('note' as const) : ('caution' as const),
              },
              ...{ gate: !quoted, names: missing.map((t) => t.text) },
              params: { n: missing.length, text: short(missing[0]!.text), ...languages, quoted },
            },
          ]
        : []),
      ...all.flatMap((t) => {
        const of = c.translations?.find((x) => x.text === t.text && x.language === languages.language)
        return t.wrong.slice(0, 1).map((w) => ({
          ...{ code: 'departs' as const, subject: of?.id ?? t.text, level: 'caution' as const, gate: true },
          params: { text: short(t.text), says: short(t.says ?? ''), kind: w.code, what: w.what, way: w.way },
          refs: of ? [refTo('translation', of.id)] : [],
        }))
      }),
    ]
  },
})
