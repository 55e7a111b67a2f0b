import { known } from '../../facts'
import { type FittedPart, kindRule, nounOf, type PartKind, purposeOf, refTo, type Saber } from '../../record'
import { MAKER, type Reader } from '../../units'
import { nounWords, say, whether } from '../../words'
import { spokenPart } from '../spoken'
import { bare, listed, type Told, type Topic, topic } from './topic'

const INTRODUCED: readonly PartKind[] = [
  'speaker',
  'killSwitch',
  'killKey',
  'chargePort',
  'display',
  'chamber',
  'switch',
  'cover',
  'sleeve',
  'inHiltLed',
  'accentLed',
  'strip',
]
const WORKED_BY_HAND: readonly PartKind[] = ['killSwitch', 'killKey', 'chargePort', 'switch']
const SEEN_INSIDE: readonly PartKind[] = ['chamber', 'cover', 'strip']

/** Whether a part is shown for itself. */
export const introduced = (p: Pick<FittedPart, 'kind'>): boolean => kindRule(p.kind).told && INTRODUCED.includes(p.kind)

/** What a hand finds and an eye sees of it. Lights of a kind are told in one breath. */
export const partTopics = ({ reader, s }: Told): Topic[] =>
  s.parts.filter(introduced).map((p) =>
    topic({
      key: `part:${p.id}`,
      chapter: SEEN_INSIDE.includes(p.kind) ? 'inside' : 'outside',
      what: p.name,
      say: say(reader, 'topic.part', { kind: p.kind, part: spokenPart(reader, s, p), end: known(p.faces) ?? 'none' }),
      show: refTo('part', p.id),
      must: WORKED_BY_HAND.includes(p.kind),
      weight: WORKED_BY_HAND.includes(p.kind) ? 0 : 3,
    }),
  )

/** Lights of a kind, by which there are several. */
export const litParts = (s: Saber): string[][] =>
  (['accentLed', 'strip'] as const)
    .map((kind) => s.parts.flatMap((p) => (p.kind === kind ? [p.id] : [])))
    .filter((ids) => ids.length > 1)

/** Several lights in one breath: how many, and what they are called. */
export function lightsText(reader: Reader, s: Saber, ids: readonly string[]): string {
  const all = s.parts.filter((p) => ids.includes(p.id))
  const names = new Set(all.map((p) => s.spoken.find((x) => x.of === refTo('part', p.id))?.name ?? ''))
  const called = [...names].filter(Boolean)
  return say(reader, 'topic.lights', {
    ...{
      n: all.length,
      kind: all[0]!.kind,
      names: listed(reader, called),
      named: whether(called.length === all.length),
    },
  })
}

/** Buttons in one breath, by what they are called. */
export function buttonsText(reader: Reader, s: Saber, ids: readonly string[]): string {
  const names = ids.map((id) => {
    const p = s.parts.find((x) => x.id === id)!
    const part = spokenPart(reader, s, p)
    return typeof part === 'string' ? part : nounWords(reader, part)
  })
  return say(reader, 'topic.buttons', { parts: listed(reader, names), n: ids.length })
}

/** What is never to be touched. */
export const screwTopics = ({ reader, s }: Told): Topic[] =>
  s.hilt.fasteners
    .filter((f) => f.clientMay === 'never')
    .map((f) =>
      topic({
        key: `fastener:${f.id}`,
        chapter: 'outside',
        what: say(MAKER, 'topic.never.what', { screw: f.name }),
        say: say(reader, 'topic.never', {
          ...{ screw: nounOf(reader, s, refTo('fastener', f.id)) ?? f.name },
          ...{ dummy: whether(f.head === 'dummy'), purpose: purposeOf(s, f) ?? 'other' },
          ...{ note: f.note ? bare(f.note) : '', noted: whether(f.note && f.head !== 'dummy') },
        }),
        show: refTo('fastener', f.id),
        must: true,
      }),
    )
