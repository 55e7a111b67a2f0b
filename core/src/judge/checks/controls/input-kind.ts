import type { ControlRow, Input } from '../../../record'
import { check } from '../../check'

type Gesture = ControlRow['gesture']
/** What a hand can do with each kind of input; the others may be worked in any way. */
const WORKS: Partial<Record<Input['kind'], readonly Gesture[]>> = {
  button: ['tap', 'hold', 'holdThenTap', 'chord', 'holdStrike', 'holdFlick'],
  slide: ['slide'],
  key: ['insert', 'twist'],
  motion: ['twist', 'thrust', 'swing', 'shake'],
}

export const inputKind = check<{ cannot: { input: string; kind: string; gestures: string[] } }>({
  id: 'inputKind',
  station: 'controls',
  scope: 'saber',
  source: 'simulated board',
  reads: ['inputs', 'controls'],
  run: ({ saber }) =>
    saber.inputs.flatMap((i) => {
      const can = WORKS[i.kind]
      const odd = saber.controls.filter((r) => can && r.input === i.id && !can.includes(r.gesture))
      return odd.length
        ? [
            {
              code: 'cannot' as const,
              subject: i.id as string,
              level: 'caution' as const,
              params: { input: i.name, kind: i.kind, gestures: [...new Set(odd.map((r) => r.gesture))] },
              refs: [`input:${i.id}` as const, ...odd.map((r) => `row:${r.id}` as const)],
              gate: true,
            },
          ]
        : []
    }),
})
