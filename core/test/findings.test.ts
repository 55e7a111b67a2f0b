import { describe, expect, test } from '@jest/globals'
import { fact, stated } from '@nubrin/core/facts'
import { CHECKS, gateOf, judgeCommission, progress, STATIONS, stationStates, WORDS } from '@nubrin/core/judge'
import type { Commission, Saber } from '@nubrin/core/record'
import { AWAKE, FIRES, type Mutation } from './fires'
import { demo, TODAY } from './samples'

const unchanged = judgeCommission(demo('reed-warden'), TODAY)
const says = (check: string, change?: Mutation) => {
  const c = demo('reed-warden')
  change?.(c.sabers[0]!, c)
  return (change ? judgeCommission(c, TODAY) : unchanged).filter((f) => f.check === check)
}

/** What each of those changes brings, by hand: level, whether it stands against shipping, and the kind of thing it lights. */
const BRINGS: Record<string, string> = {
  alikeColours: 'note preset,preset',
  arrivals: 'caution gate arrival',
  atItsHole: 'caution part,opening; caution part,opening',
  bladeHeld: 'stop gate socket; caution gate fastener; caution gate fastener',
  bladeSeat: 'stop gate part,socket',
  consent: 'stop gate part',
  stale: 'caution gate beat',
  inputKind: 'caution gate input,row,row,row,row,row,row',
  fittedResistor: 'stop gate part',
  zones: 'stop gate zone',
  unsurePreset: 'caution gate preset',
  wayIn: 'stop gate part; stop gate part; stop gate part; stop gate part; stop gate part; stop gate part',
  toDos: 'caution gate blade',
  bladesToBuy: 'caution gate socket',
  boreWall: 'stop gate section',
  clamp: 'stop gate part',
  client: 'caution gate ',
  clipped: 'caution font,sound',
  collision: 'stop gate row,row',
  contradiction: 'stop gate section',
  cutOff: 'caution ',
  deadline: 'note ',
  demoDiffers: 'caution blade',
  displayWindow: 'stop gate part',
  duel: 'stop gate blade; caution ',
  farLed: 'caution blade',
  frontHeavy: 'note ',
  grilleAir: 'stop gate part',
  hiltLength: 'note section',
  holdUnknown: 'caution row',
  ignitionTime: 'note preset,font; note preset,font',
  jointDepth: 'stop gate section',
  keptAside: 'caution ',
  letters: 'caution ',
  landmark: 'caution gate part',
  layoutBroke: 'stop gate part',
  loose: 'caution gate fastener',
  lostEffect: 'caution preset,blade',
  loudVolume: 'caution part',
  manyHolds: 'note input',
  missingSound: 'stop gate preset',
  modelFacts: 'caution gate section',
  nameHints: 'note section',
  neverTold: 'stop gate row',
  noIgnite: 'caution gate ',
  noOff: 'stop gate ',
  boardSpace: 'stop gate row',
  chargeCurrent: 'stop gate part,part',
  chargeEnd: 'stop gate part',
  dies: 'stop gate part',
  takenScrew: 'caution gate fastener',
  poles: 'stop gate part,step',
  overRating: 'stop gate part',
  noSize: 'stop gate section',
  impossible: 'stop gate part',
  procedures: 'caution gate ',
  oddSize: 'caution blade',
  openQuestion: 'stop gate question',
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
  sameKey: 'caution fastener,fastener; caution fastener,fastener',
  portEnd: 'caution part',
  noFirmware: 'caution part',
  configuredPixels: 'caution blade',
  sensitivity: 'caution ; note ',
  noFont: 'caution gate preset',
  fontOffer: 'note font',
  soundFiles: 'caution font',
  unevenFonts: 'note font; note font',
  screwPlace: 'caution gate fastener',
  losses: 'caution gate section',
  uncredited: 'caution ',
  workLoop: 'caution toDo,toDo',
  loggedHours: 'caution entry',
  before: 'caution gate ',
  goesWith: 'caution gate item; caution item; caution item; note ',
  shopping: 'caution gate blade',
  slack: 'stop gate ',
  socketFit: 'stop gate blade,socket',
  specs: 'note part',
  standby: 'note ',
  otherPole: 'caution part',
  stepGone: 'caution gate ',
  stringSums: 'stop gate blade',
  tooWide: 'stop gate part',
  unmeasured: 'caution section',
  parcels: 'stop gate parcel; note parcel',
  lithium: 'stop gate parcel',
  afterwards: 'caution ',
  translated: 'caution gate ',
  unpacked: 'caution gate ',
  unsureControl: 'caution gate row',
  unusual: 'caution preset',
  untested: 'caution gate part',
  vents: 'caution part',
  wireDrop: 'caution ',
  wires: 'stop gate part',
  wrongKey: 'caution fastener',
  carried: 'stop gate part; stop gate part',
  dayOrder: 'caution question',
  sameName: 'caution fastener,fastener',
  sameInOrder: 'caution gate saber,saber',
  wishElsewhere: 'caution gate request',
  sleeveFit: 'stop gate part,section',
  saidTurn: 'note section',
  askedColour: 'caution gate preset; caution gate preset',
  behindTint: 'caution preset,zone; caution preset,zone',
  bleached: 'note preset',
  unmetLook: 'caution gate preset',
  cardContents: 'stop gate card; caution gate card; note card',
  cardConfiguration: 'caution gate card',
  cardCopied: 'caution card',
}

describe('every check can fire and can keep quiet', () => {
  test('all are covered here', () => {
    const ids = CHECKS.map((c) => c.id).sort()
    expect([...Object.keys(FIRES), ...Object.keys(AWAKE)].sort()).toEqual(ids)
    expect(Object.keys(WORDS).sort()).toEqual(ids)
  })
  test.each(Object.keys(FIRES))('%s', (check) => {
    expect(says(check)).toEqual([])
    const found = says(check, FIRES[check])
    const brings = found.map((f) => `${f.level}${f.gate ? ' gate' : ''} ${f.refs.map((r) => r.split(':')[0]).join()}`)
    expect(brings.join('; ')).toBe(BRINGS[check])
    for (const f of found) {
      expect(f.title.length * f.remedy.length).toBeGreaterThan(0)
      expect(STATIONS).toContain(f.station)
      // Days and marks as a reader knows them, whoever wrote the sentence.
      expect(`${f.title} ${f.detail} ${f.remedy}`).not.toMatch(/"|\d{4}-\d\d-\d\d/)
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
      title: 'The script never says how to turn it off',
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
  test('what one saber is asked for is keyed by it, what the order is asked for by the order', () => {
    const c = structuredClone(demo('ember-fair'))
    for (const f of judgeCommission(c, TODAY)) {
      const whose = f.key.split(':')[1]
      expect(whose).toBe(CHECKS.find((k) => k.id === f.check)!.scope === 'saber' ? f.saber : 'order')
      expect(f.key.length).toBeLessThanOrEqual(240)
    }
  })
  const bare = (): Commission => {
    const c = structuredClone(demo('reed-warden'))
    const s = c.sabers[0]!
    Object.assign(c, { brief: ' ', requests: [], sabers: [s] })
    Object.assign(s, { parts: [], presets: [], controls: [], access: [], tests: [], beats: [] })
    Object.assign(s.hilt, { sections: [] })
    c.handoff.issued = []
    return c
  }
  const full = demo('reed-warden')
  test.each<[string, (c: Commission) => unknown]>([
    ['brief', (c) => void (c.brief = 'a blade')],
    ['brief', (c) => void (c.requests = structuredClone(full.requests))],
    ['hilt', (c) => void (c.sabers[0]!.hilt.sections = structuredClone(full.sabers[0]!.hilt.sections))],
    ['voice', (c) => void (c.sabers[0]!.presets = structuredClone(full.sabers[0]!.presets))],
    ['controls', (c) => void (c.sabers[0]!.controls = structuredClone(full.sabers[0]!.controls))],
    ['access', (c) => void (c.sabers[0]!.access = structuredClone(full.sabers[0]!.access))],
    ['proof', (c) => void (c.sabers[0]!.tests = structuredClone(full.sabers[0]!.tests))],
    ['walkthrough', (c) => void (c.sabers[0]!.beats = structuredClone(full.sabers[0]!.beats))],
    ['handoff', (c) => void (c.handoff.issued = structuredClone(full.handoff.issued))],
    ['fit', (c) => void (c.sabers[0]!.parts = full.sabers[0]!.parts.filter((p) => p.kind === 'speaker'))],
    ['fit power', (c) => void (c.sabers[0]!.parts = full.sabers[0]!.parts.filter((p) => p.kind === 'cell'))],
  ])('begun is %s, and nothing else', (begun, change) => {
    const c = bare()
    change(c)
    const states = stationStates(c, [])
    for (const st of STATIONS)
      expect(`${st} ${states[st]}`).toBe(`${st} ${begun.split(' ').includes(st) ? 'clear' : 'empty'}`)
    // A tenth of the blade for each station.
    delete c.shipped
    expect(progress(c, [])).toBeCloseTo(begun.split(' ').length / 10, 9)
  })
  test('of a stop and a caution the stop counts; a caution shows only where something is begun', () => {
    const c = bare()
    delete c.shipped
    const f = (level: 'stop' | 'caution' | 'note') => ({
      ...judgeCommission(demo('cinder-oath'), TODAY)[0]!,
      station: 'hilt' as const,
      level,
    })
    expect(stationStates(c, [f('caution')]).hilt).toBe('empty')
    expect(stationStates(c, [f('caution'), f('stop')]).hilt).toBe('stop')
    expect(progress(c, [f('stop')])).toBeCloseTo(0.035, 9)
    c.sabers[0]!.hilt.sections = structuredClone(full.sabers[0]!.hilt.sections)
    expect(stationStates(c, [f('caution')]).hilt).toBe('caution')
    expect(stationStates(c, [f('note')]).hilt).toBe('clear')
    expect(progress(c, [f('caution')])).toBeCloseTo(0.07, 9)
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
    void (s.presets[k]!.effects = { [look]: { colour: stated('#ffffff', 'configured') } })
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
      for (const p of s.presets) p.effects = { clash: { colour: stated('#ffffff', 'configured') } }
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
    expect(sags('#0000ff')[0]!.detail).toMatch(/its blue dies need/)
    expect(sags('#00ff00')[0]!.detail).toMatch(/its green dies need/)
    expect(sags('#ffffff')[0]!.detail).toMatch(/its green and blue dies need/)
    expect(sags('#ffffff')[0]!.title).toMatch(/V at the last pixel$/)
  })
})
