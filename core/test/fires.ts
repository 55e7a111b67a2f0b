import { configurationOf } from '@nubrin/core/card'
import { fact, stated } from '@nubrin/core/facts'
import { layoutFacts } from '@nubrin/core/fit'
import type { Commission, Saber } from '@nubrin/core/record'
import { playing } from './playing'
import { TODAY } from './samples'

export type Mutation = (s: Saber, c: Commission) => void
const part = (s: Saber, kind: string) => s.parts.find((p) => p.kind === kind)!

/** For every check, a change to the finished commission that makes it speak; without the change it is silent. */
export const FIRES: Record<string, Mutation> = {
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
  unusual: (s) => void (s.presets[0]!.extendMs = fact(0.9, 'ms')),
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
  chargeCurrent: (s) => {
    part(s, 'cell').specs.chargeCurrent = fact(1.5, 'A')
    s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: { chargeCurrent: fact(3, 'A') } })
  },
  chargeEnd: (s) =>
    void s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: { chargeVolts: fact(5, 'V') } }),
  dies: (s) => void s.parts.push({ id: 'led', kind: 'accentLed', name: 'led', fed: 'resistor', specs: {} }),
  takenScrew: (s) => void (s.hilt.fasteners[0]!.taken = ['key']),
  poles: (s) => {
    part(s, 'cell').leads = stated('plus', 'measured')
    const step = s.access
      .flatMap((p) => p.steps)
      .find((x) => x.act?.do === 'putOn' && x.act.at === `part:${part(s, 'cell').id}`)
    step!.act!.leads = 'minus'
  },
  overRating: (s) => {
    s.presets[0]!.effects = { lock: { colour: stated('#ffffff', 'configured') } }
    s.use.brightness = fact(100, '%', 'configured')
  },
  wireDrop: (s) => void (part(s, 'wire').specs.gauge = fact(28, '×')),
  farLed: (s) => void (s.blades[0]!.stripResistance = fact(900, 'mΩ')),
  packVolts: (s) => void (part(s, 'cell').specs.nominalVolts = fact(7.2, 'V')),
  standby: (s) => void (part(s, 'board').specs.sleepCurrent = fact(40, 'mA')),
  cutOff: (s) => void (s.cutPower = 'cellOut'),
  protectedCell: (s) => void (part(s, 'cell').protected = false),
  landmark: (s) => void delete part(s, 'cell').landmark,
  missingSound: (s) => void playing(s, s.presets[0]!, [{ id: 'w1', event: 'hum', name: 'hum.wav' }]),
  clipped: (s) =>
    void s.fonts[1]!.sounds.forEach((x, i) => {
      x.peakDb = i ? -3 : 0
    }),
  ignitionTime: (s) =>
    void s.fonts[0]!.sounds.forEach((x) => {
      x.seconds = 2
    }),
  soundFiles: (s) => void (s.fonts[0]!.sounds[0]!.seamClicks = true),
  unevenFonts: (s) => {
    for (const [i, f] of s.fonts.entries()) for (const x of f.sounds) Object.assign(x, { loudnessLufs: -20 - 8 * i })
  },
  fontOffer: (s) => void (s.fonts[0]!.price = { amount: 15, currency: 'EUR' }),
  alikeColours: (s) => void (s.presets[1]!.colour = stated('#12d8b0', 'configured')),
  lostEffect: (s) => void (s.presets[0]!.effects = { deflect: { colour: stated('#18d0a8', 'configured') } }),
  askedColour: (s) => {
    s.presets[0]!.asked = stated('#ff0000', 'client')
    s.presets[0]!.effects = { lock: { asked: stated('#ff0000', 'client') } }
  },
  behindTint: (s) => {
    s.presets[0]!.colour = stated('#1028ff', 'configured')
    s.zones[1]!.through = { what: 'garnet', colour: stated('#b00018', 'measured') }
  },
  bleached: (s) => {
    s.presets[0]!.colour = stated('#20c840', 'configured')
    s.presets[0]!.effects = { deflect: { colour: stated('#ffe040', 'configured') } }
  },
  unmetLook: (s) => void (s.presets[0]!.needsTip = true),
  cardContents: (s) => {
    const sum = 'ab'.repeat(32)
    part(s, 'card').specs.cardMegabytes = fact(4000, '×', 'datasheet')
    const files = [{ path: 'large.wav', bytes: 9e9, sum }]
    const r = { id: 'r1', was: 'read' as const, on: '2026-11-20', files, unreadable: ['torn.wav'] }
    s.cards.push({ id: 'k', name: 'card', is: 'shipped', edits: [], copiedOn: '2026-11-20', readings: [r] })
  },
  cardConfiguration: (s) => {
    const configuration = { ...configurationOf(s), volume: 11 }
    const r = { id: 'r1', was: 'read' as const, on: '2026-11-20', files: [], unreadable: [], configuration }
    s.cards.push({ id: 'k', name: 'card', is: 'shipped', edits: [], copiedOn: '2026-11-20', readings: [r] })
  },
  cardCopied: (s) => void s.cards.push({ id: 'k', name: 'card', is: 'shipped', edits: [], readings: [] }),
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
        mode: s.modes[0]!.id,
        pose: 'any',
        input: 'rw-i1',
        gesture: 'hold',
        hold: fact(i + 1, 's', 'configured'),
        does,
        status: 'configured',
      })
  },
  boardSpace: (s) => void (s.controls.find((r) => r.gesture === 'hold')!.most = fact(0.1, 's')),
  unsureControl: (s) => void (s.controls[0]!.status = 'unsure'),
  procedures: (s) => void (s.access = s.access.filter((p) => p.goal !== 'card')),
  otherPole: (s, c) => {
    const twin = { ...structuredClone(s), id: 'twin', name: 'First Reed' }
    twin.parts.find((p) => p.kind === 'cell')!.faces!.value = 'pommel'
    c.sabers.unshift(twin)
  },
  stepGone: (s) => void (s.access[2]!.steps[0]!.place = 'fastener:gone'),
  untested: (s) => void (s.tests[0]!.readings = []),
  neverTold: (s) => void (s.beats = s.beats.filter((b) => !b.covers.includes('control:rw-c8'))),
  rehearsal: (s) =>
    void (s.beats.find((b) => b.covers.includes('control:rw-c8'))!.say = 'Hold the front button for one second.'),
  parcels: (_s, c) =>
    void (c.parcels = [{ id: 'box', to: 'Ilsabet Vorne', abroad: false, carrier: 'tern', mass: fact(90_000, 'g') }]),
  lithium: (_s, c) =>
    void (c.parcels = [{ id: 'box', to: 'Ilsabet Vorne', abroad: true, carrier: 'harbour', polesCovered: true }]),
  afterwards: (_s, c) => {
    c.handoff.issued = []
    c.shipped = TODAY
  },
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
  noFont: (s) => void delete s.presets[1]!.font,
  screwPlace: (s) => void (s.hilt.fasteners[0]!.clock = fact(null, 'deg')),
  uncredited: (_s, c) => void c.log.push({ id: 'x-log', on: '2026-11-20', text: 'turned it', kind: 'work', by: 'Hob' }),
  workLoop: (_s, c) => {
    delete c.shipped
    c.toDos.push(
      { id: 'wl-a', text: 'grease the thread', who: 'shop', done: false, after: ['toDo:wl-b'] },
      { id: 'wl-b', text: 'polish the plug', who: 'shop', done: false, after: ['toDo:wl-a'] },
    )
  },
  loggedHours: (_s, c) =>
    void c.log.push({ id: 'lh', on: TODAY, text: 'wired', kind: 'work', by: 'Maren', work: 'wire', hours: 17 }),
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
  translated: (_s, c) => void (c.client.language = 'de'),
  letters: (s) => void (s.hilt.sections[0]!.name = 'ดาบ'),
  carried: (s) => {
    const [a, b] = [part(s, 'chassis'), part(s, 'board')]
    Object.assign(a, { on: b.id })
    Object.assign(b, { on: a.id })
  },
  dayOrder: (_s, c) =>
    void c.questions.push({
      id: 'q7',
      text: 'Which case?',
      askedOn: '2026-11-02',
      answeredOn: '2026-11-01',
      answer: 'The long one',
      blocks: false,
    }),
  sameName: (s) => void (s.hilt.fasteners[1]!.name = ` ${s.hilt.fasteners[0]!.name.toUpperCase()}`),
  sameInOrder: (_s, c) => {
    const saber = structuredClone(c.sabers[0]!)
    c.sabers.push(Object.assign(saber, { id: 'x-second', edition: (c.sabers[0]!.edition = '3 of 9') }))
  },
  wishElsewhere: (s, c) => {
    const other = Object.assign(structuredClone(s), { id: 'x-other', name: 'Other' })
    other.presets[0]!.id = 'x-other-preset'
    c.sabers.push(other)
    c.requests.push({ id: 'rw', text: 'A green one', saber: s.id, where: 'preset:x-other-preset', status: 'met' })
  },
  sleeveFit: (s) =>
    void s.parts.push({
      ...{ id: 'x-sleeve', kind: 'sleeve', name: 'grip sleeve', at: fact(60, 'mm') },
      specs: { length: fact(60, 'mm'), diameter: fact(34, 'mm'), wall: fact(1.5, 'mm') },
    }),
  saidTurn: (s) =>
    void s.access.push({
      ...{ id: 'x-said', goal: 'cell', at: `part:${part(s, 'cell').id}` },
      steps: [
        {
          ...{ id: 'x-said-1', text: 'Turn the pommel clockwise and take it off' },
          act: { do: 'takeOff', at: `section:${s.hilt.sections[0]!.id}`, how: 'unscrew' },
        },
      ],
    }),
  keptAside: (_s, c) =>
    void (c.aside = [{ id: 'as1', path: '/sabers/0/use/volume', was: '"loud"', why: 'is not a number' }]),
}
/** A second blade in the same socket, as a change to the finished one. */
const addBlade = (s: Saber, more: Partial<Saber['blades'][number]>) =>
  void s.blades.push({ ...structuredClone(s.blades[0]!), id: 'extra-blade', name: 'second blade', ...more })

/** Checks that the finished demo saber rightly keeps awake; their quiet state is shown separately. */
export const AWAKE: Record<string, Mutation> = {
  flashing: (s) => void delete s.presets[2]!.flickerHz,
}
