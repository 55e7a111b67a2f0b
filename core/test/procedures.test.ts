import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import {
  lookedAt,
  lookThrough,
  moved,
  ownAfter,
  type Possible,
  piecesOf,
  procedureIn,
  proceduresOf,
  saysNothing,
  statesOf,
  stepFor,
  type Told,
  withoutGoal,
} from '@nubrin/core/access'
import { fact, stated } from '@nubrin/core/facts'
import { frozenOf } from '@nubrin/core/handoff'
import { readDocument } from '@nubrin/core/import'
import { judgeCommission } from '@nubrin/core/judge'
import { blockedText, goalText, machineOf, powered, run } from '@nubrin/core/machine'
import { GOALS, type GoalKind, type Saber, type Step, TASKS } from '@nubrin/core/record'
import { applyOps, diffOps } from '@nubrin/core/record/ops'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { CHANGES, changed, screw } from './changed'
import { CHOICES, cleanOrder } from './clean'
import { tries } from './drawn'
import reedWarden from './fixtures/reed-warden.v10.json' with { type: 'json' }
import { ORDERS } from './orders'
import { demo, done, TODAY } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
const none = () => undefined
const bare = (change: (s: Saber) => void = none): Saber => {
  const s = done()
  s.access = []
  change(s)
  return s
}
const of = (s: Saber, kind: GoalKind, at?: string): Told | undefined =>
  proceduresOf(MAKER, s).find((p) => p.goal.kind === kind && (!at || p.goal.at === at))
const possible = (s: Saber, kind: GoalKind, at?: string): Possible => {
  const p = of(s, kind, at)
  if (!p?.ok) throw new Error(`${kind}: ${p ? p.blocked.map(blockedText).join(' ') : 'no such goal'}`)
  return p
}
const texts = (s: Saber, kind: GoalKind, at?: string) => possible(s, kind, at).acts.map((x) => x.text)
const verbs = (s: Saber, kind: GoalKind, at?: string) =>
  possible(s, kind, at).acts.flatMap((x) => x.does.map((d) => `${d.do} ${d.at}`))
const why = (s: Saber, kind: GoalKind) => {
  const p = of(s, kind)!
  return p.ok ? [] : p.blocked.map((b) => `${b.code} ${b.at}`)
}
const joint = (more: Partial<Saber['hilt']['sections'][number]['joint']>) => (s: Saber) =>
  void Object.assign(s.hilt.sections[0]!.joint, more)
const both =
  (...all: ((s: Saber) => void)[]) =>
  (s: Saber) => {
    for (const x of all) x(s)
  }
const part =
  (kind: Saber['parts'][number]['kind'], more: Partial<Saber['parts'][number]> = {}) =>
  (s: Saber) =>
    void s.parts.push({ id: 'new', kind, name: 'the thing', specs: {}, ...more })
const without =
  (...kinds: string[]) =>
  (s: Saber) =>
    void (s.parts = s.parts.filter((p) => !kinds.includes(p.kind)))
const cell = (more: Partial<Saber['parts'][number]>) => (s: Saber) =>
  void Object.assign(s.parts.find((p) => p.kind === 'cell')!, more)
const keyed =
  (out: 'open' | 'closed', into: 'open' | 'closed', turned?: 'open' | 'closed') =>
  (s: Saber): void => {
    s.cutPower = 'killKey'
    s.keyDoes = { out, in: into, ...(turned ? { turned } : {}) }
  }
/** Where the seam between pommel and grip is on the sample, mm. */
const SEAM = done().hilt.sections[0]!.length.value!

describe('every goal', () => {
  test('that a saber can have is worded, and each that it has is planned or says what is in its way', () => {
    const seen = new Set<GoalKind>()
    for (const [, make] of ORDERS)
      for (const s of make().sabers)
        for (const p of proceduresOf(MAKER, s)) {
          seen.add(p.goal.kind)
          expect(goalText(MAKER, p.goal, [])).toMatch(/^[A-Z]/)
          if (p.ok) expect(p.acts.length).toBeGreaterThan(0)
          else expect(p.blocked.map(blockedText).join('')).toMatch(/\w/)
        }
    const twins = bare((s) => void s.blades.push({ ...structuredClone(s.blades[0]!), id: 'plug', kind: 'plug' }))
    for (const p of proceduresOf(MAKER, twins)) seen.add(p.goal.kind)
    expect(GOALS.filter((g) => !seen.has(g))).toEqual([])
  })
  test('a screw that has to go for it, and may not, stands in its way by name', () => {
    expect(why(bare(screw(SEAM + 3, { clientMay: 'never' })), 'cell')[0]).toBe('never fastener:js')
    // At the other end, or glued on for show, it is in nobody's way.
    expect(why(bare(screw(SEAM + 150, { clientMay: 'never' })), 'cell')).toEqual([])
    expect(why(bare(screw(SEAM + 3, { clientMay: 'never', head: 'dummy' })), 'cell')).toEqual([])
  })
  test('a cell that is wired in is nobody’s to take out, and with nothing that cuts the card is left alone', () => {
    const s = bare(both(without('killSwitch'), cell({ removable: false }), (x) => void (x.cutPower = 'none')))
    expect(of(s, 'cell')).toBeUndefined()
    expect(why(s, 'card')).toEqual([expect.stringMatching(/^live part:rw-p12/)])
  })
  test('of what stays under power its client reads why it is the shop’s', () => {
    const s = bare(both(without('killSwitch'), cell({ removable: false })))
    expect(why(s, 'card').some((w) => w.startsWith('live'))).toBe(true)
    const reads = (x: Saber) => frozenOf(MAKER, x).find((p) => p.goal === 'card')!.cannot
    expect(reads(s)).toMatch(
      /^It stays under power, and nothing that you can reach cuts it\. Only the shop should open this/,
    )
    const shut = bare((x) => void (x.hilt.fasteners = [...x.hilt.fasteners]))
    screw(SEAM + 3, { clientMay: 'never' })(shut)
    expect(reads(shut)).toMatch(/^Only the shop should open this/)
  })
  test('power that is cut by nothing on record, or by a key of which nobody has said what it does, is asked for', () => {
    for (const change of [
      without('killSwitch'),
      both(without('killSwitch'), part('killKey'), (s) => void (s.cutPower = 'killKey')),
    ])
      for (const kind of ['powerOn', 'powerOff'] as const) expect(why(bare(change), kind)[0]).toMatch(/^cutterUnknown/)
  })
})

describe('opening', () => {
  test('begins dead where something cuts, and ends as it was', () => {
    expect(texts(bare(), 'cell')).toEqual([
      ...['Slide the kill switch off', 'Unscrew the pommel', 'Let the cell slide out at the pommel end'],
      ...['Put the cell in, plus pole towards the emitter', 'Screw on the pommel'].map((t) =>
        expect.stringContaining(t),
      ),
    ])
  })
  test('where nothing cuts, one sees that the blade is dark', () => {
    const s = bare(both(without('killSwitch'), (x) => void (x.cutPower = 'none')))
    expect(texts(s, 'cell')[0]).toBe('Make sure the blade is off')
    expect(texts(s, 'bladeOut')[0]).toBe('Make sure the blade is off')
    expect(texts(s, 'bladeIn')[0]).not.toBe('Make sure the blade is off')
  })
  test('screws of its joint go first and come back last; those of the other end are left alone', () => {
    const s = bare(both(screw(SEAM + 3), screw(SEAM + 150, { id: 'far', name: 'far screw' })))
    const acts = possible(s, 'cell').acts.filter((x) => x.does.some((d) => d.at === 'fastener:js'))
    expect(acts.map((x) => [x.text, x.direction, x.tool])).toEqual([
      ['Loosen the joint screw', 'anticlockwise', 'hex key 1.5'],
      ['Tighten the joint screw', 'clockwise', 'hex key 1.5'],
    ])
    expect(possible(s, 'cell').acts.at(-1)).toBe(acts[1])
    expect(verbs(s, 'cell').join()).not.toContain('far')
    expect(texts(bare(screw(SEAM + 3, { clientMay: 'remove', key: 'by hand' })), 'cell')[1]).toBe(
      'Take out the joint screw',
    )
  })
  test.each([
    ['magnet', 'Pull off the pommel', 'Push on the pommel'],
    ['buttonAndScrews', 'Press the button of the joint and pull off the pommel', 'Push on the pommel'],
  ] as const)('%s: %s', (kind, off, on) => {
    const s = bare((x) => void (x.hilt.sections[0]!.joint = { kind }))
    expect(texts(s, 'cell')).toEqual(expect.arrayContaining([off, on]))
  })
  test('a left-handed thread is said to be one, both ways', () => {
    const s = bare(joint({ hand: 'left' }))
    expect(texts(s, 'cell')).toEqual(
      expect.arrayContaining([
        'Unscrew the pommel, clockwise: its thread is left-handed',
        'Screw on the pommel, anticlockwise: its thread is left-handed',
      ]),
    )
  })
  test('what the maker says of a joint is told at its act; blank says nothing', () => {
    const s = bare((x) =>
      x.joints.push({
        ...{
          id: 'said',
          body: 'section:rw-pommel',
          byItself: 'wakes',
          feels: 'a soft stop',
          hurts: 'The thread is soft.',
        },
        ...{ landmark: 'the mark to the switch', angle: fact(30, 'deg', 'measured'), turns: fact(4, '×', 'measured') },
      }),
    )
    const at = (p: Possible, verb: string) => p.acts.find((x) => x.key === `${verb} section:rw-pommel`)!
    const p = possible(s, 'cell')
    expect(at(p, 'takeOff')).toMatchObject({
      ...{ text: 'Unscrew the pommel, four turns'.replace('four', '4'), caution: 'The thread is soft.' },
      cue: 'It wakes by itself when you do this.',
    })
    expect(at(p, 'putOn')).toMatchObject({
      text: 'Screw on the pommel: the mark to the switch, at 30° from the switch',
      cue: 'You feel: a soft stop.',
    })
    const plain = possible(bare(), 'cell')
    expect([at(plain, 'takeOff').cue, at(plain, 'putOn').cue]).toEqual([undefined, undefined])
  })
  test('a cell of which nobody knows the way round is never told with confidence', () => {
    const s = bare((x) => void delete x.parts.find((p) => p.kind === 'cell')!.faces)
    const back = possible(s, 'cell').acts.find((x) => x.key === 'putOn part:rw-p2')!
    expect(back).toMatchObject({ unsaid: true, text: expect.stringContaining('ask us first') })
    expect(possible(bare(), 'cell').acts.some((x) => x.unsaid)).toBe(false)
  })
  test('to the card the cell is out first where nothing cuts; never is it touched under power', () => {
    const s = bare(both(without('killSwitch'), (x) => void (x.cutPower = 'none')))
    const way = verbs(s, 'card')
    expect(way.indexOf('takeOff part:rw-p2')).toBeGreaterThan(-1)
    expect(way.indexOf('takeOff part:rw-p2')).toBeLessThan(way.indexOf('takeOff part:rw-p12'))
    expect(way.indexOf('putOn part:rw-p12')).toBeLessThan(way.indexOf('putOn part:rw-p2'))
  })
})

describe('power', () => {
  const key = both(without('killSwitch'), part('killKey'))
  test.each<[string, (s: Saber) => void, string, string]>([
    ['a slide', none, 'Slide the kill switch on', 'Slide the kill switch off'],
    [
      'a key to pull',
      both(key, keyed('closed', 'open')),
      ...(['Pull the kill key out', 'Push the kill key in until everything is dark'] as const),
    ],
    [
      'a key to turn',
      both(key, keyed('open', 'open', 'closed')),
      ...(['Put the kill key in and turn it', 'Turn the kill key back until everything is dark'] as const),
    ],
  ])('%s', (_what, change, on, off) => {
    expect(texts(bare(change), 'powerOn')).toEqual([on])
    expect(texts(bare(change), 'powerOff')).toEqual([off])
  })
  test('by a port in the wall: dead, plugged in, and out again', () => {
    const s = bare(both(without('charger'), part('chargePort', { at: mm(60), clock: fact(90, 'deg', 'measured') })))
    const way = verbs(s, 'charge')
    expect(way.slice(-3)).toEqual(['cut part:rw-p7', 'plugIn part:new', 'unplug part:new'])
  })
  test('where the key sits in the port it comes out first, the charger goes in, and the key back at the end', () => {
    const s = bare(
      both(
        without('killSwitch', 'charger'),
        part('killKey', { sits: 'port' }),
        (x) => void x.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: {}, at: mm(60) }),
        keyed('closed', 'open'),
      ),
    )
    s.parts.find((p) => p.id === 'port')!.clock = fact(90, 'deg', 'measured')
    expect(verbs(s, 'charge')).toEqual(['restore part:new', 'plugIn part:port', 'unplug part:port', 'cut part:new'])
  })
  test('at a port that wants current it is on before the charger goes in; at any other dead', () => {
    const port = (wantsCurrent: boolean) =>
      bare(
        both(
          without('charger'),
          part('chargePort', {
            at: mm(60),
            clock: fact(90, 'deg', 'measured'),
            ...(wantsCurrent ? { wantsCurrent } : {}),
          }),
        ),
      )
    expect(verbs(port(true), 'charge')).toEqual([
      'restore part:rw-p7',
      'plugIn part:new',
      'unplug part:new',
      'cut part:rw-p7',
    ])
    expect(verbs(port(false), 'charge')).toEqual(['cut part:rw-p7', 'plugIn part:new', 'unplug part:new'])
  })
  test('a cell that comes out is charged beside, with what is recorded for it', () => {
    expect(verbs(bare(), 'charge')).toContain('plugIn part:rw-p13')
    expect(texts(bare(without('charger')), 'charge')).toContain('Charge the cell in a charger made for it')
  })
})

describe('blades', () => {
  const plug = (s: Saber) =>
    void s.blades.push({ ...structuredClone(s.blades[0]!), id: 'plug', name: 'plug', kind: 'plug' })
  test('dead, loosened, in, tight and pulled; out, and the screws back so that they are not lost', () => {
    expect(texts(bare(), 'bladeIn')).toEqual([
      'Slide the kill switch off',
      'Loosen the upper blade screw; do not take it out',
      'Loosen the lower blade screw; do not take it out',
      'Push the blade in until it stops, and hold it there',
      'Tighten the upper blade screw until snug; do not overtighten',
      'Tighten the lower blade screw until snug; do not overtighten',
      'Give the blade a firm tug: it must not move',
    ])
    const out = possible(bare(), 'bladeOut').acts
    expect(out.filter((x) => x.kept).map((x) => x.text)).toEqual([
      'Screw the upper blade screw back in so that it does not get lost',
      'Screw the lower blade screw back in so that it does not get lost',
    ])
    expect(out.map((x) => x.text).join()).not.toContain('until it holds')
  })
  test('with a plug: out before the blade, in after it, and never called a blade', () => {
    const s = bare(plug)
    expect(verbs(s, 'bladeIn').filter((x) => /takeOff|putOn/.test(x))).toEqual([
      'takeOff blade:plug',
      'putOn blade:rw-b1',
    ])
    expect(verbs(s, 'bladeOut').filter((x) => /takeOff|putOn/.test(x))).toEqual([
      'takeOff blade:rw-b1',
      'putOn blade:plug',
    ])
    const about = possible(s, 'plugIn').acts.filter((x) => x.does.some((d) => d.at === 'blade:plug'))
    expect(about.length).toBeGreaterThan(0)
    for (const x of about) expect(x.text).toMatch(/plug/)
    for (const x of about) expect(x.text).not.toMatch(/blade/)
  })
  test('every socket has its own, also the one of which no blade is recorded', () => {
    const s = bare((x) => {
      for (const id of ['left', 'right'])
        x.hilt.sockets.push({
          ...structuredClone(x.hilt.sockets[0]!),
          id,
          name: id,
          retention: [],
          insertion: 'clockwise',
        })
    })
    const all = proceduresOf(MAKER, s).filter((p) => p.goal.kind === 'bladeIn')
    expect(all.map((p) => p.goal.at)).toEqual(['blade:rw-b1', 'socket:left', 'socket:right'])
    expect(texts(s, 'bladeIn', 'socket:left')).toContain(
      'Turn the blade of the left clockwise while pushing it in to the stop',
    )
  })
  test('one that nothing holds, or that a screw holds which may not be turned, says so and is not told', () => {
    const socket = done().hilt.sockets[0]!
    for (const kind of ['bladeIn', 'bladeOut'] as const) {
      expect(
        why(
          bare((s) => void (s.hilt.sockets[0]!.retention = [])),
          kind,
        ),
      ).toEqual([`unheld socket:${socket.id}`])
      const never = (s: Saber) => void (s.hilt.fasteners.find((f) => f.id === socket.retention[0])!.clientMay = 'never')
      expect(why(bare(never), kind)).toEqual([`never fastener:${socket.retention[0]}`])
    }
  })
})

describe('what the maker says', () => {
  const said = (steps: Partial<Step>[], goal: GoalKind = 'cell', at = 'part:rw-p2') =>
    bare((s) => {
      s.access = [
        { id: 'proc', goal, at: at as 'part:rw-p2', steps: steps.map((x, i) => ({ id: `s${i}x`, ...x }) as Step) },
      ]
    })
  const act = (verb: string, at: string, more: Partial<Step> = {}): Partial<Step> => ({
    act: { do: verb as 'takeOff', at: at as 'part:rw-p2' },
    ...more,
  })
  test('hangs on its act: words, tool, caution, sign, landmark, turns; nothing of the plan is lost for it', () => {
    const s = said([
      act('takeOff', 'section:rw-pommel', {
        text: 'Twist the cap off',
        turns: 3,
        tool: 'a cloth',
        caution: 'Warm it first.',
      }),
      act('putOn', 'part:rw-p2', { landmark: 'the ribbon under it', cue: 'A click.' }),
    ])
    const p = possible(s, 'cell')
    expect(p.acts.map((x) => x.key)).toEqual(possible(bare(), 'cell').acts.map((x) => x.key))
    expect(p.acts.find((x) => x.key === 'takeOff section:rw-pommel')).toMatchObject({
      ...{ text: 'Twist the cap off, three turns', tool: 'a cloth', caution: 'Warm it first.', ownWords: true },
    })
    expect(p.acts.find((x) => x.key === 'putOn part:rw-p2')).toMatchObject({
      text: expect.stringContaining('the ribbon under it'),
      cue: 'A click.',
    })
    expect(p.unused).toEqual([])
  })
  test('is told of the same act at every other goal, and of none that is only alike', () => {
    const s = said([act('takeOff', 'section:rw-pommel', { text: 'Twist the cap off' })])
    for (const kind of ['card', 'charge', 'open', 'strip'] as const)
      expect(texts(s, kind)).toContain('Twist the cap off')
    const tight = said([act('tighten', 'fastener:rw-f1', { text: 'Nip it up' })], 'bladeIn', 'blade:rw-b1')
    expect(texts(tight, 'bladeIn')).toContain('Nip it up')
    expect(texts(tight, 'bladeOut')).not.toContain('Nip it up')
  })
  test('another way to the same is taken where it leads there, and the whole of it', () => {
    const s = said([
      act('takeOff', 'section:rw-pommel'),
      act('takeOff', 'part:rw-p10', { text: 'Draw the chassis out by its ring' }),
      act('takeOff', 'part:rw-p2', { text: 'Lift it with the ribbon' }),
      act('putOn', 'part:rw-p2'),
      act('putOn', 'part:rw-p10'),
    ])
    const p = possible(s, 'cell')
    expect(p.unused).toEqual([])
    expect(verbs(s, 'cell')).toEqual([
      ...['cut part:rw-p7', 'takeOff section:rw-pommel', 'takeOff part:rw-p10', 'takeOff part:rw-p2'],
      ...['putOn part:rw-p2', 'putOn part:rw-p10', 'putOn section:rw-pommel'],
    ])
    // Half of it is no way: nothing of it is used, all of it is kept.
    const half = said([act('takeOff', 'section:rw-pommel'), act('takeOff', 'part:rw-p10', { text: 'Draw it out' })])
    expect(possible(half, 'cell').unused.map((u) => [u.step.text, u.why])).toEqual([['Draw it out', 'gone']])
    expect(verbs(half, 'cell')).toEqual(verbs(bare(), 'cell'))
  })
  test('his order is used where it can be carried out, and named where it cannot', () => {
    const can = said([act('loosen', 'fastener:rw-f2'), act('loosen', 'fastener:rw-f1')], 'bladeIn', 'blade:rw-b1')
    expect(verbs(can, 'bladeIn').slice(1, 3)).toEqual(['loosen fastener:rw-f2', 'loosen fastener:rw-f1'])
    const cannot = said([act('putOn', 'blade:rw-b1'), act('loosen', 'fastener:rw-f1')], 'bladeIn', 'blade:rw-b1')
    expect(verbs(cannot, 'bladeIn')).toEqual(verbs(bare(), 'bladeIn'))
    expect(possible(cannot, 'bladeIn').unused.map((u) => u.why)).toContain('order')
  })
  test('an act of his own stands where he put it, out or back, and is carried out where it changes something', () => {
    const s = said([
      act('takeOff', 'section:rw-pommel'),
      { text: 'Lay the ring aside' },
      { text: 'Wipe the thread', back: true },
      act('putOn', 'section:rw-pommel'),
    ])
    const told = possible(s, 'cell').acts.map((x) => x.text)
    expect(told.indexOf('Lay the ring aside')).toBe(told.indexOf('Unscrew the pommel') + 1)
    expect(possible(s, 'cell').acts.find((x) => x.text === 'Wipe the thread')!.back).toBe(true)
    const wrong = said([{ text: 'Take the grip off too', does: [{ do: 'takeOff', at: 'section:rw-grip' }] }])
    expect(possible(wrong, 'cell').unused.map((u) => u.why)).toEqual(['refused'])
  })
  test('a pole that is not the one which must go first is named, and the right one told', () => {
    const s = said([act('putOn', 'part:rw-p2')])
    s.access[0]!.steps[0]!.act!.leads = 'minus'
    s.parts.find((p) => p.kind === 'cell')!.leads = stated('plus', 'measured')
    const p = possible(s, 'cell')
    const must = p.acts.find((x) => x.key === 'putOn part:rw-p2')!.does[0]!.leads
    expect([undefined, 'plus']).toContain(must)
    expect(p.unused.map((u) => u.why)).toEqual(['refused'])
  })
  test('what hangs on nothing any more stays, by name: its act gone, its goal gone', () => {
    const s = said([act('takeOff', 'section:rw-neck', { text: 'Turn the neck' })])
    expect(possible(s, 'cell').unused.map((u) => [u.step.text, u.why])).toEqual([['Turn the neck', 'gone']])
    s.parts = s.parts.filter((p) => p.kind !== 'cell')
    expect(withoutGoal(s).map((p) => p.id)).toEqual(['proc'])
  })
  test('own words on a cell have beside them what is recorded of its poles', () => {
    const s = said([act('putOn', 'part:rw-p2', { text: 'Press it in' })])
    expect(possible(s, 'cell').acts.find((x) => x.text === 'Press it in')!.recorded).toBe(
      'As recorded: plus pole towards the emitter.',
    )
    expect(possible(bare(), 'cell').acts.some((x) => x.recorded)).toBe(false)
  })
  test('words that are the very ones which are made are made anew for another reader', () => {
    const s = said([
      act('takeOff', 'section:rw-pommel', { text: 'Unscrew the pommel', caution: 'Work over a soft surface.' }),
    ])
    expect(possible(s, 'cell').acts.find((x) => x.key === 'takeOff section:rw-pommel')!.ownWords).toBeUndefined()
  })
})

describe('said on the bench', () => {
  let n = 0
  const id = () => `new-${n++}`
  test('of an act, an act of one’s own, and another order; what says nothing is nothing', () => {
    const s = bare()
    const t = () => possible(s, 'bladeIn')
    const p = procedureIn(s, t(), id)
    expect(s.access).toEqual([p])
    stepFor(p, t(), 'tighten fastener:rw-f1', id).text = 'Nip it up'
    stepFor(p, t(), 'loosen fastener:rw-f1', id).tool = 'my key'
    // It stands as the acts do, whenever it was said, and is begun once.
    expect(p.steps.map((x) => x.act!.do)).toEqual(['loosen', 'tighten'])
    expect(stepFor(p, t(), 'loosen fastener:rw-f1', id)).toBe(p.steps[0])
    s.access = [...s.access]
    expect(texts(s, 'bladeIn')).toContain('Nip it up')
    ownAfter(p, t(), 'loosen fastener:rw-f1', 'Mind the spring', id)
    s.access = [...s.access]
    const told = texts(s, 'bladeIn')
    expect(told[told.findIndex((x) => x.startsWith('Loosen the upper')) + 1]).toBe('Mind the spring')
    moved(p, t(), 'loosen fastener:rw-f2', -1, id)
    s.access = [...s.access]
    moved(p, t(), 'loosen fastener:rw-f2', -1, id)
    s.access = [...s.access]
    expect(possible(s, 'bladeIn').unused).toEqual([])
    expect(verbs(s, 'bladeIn').slice(1, 3)).toEqual(['loosen fastener:rw-f2', 'loosen fastener:rw-f1'])
    expect([saysNothing({ id: 'x' }), saysNothing({ id: 'x', tool: 'y' })]).toEqual([true, false])
  })
  test('by two people at one procedure is told together, and is one again with the next that is said', () => {
    const before = bare()
    const says = (who: string, key: string, text: string): Saber => {
      const s = structuredClone(before)
      const p = procedureIn(s, possible(s, 'cell'), () => `${who}-p`)
      stepFor(p, possible(before, 'cell'), key, () => `${who}-1`).text = text
      return s
    }
    const mine = says('me', 'takeOff section:rw-pommel', 'Spin it off')
    const yours = says('you', 'putOn part:rw-p2', 'Drop it in')
    const sent = (to: Saber) => diffOps(before, to)
    const r = applyOps(before, [...sent(mine), ...sent(yours)])
    if (!r.ok) throw new Error(r.why)
    const joined = structuredClone(r.value)
    expect(joined.access.map((p) => p.id).toSorted()).toEqual(['me-p', 'you-p'])
    expect(texts(joined, 'cell')).toEqual(expect.arrayContaining(['Spin it off', 'Drop it in']))
    expect(withoutGoal(joined)).toEqual([])
    const looked = structuredClone(joined)
    looked.access = lookThrough(looked, { who: 'Maren', on: '2026-11-24' }, id)
    expect(lookedAt(of(looked, 'cell')!).is).toBe('looked')
    const told = possible(joined, 'cell')
    const p = procedureIn(joined, told, id)
    stepFor(p, told, 'putOn part:rw-p2', id).tool = 'a thumb'
    expect(joined.access.map((x) => x.steps.length)).toEqual([2])
    joined.access = [...joined.access]
    expect(possible(joined, 'cell').acts.find((x) => x.text === 'Drop it in')!.tool).toBe('a thumb')
  })
  test('an act of one’s own on the way back stays there; none leaves its half', () => {
    const s = bare()
    const p = procedureIn(s, possible(s, 'cell'), id)
    ownAfter(p, possible(s, 'cell'), 'putOn part:rw-p2', 'Count to ten', id)
    s.access = [...s.access]
    expect(possible(s, 'cell').acts.find((x) => x.text === 'Count to ten')!.back).toBe(true)
    const before = structuredClone(p.steps)
    moved(p, possible(s, 'cell'), 'putOn part:rw-p2', -1, id)
    expect(p.steps).toEqual(before)
  })
})

describe('looked through', () => {
  const by = { who: 'Maren', on: '2026-11-24' }
  let n = 0
  const looked = () => {
    const s = bare()
    s.access = lookThrough(s, by, () => `l${n++}x`)
    return s
  }
  const states = (s: Saber) =>
    new Set(proceduresOf(MAKER, s).flatMap((p) => (p.goal.hands === 'client' ? [lookedAt(p).is] : [])))
  test('all of a client’s in one deed, what was said of them kept; drafted before, and changed with the saber', () => {
    expect(states(bare())).toEqual(new Set(['drafted']))
    const s = looked()
    expect(states(s)).toEqual(new Set(['looked']))
    s.hilt = structuredClone(s.hilt)
    screw(SEAM + 3)(s)
    const p = of(s, 'cell')!
    expect(lookedAt(p)).toEqual({
      ...{ is: 'changed', gone: [] },
      came: ['loosen fastener:js', 'tighten fastener:js'],
    })
    expect(lookedAt(of(s, 'bladeIn')!).is).toBe('looked')
  })
  test('one alone leaves the others as they are; his words count among its acts', () => {
    const s = bare()
    s.access = lookThrough(
      s,
      by,
      () => `o${n++}x`,
      (g) => g.kind === 'cell',
    )
    expect([lookedAt(of(s, 'cell')!).is, lookedAt(of(s, 'card')!).is]).toEqual(['looked', 'drafted'])
    ownAfter(s.access[0]!, possible(s, 'cell'), 'takeOff section:rw-pommel', 'Wipe it', () => 'wipe')
    s.access = [...s.access]
    expect(lookedAt(of(s, 'cell')!)).toMatchObject({ is: 'changed', came: ['step:wipe'] })
  })
})

describe('pieces', () => {
  test('tell of each act of the main procedures once, in the order of hands, and of nothing twice', () => {
    for (const [, make] of ORDERS)
      for (const s of make().sabers) {
        const all = proceduresOf(MAKER, s)
        const pieces = piecesOf(s, all)
        expect(pieces.map((p) => p.task)).toEqual(TASKS.filter((t) => pieces.some((p) => p.task === t)))
        const swap = all.find((p) => p.goal.kind === 'cell')
        const inside = ['open', 'cellOut', 'cellIn', 'close'].flatMap(
          (t) => pieces.find((p) => p.task === t)?.acts ?? [],
        )
        if (swap?.ok)
          expect(inside.map((x) => x.key)).toEqual(
            swap.acts.map((x) => x.key).filter((k, i) => k !== 'dark' && !(i === 0 && k.startsWith('cut '))),
          )
      }
  })
})

/** Which acts a hand may not do as a saber lies: what is touched only dead, under power; anything that comes off, alight. */
function forbidden(s: Saber, p: Possible): string[] {
  const { assembly } = machineOf(s)
  let state = p.from
  return p.acts.flatMap((x) =>
    x.does.flatMap((d) => {
      const j = assembly.joints[d.at as 'part:x']
      const live = powered(assembly, state) && j?.dark && (assembly.cutter || !j.cell)
      const o = run(assembly, state, d)
      if (o.ok) state = o.state
      return [
        ...(live && (d.do === 'takeOff' || d.do === 'putOn') ? [`${d.do} ${d.at} under power`] : []),
        ...(o.ok ? [] : [`${d.do} ${d.at} ${o.why.code}`]),
      ]
    }),
  )
}
/** What is wrong with how a saber lies at the end of a procedure. */
function endsWrong(s: Saber, p: Possible): string[] {
  const { assembly, rest } = machineOf(s)
  const end = statesOf(s, p).at(-1)!
  const out: string[] = []
  const { kind, at } = p.goal
  const inside = (st: typeof end) => st.off.filter((b) => !assembly.joints[b]?.place).toSorted()
  if (String(inside(end)) !== String(inside({ ...rest, screws: {} }))) out.push('not closed')
  if (Object.keys(end.screws).length) out.push('not tight')
  if (kind === 'bladeIn' || kind === 'plugIn') out.push(...(end.off.includes(at!) ? ['not in'] : []))
  if (kind === 'bladeOut' || kind === 'plugOut') out.push(...(end.off.includes(at!) ? [] : ['not out']))
  const runs = kind === 'powerOn' || (kind === 'reset' && assembly.cutter)
  if (assembly.cutter && !runs && !end.cut) out.push('not dead')
  if (runs && end.cut) out.push('dead')
  return out
}

describe('on every saber', () => {
  const check = (s: Saber) => {
    for (const p of proceduresOf(MAKER, s)) {
      if (!p.ok || (p.goal.kind === 'open' && p.turn === p.acts.length)) continue
      const name = `${s.name}: ${p.goal.kind} ${p.goal.at ?? ''}`
      expect([name, forbidden(s, p)]).toEqual([name, []])
      expect([name, endsWrong(s, p)]).toEqual([name, []])
    }
  }
  test('of the demo shop and of every kind of job each goal is carried out as told, and ends dead or closed as wanted', () => {
    for (const [, make] of ORDERS) for (const s of make().sabers) check(s)
  })
  test('made by chance: what is planned and said can be done, and nothing that is said is lost', () => {
    fc.assert(
      fc.property(CHOICES, CHANGES, (x, list) => {
        const s = changed(cleanOrder(1, x).sabers[0]!, list)
        check(s)
        const all = proceduresOf(MAKER, s)
        for (const said of s.access)
          for (const step of said.steps) {
            const own = all.find((p) => p.said === said)
            const used = own?.ok && own.acts.some((a) => a.step === step.id)
            const kept = own?.unused.some((u) => u.step.id === step.id) || withoutGoal(s).includes(said)
            // What another procedure says of its way to the cell is told there.
            expect([step.text, Boolean(used || kept)]).toEqual([step.text, true])
          }
      }),
      { numRuns: tries(500, 60) },
    )
  })
})

describe('files from before there were procedures', () => {
  // One of every published version that had words of steps.
  const files = new URL('./fixtures/', import.meta.url)
  const before = readdirSync(files).flatMap((name): [string, object][] => {
    const file = JSON.parse(readFileSync(new URL(name, files), 'utf8')) as {
      version?: number
      sabers?: { access?: { steps: unknown[] }[] }[]
    }
    return (file.version ?? 0) < 11 && file.sabers?.some((s) => s.access?.some((p) => p.steps.length))
      ? [[name, file]]
      : []
  })
  test('are there of each such version', () => {
    expect(new Set(before.map(([name]) => /\.v(\d+)\./.exec(name)![1])).size).toBeGreaterThan(7)
  })
  test.each(before)('%s: each own word, turn, tool and caution is told at an act, or kept by name', (_name, file) => {
    const before = file as unknown as {
      sabers: { access: { task: string; steps: (Step & { ownWords?: boolean })[] }[] }[]
    }
    const r = readDocument(file)
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    r.record.sabers.forEach((s, i) => {
      const all = proceduresOf(MAKER, s)
      const acts = all.flatMap((p) => (p.ok ? p.acts : []))
      const kept = all.flatMap((p) => p.unused.map((u) => u.step.text))
      let [hung, own] = [0, 0]
      for (const p of before.sabers[i]!.access)
        for (const x of p.steps) {
          const told = acts.find((a) => a.text.startsWith(x.text!))
          expect([x.text, Boolean(told) || kept.includes(x.text)]).toEqual([x.text, true])
          const now = r.record.sabers[i]!.access.flatMap((q) => q.steps).find((q) => q.id === x.id)
          expect([now?.turns, now?.tool, now?.caution]).toEqual([x.turns, x.tool, x.caution])
          if (!told) continue
          if (told.key.startsWith('step:')) own++
          else hung++
          if (x.tool) expect(told.tool).toBe(x.tool)
          if (x.caution) expect(told.caution).toContain(x.caution)
        }
      // Nearly all are read as the acts that they are.
      expect(hung).toBeGreaterThan(3 * own)
      expect(all.filter((p) => p.goal.hands === 'client' && !p.ok)).toEqual([])
    })
  })
  test('who agreed to what cannot be undone goes along, and is read at the act', () => {
    const file = structuredClone(reedWarden) as unknown as { sabers: { access: { task: string; steps: object[] }[] }[] }
    const open = file.sabers[0]!.access.find((p) => p.task === 'open')!
    Object.assign(open.steps[0]!, { irreversible: true, consent: { who: 'Ilsabet', on: '2026-11-20' } })
    const r = readDocument(file)
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    const act = possible(r.record.sabers[0]!, 'cell').acts.find((x) => x.key === 'takeOff section:rw-pommel')!
    expect(act.caution).toMatch(/soft surface\. This cannot be undone\. Agreed by Ilsabet, 20 November 2026\.$/)
  })
  test('with any of its steps and pieces gone, the others drafted beside them, nothing is stopped for it', () => {
    const r = readDocument(reedWarden)
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    const [whole] = r.record.sabers
    const size = whole!.access.reduce((n, p) => n + p.steps.length, 0)
    const stops = (s: Saber) =>
      judgeCommission({ ...r.record, sabers: [s] }, TODAY).flatMap((f) =>
        f.station === 'access' && f.level === 'stop' ? [f.title] : [],
      )
    expect(stops(whole!)).toEqual([])
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: size, maxLength: size }), (keep) => {
        const s = structuredClone(whole!)
        let n = 0
        for (const p of s.access) p.steps = p.steps.filter(() => keep[n++])
        s.access = s.access.filter((p) => p.steps.length)
        expect(stops(s)).toEqual([])
      }),
      { numRuns: tries(100, 10) },
    )
  })
  test('what a beat showed by its id it shows by its name', () => {
    const r = readDocument(reedWarden)
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    const was = (reedWarden as unknown as { sabers: { beats: { perform?: string }[] }[] }).sabers[0]!.beats
    const now = r.record.sabers[0]!.beats
    expect(now.map((b) => Boolean(b.perform ?? b.task))).toEqual(was.map((b) => Boolean(b.perform)))
    expect(now.filter((b) => b.task).length).toBeGreaterThan(5)
  })
})

test('the demo shop’s finished saber is looked through as it is', () => {
  const [s] = demo('reed-warden').sabers
  for (const p of proceduresOf(MAKER, s!))
    if (p.goal.hands === 'client') expect([p.goal.kind, lookedAt(p).is]).toEqual([p.goal.kind, 'looked'])
})
