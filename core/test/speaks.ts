import { fact, stated } from '@nubrin/core/facts'
import type { Level } from '@nubrin/core/judge'
import { restedOn } from '@nubrin/core/proof'
import { beatMark, type Commission, type Die, type FittedPart, type Saber } from '@nubrin/core/record'
import { toldNow } from '@nubrin/core/script'

const file = (path: string, n: string) => ({ path, bytes: 1, sum: n.repeat(64) })
/** A card as it was written, and as it was read a day later. */
const card = (written: ReturnType<typeof file>[], read: ReturnType<typeof file>[]): Saber['cards'][number] => ({
  ...{ id: 'k', name: 'card', is: 'shipped', edits: [], copiedOn: '2026-11-20' },
  readings: [
    { id: 'k-w', was: 'written', on: '2026-11-20', files: written, unreadable: [] },
    { id: 'k-r', was: 'read', on: '2026-11-21', files: read, unreadable: [] },
  ],
})
type Mutation = (s: Saber, c: Commission) => unknown
const part = (s: Saber, kind: string) => s.parts.find((p) => p.kind === kind)!
const mm = (v: number, tol?: number) => fact(v, 'mm', 'measured', tol === undefined ? {} : { tol })
/** Its cell is charged in a bay of 1 A, and in no other way. */
const chargedInBay = (s: Saber) => {
  s.parts = s.parts.filter((p) => p.kind !== 'charger' && p.kind !== 'chargePort')
  s.parts.push({ id: 'bay', kind: 'charger', name: 'the bay', specs: { chargeCurrent: fact(1, 'A') } })
}
/** Charged by a port that ends at so much, V. */
const chargesTo = (s: Saber, volts: number) => {
  part(s, 'cell').specs.fullVolts = fact(4.2, 'V')
  s.parts = s.parts.filter((p) => p.kind !== 'charger')
  s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: { chargeVolts: fact(volts, 'V') } })
}
/** Two cells in series, charged by a port. */
const inSeries = (s: Saber, more: Partial<FittedPart>) => {
  chargesTo(s, 8.4)
  s.parts.push({ ...structuredClone(part(s, 'cell')), id: 'second' })
  for (const p of s.parts) if (p.kind === 'cell') p.wiring = 'series'
  Object.assign(part(s, 'chargePort'), more)
}
const die = (name: string, vf: number, mA: number): Die => ({
  ...{ id: `die-${name}`, name, colour: stated('#ffffff', 'datasheet') },
  ...{ forwardVolts: fact(vf, 'V'), current: fact(mA, 'mA') },
})
/** An in-hilt module, with a resistor of so many ohms. */
const lamp = (s: Saber, led: Partial<FittedPart>, ohms?: number) => {
  part(s, 'cell').specs.fullVolts = fact(4.2, 'V')
  s.parts.push({ id: 'lamp', kind: 'inHiltLed', name: 'lamp', specs: {}, ...led })
  if (ohms !== undefined) s.parts.push({ id: 'res', kind: 'resistor', name: 'res', specs: { ohms: fact(ohms, 'Ω') } })
}
const keyed = (s: Saber, does?: Saber['keyDoes']) => {
  s.parts = s.parts.filter((p) => p.kind !== 'killSwitch')
  s.parts.push({ id: 'key', kind: 'killKey', name: 'the key', specs: {} })
  s.cutPower = 'killKey'
  if (does) s.keyDoes = does
}
/** Each way a check speaks, with the figures worked by hand. */
type Way = [check: string, what: string, change: Mutation, level: Level, title: RegExp, detail: RegExp]
export const SPEAKS: Way[] = [
  [
    'overRating',
    'a flash of white',
    (s) => {
      s.use.brightness = fact(100, '%', 'configured')
      for (const p of s.presets)
        Object.assign(p, {
          colour: stated('#00ff00', 'configured'),
          effects: { clash: { colour: stated('#ffffff', 'configured') } },
        })
    },
    'caution',
    /for a flash, rated/,
    /in clash of Reed at dawn/,
  ],
  [
    'zones',
    'it follows, and nobody says what',
    (s) => {
      const z = s.zones.find((x) => x.follows)!
      delete z.follows
    },
    'caution',
    /follows another light, and nobody says which/,
    /its colour is not known/,
  ],
  [
    'lostEffect',
    'the sum under one tube',
    (s) => {
      s.blades[0]!.kind = 'inHilt'
      Object.assign(s.presets[0]!, {
        colour: stated('#ff0000', 'configured'),
        effects: { clash: { colour: stated('#00ffff', 'configured') } },
      })
    },
    'caution',
    /the teal clash will look white/,
    /added to the base/,
  ],
  [
    'unmetLook',
    'one of two blades is too short for it',
    (s) => {
      s.blades.push({ ...structuredClone(s.blades[0]!), id: 'short', name: 'short blade', length: mm(500) })
      s.presets[0]!.needsLength = mm(700)
    },
    'note',
    /short blade shows a part of it/,
    /takes a longer lit blade/,
  ],
  [
    'cardContents',
    'a font that is not on it',
    (s) => {
      s.fonts[0]!.sounds[0]!.media = 'ab'.repeat(32)
      s.cards.push(card([], []))
    },
    'caution',
    /Reed at dawn has no font there/,
    /None of the sounds of Still Water/,
  ],
  [
    'cardContents',
    'it came back otherwise',
    (s) => void s.cards.push(card([file('a.wav', '1'), file('b.wav', '2')], [file('a.wav', '3'), file('c.wav', '4')])),
    'caution',
    /is not as it was written/,
    /1 file changed, 1 file added, 1 file gone/,
  ],
  [
    'unusual',
    'a hold of eight minutes',
    (s) => void (s.controls.find((r) => r.hold)!.hold = fact(500, 's')),
    'caution',
    /: hold 500 s$/,
    /^Usually from 0\.1 to 20 s\.$/,
  ],
  [
    'unusual',
    'a strip with one pixel and a half a metre',
    (s) => void (s.blades.find((b) => b.density)!.density = fact(1.44, '1/m')),
    'caution',
    /density 1\.44/,
    /^Usually from 20 to 400/,
  ],
  [
    'unusual',
    'an 18650 of 59 mm',
    (s) => {
      Object.assign(part(s, 'cell'), { protected: false })
      Object.assign(part(s, 'cell').specs, { diameter: mm(18.4), length: mm(59) })
    },
    'caution',
    /: 59 mm long at 18\.4 mm$/,
    /^A cell of this diameter is 34 to 37\.5, or 49 to 52\.5, or 64 to 67\.5 mm long\.$/,
  ],
  [
    'unusual',
    'a protected cell that is no longer than a bare one',
    (s) => {
      Object.assign(part(s, 'cell'), { protected: true })
      Object.assign(part(s, 'cell').specs, { diameter: mm(18.6), length: mm(65) })
    },
    'caution',
    /: 65 mm long at 18\.6 mm$/,
    /^A protected cell of this diameter is .*66 to 72 mm long\.$/,
  ],
  [
    'duel',
    'an order for duelling of what is not made for something',
    (s, c) => {
      c.purpose = 'duelling'
      s.notFor = [{ id: 'nf', what: 'blows on the guard', why: 'the claws are thin' }]
    },
    'caution',
    /^Ordered for duelling: is contact among what .+ is not made for\?$/,
    /^Not made for: blows on the guard\.$/,
  ],
  [
    'loudVolume',
    'a volume that nobody hears',
    (s) => void (s.use.volume = fact(4, '%')),
    'caution',
    /^Volume 4 is hardly heard$/,
    /recorded as 4 %/,
  ],
  [
    'loudVolume',
    'a saber that is shipped silent',
    (s) => void (s.use.volume = fact(0, '%')),
    'caution',
    /^It is shipped silent$/,
    /recorded as 0 %/,
  ],
  [
    'untested',
    'a volume that passed within wide limits, and is not the one that was promised',
    (s) => {
      s.use.volume = fact(60, '%')
      s.tests = s.tests.filter((t) => t.key !== 'volume')
      s.tests.push({
        ...{ id: 'vol', key: 'volume', what: 'Volume as shipped', unit: '%', min: 1, max: 100 },
        readings: [{ id: 'vol-1', at: '2026-11-20T10:00:00Z', by: 'Osk', value: 50.5, pass: true }],
      })
    },
    'stop',
    /^Passed, but out of limits: Volume as shipped$/,
    /^50\.5 % was read; .* allow 59 to 61 %\.$/,
  ],
  [
    'fittedResistor',
    'one that lets five times as much through an in-hilt LED as it takes',
    (s) => {
      part(s, 'cell').specs.fullVolts = fact(4.2, 'V')
      s.parts.push(
        {
          ...{ id: 'led', kind: 'inHiltLed', name: 'the amber LED' },
          specs: { forwardVolts: fact(2.2, 'V'), channelCurrent: fact(1000, 'mA'), dies: fact(1, '×') },
        },
        { id: 'res', kind: 'resistor', name: 'the shunt', specs: { ohms: fact(0.4, 'Ω') } },
      )
    },
    'stop',
    /^the shunt: 0\.4 Ω lets too much through$/,
    /^With a full cell 5 times what the amber LED takes\. Wanted: .*the amber LED 2 Ω/,
  ],
  [
    'fittedResistor',
    'one that leaves an LED dark',
    (s) =>
      void s.parts.push(
        {
          ...{ id: 'led', kind: 'accentLed', name: 'the lamp' },
          specs: { forwardVolts: fact(2, 'V'), channelCurrent: fact(20, 'mA') },
        },
        { id: 'res', kind: 'resistor', name: 'the shunt', specs: { ohms: fact(1000, 'Ω') } },
      ),
    'caution',
    /^the shunt: 1000 Ω suits none of the LEDs$/,
    /the lamp 110 Ω/,
  ],
  [
    'chargeCurrent',
    'a cell of its own charger, weak as it is',
    (s) => {
      part(s, 'cell').specs.chargeCurrent = fact(0.325, 'A')
      chargedInBay(s)
    },
    'stop',
    /^the bay gives .+ more than it takes$/,
    /^1 A reach a cell that takes 0\.33 A/,
  ],
  [
    'chargeCurrent',
    'a cell whose limit nobody wrote down, in less than an hour',
    (s) => {
      delete part(s, 'cell').specs.chargeCurrent
      part(s, 'cell').specs.capacity = fact(650, 'mAh')
      chargedInBay(s)
    },
    'caution',
    /is charged in less than an hour$/,
    /^1 A from the bay on 650 mAh/,
  ],
  [
    'workLoop',
    'two that wait for each other',
    (_s, c) => {
      delete c.shipped
      c.toDos.push(
        { id: 'wl-a', text: 'grease the thread', who: 'shop', done: false, after: ['toDo:wl-b'] },
        { id: 'wl-b', text: 'polish the plug', who: 'shop', done: false, after: ['toDo:wl-a'] },
      )
    },
    'caution',
    /^Work waits for itself in a circle$/,
    /^“polish the plug” waits for “grease the thread” waits for “polish the plug”\.$/,
  ],
  [
    'loggedHours',
    'a clock that ran over night',
    (_s, c) =>
      void c.log.push({ id: 'lh', on: '2026-11-20', text: '', kind: 'work', by: 'Maren', work: 'wire', hours: 17.5 }),
    'caution',
    /^17\.5 hours on 20 Nov by Maren$/,
    /^More than 16 hours in one day/,
  ],
  [
    'uncredited',
    'who logged work',
    (_s, c) => void c.log.push({ id: 'x-log', on: '2026-11-20', text: 'turned it', kind: 'work', by: 'Hob ' }),
    'caution',
    /^Hob {2}worked on it and is not named$/,
    /^turned it/,
  ],
  [
    'uncredited',
    'who made a part again',
    (s) =>
      void s.losses.push({
        ...{ id: 'x-loss', on: '2026-11-20', what: 'the window', how: 'remade', cause: 'cracked', maker: 'Hob' },
        toldOn: '2026-11-21',
      }),
    'caution',
    /^Hob worked on it and is not named$/,
    /^the window/,
  ],
  [
    'stale',
    'as sure what is only about',
    (s) => {
      const cell = part(s, 'cell')
      cell.specs.length = fact(70, 'mm', 'recalled')
      const b = s.beats[1]!
      Object.assign(b, { by: 'edited', show: `part:${cell.id}`, say: 'The cell is 70 mm long.' })
    },
    'note',
    /^Said as sure: 70 mm$/,
    /only as “about”/,
  ],
  ['unmeasured', 'no section at all', (s) => void (s.hilt.sections = []), 'caution', /^No hilt yet$/, /empty/],
  [
    'boreWall',
    'a thin wall',
    (s) => void (s.hilt.sections[1]!.bore = mm(34.8)),
    'caution',
    /^grip: thin wall$/,
    /^\(36 − 34\.8\)\/2 = 0\.6 mm of aluminium\.$/,
  ],
  [
    'oddSize',
    'a thread written without its sign',
    (s) => void (s.hilt.fasteners[0]!.thread = '632'),
    'caution',
    /^upper blade screw: thread 632\?$/,
    /^Nearest standard: #6-32\.$/,
  ],
  [
    'oddSize',
    'a thread of no table',
    (s) => void (s.hilt.fasteners[0]!.thread = 'hex nine'),
    'caution',
    /thread hex nine\?$/,
    /^Not a thread/,
  ],
  ...(['believed', 'assumed'] as const).map(
    (source): Way => [
      'recalled',
      `a length that is only ${source}`,
      (s) => void Object.assign(s.hilt.sections[1]!.length, { value: 140, source }),
      'caution',
      new RegExp(`^grip: only ${source}$`),
      /^length about 140 mm\. /,
    ],
  ),
  [
    'bladeHeld',
    'held by a screw that must not be touched',
    (s) => void (s.hilt.fasteners[0]!.clientMay = 'never'),
    'stop',
    /^upper blade screw holds the blade, yet is not to be touched$/,
    /loosen/,
  ],
  [
    // 255 − 46 − 3 of cavity less 143.9 in line leaves 62.1.
    'slack',
    'closes only when the tolerances are kind',
    (s) => void (s.hilt.sections[0]!.length.tol = 70),
    'caution',
    /^Slack 62\.1 mm, worst case −9\.\d+ mm$/,
    /^Tolerances add up to ±7\d(\.\d+)? mm/,
  ],
  [
    // 25.4 in 25.2: 0.2 + 0.12 of air to come, half of it per side.
    'socketFit',
    'a tube too thick',
    (s) => void (s.hilt.sockets[0]!.bore = mm(25.2)),
    'stop',
    /will not enter$/,
    /25\.2/,
  ],
  ['socketFit', 'a tube far too thin', (s) => void (s.hilt.sockets[0]!.bore = mm(27)), 'stop', /wrong size/, /27/],
  [
    // 0.3 of clearance over (920 − 46) ÷ 46: 5.7 at the tip.
    'socketFit',
    'a loose tube',
    (s) => void (s.hilt.sockets[0]!.bore = mm(25.7)),
    'caution',
    /sits loose$/,
    /The tip moves by 5\.7 mm/,
  ],
  ['socketFit', 'a tight tube', (s) => void (s.hilt.sockets[0]!.bore = mm(25.43)), 'caution', /is tight$/, /25\.43/],
  [
    'specs',
    'a capacity ten times too large',
    (s) => void (part(s, 'cell').specs.capacity = fact(300_000, 'mAh')),
    'caution',
    /^Cell 18650, protected, 15 A: capacity\?$/,
    /^capacity 300000 mAh; usual/,
  ],
  [
    'packVolts',
    'a string that the cell cannot light',
    (s) => Object.assign(s.blades[0]!, { kind: 'string', forwardVolts: fact(5, 'V') }),
    'stop',
    /^blade, 92 cm stays dark$/,
    /^A group drops 5 V, the pack gives 3\.6 V\.$/,
  ],
  [
    'packVolts',
    'a string that fades early',
    (s) => Object.assign(s.blades[0]!, { kind: 'string', forwardVolts: fact(3.2, 'V') }),
    'note',
    /fades before the cell is empty$/,
    /^A group drops 3\.2 V; at the cut-off the pack gives 3 V\.$/,
  ],
  [
    // 3000 mAh ÷ 10 mA: 300 hours.
    'standby',
    'a drawer that empties it, with nothing to cut the power',
    (s) => {
      part(s, 'board').specs.sleepCurrent = fact(10, 'mA')
      s.parts = s.parts.filter((p) => p.kind !== 'killSwitch')
      part(s, 'cell').removable = false
      s.cutPower = 'none'
    },
    'caution',
    /^Asleep in a drawer: empty in 1[0-3] days$/,
    /^Nothing cuts the power\.$/,
  ],
  [
    'cutOff',
    'a key that is named but not fitted',
    (s) => void (s.cutPower = 'killKey'),
    'caution',
    /^No kill key is fitted$/,
    /^The record cuts power by/,
  ],
  [
    // The middle of 26.4 from 175 is 188.2; the window's is 183.
    'displayWindow',
    'a display beside the middle of its window',
    (s) => void (part(s, 'display').at = mm(175)),
    'caution',
    /sits 5\.2 mm off its window$/,
    /^Window at 183, display at 188\.2\.$/,
  ],
  [
    'openRequest',
    'a wish declined without a word to the client',
    (_s, c) => void delete c.requests[3]!.toldOn,
    'caution',
    /^The client was not told: wish declined$/,
    /No visible screws/,
  ],
  [
    'openRequest',
    'a wish met nobody knows where',
    (_s, c) => void delete c.requests[0]!.where,
    'note',
    /^A wish is met, but where\?$/,
    /crystal/,
  ],
  ...(
    [
      ['2026-11-23', 'caution', /^1 day past its date$/],
      ['2026-11-20', 'caution', /^4 days past its date$/],
      ['2026-11-24', 'note', /^Ships today$/],
      ['2026-11-25', 'note', /^Ships in 1 day$/],
    ] as const
  ).map(([day, level, title]): (typeof SPEAKS)[number] => [
    'deadline',
    `promised for ${day}`,
    (_s, c) => {
      delete c.shipped
      c.deadline = day
    },
    level,
    title,
    new RegExp(`^Promised for ${Number(day.slice(-2))} Nov\\.$`),
  ]),
  [
    'screwPlace',
    'a screw before the pommel',
    (s) => void (s.hilt.fasteners[0]!.at = mm(-3)),
    'stop',
    /is not on the hilt$/,
    /^It is at −3 mm; the hilt is /,
  ],
  [
    'screwPlace',
    'two screws in one place',
    (s) => {
      const [a, b] = s.hilt.fasteners
      Object.assign(b!, { at: a!.at, clock: a!.clock })
    },
    'stop',
    /are in one place$/,
    /cut into each other/,
  ],
  [
    'screwPlace',
    'a screw in a window',
    (s) => {
      const o = s.hilt.openings.find((x) => x.face !== 'rear' && x.kind !== 'screwHole')!
      Object.assign(s.hilt.fasteners[0]!, { at: o.at, clock: o.clock })
    },
    'stop',
    / stands in /,
    /no thread holds/,
  ],
  [
    'chargeEnd',
    'a charger of other cells',
    (s) => chargesTo(s, 3.65),
    'stop',
    /ends at 3\.65 V; these cells are full at 4\.2 V$/,
    /made for other cells/,
  ],
  [
    'chargeEnd',
    'a gentle end',
    (s) => chargesTo(s, 4.1),
    'note',
    /ends at 4\.1 V, a little before full$/,
    /easy on the cell/,
  ],
  [
    'chargeEnd',
    'two in series without a balance',
    (s) => inSeries(s, { balances: false }),
    'stop',
    /does not keep 2 cells in series level$/,
    /charged too far/,
  ],
  [
    'chargeEnd',
    'two in series of which nobody said',
    (s) => inSeries(s, {}),
    'caution',
    /^Does port keep 2 cells in series level\?$/,
    /charged too far/,
  ],
  [
    'chargeEnd',
    'a charge without end',
    (s) => inSeries(s, { balances: true, endsCharge: false }),
    'stop',
    /^port does not end its charge$/,
    /can burn/,
  ],
  [
    'dies',
    'red and blue on one resistor',
    (s) => lamp(s, { through: 'res', dies: [die('red', 2.1, 350), die('blue', 3.3, 350)] }, 10),
    'stop',
    /^lamp: unlike dies side by side on one resistor$/,
    /^red 2\.1 V; blue 3\.3 V\./,
  ],
  [
    // (4.2 − 3.3) V ÷ 0.2 Ω.
    'dies',
    'a fifth of an ohm before one ampere',
    (s) => lamp(s, { through: 'res', dies: [die('blue', 3.3, 1000)] }, 0.2),
    'stop',
    /^blue: 4\.5 A, rated 1 A$/,
    /behind 0\.2 Ω\.$/,
  ],
  [
    'dies',
    'two in series that want more than there is',
    (s) => lamp(s, { through: 'res', joined: 'series', dies: [die('one', 3.3, 350), die('two', 3.3, 350)] }, 1),
    'stop',
    /^lamp stays dark$/,
    /need 6\.6 V; a full pack has 4\.2 V\.$/,
  ],
  [
    'dies',
    'more heat than the sink carries off',
    (s) => {
      lamp(s, { fed: 'driver', dies: [die('white', 3, 1000)] })
      s.parts.push({ id: 'sink', kind: 'heatsink', name: 'sink', specs: { ratedWatts: fact(2, 'W') } })
    },
    'stop',
    /^lamp: 3 W of heat, 2 W carried off$/,
    /^By sink\./,
  ],
  [
    'dies',
    'heat that goes nowhere',
    (s) => lamp(s, { fed: 'driver', dies: [die('white', 3, 1000)] }),
    'caution',
    /^lamp: where does its heat go\?$/,
    /^3 W with every die on/,
  ],
  [
    'cutOff',
    'a key of which nobody said what it does',
    (s) => keyed(s),
    'caution',
    /^the key: does it cut the power in, out or turned\?$/,
    /not recorded/,
  ],
  [
    'cutOff',
    'a key that changes nothing',
    (s) => keyed(s, { out: 'closed', in: 'closed' }),
    'stop',
    /^the key cuts nothing$/,
    /closed wherever the key is/,
  ],
  [
    'boardSpace',
    'a tap behind a hold that has led elsewhere',
    (s) => {
      const off = s.controls.find((r) => r.does === 'retract' && r.gesture === 'hold')!
      Object.assign(off, { hold: fact(0.6, 's'), release: 'reached' })
      const other = s.inputs.find((i) => i.id !== off.input)!.id
      s.controls.push({
        id: 'hx',
        mode: off.mode,
        pose: 'any',
        input: off.input,
        other,
        gesture: 'holdThenTap',
        hold: fact(0.5, 's'),
        does: 'track',
        status: 'configured',
      })
    },
    'stop',
    /^“play a track” cannot be made$/,
    /^Held for 600 ms,/,
  ],
  [
    'boardSpace',
    'a chord in an order beside the same in none',
    (s) => {
      const [a, b] = s.inputs
      const row = {
        mode: s.modes.find((m) => m.is === 'lit')!.id,
        pose: 'any',
        gesture: 'chord',
        status: 'configured',
      } as const
      s.controls.push(
        { ...row, id: 'ca', input: b!.id, other: a!.id, ordered: true, does: 'lock' },
        { ...row, id: 'cb', input: a!.id, other: b!.id, does: 'surge' },
      )
    },
    'stop',
    /^“lock” and “surge” are one chord$/,
    /same two buttons/,
  ],
  [
    'boardSpace',
    'two taps within a twentieth of a second',
    (s) => {
      s.timing.tapGap = fact(0.05, 's')
      s.controls.find((r) => r.gesture === 'tap')!.times = 2
    },
    'caution',
    /^No hand taps again within 50 ms$/,
    /^It is asked for by/,
  ],
  [
    'boardSpace',
    'a row of one preset where only another leads',
    (s) => {
      const off = s.modes.find((m) => m.is === 'off')!.id
      const [p, q] = s.presets
      const base = { pose: 'any', gesture: 'tap', status: 'configured', input: s.inputs[0]!.id } as const
      s.modes = [...s.modes.filter((m) => m.is === 'off' || m.is === 'lit'), { id: 'far', name: 'far', is: 'muted' }]
      s.controls = [
        { ...base, id: 'go', mode: off, does: 'mute', to: 'far', presets: [p!.id] },
        { ...base, id: 'back', mode: 'far', gesture: 'hold', hold: fact(1, 's'), does: 'unmute', to: off },
        { ...base, id: 'only', mode: 'far', does: 'quote', presets: [q!.id] },
        { ...base, id: 'next', mode: off, times: 2, does: 'nextPreset' },
      ]
    },
    'caution',
    /^“play a quote” is never reached in its preset$/,
    /nothing leads to its mode there/,
  ],
  [
    'poles',
    'a cell pushed in with the wrong pole first',
    (s) => {
      s.parts = [{ ...part(s, 'cell'), faces: stated('emitter', 'measured'), leads: stated('minus', 'measured') }]
      s.hilt.sockets = []
      s.blades = []
      for (const x of s.hilt.sections.slice(1)) x.joint = { kind: 'glue' }
    },
    'stop',
    /: minus first would lie the wrong way round$/,
    /^It goes in at the pommel end, and its plus pole faces the emitter\.$/,
  ],
  [
    'untested',
    'another speaker since the test of the volume',
    (s) => {
      const t = s.tests.find((x) => x.key === 'volume')!
      t.readings.at(-1)!.rested = restedOn(s, t)
      part(s, 'speaker').specs.impedance = fact(6, 'Ω')
    },
    'stop',
    /^Test again: /,
    /^Changed since its last reading: Speaker/,
  ],
  [
    'stale',
    'a film of a beat that says something else by now',
    (s) => {
      const b = s.beats[1]!
      s.takes = [{ id: 'take', at: '2026-11-20T10:00:00Z', marks: [{ beat: b.id, atMs: 0, was: beatMark(s, b) }] }]
      b.seconds = 9
      b.by = 'own'
      b.say = 'Other words.'
    },
    'caution',
    /^The film of 2026-11-20 is out of date$/,
    /^beat 2, “Other words\.”$/,
  ],
  [
    'afterwards',
    'a record issued before a control changed',
    (s, c) => {
      c.handoff.issued.at(-1)!.told = toldNow(c)
      s.controls.find((r) => r.hold)!.hold = fact(3, 's', 'configured')
    },
    'caution',
    /^Handoff 1 is out of date$/,
    /^Changed: /,
  ],
]
