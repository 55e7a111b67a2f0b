import { fact } from '@nubrin/core/facts'
import { blankSaber, type Commission, type Saber } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'

export const TODAY = '2026-11-24'

let n = 0
const id = () => `t${n++}x`

/** A saber of plain tubes: [length, outside, bore] from the pommel. */
export function tube(sections: [number | null, number, number][]): Saber {
  const s = blankSaber(id, 'Test', 'install')
  s.hilt.sections = sections.map(([l, o, b], i) => ({
    id: `s${i}`,
    name: `section ${i}`,
    role: i === 0 ? 'pommel' : 'grip',
    material: 'aluminium',
    length: fact(l, 'mm'),
    outside: fact(o, 'mm'),
    bore: fact(b, 'mm'),
    joint: { kind: 'none' },
  }))
  return s
}

let made: Commission[] | undefined
/** A fresh copy of a demo commission; they are made once, since their tests are computed. */
export const demo = (which: string): Commission => {
  made ??= demoCommissions(TODAY)
  return structuredClone(made.find((c) => c.id === which)!)
}
/** The finished demo saber, fresh. */
export const done = (): Saber => demo('reed-warden').sabers[0]!
