import { describe, expect, test } from '@jest/globals'
import { fact, stated } from '@nubrin/core/facts'
import { layoutFacts } from '@nubrin/core/fit'
import { CHECKS, gateOf, judgeCommission, progress, STATIONS, stationStates } from '@nubrin/core/judge'
import type { Commission, Saber } from '@nubrin/core/record'
import { demo, TODAY } from './samples'

type Mutation = (s: Saber, c: Commission) => void
const part = (s: Saber, kind: string) => s.parts.find((p) => p.kind === kind)!

/** For every check, a change to the finished commission that makes it speak; without the change it is silent. */
const FIRES: Record<string, Mutation> = {
  contradiction: (s) => void (s.hilt.sections[1]!.length.rivals = [{ value: 99, source: 'client' }]),
  impossible: (s) => void (part(s, 'cell').specs.capacity!.value = -3000),
  recalled: (s) => void (s.hilt.sections[1]!.length.source = 'recalled'),
  openQuestion: (_s, c) => void c.questions.push({ id: 'q9', text: 'Which screw?', blocks: true }),
  openRequest: (_s, c) => void c.requests.push({ id: 'r9', text: 'Louder', status: 'open' }),
  arrivals: (_s, c) => void (c.arrivals[0]!.shares[0]!.fate = 'undecided'),
  deadline: (_s, c) => {
    delete c.shipped
    c.deadline = '2026-11-26'
  },
  unmeasured: (s) => void (s.hilt.sections[2]!.bore = fact(null, 'mm')),
  boreWall: (s) => void (s.hilt.sections[1]!.bore = fact(40, 'mm')),
  oddSize: (s) => void (s.blades[0]!.outside = fact(6.75 * 25.4, 'mm')),
  sameKey: (s) => {
    s.hilt.fasteners[2]!.key = '2 mm'
    s.beats = []
  },
  bladeSteps: (s) => {
    const p = s.access.find((x) => x.task === 'bladeIn')!
    p.steps = p.steps.filter((x) => !x.direction.endsWith('clockwise'))
  },
  stale: (s) => void (s.beats[0]!.say = 'This is another saber.'),
  jointDepth: (s) => void (s.hilt.sections[0]!.joint.engagement = fact(60, 'mm')),
  consent: (s) => void (s.access[0]!.steps[0]!.irreversible = true),
  inputKind: (s) => void (s.inputs.find((i) => i.kind === 'button')!.kind = 'slide'),
  bladeSeat: (s) => void s.parts.push({ id: 'plug', kind: 'plug', name: 'plug', specs: { diameter: fact(60, 'mm') } }),
  fittedResistor: (s) =>
    void s.parts.push(
      {
        id: 'led',
        kind: 'accentLed',
        name: 'led',
        specs: { forwardVolts: fact(2, 'V'), channelCurrent: fact(20, 'mA') },
      },
      { id: 'res', kind: 'resistor', name: 'res', specs: { ohms: fact(10, 'Ω') } },
    ),
  zones: (s) => void (s.zones[0]!.follows = s.zones[0]!.id as never),
  unsurePreset: (s) => void (s.presets[0]!.status = 'unsure'),
  wayIn: (s) => {
    for (const x of s.hilt.sections) x.joint = { kind: 'glue' }
    s.hilt.sections.at(-1)!.bore = fact(10, 'mm')
  },
  wrongKey: (s) => void (s.hilt.fasteners[0]!.key = '3 mm'),
  bladeHeld: (s) => void (s.hilt.sockets[0]!.retention = []),
  loose: (s) => void (s.hilt.fasteners[0]!.looseNow = true),
  tooWide: (s) => void (part(s, 'speaker').specs.diameter = fact(36, 'mm')),
  overlap: (s) => void (part(s, 'chamber').at = fact(60, 'mm')),
  slack: (s) => void (part(s, 'chamber').specs.length = fact(240, 'mm')),
  socketFit: (s) => void (s.hilt.sockets[0]!.bore = fact(25.2, 'mm')),
  vents: (s) => void (s.hilt.openings[0]!.width = s.hilt.openings[1]!.width = fact(3, 'mm')),
  specs: (s) => void delete part(s, 'board').at,
  frontHeavy: (s) => void (part(s, 'connector').specs.mass = fact(2000, 'g')),
  powerNeeds: (s) => void (s.blades[0]!.density = fact(null, '1/m')),
  overRating: (s) => {
    s.presets[0]!.effects = { lock: stated('#ffffff', 'configured') }
    s.use.brightness = fact(100, '%', 'configured')
  },
  wireDrop: (s) => void (part(s, 'wire').specs.gauge = fact(28, '×')),
  farLed: (s) => void (s.blades[0]!.stripResistance = fact(900, 'mΩ')),
  packVolts: (s) => void (part(s, 'cell').specs.nominalVolts = fact(7.2, 'V')),
  standby: (s) => void (part(s, 'board').specs.sleepCurrent = fact(40, 'mA')),
  cutOff: (s) => void (s.cutPower = 'cellOut'),
  protectedCell: (s) => void (part(s, 'cell').protected = false),
  landmark: (s) => void delete part(s, 'cell').landmark,
  missingSound: (s) => void (s.presets[0]!.sounds = [{ id: 'w1', event: 'hum', name: 'hum.wav' }]),
  clipped: (s) =>
    void (s.presets[1]!.sounds = ['hum', 'ignite', 'retract', 'swing', 'clash', 'lock', 'deflect'].map((event, i) => ({
      id: `w${i}x`,
      event: event as 'hum',
      name: `${event}.wav`,
      peakDb: i ? -3 : 0,
    }))),
  ignitionTime: (s) =>
    void (s.presets[0]!.sounds = ['hum', 'ignite', 'retract', 'swing', 'clash', 'lock', 'deflect'].map((event, i) => ({
      id: `w${i}x`,
      event: event as 'hum',
      name: `${event}.wav`,
      seconds: 2,
    }))),
  alikeColours: (s) => void (s.presets[1]!.colour = stated('#12d8b0', 'configured')),
  lostEffect: (s) => void (s.presets[0]!.effects = { deflect: stated('#ffd040', 'configured') }),
  loudVolume: (s) => void (part(s, 'speaker').specs.ratedWatts = fact(0.1, 'W')),
  displayWindow: (s) => void (part(s, 'display').at = fact(100, 'mm')),
  collision: (s) => void s.controls.push({ ...s.controls[0]!, id: 'dup', does: 'mute' }),
  noOff: (s) => void (s.controls = s.controls.filter((r) => r.does !== 'retract')),
  noIgnite: (s) => void (s.controls = s.controls.filter((r) => r.does !== 'ignite')),
  holdUnknown: (s) => void (s.controls.find((r) => r.gesture === 'hold')!.hold = fact(null, 's')),
  manyHolds: (s) => {
    for (const [i, does] of (['sleep', 'mute', 'menuOpen', 'colour'] as const).entries())
      s.controls.push({
        id: `h${i}x`,
        state: 'menu',
        pose: 'any',
        input: 'rw-i1',
        gesture: 'hold',
        hold: fact(i + 1, 's', 'configured'),
        does,
        status: 'configured',
      })
  },
  unsureControl: (s) => void (s.controls[0]!.status = 'unsure'),
  noSteps: (s) => void (s.access = s.access.filter((p) => p.task !== 'cellIn')),
  stepGone: (s) => void (s.access[2]!.steps[0]!.place = 'fastener:gone'),
  retightened: (s) => void s.access.find((p) => p.task === 'bladeIn')!.steps.splice(2, 1),
  untested: (s) => void (s.tests[0]!.readings = []),
  neverTold: (s) => void (s.beats = s.beats.filter((b) => !b.covers.includes('control:rw-c8'))),
  rehearsal: (s) =>
    void (s.beats.find((b) => b.covers.includes('control:rw-c8'))!.say = 'Hold the front button for one second.'),
  unpacked: (_s, c) => void (c.packing[0]!.packed = false),
  bladesToBuy: (s) => void (s.blades[0]!.use = 'demo'),
  noSize: (s) => void (s.hilt.sections[1]!.length = fact(0, 'mm')),
  profile: (s) => void (s.hilt.sections[0]!.outerProfile![2]!.x = 3),
  openingPlace: (s) => void (s.hilt.openings[2]!.at = fact(250, 'mm')),
  modelFacts: (s) => void (s.hilt.sections[1]!.bore = fact(31, 'mm', 'assumed', { with: 'model sheet' })),
  overClosing: (s) =>
    void (s.hilt.sections[0]!.joint = { kind: 'thread', stop: false, overTravel: fact(180, 'mm', 'measured') }),
  layoutBroke: (s) => {
    s.decisions.push({ id: 'dx', on: TODAY, by: 'Maren', chose: 'as drawn', why: 'chamber', layout: layoutFacts(s) })
    part(s, 'cell').specs.diameter = fact(30, 'mm')
  },
  clamp: (s) => {
    part(s, 'chassis').heldBy = 'length'
    part(s, 'chassis').specs.length = fact(150, 'mm')
  },
  grilleAir: (s) => {
    s.hilt.openings.push({
      ...{ id: 'gx', name: 'end grille', kind: 'grille', clock: fact(0, 'deg') },
      ...{ at: fact(12, 'mm'), length: fact(5, 'mm'), width: fact(5, 'mm') },
    })
  },
  wires: (s) => void (part(s, 'wire').specs.diameter = fact(7, 'mm')),
  atItsHole: (s) =>
    void s.hilt.openings.push({
      ...{ id: 'hx', name: 'front hole', kind: 'switch', clock: fact(0, 'deg') },
      ...{ at: fact(118, 'mm'), length: fact(7, 'mm'), width: fact(7, 'mm') },
    }),
  duel: (s, c) => {
    c.purpose = 'duelling'
    s.hilt.sockets[0]!.depth = fact(20, 'mm')
  },
  stringSums: (s) =>
    addBlade(s, { kind: 'string', groups: fact(6, '×'), ledsPerGroup: fact(21, '×'), ledsTotal: fact(128, '×') }),
  toDos: (s, c) =>
    void c.toDos.push({
      ...{ id: 'tip', text: 'drill the tip', about: `blade:${s.blades[0]!.id}`, who: 'shop' },
      ...{ blocks: 'shipping', done: false },
    }),
  portEnd: (s) =>
    void s.parts.push({
      ...{ id: 'cp', kind: 'chargePort', name: 'side port', specs: {}, otherEnd: { lead: 'USB-C lead' } },
    }),
  noFirmware: (s) => void delete s.firmware,
  configuredPixels: (s) => void (s.blades[0]!.configured = fact(5, '×', 'configured')),
  sensitivity: (s) =>
    void (s.settings.sensitivities = [
      { id: 'sw', sense: 'swing', value: stated('6', 'configured'), triedWith: [] },
      { id: 'cl', sense: 'clash', value: { value: null, source: 'unknown' }, triedWith: ['blade'] },
      { id: 'tw', sense: 'twist', value: stated('4', 'configured'), triedWith: ['blade', 'plug'] },
    ]),
  noFont: (s) => void (s.presets[1]!.font = ' '),
  screwPlace: (s) => void (s.hilt.fasteners[0]!.clock = fact(null, 'deg')),
  losses: (s) =>
    void (s.losses = [
      {
        id: 'lo',
        on: TODAY,
        what: 'neck',
        how: 'spoilt',
        cause: 'the tap broke',
        about: `section:${s.hilt.sections[1]!.id}`,
      },
      { id: 'lt', on: TODAY, what: 'switch cap', how: 'remade', cause: 'lost', toldOn: TODAY },
    ]),
  before: (s) =>
    void (s.before = [
      { id: 'bg', what: 'charge by cable', kind: 'port', stays: false },
      { id: 'bi', what: 'show a clock', kind: 'feature', stays: false, insteadBy: 'nothing: asked for' },
      { id: 'bs', what: 'hum', kind: 'feature', stays: true },
    ]),
  goesWith: (s) => {
    const item = { quantity: 1, role: 'accessory' } as const
    s.items = [
      { id: 'i1', what: 'cell', kind: 'cell', ...item, supplied: 'notSupplied', size: '18650' },
      {
        id: 'i2',
        what: 'cell',
        kind: 'cell',
        ...item,
        supplied: 'notSupplied',
        ...{ size: '18650', type: 'high drain' },
        protected: true,
      },
      { id: 'i3', what: 'stand', ...item, supplied: 'bench', shown: true },
      { id: 'i4', what: 'second pommel', ...item, supplied: 'shop', shown: true },
    ]
    s.notFor = [
      { id: 'n1', what: 'rain', why: '' },
      { id: 'n2', what: 'full contact', why: 'the neck is thin' },
    ]
  },
  shopping: (s) => addBlade(s, { use: 'toBuy', density: fact(null, '1/m') }),
  demoDiffers: (s) => addBlade(s, { use: 'demo', length: fact(810, 'mm') }),
  client: (_s, c) => void (c.client.name = ' '),
  hiltLength: (s) => void (s.hilt.sections[0]!.length = fact(null, 'mm')),
  nameHints: (s) => {
    s.hilt.sections[0]!.name = 'clawed pommel'
    delete s.hilt.sections[0]!.sharp
  },
  keptAside: (_s, c) =>
    void (c.aside = [{ id: 'as1', path: '/sabers/0/use/volume', was: '"loud"', why: 'is not a number' }]),
}
/** A second blade in the same socket, as a change to the finished one. */
const addBlade = (s: Saber, more: Partial<Saber['blades'][number]>) =>
  void s.blades.push({ ...structuredClone(s.blades[0]!), id: 'extra-blade', name: 'second blade', ...more })

/** Checks that the finished demo saber rightly keeps awake; their quiet state is shown separately. */
const AWAKE: Record<string, Mutation> = {
  flashing: (s) => void delete s.presets[2]!.flickerHz,
}

const says = (check: string, change?: Mutation) => {
  const c = structuredClone(demo('reed-warden'))
  change?.(c.sabers[0]!, c)
  return judgeCommission(c, TODAY).filter((f) => f.check === check)
}

/** What each of those changes brings, by hand: level, whether it stands against shipping, and the kind of thing it lights. */
const BRINGS: Record<string, string> = {
  alikeColours: 'note preset,preset',
  arrivals: 'caution gate arrival',
  atItsHole: 'caution part,opening; caution part,opening',
  bladeHeld: 'stop gate socket; caution gate fastener; caution gate fastener',
  bladeSteps: 'stop gate socket',
  bladeSeat: 'stop gate part,socket',
  consent: 'stop gate part',
  stale: 'caution gate beat',
  inputKind: 'caution gate input,row,row,row',
  fittedResistor: 'caution gate part',
  zones: 'stop gate zone',
  unsurePreset: 'caution gate preset',
  wayIn: 'stop gate part; stop gate part; stop gate part; stop gate part; stop gate part; stop gate part',
  toDos: 'caution gate blade',
  bladesToBuy: 'caution gate socket',
  boreWall: 'stop gate section',
  clamp: 'stop gate part',
  client: 'caution gate ',
  clipped: 'caution preset',
  collision: 'stop gate row,row',
  contradiction: 'stop gate section',
  cutOff: 'caution ',
  deadline: 'note ',
  demoDiffers: 'caution blade',
  displayWindow: 'stop gate part',
  duel: 'stop gate blade',
  farLed: 'caution blade',
  frontHeavy: 'note ',
  grilleAir: 'stop gate part',
  hiltLength: 'note ',
  holdUnknown: 'caution row',
  ignitionTime: 'note preset',
  jointDepth: 'stop gate section',
  keptAside: 'caution ',
  landmark: 'caution gate part',
  layoutBroke: 'stop gate part',
  loose: 'caution gate fastener',
  lostEffect: 'caution preset',
  loudVolume: 'caution part',
  manyHolds: 'note input',
  missingSound: 'stop gate preset',
  modelFacts: 'caution gate section',
  nameHints: 'note section',
  neverTold: 'stop gate row',
  noIgnite: 'caution gate ',
  noOff: 'stop gate ',
  overRating: 'stop gate part',
  noSize: 'stop gate section',
  impossible: 'stop gate part',
  noSteps: 'caution gate ',
  oddSize: 'caution blade',
  openQuestion: 'stop gate ',
  openRequest: 'caution gate ',
  openingPlace: 'stop gate opening',
  overClosing: 'stop gate section',
  overlap: 'stop gate part,part; stop gate part,part',
  packVolts: 'stop gate part',
  powerNeeds: 'note blade',
  profile: 'stop gate section',
  protectedCell: 'caution part',
  recalled: 'caution section',
  rehearsal: 'stop gate input',
  retightened: 'stop gate fastener',
  sameKey: 'caution fastener,fastener; caution fastener,fastener',
  portEnd: 'caution part',
  noFirmware: 'caution part',
  configuredPixels: 'caution blade',
  sensitivity: 'caution ; note ',
  noFont: 'caution gate preset',
  screwPlace: 'caution gate fastener',
  losses: 'caution gate section',
  before: 'caution gate ',
  goesWith: 'caution gate item; caution item; caution item; note ',
  shopping: 'caution gate blade',
  slack: 'stop gate ',
  socketFit: 'stop gate blade,socket',
  specs: 'note part',
  standby: 'note ',
  stepGone: 'caution gate ',
  stringSums: 'stop gate blade',
  tooWide: 'stop gate part',
  unmeasured: 'caution section',
  unpacked: 'caution gate ',
  unsureControl: 'caution gate row',
  untested: 'caution gate part',
  vents: 'caution part',
  wireDrop: 'caution ',
  wires: 'stop gate part',
  wrongKey: 'caution fastener',
}

describe('every check can fire and can keep quiet', () => {
  test('all are covered here', () => {
    expect([...Object.keys(FIRES), ...Object.keys(AWAKE)].sort()).toEqual(CHECKS.map((c) => c.id).sort())
  })
  test.each(Object.keys(FIRES))('%s', (check) => {
    expect(says(check)).toEqual([])
    const found = says(check, FIRES[check])
    const brings = found.map((f) => `${f.level}${f.gate ? ' gate' : ''} ${f.refs.map((r) => r.split(':')[0]).join()}`)
    expect(brings.join('; ')).toBe(BRINGS[check])
    for (const f of found) {
      expect(f.title.length * f.remedy.length).toBeGreaterThan(0)
      expect(STATIONS).toContain(f.station)
    }
  })
  test.each(Object.keys(AWAKE))('%s', (check) => {
    expect(says(check).length).toBeGreaterThan(0)
    expect(says(check, AWAKE[check])).toEqual([])
  })
})

describe('the sentences carry the numbers', () => {
  test('the speaker that does not go in says which millimetre forbids it', () => {
    const f = judgeCommission(demo('cinder-oath'), TODAY).find((x) => x.check === 'tooWide')!
    expect(f).toMatchObject({ level: 'stop', refs: ['part:co-p1'] })
    expect(f.detail).toBe('The bore of the clawed pommel is 27.2 mm at 12: 1.4 mm too small.')
  })
  test('never told how to turn it off is a stop of its own', () => {
    expect(says('neverTold', FIRES.neverTold)[0]).toMatchObject({
      level: 'stop',
      title: 'It never says how to turn it off',
    })
  })
  test('a bare removable cell stops a beginner’s saber and only cautions others', () => {
    expect(says('protectedCell', FIRES.protectedCell)[0]!.level).toBe('caution')
    expect(
      says('protectedCell', (s, c) => {
        FIRES.protectedCell!(s, c)
        c.purpose = 'beginner'
      })[0]!.level,
    ).toBe('stop')
  })
  test('a step that turns a forbidden screw is a stop', () => {
    expect(says('stepGone', (s) => void (s.access[2]!.steps[0]!.place = 'fastener:rw-f3'))[0]).toMatchObject({
      level: 'stop',
    })
  })
})

describe('gate, waiver, progress', () => {
  test('keys are unique, and a waiver by name takes exactly its own matter out', () => {
    for (const id of ['cinder-oath', 'ember-fair', 'crosswind', 'first-lantern']) {
      const c = structuredClone(demo(id))
      const all = judgeCommission(c, TODAY)
      expect(new Set(all.map((f) => f.key)).size).toBe(all.length)
      const target = gateOf(all)[0]!
      c.handoff.waivers.push({ key: target.key, who: 'Maren', reason: 'agreed with the client', on: TODAY })
      expect(judgeCommission(c, TODAY).map((f) => f.key)).toEqual(all.map((f) => f.key).filter((k) => k !== target.key))
      expect(judgeCommission(c, TODAY, true)).toHaveLength(all.length)
    }
  })
  test('the finished one is clear, the troubled one is not', () => {
    const finished = demo('reed-warden')
    expect(gateOf(judgeCommission(finished, TODAY))).toEqual([])
    expect(progress(finished, [])).toBe(1)
    const troubled = demo('cinder-oath')
    const list = judgeCommission(troubled, TODAY)
    expect(stationStates(troubled, list)).toMatchObject({
      hilt: 'stop',
      fit: 'stop',
      controls: 'stop',
      access: 'empty',
    })
    expect(progress(troubled, list)).toBeLessThan(0.5)
  })
})

describe('over its rating', () => {
  const over = (change: (s: Saber) => void) =>
    says('overRating', (s) => {
      s.use.brightness = fact(100, '%', 'configured')
      change(s)
    }).map((f) => `${f.code} ${f.level}${f.gate ? ' gate' : ''} ${f.refs.join()}`)
  const white = (k: number, look: 'lock' | 'clash') => (s: Saber) =>
    void (s.presets[k]!.effects = { [look]: stated('#ffffff', 'configured') })
  test('the order of the presets changes nothing, and a held white counts in any of them', () => {
    const held = over(white(0, 'lock'))
    expect(held.length).toBeGreaterThan(0)
    for (const line of held) expect(line).toMatch(/^lasting stop gate part:/)
    for (const k of [1, 2])
      expect(
        over((s) => {
          for (const p of s.presets) delete p.effects
          white(k, 'lock')(s)
        }),
      ).toEqual(held)
    expect(
      over((s) => {
        white(0, 'lock')(s)
        s.presets.reverse()
      }),
    ).toEqual(held)
  })
  test('a flash of white is a flash; a look that is never white is not judged as white', () => {
    const flash = over((s) => {
      for (const p of s.presets) p.effects = { clash: stated('#ffffff', 'configured') }
    })
    expect(flash.length).toBeGreaterThan(0)
    for (const line of flash) expect(line).toMatch(/^flash caution part:/)
    expect(
      over((s) => {
        for (const p of s.presets) Object.assign(p, { effects: {}, colour: stated('#00ff00', 'configured') })
      }),
    ).toEqual([])
  })
  test('limited on the board, it is over no more; without presets white is what it may come to', () => {
    const lock = (s: Saber) => white(0, 'lock')(s)
    expect(
      over((s) => {
        lock(s)
        s.use.brightness = fact(40, '%', 'configured')
      }),
    ).toEqual([])
    expect(
      over((s) => {
        lock(s)
        s.use.brightness = fact(40, '%', 'recalled')
      }).length,
    ).toBeGreaterThan(0)
    const none = over((s) => void (s.presets = []))
    for (const line of none) expect(line).toMatch(/^unknown caution part:/)
    expect(none.length).toBeGreaterThan(0)
  })
  test('set aside for one look, another look raises it again', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    s.use.brightness = fact(100, '%', 'configured')
    white(0, 'lock')(s)
    const found = () => judgeCommission(c, TODAY).filter((f) => f.check === 'overRating')
    c.handoff.waivers = found().map((f) => ({ key: f.key, who: 'Maren', on: TODAY, reason: 'r' }))
    expect(found()).toEqual([])
    white(1, 'lock')(s)
    expect(found().length).toBeGreaterThan(0)
  })
})

describe('the far end of a strip', () => {
  const sags = (colour: string) =>
    says('farLed', (s) => {
      s.blades[0]!.stripResistance = fact(900, 'mΩ')
      for (const p of s.presets) p.colour = stated(colour, 'configured')
    })
  test('red does with less; green and blue are named where they are lit', () => {
    expect(sags('#ff0000')).toEqual([])
    expect(sags('#0000ff')[0]!.detail).toMatch(/its blue dies want/)
    expect(sags('#00ff00')[0]!.detail).toMatch(/its green dies want/)
    expect(sags('#ffffff')[0]!.detail).toMatch(/its green and blue dies want/)
    expect(sags('#ffffff')[0]!.title).toMatch(/V at the last pixel$/)
  })
})
