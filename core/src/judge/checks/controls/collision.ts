import { collisions, gestureText, heldFrom, modeName, timingOf } from '../../../controls'
import { MAKER } from '../../../units'
import { check } from '../../check'

interface Pair {
  state: string
  gesture: string
  a: string
  b: string
}

export const collision = check<{ same: Pair; close: Pair & { holds: [number, number]; hand: number } }>({
  id: 'collision',
  station: 'controls',
  scope: 'saber',
  rule: 'No two controls share a mode, input, gesture and pose in one preset; holds on one button are as far apart as a hand keeps them, 0.4 s where nothing else is set.',
  source: 'simulated board',
  reads: ['controls', 'modes', 'timing', 'inputs', 'spoken'],
  run: ({ saber }) =>
    collisions(saber).map(({ a, b, why }) => {
      const pair = {
        state: modeName(saber, a.mode),
        gesture: gestureText(MAKER, saber, a),
        a: a.says ?? a.does,
        b: b.says ?? b.does,
      }
      return {
        ...(why === 'same'
          ? { code: 'same' as const, params: pair }
          : {
              code: 'close' as const,
              params: {
                ...pair,
                holds: [heldFrom(saber, a), heldFrom(saber, b)] as [number, number],
                hand: timingOf(saber, 'handKeeps'),
              },
            }),
        subject: [a.id, b.id].sort().join('-'),
        level: 'stop' as const,
        refs: [`row:${a.id}` as const, `row:${b.id}` as const],
        gate: true,
      }
    }),
  words: {
    same: (p) => ({
      title: 'Two controls collide',
      detail: `${p.state}: “${p.gesture}” is both “${p.a}” and “${p.b}”.`,
      remedy: 'Give one another gesture, pose or count.',
    }),
    close: (p) => ({
      title: 'Two holds cannot be told apart',
      detail: `${p.state}: “${p.gesture}” is both “${p.a}” and “${p.b}” at ${p.holds[0]} s and ${p.holds[1]} s.`,
      remedy: `Move the holds at least ${p.hand} s apart.`,
    }),
  },
})
