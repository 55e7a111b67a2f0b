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
})
