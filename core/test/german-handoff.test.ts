import { describe, expect, test } from '@jest/globals'
import { buildHandoff, controlsCard } from '@nubrin/core/handoff'
import { type Commission, readerOf } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import { drawn } from './drawn'
import { kindOfOrder, ORDERS } from './orders'
import { TODAY } from './samples'

const german = (what: string) =>
  drawn(ORDERS, 1 / 4, (o) => [kindOfOrder(o)], what).map(([, make]) => {
    const c = make()
    c.client.language = 'de'
    return [c.title, c] as const
  })
/** Words of English that no German sentence has. */
const ENGLISH =
  /(?<!\p{L})(the|and|with|your|you|of|this|that|press|hold|blade|button|screw|about|not|recorded|once|each|from|for)(?!\p{L})/iu
/** Everything somebody typed, the longest first. */
function typed(c: Commission): string[] {
  const out = new Set<string>()
  const walk = (v: unknown) => {
    if (typeof v === 'string' && /\p{L}/u.test(v)) {
      out.add(v)
      out.add(v.replace(/\.+$/, ''))
    } else if (typeof v === 'object' && v !== null) for (const x of Object.values(v)) walk(x)
  }
  walk(c)
  return [...out].filter((w) => w.length > 2).sort((a, b) => b.length - a.length)
}
const strings = (v: unknown, key = ''): string[] =>
  ['id', 'kind', 'saber', 'which', 'ref', 'as', 't', 'colour', 'fill', 'stroke', 'd'].includes(key)
    ? []
    : typeof v === 'string'
      ? [v]
      : typeof v === 'object' && v !== null
        ? Object.entries(v).flatMap(([k, x]) => strings(x, Array.isArray(v) ? key : k))
        : []
const ours = (text: string, own: readonly string[]) => {
  let t = text
  for (const w of own)
    t = t
      .split(w)
      .join('#')
      .split(w[0]!.toLowerCase() + w.slice(1))
      .join('#')
  return t
}

describe('a handoff in German', () => {
  test.each(german('paper'))('%s: the record has no English but what the maker wrote', (_title, c) => {
    const own = typed(c)
    const doc = buildHandoff(c, 'Messing und Licht', TODAY)
    expect(doc).toMatchObject({ language: 'de', ownWords: true })
    const left = strings(doc.chapters)
      .filter((t) => ENGLISH.test(t))
      .map((t) => ours(t, own))
      .filter((t) => ENGLISH.test(t))
    expect(left).toEqual([])
  })
  test.each(german('card'))('%s: nor has the card of its controls', (_title, c) => {
    for (const s of c.sabers.filter((x) => x.controls.length)) {
      const own = typed(c)
      const { pages } = controlsCard(readerOf(c), s, 'A5')
      const text = pages.map((p) => p.flatMap((x) => (x.t === 'text' ? [x.text] : [])).join(' '))
      expect(text.map((t) => ours(t, own)).filter((t) => ENGLISH.test(t))).toEqual([])
    }
  })
  test('numbers and days are written as German writes them', () => {
    const c = demoCommissions(TODAY).find((x) => x.id === 'reed-warden')!
    c.client.language = 'de'
    const text = strings(buildHandoff(c, 'x', TODAY).chapters).join('\n')
    expect(text).toMatch(/\d,\d/)
    expect(text).toContain('15. Oktober 2026')
    expect(text).toContain('etwa 632 g')
    // What was drafted is drafted again.
    expect(text).toContain('Das Schwert')
    expect(text).toContain('Begleitheft, gedruckt')
    expect(text).toContain('Spannung der Zelle in Ruhe')
  })
})
