import { describe, expect, test } from '@jest/globals'
import { proposeSteps, tasksOf } from '@nubrin/core/access'
import { fact } from '@nubrin/core/facts'
import { judgeCommission } from '@nubrin/core/judge'
import { machineOf, refusalText, wordsOf } from '@nubrin/core/machine'
import type { Commission, Saber, Step } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { demo, TODAY } from './samples'

const drafted = (c: Commission): Commission => {
  const out = structuredClone(c)
  for (const s of out.sabers)
    s.access = tasksOf(s).map((task, i) => {
      let n = 0
      return { id: `t${i}x`, task, steps: proposeSteps(MAKER, s, task, () => `${task.toLowerCase()}-${n++}`).steps }
    })
  return out
}
const says = (c: Commission) =>
  judgeCommission(c, TODAY)
    .filter((f) => f.check === 'acts')
    .map((f) => `${f.code} ${f.detail}`)

describe('steps drafted from the machine', () => {
  const orders = [...demoCommissions(TODAY), ...[...FIRST, ...SECOND, ...THIRD].map((j) => j.make())]
  test.each(orders.map((c): [string, Commission] => [c.title, c]))(
    '%s: can be carried out, and say what they do',
    (_t, c) => {
      expect(says(drafted(c))).toEqual([])
    },
  )
  test('with another blade in its plug goes out first, and in again at the end', () => {
    const c = structuredClone(demo('reed-warden'))
    const s = c.sabers[0]!
    s.blades.push({ ...structuredClone(s.blades[0]!), id: 'plug', name: 'plug', kind: 'plug' })
    const d = drafted(c)
    const steps = (task: string) =>
      d.sabers[0]!.access.find((p) => p.task === task)!.steps.map((x) => `${x.act?.do} ${x.act?.at}`)
    expect(steps('bladeIn').filter((x) => /takeOff|putOn/.test(x))).toEqual(['takeOff blade:plug', 'putOn blade:rw-b1'])
    expect(steps('bladeOut').filter((x) => /takeOff|putOn/.test(x))).toEqual([
      'takeOff blade:rw-b1',
      'putOn blade:plug',
    ])
    expect(says(d)).toEqual([])
  })
})

describe('a step', () => {
  const c = drafted(demo('reed-warden'))
  const of = (d: Commission, task: string) => d.sabers[0]!.access.find((p) => p.task === task)!
  const change = (run: (s: Saber, steps: (task: string) => Step[]) => void) => {
    const d = structuredClone(c)
    run(d.sabers[0]!, (task) => of(d, task).steps)
    return says(d)
  }
  test('that was left out makes the next one impossible, by name', () => {
    expect(change((_s, steps) => void steps('bladeIn').shift())).toEqual([
      'refused “Push the blade in to the stop and keep pressing”: upper blade screw still holds it.',
    ])
    // Tightened never: the pull shows it.
    expect(
      change((_s, steps) => {
        const list = steps('bladeIn')
        list.splice(
          list.findIndex((x) => x.act?.do === 'tighten'),
          1,
        )
      }),
    ).toEqual(['refused “Pull at the blade: it must not move”: upper blade screw is not tight.'])
  })
  test('goes stale with what it names, and does not when its words are the maker’s own', () => {
    const renamed = (own: boolean) =>
      change((s, steps) => {
        if (own) for (const x of steps('open')) x.ownWords = true
        s.hilt.sections[0]!.name = 'butt'
      })
    expect(renamed(false).filter((t) => t.includes('Unscrew the pommel'))).toEqual([
      'stale It says “Unscrew the pommel”, and the record now: “Unscrew the butt”.',
    ])
    expect(renamed(true).filter((t) => t.includes('Unscrew the pommel'))).toEqual([])
  })
  test('that is only words stops the looking, and nothing is made up about what follows', () => {
    expect(
      change((_s, steps) => {
        const list = steps('bladeIn')
        delete list[0]!.act
        list.splice(1, 1)
      }),
    ).toEqual([])
  })
  test('a screw that became forbidden is refused', () => {
    expect(change((s) => void (s.hilt.fasteners[0]!.clientMay = 'never'))[0]).toBe(
      'refused “Loosen the upper blade screw; do not take it out”: upper blade screw is not to be touched.',
    )
  })
  test('every refusal has words, with the name of its thing', () => {
    const s = demo('reed-warden').sabers[0]!
    for (const code of ['tight', 'behind', 'occupied', 'loose', 'notClient'] as const)
      expect(refusalText(s, { code, at: 'fastener:rw-f1' })).toContain('upper blade screw')
    expect(refusalText(s, { code: 'lit' })).toBe('it is alight')
  })
})

describe('which way round the cell goes', () => {
  const poles = (...ends: (string | undefined)[]) => {
    const c = structuredClone(demo('reed-warden'))
    c.sabers = ends.map((e, i) => {
      const s = { ...structuredClone(c.sabers[0]!), id: `s${i}x`, name: `Saber ${i}` }
      const cell = s.parts.find((p) => p.kind === 'cell')!
      if (e) cell.faces = { value: e as 'pommel', source: 'measured' }
      else delete cell.faces
      return s
    })
    return judgeCommission(c, TODAY).flatMap((f) => (f.check === 'otherPole' ? [`${f.saber}: ${f.title}`] : []))
  }
  test('is said where it differs from one before; not where it is the same, unknown, or the first', () => {
    expect(poles('emitter', 'emitter')).toEqual([])
    expect(poles('emitter', undefined, 'emitter')).toEqual([])
    expect(poles('emitter', undefined, 'pommel')).toEqual(['s2x: The cell goes in the other way round than in Saber 0'])
    expect(poles('pommel')).toEqual([])
  })
})

describe('words of an act', () => {
  const worded = (change: (s: Saber) => void, what: string, more: object = {}) => {
    const s = structuredClone(demo('reed-warden').sabers[0]!)
    change(s)
    const { assembly } = machineOf(s)
    const [verb, at] = what.split(' ') as [never, never]
    const w = wordsOf(MAKER, s, assembly, { do: verb, at, ...more })
    return w && `${w.text} | ${w.direction} | ${w.tool ?? ''}`
  }
  const chassis = (s: Saber) => {
    const c = s.parts.find((p) => p.kind === 'chassis')!
    Object.assign(c, { removable: true, landmark: 'flat to the switch' })
    s.joints.push({ id: 'said', body: `part:${c.id}`, tethered: true, turns: fact(3, '×', 'measured') })
  }
  test.each<[string, (s: Saber) => void, string, object, string | undefined]>([
    [
      'a threaded section',
      () => undefined,
      'takeOff section:rw-pommel',
      { how: 'unscrew' },
      'Unscrew the pommel | anticlockwise | ',
    ],
    [
      'a left-handed one',
      (s) => void (s.hilt.sections[0]!.joint.hand = 'left'),
      'takeOff section:rw-pommel',
      { how: 'unscrew' },
      'Unscrew the pommel | clockwise | ',
    ],
    [
      'the same back',
      () => undefined,
      'putOn section:rw-pommel',
      { how: 'unscrew' },
      'Screw on the pommel | clockwise | ',
    ],
    [
      'turned and pulled',
      () => undefined,
      'takeOff section:rw-pommel',
      { how: 'turnPull' },
      'Turn the pommel and pull it off | anticlockwise | ',
    ],
    [
      'pushed on and turned',
      () => undefined,
      'putOn section:rw-pommel',
      { how: 'turnPull' },
      'Push the pommel on and turn it until it holds | clockwise | ',
    ],
    [
      'a chassis on wires',
      chassis,
      'takeOff part:rw-p10',
      { how: 'slide', towards: 'pommel' },
      'Slide the chassis out at the pommel end, no further than its wires reach | pull | ',
    ],
    [
      'a chassis back',
      chassis,
      'putOn part:rw-p10',
      { how: 'slide', towards: 'emitter' },
      'Slide the chassis back in from the emitter end: flat to the switch | push | ',
    ],
    [
      'a cell lifted',
      () => undefined,
      'takeOff part:rw-p2',
      { how: 'lift' },
      'Lift the cell out at its middle | lift | ',
    ],
    [
      'a card back',
      () => undefined,
      'putOn part:rw-p12',
      { how: 'pull' },
      'Put the card back in; do not force it | push | ',
    ],
    [
      'a blade screw',
      () => undefined,
      'loosen fastener:rw-f1',
      {},
      'Loosen the upper blade screw; do not take it out | anticlockwise | hex key 2 mm',
    ],
    [
      'another screw out',
      () => undefined,
      'remove fastener:rw-f3',
      {},
      'Take out the shroud screw | anticlockwise | hex key 1.5 mm',
    ],
    ['a cell into its charger', () => undefined, 'plugIn part:rw-p13', {}, 'Charge it in the charger | none | '],
    ['the charger off', () => undefined, 'unplug part:rw-p13', {}, 'Unplug the charger | pull | '],
    [
      'a cell of which nobody knows the way round',
      (s) => void delete s.parts.find((p) => p.kind === 'cell')!.faces,
      'putOn part:rw-p2',
      {},
      undefined,
    ],
    ['what is gone', () => undefined, 'takeOff part:gone', {}, undefined],
  ])('%s', (_what, change, what, more, is) => expect(worded(change, what, more)).toBe(is))
})
