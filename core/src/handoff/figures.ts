import { readActs } from '../access'
import { cropped, drawSection, numbered, type Scene } from '../drawing'
import { type Apart, apartIn, errand, goalsOf, machineOf, runAll, type State, type Wording, wordsOf } from '../machine'
import { colourOf, type Ref, type Saber, type Task } from '../record'
import type { Reader } from '../units'

/** Bench beyond a saber that lies apart, mm; paper round a drawing, px. */
const AIR = 14
const PAPER = 6

interface Size {
  width: number
  height: number
}
type Stretch = Pick<Apart, 'from' | 'to'>

/** A saber as it lies, in lines, on a stretch of the bench. */
function lying(reader: Reader, s: Saber, apart: Apart, bench: Stretch, size: Size, tight = false): Scene {
  const [first] = s.presets
  return drawSection(reader, s, {
    ...{ ...size, apart, from: bench.from - AIR, to: bench.to + AIR, tight },
    ...(first ? { blade: colourOf(first) } : {}),
  })
}
const inState = (reader: Reader, s: Saber, state: State, size: Size): Scene => {
  const apart = apartIn(s, machineOf(s).assembly, state)
  return lying(reader, s, apart, apart, size)
}

/** A saber opened by its client's own hands, numbered as they go. */
export interface TakenApart {
  scene: (size: Size) => Scene
  /** Where no steps are recorded: those that were solved, out and back. */
  out: Wording[]
  back: Wording[]
}

const OUT: readonly Task[] = ['open', 'cellOut']

/** Numbers of the steps of a task that is told after another one: taking the cell out goes on where opening ended. */
export const firstNumber = (s: Saber, task: Task): number =>
  task === 'cellOut' ? 1 + (s.access.find((p) => p.task === 'open')?.steps.length ?? 0) : 1

/** As its recorded steps take it apart; undefined where these cannot be carried out as acts. */
function recorded(reader: Reader, s: Saber): TakenApart | undefined {
  let state: State | undefined
  const marks: { ref: Ref; n: number }[] = []
  for (const task of OUT) {
    if (!s.access.some((p) => p.task === task && p.steps.length)) continue
    const read = readActs(s, task)
    if (!read.ok) return undefined
    state = read.states.at(-1)
    for (const [i, step] of read.steps.entries()) {
      const ref = step.act?.at ?? step.place
      if (ref) marks.push({ ref, n: firstNumber(s, task) + i })
    }
  }
  const end = state
  if (!end) return undefined
  return { out: [], back: [], scene: (size) => cropped(numbered(inState(reader, s, end, size), marks), PAPER) }
}

/** As it is solved from its joints, as far as a client has to open it; undefined where nothing comes out by his hands. */
function solved(reader: Reader, s: Saber): TakenApart | undefined {
  const { assembly, rest } = machineOf(s)
  const wanted = goalsOf(s, assembly).filter((g) => g.hands === 'client')
  const far = ['cell', 'card', 'port', 'show']
    .flatMap((kind) => wanted.filter((g) => g.kind === kind))
    .map((g) => errand(assembly, rest, g))
    .find((e) => e.ok && e.turn > 0)
  if (!far?.ok) return undefined
  const words = far.acts.flatMap((act) => wordsOf(reader, s, assembly, act) ?? [])
  if (words.length < far.acts.length) return undefined
  const acts = far.acts.slice(0, far.turn)
  const { state } = runAll(assembly, far.from, acts)
  const marks = acts.map((act, i) => ({ ref: words[i]!.place ?? act.at, n: i + 1 }))
  return {
    ...{ out: words.slice(0, far.turn), back: words.slice(far.turn) },
    scene: (size) => cropped(numbered(inState(reader, s, state, size), marks), PAPER),
  }
}

/** How far a client takes it apart: by the recorded steps, else solved. What is recorded in words that no hand can follow is not drawn. */
export const takenApart = (reader: Reader, s: Saber): TakenApart | undefined =>
  s.access.some((p) => OUT.includes(p.task) && p.steps.length) ? recorded(reader, s) : solved(reader, s)

/** How it lies after each step of a task, drawn, all to one scale; nothing where its steps cannot be carried out as acts. */
export function stepScenes(reader: Reader, s: Saber, task: Task, size: Size): Scene[] {
  const read = readActs(s, task)
  if (!read.ok) return []
  const { assembly } = machineOf(s)
  const aparts = read.states.map((state) => apartIn(s, assembly, state))
  const bench = { from: Math.min(...aparts.map((a) => a.from)), to: Math.max(...aparts.map((a) => a.to)) }
  return aparts.map((a) => lying(reader, s, a, bench, size, true))
}
