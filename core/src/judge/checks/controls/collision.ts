import { collisions, gestureText } from '../../../controls'
import { known } from '../../../facts'
import { check } from '../../check'

interface Pair {
  state: string
  gesture: string
  a: string
  b: string
}

export const collision = check<{ same: Pair; close: Pair & { holds: [number, number] } }>({
  id: 'collision',
  station: 'controls',
  scope: 'saber',
  rule: 'No two controls share a state, input, gesture and pose in one preset; holds on one button are 0.4 s apart.',
  source: 'simulated board',
  reads: ['controls', 'inputs'],
  run: ({ saber }) =>
    collisions(saber.controls).map(({ a, b, why }) => {
      const pair = { state: a.state, gesture: gestureText(saber, a), a: a.says ?? a.does, b: b.says ?? b.does }
      return {
        ...(why === 'same'
          ? { code: 'same' as const, params: pair }
          : {
              code: 'close' as const,
              params: { ...pair, holds: [known(a.hold)!, known(b.hold)!] as [number, number] },
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
      remedy: 'Move the holds at least 0.4 s apart.',
    }),
  },
})
