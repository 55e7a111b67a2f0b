import { type AnyFact, type Calculated, formatFact, known, missingText, type NumberFact, printable } from '../facts'
import { layOut } from '../geometry'
import type { DieColour } from '../light'
import { type GoalKind, isForeign, nameOf, type Saber } from '../record'
import { formatNumber, mmAndInch, type Reader } from '../units'
import { say } from '../words'
import type { Block } from './block'
import { frozenOf, onPaper, readAct } from './procedures'

/** A computed value as it prints: plain, about, or what is missing for it. */
export const asText = (reader: Reader, c: Calculated, digits = 0): { value: string; about?: boolean } => {
  // What is missing is named in the shop's language; to another reader it is only not recorded.
  if (!c.ok)
    return {
      value:
        isForeign(reader) || reader.language !== 'en'
          ? say(reader, 'notRecorded')
          : say(reader, 'notRecordedWhy', { why: missingText(c) }),
    }
  const value = `${formatNumber(reader, c.value, digits)}${c.unit === '×' ? '' : ` ${c.unit}`}`
  return { value: c.about ? say(reader, 'about', { what: value }) : value, about: c.about }
}

/** A length in millimetres and inches, about when the fact is. */
export function bothWays(reader: Reader, f: NumberFact): string {
  const v = known(f)
  const plain = formatFact(reader, f)
  if (v === undefined) return plain
  return f && printable(f) !== 'plain' ? say(reader, 'about', { what: mmAndInch(reader, v) }) : mmAndInch(reader, v)
}

/** Words or a choice that are a fact: plainly, or with where they come from while nobody has made sure. */
export function wordsOf(reader: Reader, f: AnyFact<string> | undefined): string | undefined {
  const text = known(f)
  if (!f || text === undefined || printable(f) === 'none') return undefined
  if (printable(f) === 'plain') return text
  return say(reader, 'fact.unsure', { text, source: f.rivals?.length ? 'disputed' : f.source })
}

export const orNotRecorded = (reader: Reader, s: string | undefined) => s || say(reader, 'notRecorded')

/** The procedures of some goals, each under its name: the same acts that the page plays. */
export function stepsOf(reader: Reader, s: Saber, kinds: readonly GoalKind[]): Block[] {
  const all = frozenOf(reader, s)
  return onPaper(reader, s, kinds).map(({ goal, told, skips: [there, back], like }): Block => {
    const n = all.findIndex((p) => p.goal === goal.kind && p.at === goal.at)
    const acts = told.acts.slice(there, told.acts.length - back)
    const title = like && all.find((p) => p.goal === like.kind && p.at === like.at)!.title
    return {
      ...{ kind: 'steps', title: all[n]!.title, saber: s.id, goal: goal.kind, procedure: n },
      ...(there ? { first: there + 1, lead: say(reader, 'steps.as', { like: title!, n: there }) } : {}),
      ...(back ? { tail: say(reader, 'steps.closeAs', { like: title!, n: back }) } : {}),
      ...(told.turn < told.acts.length ? { turn: told.turn - there } : {}),
      steps: acts.map((x) => ({
        ...readAct(x),
        ...(x.ownWords && x.place ? { place: orNotRecorded(reader, nameOf(s, x.place)) } : {}),
      })),
    }
  })
}

/** An amount with its currency: `40 EUR`. */
export const money = (reader: Reader, m: { amount: number; currency: string }) =>
  `${formatNumber(reader, m.amount, 2)} ${m.currency}`

/** The length of a hilt as it prints: about where a section of it is assumed. */
export function hiltLength(reader: Reader, s: Saber): { value: string; about: boolean } {
  const shape = layOut(s.hilt)
  const about = shape.sections.some((p) => p.certainty === 'assumed')
  const length = mmAndInch(reader, shape.length)
  return {
    value: shape.complete ? (about ? say(reader, 'about', { what: length }) : length) : say(reader, 'notRecorded'),
    about,
  }
}

/** What pixels are made of, in words. */
export const diesText = (reader: Reader, dies: readonly DieColour[]): string =>
  dies.map((die) => say(reader, 'die', { die })).join(', ')
