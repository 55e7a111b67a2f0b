import { type AnyFact, type Calculated, formatFact, known, missingText, type NumberFact, printable } from '../facts'
import { polesText } from '../machine'
import { isForeign, nameOf, refTo, type Saber, type Step, type Task } from '../record'
import { layOut } from '../room'
import { wordedSteps } from '../script'
import { dayText, formatNumber, mmAndInch, type Reader } from '../units'
import { say, whether } from '../words'
import type { Block } from './block'
import { firstNumber } from './figures'

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

/** The recorded steps of some tasks, each under its name. */
export const stepsOf = (reader: Reader, s: Saber, tasks: readonly Task[]): Block[] =>
  tasks
    .flatMap((task) => s.access.filter((p) => p.task === task && p.steps.length))
    .map((p) => ({
      kind: 'steps',
      title: say(reader, 'task', { task: p.task }),
      ...{ saber: s.id, task: p.task, ...goesOn(firstNumber(s, p.task)) },
      steps: wordedSteps(reader, s, p.steps).map(({ step: st, text, tool, caution }) => ({
        text: turned(reader, st, text),
        ...(tool ? { tool } : {}),
        ...cautionOf(reader, st, caution, polesAt(reader, s, p.task, st)),
        ...(st.place ? { place: orNotRecorded(reader, nameOf(s, st.place)) } : {}),
      })),
    }))

/** The first number of a list that goes on from another one. */
const goesOn = (first: number) => (first > 1 ? { first } : {})

/** What is recorded of a cell's poles, where somebody's own words say how it goes in: words are not read for their poles. */
function polesAt(reader: Reader, s: Saber, task: Task, st: Step): string {
  if (task !== 'cellIn' || (st.act && !st.ownWords)) return ''
  const at = st.act?.at ?? st.place
  const cell = s.parts.find((q) => q.kind === 'cell' && refTo('part', q.id) === at)
  const poles = cell ? polesText(reader, cell) : ''
  return poles ? say(reader, 'poles.recorded', { poles }) : ''
}

/** What to mind at a step; one that cannot be undone says so, and who agreed to it. */
function cautionOf(reader: Reader, st: Step, caution: string | undefined, poles: string): { caution?: string } {
  const { consent: c } = st
  const undone = st.irreversible
    ? say(reader, 'step.irreversible', { who: c?.who ?? '', on: dayText(reader, c?.on ?? ''), agreed: whether(c) })
    : undefined
  const all = [poles, caution, undone].filter((x) => x)
  return all.length ? { caution: all.join(' ') } : {}
}

/** A step with how often it is turned, unless its own words say it. */
const turned = (reader: Reader, st: Step, text: string): string =>
  st.turns && !/\b(turns?|Umdrehung(en)?)\b/i.test(text) ? say(reader, 'step.turned', { text, n: st.turns }) : text

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
