import {
  type Blocked,
  type Body,
  errand,
  type Goal,
  goalsOf,
  heldBy,
  isOff,
  type Machine,
  machineOf,
  polesText,
  run,
  runAll,
  type State,
  turnedOften,
  type Wording,
  wordsOf,
} from '../machine'
import { type Act, byId, type Procedure, partsOfRef, type Saber, type Step } from '../record'
import { dayText, MAKER, type Reader } from '../units'
import { say, whether } from '../words'
import { keyOfAct, keyOfStep } from './keys'
import { type Laid, type LaidOut, lay, type Unused, upon } from './lay'

/** An act of a procedure as it is told: what is done, in words for its reader, and what the machine carries out for it. */
export interface ToldAct extends Wording {
  /** What is done to which thing, by which it is known again. */
  key: string
  does: readonly Act[]
  back: boolean
  /** What the maker says of it. */
  step?: string
  /** The words are the maker's own. */
  ownWords?: true
  /** A screw that goes back into an empty socket. */
  kept?: true
  /** What is recorded of a cell's poles, where the words are the maker's own. */
  recorded?: string
  /** It is a cell that goes in: which way round decides. */
  poles?: true
  /** Something has to be known before it can be told with confidence. */
  unsaid?: true
}
interface About {
  goal: Goal
  /** What is said of it in the record. */
  said?: Procedure
  unused: readonly Unused[]
}
/** A procedure as it is told, or what stands in its way. */
export type Told = About &
  (
    | { ok: true; from: State; acts: readonly ToldAct[]; turn: number; risk: number }
    | { ok: false; blocked: readonly Blocked[] }
  )
export type Possible = Extract<Told, { ok: true }>

type Planned = About & (Omit<LaidOut, 'unused'> | { ok: false; blocked: readonly Blocked[] })

/** By the parts of a saber, what was planned last and from what: an edit of anything else asks for the same again. */
interface Known {
  from: readonly unknown[]
  machine: Machine
  all: readonly Planned[]
  /** In words, by whom they are for. */
  told: Map<string, { spoken: Saber['spoken']; inputs: Saber['inputs']; all: Told[] }>
}
const PLANNED = new WeakMap<Saber['parts'], Known>()

function planned(s: Saber): Known {
  const from = [s.hilt, s.blades, s.joints, s.cutPower, s.keyDoes, s.access, s.parts.length]
  const had = PLANNED.get(s.parts)
  if (had?.from.every((x, i) => x === from[i])) return had
  const machine = machineOf(s)
  // What is loose on the bench is no matter of the client's.
  const closed: Machine = { ...machine, rest: { ...machine.rest, screws: {} } }
  const goals = goalsOf(s, machine.assembly)
  const laid = (goal: Goal): Planned => {
    const said = saidOf(s, goal)
    const about = { goal, ...(said ? { said } : {}) }
    const plan = lay(s, closed, goal, said?.steps ?? [])
    if (plan.ok) return { ...about, ...plan }
    const unused = (said?.steps ?? []).map((step) => ({ step, why: 'gone' as const }))
    return { ...about, ok: false, blocked: plan.blocked, unused }
  }
  const cells = goals.find((g) => g.kind === 'cell')
  const swap = cells && laid(cells)
  // Whatever takes the cell out goes the way to the cell.
  const all = goals.map((goal): Planned => {
    if (goal === cells) return swap!
    return (swap?.ok ? bySwap(s, closed, goal, swap) : undefined) ?? laid(goal)
  })
  const now: Known = { from, machine: closed, all, told: new Map() }
  PLANNED.set(s.parts, now)
  return now
}

/** A procedure that goes the way to the cell, with what is said of itself on it; nothing for any other. */
function bySwap(
  s: Saber,
  { assembly, rest }: Machine,
  goal: Goal,
  swap: Extract<Planned, { ok: true }>,
): Planned | undefined {
  const said = saidOf(s, goal)
  const wants = (x: Laid) => x.does.some((d) => goal.out?.includes(d.at as Body) || d.at === goal.at)
  const [there, back] = [swap.acts.filter((x) => !x.back), swap.acts.filter((x) => x.back)]
  const opened = there.slice(0, Math.max(0, there.findIndex(wants)))
  const shut = back.slice(back.findLastIndex(wants) + 1)
  const made = (given: readonly Laid[], from: State = swap.from): Planned => {
    const { acts, unused } = upon(s, goal, given, said?.steps ?? [])
    const turn = acts.filter((x) => !x.back).length
    return { goal, ...(said ? { said } : {}), ok: true, risk: swap.risk, from, acts, turn, unused }
  }
  switch (goal.kind) {
    case 'charge': {
      const e = goal.out && errand(assembly, rest, goal)
      const plugIn = e?.ok ? e.acts.find((x) => x.do === 'plugIn') : undefined
      return plugIn && made([...there, { act: plugIn, does: [plugIn], back: false }, ...back])
    }
    case 'reset':
      return assembly.cutter ? undefined : made(swap.acts)
    case 'open':
      return made([...opened, ...shut])
    case 'close': {
      const acts = opened.flatMap((x) => x.does)
      return made(
        shut.map((x) => ({ ...x, back: false })),
        runAll(assembly, swap.from, acts).state,
      )
    }
    default:
      return undefined
  }
}

export const isAbout = (p: Procedure, g: Pick<Goal, 'kind' | 'at'>): boolean =>
  p.goal === g.kind && (p.at === g.at || p.at === undefined)

/** Every row in which the record speaks of a goal: one, or as many as have begun to speak of it at the same time. */
export const rowsOf = (s: Saber, g: Pick<Goal, 'kind' | 'at'>): Procedure[] => s.access.filter((p) => isAbout(p, g))

/** What the record says of a goal: everything that anybody says of it, and who went through it last. */
export function saidOf(s: Saber, g: Pick<Goal, 'kind' | 'at'>): Procedure | undefined {
  const [first, ...others] = rowsOf(s, g)
  if (!first || !others.length) return first
  const looked = others.findLast((p) => p.looked)?.looked ?? first.looked
  return { ...first, steps: [first, ...others].flatMap((p) => p.steps), ...(looked ? { looked } : {}) }
}

/** The goals that the record speaks of and the saber does not have any more: a part that is gone. */
export const withoutGoal = (s: Saber): Procedure[] => {
  const { all } = planned(s)
  return s.access.filter((p) => !all.some((x) => isAbout(p, x.goal)))
}

/** By what an act is known again: what is done to which thing; one of the maker's own by itself. */
const keyOf = (x: Laid) => (x.act ? keyOfAct(x.act) : keyOfStep(x.step!))
/** By what an act is the same at two goals: a screw that is turned back into an empty socket is not one that holds a blade. */
const like = (g: Goal, x: Laid): string => {
  const empties = g.kind === 'bladeOut' || g.kind === 'plugOut'
  return empties && x.act?.do === 'tighten' ? `${keyOf(x)} kept` : keyOf(x)
}
/**
 * Every procedure of a saber for its reader: the machine's plan to each goal and back, with what the maker says laid over it.
 * What is said of an act at one goal is told of it at every other that says nothing itself; what is said where a blade comes out
 * is not told where it goes in, which is before.
 */
export function proceduresOf(reader: Reader, s: Saber): Told[] {
  const { machine, all, told } = planned(s)
  const key = JSON.stringify(reader)
  const had = told.get(key)
  if (had?.spoken === s.spoken && had.inputs === s.inputs) return had.all
  const now = inWords(reader, s, machine, all)
  told.set(key, { spoken: s.spoken, inputs: s.inputs, all: now })
  return now
}

function inWords(reader: Reader, s: Saber, machine: Machine, all: readonly Planned[]): Told[] {
  const elsewhere = new Map<string, Step>()
  const later = new Set<Step>()
  for (const p of all)
    if (p.ok)
      for (const x of p.acts)
        if (x.act && x.step && !elsewhere.has(like(p.goal, x))) {
          elsewhere.set(like(p.goal, x), x.step)
          if (p.goal.kind === 'bladeOut' || p.goal.kind === 'plugOut') later.add(x.step)
        }
  return all.map((p): Told => {
    if (!p.ok) return p
    let state = p.from
    const acts = p.acts.map((x): ToldAct => {
      const before = state
      state = runAll(machine.assembly, state, x.does).state
      const there = x.act && elsewhere.get(like(p.goal, x))
      const goesIn = p.goal.kind === 'bladeIn' || p.goal.kind === 'plugIn'
      return worded(reader, s, machine, x, x.step ?? (there && goesIn && later.has(there) ? undefined : there), before)
    })
    const dark = preface(reader, s, machine, p)
    return { ...p, acts: [...dark, ...acts], turn: p.turn + dark.length }
  })
}

const OPENS: ReadonlySet<Goal['kind']> = new Set(['cell', 'card', 'port', 'show', 'open', 'bladeOut'])
/** Where nothing cuts the power, the blade has at least to be dark. */
function preface(reader: Reader, s: Saber, { assembly }: Machine, p: Planned): ToldAct[] {
  const live = assembly.cells && s.controls.length > 0
  const opens = OPENS.has(p.goal.kind) || (p.goal.kind === 'charge' && p.goal.out)
  if (assembly.cutter || !live || !opens) return []
  return [{ key: 'dark', does: [], back: false, text: say(reader, 'step.dark'), direction: 'none' }]
}

/** His words where he has some that are not the very ones which are made. */
const his = (said: string | undefined, made: string | undefined): string | undefined =>
  said === made ? undefined : said

function worded(
  reader: Reader,
  s: Saber,
  { assembly }: Machine,
  x: Laid,
  said: Step | undefined,
  before: State,
): ToldAct {
  const landmark = said?.landmark
  const told = { before, landmark, turns: said?.turns }
  const made = x.act && wordsOf(reader, s, assembly, x.act, told)
  const drafted = x.act && (reader === MAKER ? made : wordsOf(MAKER, s, assembly, x.act, told))
  const text = his(said?.text, drafted?.text)
  const caution = his(said?.caution, drafted?.caution)
  const tool = his(said?.tool, drafted?.tool)
  const place = said?.place ?? made?.place ?? x.act?.at
  const whole = cautionOf(reader, said, caution ?? made?.caution)
  const recorded = poles(reader, s, x.act, text)
  const kept = x.act?.do === 'tighten' ? heldBy(assembly, x.act.at.slice('fastener:'.length)) : undefined
  const spoken = tool ?? made?.tool
  const cue = said?.cue ?? made?.cue
  return {
    ...{ key: keyOf(x), does: x.does, back: x.back },
    text: text === undefined ? (made?.text ?? say(reader, 'step.unsaidPole')) : withMore(reader, text, said!, landmark),
    direction: said?.direction ?? made?.direction ?? 'none',
    ...(place ? { place } : {}),
    ...(spoken ? { tool: spoken } : {}),
    ...(whole ? { caution: whole } : {}),
    ...(recorded ? { recorded } : {}),
    ...(kept?.length && kept.every((j) => j.place && isOff(before, j.body)) ? { kept: true as const } : {}),
    ...(cue ? { cue } : {}),
    ...(x.step ? { step: x.step.id } : {}),
    ...(text === undefined ? {} : { ownWords: true as const }),
    ...(x.act?.do === 'putOn' && assembly.joints[x.act.at as Body]?.cell ? { poles: true as const } : {}),
    ...(x.act && !made && text === undefined ? { unsaid: true as const } : {}),
  }
}

/** His own words with how often it is turned and by what one recognises it, unless they say so themselves. */
function withMore(reader: Reader, text: string, said: Step, landmark: string | undefined): string {
  const often = said.turns && !/\b(turns?|Umdrehung(en)?)\b/i.test(text)
  const turned = often ? turnedOften(reader, text, said.turns) : text
  return landmark && !turned.includes(landmark)
    ? say(reader, 'step.aligned', { text: turned, landmark, told: 'yes', angle: '', turned: 'no' })
    : turned
}

/** What is recorded of a cell's poles, where somebody's own words say how it goes in: words are not read for their poles. */
function poles(reader: Reader, s: Saber, act: Act | undefined, text: string | undefined): string {
  const part = act?.do === 'putOn' && text !== undefined ? byId(s.parts, partsOfRef(act.at)?.id) : undefined
  const recorded = part?.kind === 'cell' ? polesText(reader, part) : ''
  return recorded ? say(reader, 'poles.recorded', { poles: recorded }) : ''
}

/** What to mind at an act; one that cannot be undone says so, and who agreed to it. */
function cautionOf(reader: Reader, said: Step | undefined, caution: string | undefined): string {
  const c = said?.consent
  const undone = said?.irreversible
    ? say(reader, 'step.irreversible', { who: c?.who ?? '', on: dayText(reader, c?.on ?? ''), agreed: whether(c) })
    : ''
  return [caution, undone].filter((x) => x).join(' ')
}

/** A procedure in acts, each tried where it stands: how the saber lies before each and at the end. */
export function statesOf(s: Saber, p: Pick<Possible, 'from' | 'acts'>): State[] {
  const { assembly } = planned(s).machine
  const out = [p.from]
  for (const x of p.acts)
    out.push(
      x.does.reduce((st, d) => {
        const o = run(assembly, st, d)
        return o.ok ? o.state : st
      }, out.at(-1)!),
    )
  return out
}
