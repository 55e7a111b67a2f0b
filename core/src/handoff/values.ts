import { type AnyFact, type Calculated, formatFact, known, missingText, type NumberFact, printable } from '../facts'
import { isForeign, nameOf, type Saber, type Step, type Task } from '../record'
import { layOut } from '../room'
import { wordedSteps } from '../script'
import { dayText, formatNumber, mmAndInch, tongue } from '../units'
import { say, whether } from '../words'
import type { Block } from './block'
import { firstNumber } from './figures'

/** A computed value as it prints: plain, about, or what is missing for it. */
export const asText = (c: Calculated, digits = 0): { value: string; about?: boolean } => {
  // What is missing is named in the shop's language; to another reader it is only not recorded.
  if (!c.ok)
    return {
      value: isForeign() || tongue() !== 'en' ? say('notRecorded') : say('notRecordedWhy', { why: missingText(c) }),
    }
  const value = `${formatNumber(c.value, digits)}${c.unit === '×' ? '' : ` ${c.unit}`}`
  return { value: c.about ? say('about', { what: value }) : value, about: c.about }
}

/** A length in millimetres and inches, about when the fact is. */
export function bothWays(f: NumberFact): string {
  const v = known(f)
  const plain = formatFact(f)
  if (v === undefined) return plain
  return f && printable(f) !== 'plain' ? say('about', { what: mmAndInch(v) }) : mmAndInch(v)
}

/** Words or a choice that are a fact: plainly, or with where they come from while nobody has made sure. */
export function wordsOf(f: AnyFact<string> | undefined): string | undefined {
  const text = known(f)
  if (!f || text === undefined || printable(f) === 'none') return undefined
  if (printable(f) === 'plain') return text
  return say('fact.unsure', { text, source: f.rivals?.length ? 'disputed' : f.source })
}

export const orNotRecorded = (s: string | undefined) => s || say('notRecorded')

/** The recorded steps of some tasks, each under its name. */
export const stepsOf = (s: Saber, tasks: readonly Task[]): Block[] =>
  tasks
    .flatMap((task) => s.access.filter((p) => p.task === task && p.steps.length))
    .map((p) => ({
      kind: 'steps',
      title: say('task', { task: p.task }),
      ...{ saber: s.id, task: p.task, ...goesOn(firstNumber(s, p.task)) },
      steps: wordedSteps(s, p.steps).map(({ step: st, text, tool, caution }) => ({
        text: turned(st, text),
        ...(tool ? { tool } : {}),
        ...cautionOf(st, caution),
        ...(st.place ? { place: orNotRecorded(nameOf(s, st.place)) } : {}),
      })),
    }))

/** The first number of a list that goes on from another one. */
const goesOn = (first: number) => (first > 1 ? { first } : {})

/** What to mind at a step; one that cannot be undone says so, and who agreed to it. */
function cautionOf(st: Step, caution: string | undefined): { caution?: string } {
  const { consent: c } = st
  const undone = st.irreversible
    ? say('step.irreversible', { who: c?.who ?? '', on: dayText(c?.on ?? ''), agreed: whether(c) })
    : undefined
  const all = [caution, undone].filter((x) => x)
  return all.length ? { caution: all.join(' ') } : {}
}

/** A step with how often it is turned, unless its own words say it. */
const turned = (st: Step, text: string): string =>
  st.turns && !/\b(turns?|Umdrehung(en)?)\b/i.test(text) ? say('step.turned', { text, n: st.turns }) : text

/** An amount with its currency: `40 EUR`. */
export const money = (m: { amount: number; currency: string }) => `${formatNumber(m.amount, 2)} ${m.currency}`

/** The length of a hilt as it prints: about where a section of it is assumed. */
export function hiltLength(s: Saber): { value: string; about: boolean } {
  const shape = layOut(s.hilt)
  const about = shape.sections.some((p) => p.certainty === 'assumed')
  const length = mmAndInch(shape.length)
  return { value: shape.complete ? (about ? say('about', { what: length }) : length) : say('notRecorded'), about }
}
