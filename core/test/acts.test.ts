import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { judgeCommission } from '@nubrin/core/judge'
import { machineOf, refusalText, wordsOf } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demo, TODAY } from './samples'

test('every refusal has words, with the name of its thing', () => {
  const s = demo('reed-warden').sabers[0]!
  for (const code of ['tight', 'behind', 'occupied', 'loose', 'notClient'] as const)
    expect(refusalText(s, { code, at: 'fastener:rw-f1' })).toContain('upper blade screw')
  expect(refusalText(s, { code: 'lit' })).toBe('it is alight')
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
      'Unscrew the pommel, clockwise: its thread is left-handed | clockwise | ',
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
      'Lift the cell out by its middle | lift | ',
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
    ['a cell into its charger', () => undefined, 'plugIn part:rw-p13', {}, 'Put the cell in the charger | none | '],
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
