import { proposeSteps } from '../access'
import { assemblyOf, toolOf, wordsOf } from '../machine'
import {
  byId,
  type Fastener,
  type FittedPart,
  isForeign,
  keyOf,
  own,
  partsOfRef,
  purposeOf,
  refTo,
  type Saber,
  type Step,
  toldNoun,
} from '../record'
import { MAKER, type Reader } from '../units'
import { large, type Noun, say, whether } from '../words'
import { cautionsOf } from './cautions'

/**
 * What a part is called when one speaks of it: as its button is called, else by its kind and where it lies. The name on the shelf,
 * with its sizes, belongs on paper.
 */
export function spokenPart(reader: Reader, s: Saber, p: FittedPart): Noun | string {
  const input = s.inputs.find((i) => i.part === p.id)
  const named = s.spoken.some((x) => x.of === refTo('part', p.id))
  if (input && !named) return toldNoun(reader, s, refTo('input', input.id)) ?? input.name
  return toldNoun(reader, s, refTo('part', p.id)) ?? p.name
}

/** The screw that a step turns, when that is all it does. */
function screwOf(s: Saber, step: Step): Fastener | undefined {
  const to = partsOfRef(step.act?.at ?? '')
  const turns = step.act && ['loosen', 'remove', 'tighten'].includes(step.act.do)
  return turns && !step.ownWords && to?.kind === 'fastener' ? byId(s.hilt.fasteners, to.id) : undefined
}

/** A step worded for who listens: made anew from its act where the record is in another language, else as it stands. */
export interface Worded {
  step: Step
  text: string
  caution: string | undefined
  tool: string | undefined
}

/** Steps that were drafted without an act, by the words they were drafted in: as they were, and as they are drafted now. */
function draftedAgain(reader: Reader, s: Saber, steps: readonly Step[]): Map<string, { was: Step; now: Step }> {
  const task = s.access.find((p) => p.steps.some((x) => steps.includes(x)))?.task
  if (!task || steps.every((x) => x.act || x.ownWords)) return new Map()
  const draft = (to: Reader) => proposeSteps(to, s, task, () => 'again').steps
  const [was, now] = [draft(MAKER), draft(reader)]
  return new Map(was.flatMap((x, i) => (now[i] ? [[x.text, { was: x, now: now[i] }] as const] : [])))
}

/** Cautions of single steps that the spoken ones say already, where these are told. */
function saidOnce(reader: Reader, s: Saber): Set<string> {
  const told = new Set(cautionsOf(reader, s).map((k) => k.key))
  const inside = [
    say(reader, 'step.softSurface'),
    say(reader, 'step.noWireInThread'),
    say(reader, 'step.chassis.caution'),
  ]
  return new Set([
    ...(told.has('inside') ? inside : []),
    ...(told.has('inside') && told.has('cell') ? [say(reader, 'step.cellIn.caution')] : []),
  ])
}

/** A step in the words that it has. */
export const asItStands = (step: Step): Worded => ({
  ...{ step, text: step.text, caution: step.caution, tool: step.tool },
})

/** How steps are worded in the language that is spoken. What was made from an act is made again, the maker's own words stand. */
export function wordedSteps(reader: Reader, s: Saber, steps: readonly Step[]): Worded[] {
  if (!isForeign(reader)) return steps.map(asItStands)
  const assembly = steps.some((x) => x.act) ? assemblyOf(s) : undefined
  const drafted = draftedAgain(reader, s, steps)
  return steps.map((step) => {
    const now = step.act && assembly ? wordsOf(reader, s, assembly, step.act) : undefined
    const was = step.act && assembly ? wordsOf(MAKER, s, assembly, step.act) : undefined
    const screw = screwOf(s, step)
    const again = step.act || step.ownWords ? undefined : drafted.get(step.text)
    if (again && step.caution === again.was.caution)
      return { step, text: again.now.text, caution: again.now.caution, tool: again.now.tool }
    return {
      step,
      text: now && !step.ownWords ? now.text : own(reader, step.text),
      caution:
        step.caution === undefined
          ? undefined
          : now && step.caution === was?.caution
            ? now.caution
            : own(reader, step.caution),
      tool: screw ? toolOf(reader, screw) : step.tool && own(reader, step.tool),
    }
  })
}

/** Recorded steps as one speaks them to who listens. Those in the maker's own words stand as he wrote them. */
export const spokenSteps = (reader: Reader, s: Saber, recorded: readonly Step[]): string =>
  inOneBreath(reader, s, wordedSteps(reader, s, recorded))

/**
 * Worded steps as one speaks them: screws that are turned one after the other in one breath, with their tool, and each caution once,
 * where it bites first.
 */
export function inOneBreath(reader: Reader, s: Saber, steps: readonly Worded[]): string {
  const cautioned = saidOnce(reader, s)
  const out: string[] = []
  const sentence = (text: string) => large(/[.!?]["”“]?$/.test(text) ? text : `${text}.`)
  for (let i = 0; i < steps.length; ) {
    const { step, text, tool } = steps[i]!
    const first = screwOf(s, step)
    let n = 1
    while (first && i + n < steps.length) {
      const { step: next } = steps[i + n]!
      const screw = screwOf(s, next)
      if (
        !screw ||
        next.act!.do !== step.act!.do ||
        purposeOf(s, screw) !== purposeOf(s, first) ||
        keyOf(screw) !== keyOf(first)
      )
        break
      n++
    }
    const group = steps.slice(i, i + n)
    out.push(
      sentence(
        n > 1
          ? say(reader, 'step.screws', {
              ...{
                act: step.act!.do,
                n,
                purpose: purposeOf(s, first!) ?? 'other',
                tool: tool ?? '',
                told: whether(tool),
              },
            })
          : text,
      ),
    )
    for (const { caution } of group)
      if (caution && !cautioned.has(caution)) {
        cautioned.add(caution)
        out.push(sentence(caution))
      }
    i += n
  }
  return out.join(' ')
}
