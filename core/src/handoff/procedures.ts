import { type Possible, proceduresOf, type Told, type ToldAct } from '../access'
import { type Goal, goalText, OPENED, type State, toldBlade } from '../machine'
import { type Act, type Commission, type GoalKind, refTo, type Saber } from '../record'
import type { Reader } from '../units'
import { say, whether } from '../words'

/** Why an act waits for a hand that says it is done: it takes its time, or what was skipped would hurt. */
export const WAITS = ['power', 'poles', 'hold', 'lasts', 'sign'] as const
type Wait = (typeof WAITS)[number]

/** An act as it was issued: what is read, and what the drawing and the machine do with it. */
export interface FrozenAct {
  text: string
  tool?: string
  caution?: string
  cue?: string
  place?: string
  direction: ToldAct['direction']
  does: Act[]
  waits?: Wait
}
/** A procedure as it was issued, or what its reader is told where it is not for his hands. Paper, page and file show this one. */
export interface FrozenProcedure {
  saber: string
  goal: GoalKind
  at?: string
  title: string
  acts: FrozenAct[]
  /** How many acts lead there; the others lead back. */
  turn: number
  from?: State
  cannot?: string
  /** Its place among what is done first with a saber that was just unpacked, and the words for it there. */
  first?: { n: number; text: string }
}

function waitOf(x: ToldAct): Wait | undefined {
  const verbs = new Set(x.does.map((d) => d.do))
  if (verbs.has('cut') || verbs.has('restore')) return 'power'
  if (x.does.some((d) => d.do === 'putOn') && x.poles) return 'poles'
  if (verbs.has('tighten') || verbs.has('pullCheck')) return 'hold'
  // Nobody knows how long an act of the maker's own takes.
  if (verbs.has('plugIn') || (!x.does.length && x.step)) return 'lasts'
  return x.cue ? 'sign' : undefined
}

/** What to mind, with what is recorded beside the maker's own words. */
const noted = (x: ToldAct): string => [x.recorded, x.caution].filter((t) => t).join(' ')

/** An act as it is read. */
export const readAct = (x: ToldAct): Pick<FrozenAct, 'text' | 'tool' | 'caution' | 'cue'> => ({
  text: x.text,
  ...(x.tool ? { tool: x.tool } : {}),
  ...(noted(x) ? { caution: noted(x) } : {}),
  ...(x.cue ? { cue: x.cue } : {}),
})

const frozenAct = (x: ToldAct): FrozenAct => {
  const waits = waitOf(x)
  const { text, ...more } = readAct(x)
  return {
    ...{ text, direction: x.direction, does: [...x.does], ...more },
    ...(x.place ? { place: x.place } : {}),
    ...(waits ? { waits } : {}),
  }
}

/** What a client does himself, in the order in which a saber meets him. */
const forClient = (all: readonly Told[]) => all.filter((p) => p.goal.hands === 'client')

/** What its client reads of a procedure that is not for his hands: why, as far as he can see it, and who does it. */
const cannotText = (reader: Reader, p: Extract<Told, { ok: false }>): string =>
  say(reader, 'page.cannot', { live: whether(p.blocked.some((b) => b.code === 'live')) })

/** Every procedure of a saber that its client meets, as it is issued. */
export function frozenOf(reader: Reader, s: Saber): FrozenProcedure[] {
  const all = forClient(proceduresOf(reader, s))
  const goals = all.map((p) => p.goal)
  return all.map((p): FrozenProcedure => {
    const about = {
      ...{ saber: s.id as string, goal: p.goal.kind, title: goalText(reader, p.goal, goals) },
      ...(p.goal.at ? { at: p.goal.at as string } : {}),
    }
    return p.ok
      ? { ...about, acts: p.acts.map(frozenAct), turn: p.turn, from: p.from }
      : { ...about, acts: [], turn: 0, cannot: cannotText(reader, p) }
  })
}

/** The order in which things are done first; light and dark are controls, the others procedures. */
export const FIRST = { cell: 1, charge: 2, bladeIn: 3, powerOn: 4, light: 5, dark: 6, powerOff: 7 } as const

/**
 * The procedures of a saber with what is done first: the cell in where it travels apart, charged, the blade in, switched on; light
 * and dark come before the last, which is cut again.
 */
export function withFirst(
  reader: Reader,
  c: Pick<Commission, 'packing'>,
  s: Saber,
  all: readonly FrozenProcedure[],
): FrozenProcedure[] {
  const apart = c.packing.some((k) => s.parts.some((p) => p.kind === 'cell' && k.key === refTo('part', p.id)))
  const told = new Set<string>(s.hilt.sockets.map((k) => toldBlade(s, k)))
  const n = (p: FrozenProcedure): number | undefined => {
    const left = p.cannot || (p.goal === 'cell' && !apart) || (p.goal === 'bladeIn' && !told.has(p.at ?? ''))
    return left ? undefined : (FIRST as Partial<Record<GoalKind, number>>)[p.goal]
  }
  return all.map((p) => {
    const at = n(p)
    if (at === undefined) return p
    return { ...p, first: { n: at, text: p.goal === 'cell' ? say(reader, 'task', { task: 'cellIn' }) : p.title } }
  })
}

/** The procedures on paper: of what a client opens it for the first one whole, of the others what is different; of blades one for each socket. */
export interface OnPaper {
  goal: Goal
  told: Possible
  /** Acts there and back that are those of `like`, and left out. */
  skips: [there: number, back: number]
  like?: Goal
}

/** The procedures of some goals as they stand on paper. */
export function onPaper(reader: Reader, s: Saber, kinds: readonly GoalKind[]): OnPaper[] {
  const done = forClient(proceduresOf(reader, s)).flatMap((p) => (p.ok ? [p] : []))
  const told = new Set(s.hilt.sockets.map((k) => toldBlade(s, k)))
  const main = OPENED.flatMap((k) => done.filter((p) => p.goal.kind === k))[0]
  return kinds.flatMap((kind) =>
    done
      .filter((p) => p.goal.kind === kind && ((kind !== 'bladeIn' && kind !== 'bladeOut') || told.has(p.goal.at!)))
      .map((p): OnPaper => {
        const whole: OnPaper = { goal: p.goal, told: p, skips: [0, 0] }
        return !main || main === p || !OPENED.includes(kind) ? whole : { ...whole, ...beyond(main, p) }
      }),
  )
}

/** How many acts at the beginning and the end are those of another procedure; so few are not worth sending anyone back for. */
const WORTH = 2
function beyond(main: Possible, p: Possible): Pick<OnPaper, 'skips' | 'like'> {
  const same = (a: ToldAct | undefined, b: ToldAct | undefined) =>
    a?.text === b?.text && a !== undefined && noted(a) === noted(b!) && a.cue === b!.cue
  const [outA, outB] = [main.acts.slice(0, main.turn), p.acts.slice(0, p.turn)]
  const [backA, backB] = [main.acts.slice(main.turn), p.acts.slice(p.turn)]
  let [there, back] = [0, 0]
  while (there < outB.length && same(outA[there], outB[there])) there++
  while (back < backB.length && same(backA.at(-1 - back), backB.at(-1 - back))) back++
  return there < WORTH ? { skips: [0, 0] } : { skips: [there, back], like: main.goal }
}
