import { type AnyFact, type Calculated, formatFact, known, missingText, type NumberFact, printable } from '../facts'
import { nameOf, type Saber, type Step, type Task } from '../record'
import { formatNumber, mmAndInch } from '../units'
import { say, whether } from '../words'
import type { Block } from './block'

/** A computed value as it prints: plain, about, or what is missing for it. */
export const asText = (c: Calculated, digits = 0): { value: string; about?: boolean } => {
  if (!c.ok) return { value: say('notRecordedWhy', { why: missingText(c) }) }
  const value = `${formatNumber(c.value, digits)}${c.unit === '×' ? '' : ` ${c.unit}`}`
  return { value: c.about ? say('about', { what: value }) : value, about: c.about }
}

/** A length in millimetres and inches, about when the fact is. */
export function bothWays(f: NumberFact): string {
  const v = known(f)
  const plain = formatFact(f)
  if (v === undefined) return plain
  return plain.startsWith('about') ? say('about', { what: mmAndInch(v) }) : mmAndInch(v)
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
  s.access
    .filter((p) => tasks.includes(p.task) && p.steps.length)
    .map((p) => ({
      kind: 'steps',
      title: say('task', { task: p.task }),
      steps: p.steps.map((st) => ({
        text: turned(st),
        ...(st.tool ? { tool: st.tool } : {}),
        ...cautionOf(st),
        ...(st.place ? { place: orNotRecorded(nameOf(s, st.place)) } : {}),
      })),
    }))

/** What to mind at a step; one that cannot be undone says so, and who agreed to it. */
function cautionOf(st: Step): { caution?: string } {
  const { consent: c } = st
  const undone = st.irreversible
    ? say('step.irreversible', { who: c?.who ?? '', on: c?.on ?? '', agreed: whether(c) })
    : undefined
  const all = [st.caution, undone].filter((x) => x)
  return all.length ? { caution: all.join(' ') } : {}
}

/** A step with how often it is turned, unless its own words say it. */
const turned = (st: Step): string =>
  st.turns && !/\bturns?\b/i.test(st.text) ? say('step.turned', { text: st.text, n: st.turns }) : st.text

/** An amount with its currency: `40 EUR`. */
export const money = (m: { amount: number; currency: string }) => `${formatNumber(m.amount, 2)} ${m.currency}`
