import { describe, expect, test } from '@jest/globals'
import { askText, proposeSteps } from '@nubrin/core/access'
import { fact, stated } from '@nubrin/core/facts'
import { seamsOf } from '@nubrin/core/machine'
import type { Fastener, Saber, Task } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { done } from './samples'

let n = 0
const draft = (change: (s: Saber) => void, task: Task) => {
  const s = done()
  change(s)
  const d = proposeSteps(MAKER, s, task, () => `n${n++}x`)
  expect(new Set(d.steps.map((x) => x.id)).size).toBe(d.steps.length)
  return d
}
const none = () => undefined
const asks = (change: (s: Saber) => void, task: Task) =>
  draft(change, task).asks.map((a) => `${a.code} ${a.ref ?? a.name}`)
const told = (change: (s: Saber) => void, task: Task) =>
  draft(change, task).steps.map((x) => `${x.text} | ${x.direction} | ${x.tool ?? ''} | ${x.place ?? ''}`)
const joint = (more: Partial<Saber['hilt']['sections'][number]['joint']>) => (s: Saber) =>
  void Object.assign(s.hilt.sections[0]!.joint, more)
const mm = (v: number) => fact(v, 'mm', 'measured')
/** A screw that holds a joint, somewhere along the hilt. */
const screw =
  (at: number | null, more: Partial<Fastener> = {}) =>
  (s: Saber) =>
    void s.hilt.fasteners.push({
      ...{
        id: 'js',
        name: 'joint screw',
        thread: 'M3',
        key: '1.5',
        head: 'set',
        purpose: 'joint',
        clientMay: 'loosen',
      },
      at: at === null ? fact(null, 'mm') : mm(at),
      clock: fact(0, 'deg', 'measured'),
      ...more,
    } as Fastener)
const both =
  (...all: ((s: Saber) => void)[]) =>
  (s: Saber) => {
    for (const run of all) run(s)
  }
/** The part of a kind, put in place of any of its like. */
const part =
  (kind: Saber['parts'][number]['kind'], name = 'the thing') =>
  (s: Saber) =>
    void s.parts.push({ id: 'new', kind, name, specs: {} })
const without =
  (...kinds: string[]) =>
  (s: Saber) =>
    void (s.parts = s.parts.filter((p) => !kinds.includes(p.kind)))
const cell = (more: Partial<Saber['parts'][number]>) => (s: Saber) =>
  void Object.assign(s.parts.find((p) => p.kind === 'cell')!, more)
const cut = (way: Saber['cutPower']) => (s: Saber) => void (s.cutPower = way)
/** Where the seam between pommel and grip is on the sample, mm. */
const SEAM = done().hilt.sections[0]!.length.value!

describe('opening and closing', () => {
  const pommel = done().hilt.sections[0]!
  test('a threaded pommel is unscrewed and screwed on again, by its hand', () => {
    const tail = `| | section:${pommel.id}`.replace('| |', '|  |')
    expect(told(none, 'open')).toEqual([`Unscrew the ${pommel.name} | anticlockwise ${tail}`])
    expect(told(none, 'close')).toEqual([`Screw on the ${pommel.name} | clockwise ${tail}`])
    expect(told(joint({ hand: 'left' }), 'open')[0]).toContain('| clockwise |')
    expect(told(joint({ hand: 'left' }), 'close')[0]).toContain('| anticlockwise |')
  })
  test('screws of this joint go first and come back last; those of the other end are left alone', () => {
    const near = screw(SEAM + 3)
    const far = screw(SEAM + 150, { id: 'far', name: 'far screw' })
    const open = told(both(near, far), 'open')
    expect(open).toHaveLength(2)
    expect(open[0]).toBe('Loosen the joint screw | anticlockwise | hex key 1.5 | fastener:js')
    expect(told(both(near, far), 'close').at(-1)).toBe(
      'Tighten the joint screw | clockwise | hex key 1.5 | fastener:js',
    )
    expect(told(screw(SEAM + 3, { clientMay: 'remove', key: 'by hand' }), 'open')[0]).toBe(
      'Take out the joint screw | anticlockwise | by hand | fastener:js',
    )
  })
  test('a screw never to be touched forbids the whole opening; a glued dummy is no screw', () => {
    for (const task of ['open', 'close'] as const) {
      const d = draft(screw(SEAM + 3, { clientMay: 'never' }), task)
      expect(d).toEqual({ steps: [], asks: [{ code: 'neverScrew', name: 'joint screw', ref: 'fastener:js' }] })
    }
    expect(asks(screw(SEAM + 3, { clientMay: 'never', head: 'dummy' }), 'open')).toEqual([])
    // At the other end it is in nobody's way.
    expect(asks(screw(SEAM + 150, { clientMay: 'never' }), 'open')).toEqual([])
  })
  test('a screw of which nobody knows the joint stops the draft', () => {
    const { seams } = seamsOf(done())
    const between = (seams[0]!.x! + seams[1]!.x!) / 2
    for (const at of [null, between]) expect(asks(screw(at), 'open')).toEqual(['screwPlace fastener:js'])
    expect(draft(screw(null), 'open').steps).toEqual([])
  })
  test.each([
    ['glue', {}],
    ['none', {}],
    ['thread', { lockedForLife: true }],
  ] as const)('%s %j: never pulled off; the other joint only when it is the only one', (kind, more) => {
    const closed = both(joint({ kind, ...more }))
    expect(told(closed, 'open').join()).not.toContain(pommel.name)
    const others = done().hilt.sections.slice(1, -1)
    const allClosed = (s: Saber) => {
      closed(s)
      for (const x of s.hilt.sections) x.joint = { kind: 'glue' }
      s.hilt.fasteners = []
    }
    expect(draft(allClosed, 'open')).toEqual({
      steps: [],
      asks: [{ code: 'closedForLife', name: pommel.name, ref: `section:${pommel.id}` }],
    })
    const oneOpens = (s: Saber) => {
      allClosed(s)
      s.hilt.sections.at(-2)!.joint = { kind: 'thread' }
    }
    expect(told(oneOpens, 'open')).toEqual([
      `Unscrew the ${done().hilt.sections.at(-1)!.name} | anticlockwise |  | section:${done().hilt.sections.at(-1)!.id}`,
    ])
    const twoOpen = (s: Saber) => {
      oneOpens(s)
      s.hilt.sections[1]!.joint = { kind: 'magnet' }
    }
    expect(others.length).toBeGreaterThan(1)
    expect(draft(twoOpen, 'open').steps).toEqual([])
    expect(draft(twoOpen, 'open').asks).toMatchObject([{ code: 'whichJoint' }])
  })
  test.each([
    ['magnet', 'Pull off the', 'Push on the'],
    ['buttonAndScrews', 'Press the button of the joint and pull off the', 'Push on the'],
  ] as const)('%s: %s', (kind, off, on) => {
    const change = (s: Saber) => void (s.hilt.sections[0]!.joint = { kind })
    expect(draft(change, 'open').steps.at(-1)).toMatchObject({ text: `${off} ${pommel.name}`, direction: 'pull' })
    expect(draft(change, 'close').steps[0]).toMatchObject({ text: `${on} ${pommel.name}`, direction: 'push' })
  })
  test.each(['collar', 'press'] as const)('%s: how it comes off is asked for', (kind) => {
    const change = (s: Saber) => void (s.hilt.sections[0]!.joint = { kind })
    expect(asks(change, 'open')).toEqual([`howJoint section:${pommel.id}`])
    expect(draft(change, 'close').steps).toEqual([])
  })
  test('held by set screws of which none is recorded, it is asked for', () => {
    const change = (s: Saber) => void (s.hilt.sections[0]!.joint = { kind: 'setScrew' })
    expect(asks(change, 'open')).toEqual([`whatHolds section:${pommel.id}`])
    expect(told(both(change, screw(SEAM - 2)), 'open')).toHaveLength(2)
  })
  test('closing takes the steps of opening back, in the other order and the other way round', () => {
    const way = { anticlockwise: 'clockwise', clockwise: 'anticlockwise', pull: 'push' } as Record<string, string>
    for (const kind of ['thread', 'magnet', 'setScrew', 'buttonAndScrews'] as const)
      for (const hand of ['right', 'left'] as const) {
        const change = both(
          (s) => void (s.hilt.sections[0]!.joint = { kind, hand }),
          screw(SEAM + 2),
          screw(SEAM - 2, { id: 'j2', name: 'second' }),
        )
        const [opening, closing] = [draft(change, 'open').steps, draft(change, 'close').steps]
        expect(opening).toHaveLength(3)
        expect(closing.map((x) => x.place)).toEqual(opening.map((x) => x.place).toReversed())
        expect(closing.map((x) => x.direction)).toEqual(opening.map((x) => way[x.direction]).toReversed())
      }
  })
  test('a hilt of one piece, or of nothing, has nothing that comes apart', () => {
    for (const k of [0, 1]) {
      const change = (s: Saber) => {
        s.hilt.sections.length = k
        s.hilt.fasteners = []
      }
      expect(draft(change, 'open')).toEqual({ steps: [], asks: [{ code: 'closedForLife', name: '' }] })
    }
  })
})

const keyed =
  (out: 'open' | 'closed', into: 'open' | 'closed', turned?: 'open' | 'closed') =>
  (s: Saber): void => {
    s.cutPower = 'killKey'
    s.keyDoes = { out, in: into, ...(turned ? { turned } : {}) }
  }

describe('power', () => {
  const key = both(without('killSwitch'), part('killKey', 'key'))
  test.each<[string, (s: Saber) => void, Task, string[]]>([
    ['a slide', none, 'powerOn', ['Slide the kill switch on | slide |  | part:rw-p7']],
    ['a slide', none, 'powerOff', ['Slide the kill switch off | slide |  | part:rw-p7']],
    ['a key to pull', both(key, keyed('closed', 'open')), 'powerOn', ['Pull the kill key out | pull |  | part:new']],
    [
      'a key to pull',
      both(key, keyed('closed', 'open')),
      'powerOff',
      ['Push the kill key in until everything is dark | push |  | part:new'],
    ],
    [
      'a key to turn',
      both(key, keyed('open', 'open', 'closed')),
      'powerOn',
      ['Put the kill key in and turn it | none |  | part:new'],
    ],
    [
      'a key to turn',
      both(key, keyed('open', 'open', 'closed')),
      'powerOff',
      ['Turn the kill key back until everything is dark | none |  | part:new'],
    ],
  ])('%s, %#', (_what, change, task, steps) => expect(told(change, task)).toEqual(steps))
  test('what is fitted but does not cut, and what cuts but is not fitted, is asked for', () => {
    expect(asks(both(key, cut('deepSleep')), 'powerOff')).toEqual(['howKey part:new'])
    expect(asks(cut('none'), 'powerOff')).toEqual(['whichSwitch part:rw-p7'])
    expect(asks(both(without('killSwitch'), cut('killKey')), 'powerOff')).toEqual(['howKey '])
    expect(asks(without('killSwitch'), 'powerOff')).toEqual(['whichSwitch '])
    expect(draft(both(key, cut('deepSleep')), 'powerOff').steps).toEqual([])
  })
})

describe('the cell', () => {
  test('the pole is told as recorded, wherever the cell lies, and never made up', () => {
    for (const faces of ['emitter', 'pommel'] as const)
      for (const at of [mm(60), fact(null, 'mm')]) {
        const [one] = draft(cell({ faces: stated(faces, 'measured'), at, landmark: 'a dot' }), 'cellIn').steps
        expect(one!.text).toBe(`Put the cell in, plus pole towards the ${faces}: a dot`)
      }
    const unknown = (s: Saber) => void delete s.parts.find((p) => p.kind === 'cell')!.faces
    expect(draft(unknown, 'cellIn').steps).toEqual([])
    expect(asks(unknown, 'cellIn')).toEqual(['whichPole part:rw-p2'])
  })
  test('a hard-wired cell is neither put in nor taken out', () => {
    for (const task of ['cellIn', 'cellOut'] as const)
      expect(draft(cell({ removable: false }), task)).toMatchObject({ steps: [], asks: [{ code: 'hardWired' }] })
    expect(asks(without('cell'), 'cellOut')).toEqual(['noCell '])
    expect(draft(none, 'cellOut').steps).toMatchObject([
      { text: 'Let the cell slide out at the pommel end', direction: 'slide', place: 'part:rw-p2' },
    ])
    expect(draft((s) => void delete s.parts.find((p) => p.kind === 'cell')!.at, 'cellOut').steps).toMatchObject([
      { direction: 'lift' },
    ])
  })
  test('charging: by its port; else with the charger that is recorded, if the cell comes out; else it is asked for', () => {
    expect(asks(without('charger'), 'charge')).toEqual(['howCharged part:rw-p2'])
    expect(told(both(without('charger'), part('chargePort', 'port')), 'charge')).toEqual([
      'Cut the power, then plug the charger into the charge port | push |  | part:new',
    ])
    const charger = both(without('charger'), part('charger', 'dock'))
    expect(told(charger, 'charge')).toEqual(['Take the cell out and charge it with the charger | none |  | part:new'])
    expect(asks(both(charger, cell({ removable: false })), 'charge')).toEqual(['howCharged part:rw-p2'])
    expect(asks(without('cell', 'charger'), 'charge')).toEqual(['noCell '])
  })
  test('the card comes out with the power cut; how it is held is not made up', () => {
    expect(told(none, 'card')).toEqual([
      'With the power cut, take the card out; copy all of it before changing anything | none |  | part:rw-p3',
    ])
    expect(told(without('board'), 'card')[0]).toMatch(/\| $/)
  })
})

describe('blades', () => {
  const three = (s: Saber) => {
    for (const id of ['left', 'right'])
      s.hilt.sockets.push({
        ...structuredClone(s.hilt.sockets[0]!),
        id,
        name: id,
        retention: [],
        insertion: 'clockwise',
      })
  }
  test('one socket: screws loosened, blade in, screws tightened, pulled', () => {
    expect(told(none, 'bladeIn').map((t) => t.split(' | ').slice(0, 2).join(' | '))).toEqual([
      'Loosen the upper blade screw; do not take it out | anticlockwise',
      'Loosen the lower blade screw; do not take it out | anticlockwise',
      'Push the blade in to the stop and keep pressing | push',
      'Tighten the upper blade screw until it holds; no more | clockwise',
      'Tighten the lower blade screw until it holds; no more | clockwise',
      'Pull at the blade: it must not move | pull',
    ])
    expect(told(none, 'bladeOut').at(-1)).toContain('so that it is not lost | clockwise')
  })
  test('every socket is told, each by its name', () => {
    const way = told(three, 'bladeIn').map((t) => t.split(' | ')[0])
    for (const name of ['left', 'right'])
      expect(way).toContain(`Turn the blade of the ${name} clockwise while pushing it in to the stop`)
    expect(way.filter((t) => t!.startsWith('Pull at'))).toHaveLength(3)
    expect(told(three, 'bladeOut').filter((t) => t.includes('while pulling it out'))).toHaveLength(2)
    expect(told((s) => void (s.hilt.sockets[0]!.insertion = 'straight'), 'bladeIn').join()).toContain('never twist it')
  })
  test('a blade that nothing holds, or a screw never to be touched, is asked for', () => {
    const socket = done().hilt.sockets[0]!
    const bare = (s: Saber) => void (s.hilt.sockets[0]!.retention = [])
    for (const task of ['bladeIn', 'bladeOut'] as const) {
      expect(asks(bare, task)).toEqual([`whatHolds socket:${socket.id}`])
      expect(draft(bare, task).steps).toEqual([])
      const never = (s: Saber) => void (s.hilt.fasteners.find((f) => f.id === socket.retention[0])!.clientMay = 'never')
      expect(asks(never, task)).toEqual([`neverScrew fastener:${socket.retention[0]}`])
      expect(draft(never, task).steps).toEqual([])
    }
    // A socket that turns holds by turning.
    expect(
      asks(
        both(bare, (s) => void (s.hilt.sockets[0]!.insertion = 'clockwise')),
        'bladeIn',
      ),
    ).toEqual([])
  })
})

test('every question is worded, with the name of its thing', () => {
  const codes = [
    ...(['whichJoint', 'howJoint', 'closedForLife', 'neverScrew', 'screwPlace', 'whichPole'] as const),
    ...(['howKey', 'whichSwitch', 'whatHolds', 'hardWired', 'howCharged', 'noWayOut'] as const),
  ]
  for (const code of codes) {
    expect(askText({ code, name: 'THIS' })).toContain('THIS')
    expect(askText({ code, name: 'THIS' })).toMatch(/[.?]$/)
  }
  expect(askText({ code: 'closedForLife', name: '' })).toBe('Nothing on the drawing comes apart.')
  expect(askText({ code: 'howKey', name: '' })).toBe('Which part is the key?')
  expect(askText({ code: 'whichSwitch', name: '' })).toBe('Which part is the switch?')
  expect(askText({ code: 'noCell', name: '' })).toBe('Which cell is in it?')
})
