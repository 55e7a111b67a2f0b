import { known } from '../../facts'
import { type Decision, kindRule, partsOfRef, type Ref, type Saber, shelfOf } from '../../record'
import { formatNumber, MAKER } from '../../units'
import { axialSlack, fitParts, overlaps } from './chain'

/** The facts a layout rests on, under stable names, to be held against the saber later. */
export function layoutFacts(saber: Saber): Record<string, number | string> {
  const out: Record<string, number | string> = {}
  const put = (key: string, v: number | undefined) => {
    if (v !== undefined) out[key] = v
  }
  for (const s of saber.hilt.sections) {
    put(`section:${s.id}.length`, known(s.length))
    put(`section:${s.id}.bore`, known(s.bore))
    if (s.boreProfile)
      out[`section:${s.id}.profile`] = s.boreProfile
        .map((p) => `${p.x}/${p.d}`)
        .join(' ')
        .slice(0, 120)
  }
  for (const k of saber.hilt.sockets) put(`socket:${k.id}.depth`, known(k.depth))
  for (const p of saber.parts.filter((q) => kindRule(q.kind).inside && kindRule(q.kind).glyph !== 'dot')) {
    out[`part:${p.id}.name`] = p.name.slice(0, 120)
    put(`part:${p.id}.at`, known(p.at))
    put(`part:${p.id}.length`, known(p.specs.length))
    put(`part:${p.id}.diameter`, known(p.specs.diameter))
  }
  return out
}

/** Something that is not as it was when the layout was chosen. */
export interface LayoutChange {
  ref: Ref
  name: string
  field: string
  /** Undefined: it was not there, or is gone. */
  was: number | string | undefined
  is: number | string | undefined
}

/** Something that does not hold any more, with its millimetre. */
export type Broken =
  | { code: 'outside' | 'tooBig'; part: string; mm: number; under?: string }
  | { code: 'share'; a: string; b: string; mm: number }
  | { code: 'tooLong'; mm: number }

export interface Review {
  decision: Decision
  changed: LayoutChange[]
  broke: Broken[]
}

/** Holds the last chosen layout against the saber as it is now; undefined when none was chosen. */
export function reviewLayout(saber: Saber): Review | undefined {
  const decision = saber.decisions.findLast((d) => d.layout)
  if (!decision?.layout) return undefined
  const then = decision.layout
  const now = layoutFacts(saber)
  const nameOf = (ref: Ref) => {
    const p = partsOfRef(ref)
    const thing = p && shelfOf(saber, p.kind).find((x) => x.id === p.id)
    return String(thing?.name ?? then[`${ref}.name`] ?? 'something')
  }
  const changed = Object.keys({ ...then, ...now }).flatMap((key): LayoutChange[] => {
    const [was, is] = [then[key], now[key]]
    if (was === is || (typeof was === 'number' && typeof is === 'number' && Math.abs(was - is) < 0.005)) return []
    const dot = key.lastIndexOf('.')
    const [ref, field] = [key.slice(0, dot) as Ref, key.slice(dot + 1)]
    return was === undefined && field !== 'name' ? [] : [{ ref, name: nameOf(ref), field, was, is }]
  })
  return { decision, changed, broke: brokenIn(saber) }
}

function brokenIn(saber: Saber): Broken[] {
  const slack = axialSlack(saber).nominal
  return [
    ...fitParts(saber).flatMap((f): Broken[] => {
      if (f.outsideMm > 0.05) return [{ code: 'outside', part: f.part.name, mm: f.outsideMm }]
      if (f.spareMm === undefined || f.spareMm >= 0) return []
      return [{ code: 'tooBig', part: f.part.name, mm: -f.spareMm, ...(f.at?.under ? { under: f.at.under } : {}) }]
    }),
    ...overlaps(saber).map((o) => ({ code: 'share' as const, a: o.a.name, b: o.b.name, mm: o.mm })),
    ...(slack.ok && slack.value < 0 ? [{ code: 'tooLong' as const, mm: -slack.value }] : []),
  ]
}

const FIELD_WORDS: Record<string, string> = { at: 'place', name: 'part' }
const shown = (v: number | string | undefined) =>
  v === undefined ? 'gone' : typeof v === 'number' ? `${formatNumber(MAKER, v)} mm` : v

/** A change since the layout was chosen, in words. */
export const changeText = (c: LayoutChange): string =>
  c.was === undefined
    ? `${shown(c.is)} came in`
    : `${c.name}: ${FIELD_WORDS[c.field] ?? c.field} ${shown(c.was)} → ${shown(c.is)}`

/** What broke, in words. */
export function brokenText(b: Broken): string {
  switch (b.code) {
    case 'outside':
      return `${b.part} sticks out by ${formatNumber(MAKER, b.mm)} mm`
    case 'tooBig':
      return `${b.part} is ${formatNumber(MAKER, b.mm)} mm too big${b.under ? ` under the ${b.under}` : ''}`
    case 'share':
      return `${b.a} and ${b.b} share ${formatNumber(MAKER, b.mm)} mm`
    case 'tooLong':
      return `it is ${formatNumber(MAKER, b.mm)} mm too long to close`
  }
}
