import { type Body, type Goal, toldBlade } from '../machine'
import { type Saber, type Socket, TASKS, type Task } from '../record'
import type { Possible, Told, ToldAct } from './procedures'

/** A piece of one or several procedures, told and filmed in one breath. */
export interface Piece {
  task: Task
  acts: readonly ToldAct[]
}

/** The pieces in which the procedures of a saber are told, blades of these sockets: what was told already is not told again. */
export function piecesOf(s: Saber, all: readonly Told[], sockets: readonly Socket[] = s.hilt.sockets): Piece[] {
  const done = all.flatMap((p) => (p.ok && p.goal.hands === 'client' ? [p] : []))
  const one = (kind: Goal['kind'], at?: Body) => done.find((p) => p.goal.kind === kind && (!at || p.goal.at === at))
  // That it is dark and without current is a piece of its own.
  const plain = (p: Possible | undefined) =>
    (p?.acts ?? []).filter((x, i) => !(x.key === 'dark' || (i === 0 && x.does[0]?.do === 'cut' && p!.acts.length > 1)))
  const blades = (kind: 'bladeIn' | 'bladeOut') => sockets.flatMap((k) => plain(one(kind, toldBlade(s, k))))
  const main = one('cell') ?? one('card') ?? one('open')
  const out = main ? wantedOf(main.goal) : []
  const wants = (x: ToldAct) => x.does.some((d) => out.includes(d.at as Body))
  const there = plain(main).filter((x) => !x.back)
  const back = plain(main).filter((x) => x.back)
  const [from, to] = [there.findIndex(wants), back.findLastIndex(wants)]
  const opened = from < 0 ? there : there.slice(0, from)
  const shut = main?.goal.kind === 'open' ? plain(one('close')) : back.slice(to + 1)
  const [taken, put] = from < 0 ? [[], []] : [there.slice(from), back.slice(0, to + 1)]
  const known = new Set([...opened, ...taken, ...put, ...shut].map((x) => x.key))
  const beyond = (p: Possible) => plain(p).filter((x) => !known.has(x.key))
  const rest = (kind: Goal['kind']) => {
    const all = done.filter((p) => p.goal.kind === kind)
    // What one of them does on its way is not done again for itself.
    const within = (p: Possible, q: Possible) =>
      plain(p).every((x) => plain(q).some((y) => y.key === x.key)) &&
      (plain(p).length < plain(q).length || all.indexOf(p) > all.indexOf(q))
    return all.filter((p) => !all.some((q) => q !== p && within(p, q))).flatMap(beyond)
  }
  const acts: Record<Task, readonly ToldAct[]> = {
    powerOn: plain(one('powerOn')),
    powerOff: plain(one('powerOff')),
    ...{ bladeIn: blades('bladeIn'), bladeOut: blades('bladeOut') },
    ...{ open: opened, close: shut },
    ...{ cellOut: main?.goal.kind === 'cell' ? taken : [], cellIn: main?.goal.kind === 'cell' ? put : [] },
    card: main?.goal.kind === 'card' ? [...taken, ...put] : rest('card'),
    ...{ charge: rest('charge'), port: rest('port'), show: rest('show') },
  }
  // What is opened for nothing is told nobody; a charge from outside opens nothing.
  const charged = done.some((p) => p.goal.kind === 'charge' && (p.goal.out ?? p.goal.through))
  const inside = (['cellOut', 'card', 'port', 'show', 'charge'] as const).filter((t) => t !== 'charge' || charged)
  const opens = main?.goal.kind !== 'open' || inside.some((t) => acts[t].length)
  return TASKS.flatMap((task) =>
    acts[task].length && (opens || (task !== 'open' && task !== 'close')) ? [{ task, acts: acts[task] }] : [],
  )
}
const wantedOf = (g: Goal): readonly Body[] => g.out ?? (g.at && g.kind !== 'open' ? [g.at] : [])
