import { fact } from '@nubrin/core/facts'
import type { FittedPart, Font, Saber } from '@nubrin/core/record'
import type { Mutation } from './fires'
import { sec } from './map-of'
import { playing } from './playing'

const mm = (v: number) => fact(v, 'mm', 'measured')
const part = (s: Saber, kind: string) => s.parts.find((p) => p.kind === kind)!
const add = (s: Saber, more: Partial<FittedPart> & Pick<FittedPart, 'kind'>) =>
  void s.parts.push({ id: 'added', name: 'added thing', specs: {}, ...more })
const wish = (s: Saber) => s.presets[0]!

/** Kinds of findings that no other list of changes brings about. */
export const MORE: readonly Mutation[] = [
  (s) =>
    void s.decisions.push({
      ...{ id: 'dd', on: '2026-11-20', by: 'Hob', chose: 'the wire cut', why: 'it opens', irreversible: true },
    }),
  (s, c) => {
    s.presets[1]!.name = s.presets[0]!.name
    s.inputs[1]!.name = s.inputs[0]!.name
    c.people.push({ id: 'pp1', name: 'Hob' }, { id: 'pp2', name: 'hob' })
  },
  (s) => {
    const all = s.access.flatMap((p) => p.steps).filter((x) => x.act?.do === 'cut' || x.act?.do === 'restore')
    for (const x of all) x.text = 'Slide the kill switch towards the pommel'
  },
  (_s, c) => {
    const [wish] = c.requests
    wish!.text = 'Reed Warden for 2 evenings'
    c.client.language = 'de'
    c.translations = [{ id: 'tr1', language: 'de', text: wish!.text, says: 'Für 3 Abende' }]
  },
  (_s, c) => void c.questions.push({ id: 'q8', text: 'Which case?', blocks: false }),
  (_s, c) => {
    const a = c.arrivals[0]!
    Object.assign(a, { whole: true })
    delete a.conditionOn
    a.faults.push({ id: 'flt', text: 'bent pin' })
  },
  (s) => {
    const [pommel, grip] = s.hilt.sections
    Object.assign(pommel!.joint, { engagement: mm(12), length: mm(9) })
    grip!.joint.passes = mm(33)
  },
  // The hilt ends at 255.
  (s) => void (part(s, 'connector').at = mm(254)),
  (s) => void (part(s, 'chamber').specs.diameter = mm(24.3)),
  (s) => void (part(s, 'speaker').at = mm(1)),
  (s) => void (part(s, 'chamber').at = mm(190)),
  (s) => void (s.hilt.sections[1]!.length = fact(null, 'mm')),
  (s) => {
    s.blades[0]!.kind = 'string'
    s.hilt.sockets[0]!.insertion = 'clockwise'
  },
  (s) => {
    s.blades = []
    s.hilt.sections[0]!.mass = fact(2000, 'g', 'measured')
  },
  (s) => {
    const o = s.hilt.openings[0]!
    Object.assign(o, { face: 'rear', fromAxis: mm(30) })
  },
  (s) => {
    const [a, b] = s.hilt.openings
    Object.assign(b!, { at: a!.at, clock: a!.clock })
  },
  (s) => {
    s.hilt.sections[1]!.name = 'copper grip'
    part(s, 'cell').landmark = 'plus pole towards the pommel'
    const chassis = part(s, 'chassis')
    delete chassis.material
    chassis.name = 'resin chassis'
    add(s, { kind: 'auxBoard', name: 'step-down converter' })
  },
  (s) => {
    const chassis = part(s, 'chassis')
    Object.assign(chassis, { heldBy: 'length', at: mm(3) })
    chassis.specs.length = mm(207)
  },
  (s) => void (part(s, 'speaker').at = mm(3.4)),
  (_s, c) => {
    delete c.shipped
    c.toDos.push({
      id: 'todo',
      text: 'grease it',
      who: 'shop',
      due: '2026-11-01',
      done: false,
      blocks: 'shipping',
      person: 'Maren',
    })
  },
  (s) => {
    s.presets = []
    part(s, 'cell').specs.contCurrent = fact(1, 'A', 'measured')
  },
  (s) => {
    add(s, { kind: 'strip', specs: { leds: fact(12, '×', 'measured') } })
    add(s, { id: 'other', kind: 'strip', name: 'other strip', specs: { leds: fact(9, '×', 'measured') } })
    s.zones[1]!.part = 'added'
    s.zones[1]!.leds = fact(10, '×', 'measured')
  },
  (s) => {
    s.parts = s.parts.filter((p) => p.kind !== 'killSwitch')
    s.cutPower = 'deepSleep'
    delete part(s, 'board').specs.deepSleepCurrent
  },
  (s) => add(s, { kind: 'spring', specs: { leastCell: mm(80) }, at: mm(29) }),
  (s) => void (s.use.volume = fact(40, '%', 'configured')),
  // Sounds: what each lacks, and what is not there.
  (s) => {
    const [f, g] = s.fonts as [Font, Font]
    const of = (event: string) => f.sounds.find((x) => x.event === event)!
    Object.assign(of('swing'), { rmsDb: -70, rate: 22050 })
    Object.assign(of('hum'), { dc: 0.2, rate: 44100, media: 'c'.repeat(64) })
    Object.assign(of('ignite'), { leadSilence: 0.4, rmsDb: -20, rate: 44100 })
    Object.assign(of('lock'), { media: 'c'.repeat(64) })
    Object.assign(of('clash'), { truePeakDb: -2 })
    f.gain = fact(4, 'dB', 'configured')
    f.price = { amount: 12, currency: 'EUR' }
    g.sounds = []
    for (const p of s.presets) p.tracks = []
  },
  (s, c) => {
    c.requests.push({ id: 'rfont', text: 'The dear font', shape: 'offered', status: 'open' })
    Object.assign(s.fonts[0]!, { price: { amount: 12, currency: 'EUR' }, wish: 'rfont' })
    s.fonts.push({
      id: 'pack',
      name: 'Voice',
      is: 'voicePack',
      sounds: [{ id: 'ml', event: 'beep', name: 'beep.wav' }],
    })
  },
  (s) => {
    playing(s, wish(s), [{ id: 'snd', event: 'ignite', name: 'a.wav', seconds: 0.2 }])
    wish(s).extendMs = fact(1500, 'ms', 'configured')
  },
  (s) => {
    s.use.volume = fact(80, '%', 'configured')
    s.use.highestVolume = fact(60, '%', 'configured')
  },
  (s) => {
    part(s, 'speaker').specs.ratedWatts = fact(0.4, 'W', 'measured')
    s.use.volume = fact(10, '%', 'configured')
    s.use.highestVolume = fact(100, '%', 'configured')
  },
  (s) => void (part(s, 'display').clock = fact(170, 'deg', 'measured')),
  (s) => void (s.access[2]!.steps[0]!.place = 'fastener:rw-f3'),
  // Said and not used, changed since it was seen, no way, and what is said of a goal that is gone.
  (s) =>
    void s.access
      .find((p) => p.goal === 'cell')!
      .steps.push({ id: 'gone', text: 'Turn the shroud off', act: { do: 'takeOff', at: 'part:rw-p1' } }),
  (s) => void s.hilt.sockets[0]!.retention.pop(),
  (s) => void (s.hilt.sections[0]!.joint = { kind: 'collar' }),
  (s) => void (s.parts = s.parts.filter((p) => p.kind !== 'card')),
  (s) => {
    s.access = []
    s.parts = structuredClone(s.parts)
    delete part(s, 'cell').faces
  },
  (s) => {
    s.job = 'repair'
    s.repairs = []
  },
  (s) => void (s.beats = s.beats.filter((b) => !b.covers.some((k) => k.startsWith('task:')))),
  (s) => {
    // Its last word is that it is alight.
    const lights = s.beats.find((b) => b.perform === 'row:rw-c1')!
    s.beats = [...s.beats.filter((b) => b !== lights && b.task !== 'powerOff'), { ...lights, id: 'last' }]
  },
  (s) => {
    const off = s.beats.findIndex((b) => b.perform === 'row:rw-c8')
    s.beats.unshift(...s.beats.splice(off, 1))
  },
  (s) => void (s.beats[1]!.covers = ['part:gone']),
  (s) => {
    const b = s.beats.find((x) => x.covers.some((k) => k.startsWith('preset:')))!
    Object.assign(b, { by: 'own', say: `${wish(s).name} is red.` })
    b.covers = [`preset:${wish(s).id}`]
  },
  // The board: what a walk through the whole map finds.
  (s) => {
    const hold = s.controls.find((r) => r.does === 'retract')!
    Object.assign(hold, { hold: sec(1), most: sec(1.2) })
    s.controls.push({ ...s.controls[0]!, id: 'early', gesture: 'hold', hold: sec(0.2), does: 'battery' })
  },
  (s) => {
    // Each pose has its own, so that of any pose is never in force.
    for (const pose of ['up', 'level', 'down'] as const)
      s.controls.push({ ...s.controls[0]!, id: `p-${pose}`, pose, does: 'battery' })
    const off = s.controls.find((r) => r.does === 'retract')!
    s.controls.push({ ...off, id: 'first', hold: sec(1), release: 'reached', does: 'mute' })
    s.controls.push({ ...off, id: 'unmute', mode: 'm-mute', does: 'unmute' })
    s.modes.push({ id: 'm-mute', name: 'muted', is: 'muted' })
  },
  (s) => {
    const on = s.controls[0]!
    s.modes.push(
      { id: 'm-one', name: 'tone menu', is: 'menu', on: on.mode },
      { id: 'm-two', name: 'colour menu', is: 'menu', on: on.mode, chooses: 'colour' },
      { id: 'm-far', name: 'far menu', is: 'menu', chooses: 'profile', by: 'turning', after: sec(9) },
    )
    s.controls.push({ ...on, id: 'o1', times: 4, does: 'menuOpen', to: 'm-one' })
    s.controls.push({ ...on, id: 'o2', times: 5, does: 'menuOpen', to: 'm-two' })
    s.controls.push({ ...on, id: 'o3', mode: 'm-one', does: 'menuClose' })
    s.controls.push({ ...on, id: 'o4', mode: 'm-far', does: 'battery' })
  },
  (s) => void (s.modes.find((x) => x.is === 'off')!.is = 'muted'),
  (s) => {
    const [one, two] = s.modes
    Object.assign(one!, { after: sec(5), leads: two!.id })
    Object.assign(two!, { after: sec(5), leads: one!.id })
    s.controls[0]!.gesture = 'twist'
  },
  (s) => {
    s.controls = s.controls.filter((r) => !['nextPreset', 'previousPreset', 'track'].includes(r.does))
    playing(s, s.presets[0]!, [{ id: 'slow', event: 'track', name: 'Slow water' }])
    s.settings.volumeSteps = fact(8, '×')
  },
  (s) => void (s.controls.find((r) => r.does === 'deflect')!.presets = [s.presets[1]!.id]),
  (s) => {
    const b = s.beats.find((x) => x.perform === 'row:rw-c3')!
    Object.assign(b, { say: 'With the blade up, press the front button once.', by: 'own' })
  },
  // Parcels: without a carrier, to be confirmed, of unknown energy, too light, empty.
  (_s, c) => void (c.parcels = [{ id: 'pc1', to: 'Ilsabet Vorne', abroad: false }]),
  (_s, c) => void (c.parcels = [{ id: 'pc1', to: 'Ilsabet Vorne', abroad: true, carrier: 'tern' }]),
  (s, c) => {
    delete part(s, 'cell').specs.capacity
    c.parcels = [{ id: 'pc1', to: 'Ilsabet Vorne', abroad: false, carrier: 'tern' }]
  },
  (_s, c) => {
    for (const p of c.packing) p.mass = fact(100, 'g', 'measured')
    const weighed = { boxMass: fact(200, 'g', 'measured'), mass: fact(700, 'g', 'measured') }
    c.parcels = [{ id: 'pc1', to: 'Ilsabet Vorne', abroad: false, carrier: 'byHand', ...weighed }]
    c.parcels.push({ id: 'pc2', to: 'the fair', abroad: false, carrier: 'byHand' })
  },
  (_s, c) =>
    void c.questions.push({ id: 'q9', text: 'Which oil?', askedBy: 'client', askedOn: '2026-11-10', blocks: false }),
  (_s, c) => {
    c.visits.push({ id: 'vs1', cameOn: '2026-09-01', repairs: [] })
    c.visits.push({ id: 'vs2', cameOn: '2026-09-01', backOn: '2026-09-04', said: 'mute', repairs: [] })
  },
]
