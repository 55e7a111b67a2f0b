import { describe, expect, test } from '@jest/globals'
import { fact, stated } from '@nubrin/core/facts'
import { duties, FLASH_LIMIT_HZ } from '@nubrin/core/light'
import {
  eventsOn,
  flashingOf,
  lampsOf,
  lightSheet,
  lookCount,
  lookOf,
  orderedBy,
  PRESET_ORDERS,
  setTo,
  unmetOn,
  wouldRing,
} from '@nubrin/core/looks'
import { bladeCurrent, ledsOf, litCurrent, loadsOf, zoneCurrent } from '@nubrin/core/power'
import { LIGHT_EVENTS, type Preset, type Saber, type Zone } from '@nubrin/core/record'
import fc from 'fast-check'
import { demo } from './samples'

const cinder = () => structuredClone(demo('cinder-oath').sabers[0]!)
const reed = () => structuredClone(demo('reed-warden').sabers[0]!)
const idsUnique = (list: readonly Preset[]) => [...new Set(list.map((p) => p.id))].sort()
const all = () => demo('cinder-oath').sabers[0]!.presets
const lamp = (s: Saber, name: string) => lampsOf(s).find((l) => l.name === name)!

describe('the lights of a saber', () => {
  test('blades first, then the lights of the hilt; the run of a blade is that blade', () => {
    expect(lampsOf(cinder()).map((l) => l.name)).toEqual(['slim blade, 81 cm', 'jewel', 'spine', 'ring'])
  })
  test('unknown is not a light of its own', () => {
    const s = cinder()
    expect(['jewel', 'spine', 'ring'].map((n) => lamp(s, n).own)).toEqual([false, undefined, true])
  })
  test('one count: what is counted, else what its part has, else the blade that it is', () => {
    const s = reed()
    const strip = { id: 'st', kind: 'strip' as const, name: 'strip', specs: { leds: fact(6, '×', 'datasheet') } }
    s.parts.push(strip)
    const z: Zone = {
      ...{ id: 'z', name: 'z', kind: 'chassis', part: 'st', leds: fact(null, '×') },
      ...{ channelCurrent: fact(8, 'mA'), idleCurrent: fact(1, 'mA') },
    }
    expect(ledsOf(s, z)).toMatchObject({ ok: true, value: 6 })
    expect(ledsOf(s, { ...z, leds: fact(7, '×') })).toMatchObject({ ok: true, value: 7 })
    const { part: _p, ...bare } = z
    const blade = ledsOf(s, { ...bare, blade: s.blades[0]!.id })
    // 920 mm less its seat, at 144 a metre, in two strips.
    const [b, seat] = [s.blades[0]!, s.hilt.sockets.find((k) => k.id === s.blades[0]!.socket)!.depth.value!]
    expect(blade).toMatchObject({ value: Math.floor(((920 - seat) * b.density.value!) / 1000) * b.strips.value! })
    expect(ledsOf(s, bare as Zone).ok).toBe(false)
  })
  test('what follows shows what its leader shows, however far; a ring shows nothing; one of its own shows its own', () => {
    const s = cinder()
    const [p, , , tide] = s.presets as [Preset, Preset, Preset, Preset]
    expect(setTo(s, p, lamp(s, 'jewel'))).toBe('#20c840')
    expect(setTo(s, tide, lamp(s, 'jewel'), 'clash')).toBe('#ffffff')
    expect(setTo(s, p, lamp(s, 'spine'))).toBeUndefined()
    expect(setTo(s, s.presets[1]!, lamp(s, 'ring'))).toBe('#fff0d0')
    s.zones.find((z) => z.id === 'co-z2')!.follows = 'co-z1'
    expect(setTo(s, p, lamp(s, 'spine'))).toBe('#20c840')
    s.zones.find((z) => z.id === 'co-z1')!.follows = 'co-z2'
    expect(setTo(s, p, lamp(s, 'spine'))).toBeUndefined()
  })
  test('a light behind a tinted window is seen through it; a jewel before it counts first', () => {
    const s = cinder()
    const jewel = s.zones.find((z) => z.id === 'co-z1')!
    s.hilt.openings[0]!.tint = '#208020'
    jewel.behind = s.hilt.openings[0]!.id
    expect(lamp(s, 'jewel').tint).toEqual({ what: 'the garnet', colour: '#b00018' })
    delete jewel.through
    expect(lamp(s, 'jewel').tint).toEqual({ what: s.hilt.openings[0]!.name, colour: '#208020' })
  })
})

describe('current by the dies', () => {
  test('by hand: red, green, blue and white at the duty of each; unsaid, by sRGB as before', () => {
    const s = cinder()
    const ring = s.zones.find((z) => z.id === 'co-z3')!
    const white = zoneCurrent(s, ring, '#ffffff')
    // One white die in place of three: a third of the light current, near enough, and the idle of four LEDs.
    const [idle, channel] = [4 * 0.5, 4 * 8]
    expect(white.ok && white.value * 1000).toBeGreaterThan(idle + channel)
    expect(white.ok && white.value * 1000).toBeLessThan(idle + channel * 1.4)
    delete ring.dies
    expect(zoneCurrent(s, ring, '#ffffff')).toMatchObject({ value: (idle + 3 * channel) / 1000 })
    const b = s.blades[0]!
    const before = bladeCurrent(s, b, '#ff9020')
    b.dies = ['red', 'green', 'blue']
    const after = bladeCurrent(s, b, '#ff9020')
    if (!before.ok || !after.ok) throw new Error('both are known')
    expect(after.value).not.toBe(before.value)
    // The two models differ by the primaries, not by orders.
    expect(after.value / before.value).toBeGreaterThan(0.6)
    expect(after.value / before.value).toBeLessThan(1.5)
  })
})

describe('current of a look', () => {
  test('a light with a colour of its own draws by that, the others with the blade', () => {
    const s = cinder()
    const oath = s.presets[1]!
    const ring = s.zones.find((z) => z.id === 'co-z3')!
    const [whole, plain] = [litCurrent(s, '#1fc33c', oath), litCurrent(s, '#1fc33c')]
    const [own, as] = [zoneCurrent(s, ring, '#fff0d0'), zoneCurrent(s, ring, '#1fc33c')]
    if (!whole.ok || !plain.ok || !own.ok || !as.ok) throw new Error('all are known')
    expect(whole.value - plain.value).toBeCloseTo(own.value - as.value, 12)
    const load = loadsOf(s).find((l) => l.preset.id === oath.id && l.look === 'steady')!
    expect(load.current).toEqual(whole)
  })
})

describe('who follows whom', () => {
  test('one that would follow itself is found, near and far', () => {
    const s = cinder()
    const [blade, jewel, spine] = s.zones as [Zone, Zone, Zone]
    spine.follows = jewel.id
    expect(wouldRing(s, jewel, spine)).toBe(true)
    expect(wouldRing(s, blade, spine)).toBe(true)
    expect(wouldRing(s, spine, spine)).toBe(true)
    expect(wouldRing(s, spine, blade)).toBe(false)
    // One that shines by itself follows nobody, whatever stands beside it.
    spine.shines = stated('byItself', 'measured')
    expect(wouldRing(s, jewel, spine)).toBe(false)
  })
})

describe('preset by event', () => {
  test('every state, and no cell that says nothing', () => {
    const rows = lightSheet(cinder())
    const cells = rows.flatMap((r) => [r.shines, ...Object.values(r.events), ...Object.values(r.lights)])
    expect(rows[0]!.events).toHaveProperty('preIgnition')
    expect(Object.keys(rows[0]!.events)).toEqual([...LIGHT_EVENTS])
    for (const c of cells)
      expect(c.is !== 'set' || c.colour || c.moves || (c as { follows?: string }).follows !== undefined).toBeTruthy()
    expect(new Set(cells.map((c) => c.is))).toEqual(
      new Set(['set', 'boardDefault', 'notThere', 'varies', 'notRecorded']),
    )
    const tide = rows.find((r) => r.preset.name === 'Low tide')!
    expect(tide.events.lock).toEqual({ is: 'notThere' })
    expect(rows.find((r) => r.preset.name === 'Oath')!.events.lock).toEqual({ is: 'notRecorded', silent: true })
    expect(rows[0]!.lights['co-z1']).toEqual({ is: 'set', follows: 'the blade' })
  })
  test('what no control calls up is not there, unless it is said to be', () => {
    const s = cinder()
    s.controls = s.controls.filter((r) => r.does !== 'lock')
    expect(lightSheet(s)[0]!.events.lock).toMatchObject({ is: 'notThere', unreached: true })
    expect(lightSheet(s)[2]!.events.lock).toMatchObject({ is: 'set', unreached: true })
    // These come with the blade and with a blow.
    for (const e of ['ignite', 'retract', 'clash'] as const)
      expect(lightSheet(s)[0]!.events[e].unreached).toBeUndefined()
  })
})

describe('events against their base', () => {
  test('pixels show the event in place of the base; dies under one tube show the sum', () => {
    const s = reed()
    const p = s.presets[0]!
    p.colour = stated('#ff0000', 'configured')
    p.effects = { clash: { colour: stated('#00ffff', 'configured') } }
    const on = () => eventsOn(s, p, lampsOf(s)[0]!, ['clash'])[0]!
    expect(on()).toMatchObject({ mixed: false, seen: '#00ffff', baseSeen: '#ff0000' })
    s.blades[0]!.kind = 'inHilt'
    const sum = on()
    expect(sum.mixed).toBe(true)
    // Red and cyan make white.
    expect(Math.min(...duties(sum.seen))).toBeGreaterThan(0.9)
  })
})

describe('what flashes', () => {
  test('what is counted, what moves, in events and in other lights, each with its red', () => {
    const s = cinder()
    const lock = flashingOf(s, s.presets[2]!)
    expect(lock.map((f) => [f.event, f.hz, f.red])).toEqual([
      [undefined, 1.2, true],
      ['lock', 7, false],
    ])
    expect(flashingOf(s, s.presets[1]!)).toMatchObject([{ light: 'ring', counted: false }])
    s.presets[0]!.flickerHz = fact(6, 'Hz')
    expect(flashingOf(s, s.presets[0]!)).toMatchObject([{ hz: 6, counted: true, red: false }])
    s.presets[0]!.flickerHz = fact(0, 'Hz')
    expect(flashingOf(s, s.presets[0]!)).toEqual([])
    // What is not there does not flash.
    s.presets[2]!.effects!.lock!.is = 'notThere'
    expect(flashingOf(s, s.presets[2]!)).toHaveLength(1)
  })
  test('on a screen it is slowed to the threshold', () => {
    const s = cinder()
    expect(lookOf(s, s.presets[2]!, undefined).slowed).toBeCloseTo(FLASH_LIMIT_HZ / 7, 9)
    expect(lookOf(s, s.presets[3]!, undefined)).not.toHaveProperty('slowed')
    // Where only an event of it flashes, that is slowed as well.
    delete s.presets[2]!.moves
    expect(lookOf(s, s.presets[2]!, undefined).slowed).toBeCloseTo(FLASH_LIMIT_HZ / 7, 9)
    expect(lookOf(s, s.presets[0]!, undefined)).not.toHaveProperty('moves')
  })
})

describe('what a look takes', () => {
  test('length by the lit tube, tip, plug, a blade of its own', () => {
    const s = cinder()
    const [b] = s.blades
    const p = { ...s.presets[0]! }
    expect(unmetOn(s, p, b!)).toEqual([])
    expect(unmetOn(s, { ...p, needsLength: fact(766, 'mm') }, b!)).toEqual([])
    expect(unmetOn(s, { ...p, needsLength: fact(767, 'mm') }, b!)).toEqual(['length'])
    expect(unmetOn(s, { ...p, needsTip: true, needsPlug: true, needs: 'other' }, b!)).toEqual(['blade', 'tip', 'plug'])
    expect(unmetOn(s, { ...p, needsTip: true }, { ...b!, litTip: true })).toEqual([])
    expect(unmetOn(s, { ...p, needsLength: fact(1, 'mm') }, { ...b!, length: fact(null, 'mm') })).toEqual(['length'])
  })
  test('looks are counted one by one', () => {
    const s = cinder()
    s.blades.push({ ...structuredClone(s.blades[0]!), id: 'short', length: fact(500, 'mm') })
    s.blades.push({ ...structuredClone(s.blades[0]!), id: 'bench', use: 'demo' })
    expect(lookCount(s)).toEqual({ presets: 6, blades: 2, all: 12, whole: 11 })
    s.presets = []
    expect(lookCount(s)).toEqual({ presets: 0, blades: 2, all: 0, whole: 0 })
  })
})

describe('in another order', () => {
  test('the same presets, each once; the gauge last; what is alike stays as it stood', () => {
    const s = cinder()
    for (const by of PRESET_ORDERS) {
      const next = orderedBy(s.presets, by)
      expect(idsUnique(next)).toEqual(idsUnique(s.presets))
      expect(next.at(-1)!.name).toBe('How full')
      expect(orderedBy(next, by)).toEqual(next)
    }
    expect(orderedBy(s.presets, 'favourites')[0]!.name).toBe('Collier’s lamp')
    expect(orderedBy(s.presets, 'colour').map((p) => p.name)).toEqual([
      'Collier’s lamp',
      'Oath',
      'Old and well kept',
      'Low tide',
      'Deep water',
      'How full',
    ])
  })
  test('on any presets', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...all()), { maxLength: 20 }),
        fc.constantFrom(...PRESET_ORDERS),
        (list, by) => {
          const next = orderedBy(list, by)
          expect(next).toHaveLength(list.length)
          expect(orderedBy(next, by)).toEqual(next)
        },
      ),
    )
  })
})
