import {
  analyse,
  type ControlMap,
  compile,
  eventsFor,
  type HandEvent,
  reachable,
  startOf,
  stepAll,
  usualModes,
} from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import { type ControlRow, GESTURES, type Mode, POSES, type Preset, STATES } from '@nubrin/core/record'

/** A board with so many rows over fifty modes, in three poses, of which some stand for a few of twenty presets only. */
export function largeMap(rows: number): ControlMap {
  const modes: Mode[] = [
    ...usualModes('m', STATES),
    ...Array.from(
      { length: 44 },
      (_, i): Mode => ({
        id: `menu-${i}`,
        name: `menu ${i}`,
        is: 'menu',
        on: 'm-off',
        chooses: 'effect',
        by: 'turning',
      }),
    ),
  ]
  const presets = Array.from(
    { length: 20 },
    (_, i): Preset => ({
      ...{ id: `p${i}`, name: `p${i}`, tracks: [], lights: [], status: 'configured' },
      colour: { value: '#20c0ff', source: 'configured' },
    }),
  )
  const hands = GESTURES.filter((g) => g !== 'insert' && g !== 'slide')
  return {
    ...{ modes, fonts: [], presets, timing: {}, settings: { sensitivities: [] } },
    inputs: [
      { id: 'a', name: 'a', kind: 'button' },
      { id: 'b', name: 'b', kind: 'button' },
      { id: 'm', name: 'hilt', kind: 'motion' },
    ],
    controls: Array.from({ length: rows }, (_, i): ControlRow => {
      const gesture = hands[i % hands.length]!
      return {
        ...{
          id: `r${i}x`,
          mode: modes[i % modes.length]!.id,
          to: modes[(i * 7 + 3) % modes.length]!.id,
          status: 'configured',
        },
        ...{
          pose: POSES[(i >> 3) % POSES.length]!,
          input: i % 3 ? 'a' : 'b',
          gesture,
          does: 'other',
          says: `thing ${i}`,
        },
        ...(gesture === 'chord' || gesture === 'holdThenTap' ? { other: i % 3 ? 'b' : 'a' } : {}),
        ...(['hold', 'chord', 'holdThenTap'].includes(gesture)
          ? { hold: fact(0.5 + (i % 8) * 0.5, 's', 'configured') }
          : {}),
        ...(gesture === 'tap' ? { times: 1 + ((i >> 5) % 4) } : {}),
        ...(i % 11 === 0 ? { presets: [presets[i % 20]!.id, presets[(i * 3) % 20]!.id] } : {}),
      } as ControlRow
    }),
  }
}

/** The same findings the plain way: every row beside every other, and a walk of its own from every mode. */
function naively(m: ControlMap): number {
  let n = 0
  const key = (r: ControlRow) => {
    const inputs = r.gesture === 'chord' ? [r.input, r.other ?? ''].sort() : [r.input, r.other ?? '']
    return JSON.stringify([r.mode, r.gesture, r.pose, r.times ?? 1, inputs])
  }
  for (const a of m.controls)
    for (const b of m.controls) {
      if (a.id >= b.id || key(a) !== key(b)) continue
      const [p, q] = [a.presets ?? [], b.presets ?? []]
      const meet = p.length && q.length ? p.some((x) => q.includes(x)) : p.length === q.length
      if (meet && Math.abs((a.hold?.value ?? 0) - (b.hold?.value ?? 0)) < 0.4) n++
    }
  for (const p of m.presets)
    for (const x of m.modes) {
      const here = m.controls.filter((r) => !r.presets?.length || r.presets.includes(p.id))
      if (reachable(m, here).has(x.id) && !reachable(m, here, [x.id]).has('m-off')) n++
    }
  return n
}

const once = (run: () => unknown) => {
  const t = performance.now()
  run()
  return performance.now() - t
}
const least = (n: number, run: () => unknown) => Math.min(...Array.from({ length: n }, () => once(run)))

export function benchBoard(): string[] {
  const map = largeMap(1000)
  // Each time another list of the same rows: what was said of the last one is not asked for again.
  const anew = () => analyse({ ...map, controls: [...map.controls] })
  const clashes = analyse(map).matters.filter((x) => x.code === 'same' || x.code === 'tooClose').length
  const traps = analyse(map).matters.flatMap((x) => (x.code === 'trap' ? x.presets : [])).length
  const plain = naively(map)
  if (plain !== clashes + traps) throw new Error(`the plain walk finds ${plain}, the analysis ${clashes} + ${traps}`)
  const [mine, theirs] = [least(25, anew), least(3, () => naively(map))]

  const board = compile(map)
  const hour: HandEvent[] = []
  for (let t = 0, i = 0; t < 3600; i++) {
    const list = eventsFor(board, map.controls[(i * 37) % map.controls.length]!, t)
    hour.push(...list)
    t = list.at(-1)!.t + 0.1
  }
  const run = least(5, () => stepAll(board, startOf(board), hour))
  return [
    `a map of 1000 rows over 50 modes walked whole: ${mine.toFixed(1)} ms of 50 ms, ratio ${(50 / mine).toFixed(1)}; a plain walk to the same findings takes ${(theirs / mine).toFixed(0)} times as long`,
    `an hour of inputs (${hour.length} events): ${run.toFixed(0)} ms of 1000 ms, ratio ${(1000 / run).toFixed(1)}`,
  ]
}
