import { lookThrough } from '@nubrin/core/access'
import { usualModes } from '@nubrin/core/controls'
import { fact, stated } from '@nubrin/core/facts'
import { layoutFacts } from '@nubrin/core/fit'
import { proposeTests } from '@nubrin/core/proof'
import { blankCommission, blankSaber, type Commission, type ControlRow, type Saber } from '@nubrin/core/record'
import { compose } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import {
  at,
  day,
  deg,
  font,
  mm,
  modesFor,
  opening,
  part,
  pixelBlade,
  preset,
  row,
  screw,
  section,
  socket,
  tested,
  told,
  val,
  went,
} from './build'

export const SHOP = {
  ...{ name: 'Hollowmere Hiltworks', maker: 'Maren', second: 'Osk' },
  terms: { currency: 'EUR', hourRate: 48, margin: 25 },
}

function commission(
  id: string,
  title: string,
  more: Partial<Commission> & Pick<Commission, 'client' | 'sabers'>,
): Commission {
  const start = { title, client: more.client.name, job: 'install', purpose: 'display' } as const
  return { ...blankCommission(() => id, start), ...more }
}

const grams = (v: number) => fact(v, 'g', 'measured', { with: 'scale' })

/** A control in the volume menu of the finished saber. */
const volume = (
  id: string,
  input: string,
  gesture: 'tap' | 'hold',
  does: ControlRow['does'],
  more: Parameters<typeof row>[5],
) => row(id, 'menu', input, gesture, does, { mode: 'rw-mode-volume', ...more })

let counter = 0
const saber = (name: string, job: Saber['job'], more: Partial<Saber>): Saber => ({
  ...blankSaber(() => `seed-${counter++}`, name, job),
  modes: modesFor(more.controls ?? []),
  ...more,
})

/** Readings for every test that the finished saber calls for and does not have, all inside their limits. */
function proveAll(s: Saber, when: string): Saber['tests'] {
  const have = new Set(s.tests.map((t) => t.key))
  const missing = proposeTests(MAKER, s).filter((p) => !have.has(p.key))
  const proofs = missing.map((p, k) => {
    const i = s.tests.length + k
    const mid = p.min !== undefined && p.max !== undefined ? (p.min + p.max) / 2 : (p.max ?? p.min)
    return {
      ...p,
      id: `${s.id}-t${i}`,
      readings: [
        {
          id: `${s.id}-t${i}r`,
          at: when,
          by: SHOP.maker,
          pass: true,
          ...(mid === undefined ? {} : { value: Number(mid.toFixed(2)) }),
        },
      ],
    }
  })
  return [...s.tests, ...proofs]
}
/** For a saber that was proved: what its sounds, given to it later, call for is proved with them. */
export function proveSounds(s: Saber): void {
  const last = s.tests.at(-1)?.readings[0]
  if (last && s.tests.every((t) => t.readings.some((r) => r.pass))) s.tests = proveAll(s, last.at)
}

/** Complete, with handoff: a two-button install in a client's own hilt, crystal chamber and all. */
function reedWarden(today: string): Commission {
  const s = saber('Reed Warden', 'install', {
    id: 'rw',
    hilt: {
      origin: 'clientOwn',
      story: 'Turned by the client at the Lampwrights’ evening class; bored and finished by the shop.',
      clearance: mm(0.3, 'configured'),
      endWall: mm(3),
      sections: [
        section({
          id: 'rw-pommel',
          name: 'pommel',
          role: 'pommel',
          l: 32,
          o: 38,
          b: 31.2,
          outerProfile: [
            { x: 0, d: 32 },
            { x: 5, d: 38 },
            { x: 27, d: 38 },
            { x: 32, d: 36 },
          ],
          joint: { kind: 'thread', length: mm(9), hand: 'right' },
        }),
        section({
          id: 'rw-grip',
          name: 'grip',
          role: 'grip',
          l: 116,
          o: 36,
          b: 31,
          joint: { kind: 'thread', length: mm(8), hand: 'right' },
        }),
        section({
          id: 'rw-neck',
          name: 'neck',
          role: 'neck',
          material: 'brass',
          l: 17,
          o: 29,
          b: 25,
          outerProfile: [
            { x: 0, d: 36 },
            { x: 3, d: 36 },
            { x: 6, d: 29 },
            { x: 17, d: 29 },
          ],
          joint: { kind: 'thread', length: mm(7), hand: 'right' },
        }),
        section({
          id: 'rw-shroud',
          name: 'shroud',
          role: 'shroud',
          l: 36,
          o: 37,
          b: 27.4,
          joint: { kind: 'setScrew' },
        }),
        section({
          id: 'rw-emitter',
          name: 'emitter',
          role: 'emitter',
          material: 'brass',
          l: 54,
          o: 39,
          b: 25.52,
          outerProfile: [
            { x: 0, d: 36 },
            { x: 6, d: 39 },
            { x: 44, d: 39 },
            { x: 54, d: 35 },
          ],
        }),
      ],
      fasteners: [
        screw('rw-f1', 'upper blade screw', 'M4', '2 mm', 224, 0, {}),
        screw('rw-f2', 'lower blade screw', 'M4', '2 mm', 224, 180, {}),
        screw('rw-f3', 'shroud screw', 'M3', '1.5 mm', 194, 90, {
          purpose: 'joint',
          clientMay: 'never',
          shopNote: 'sealed with lacquer',
        }),
      ],
      openings: [
        opening('rw-o1', 'pommel vents', 'vent', 8, 0, 8, 26),
        opening('rw-o2', 'pommel vents, lower', 'vent', 8, 180, 8, 26),
        opening('rw-o3', 'shroud window', 'window', 183, 0, 27, 12),
      ],
      sockets: [socket('rw-k1', 'rw-emitter', 25.52, 46, ['rw-f1', 'rw-f2'])],
    },
    parts: [
      part('rw-p1', 'speaker-28-8-2', 14, { faces: stated('pommel', 'measured') }),
      part('rw-p2', 'cell-18650-p15', 30, {
        faces: stated('emitter', 'measured'),
        removable: true,
        landmark: 'minus pole first, into the spring; the plus pole meets the red-ringed contact',
        lot: 'L-2609',
      }),
      part('rw-p3', 'board-m', 44, { beside: 'rw-p2' }),
      part('rw-p4', 'chamber-22', 104, {}),
      part('rw-p5', 'oled-069', 170, { clock: deg(0) }),
      part('rw-p6', 'conn-10pin-lit', 197),
      part('rw-p7', 'kill-slide-10a', 141, {}),
      part('rw-p8', 'sw-tact-6', 112, { clock: deg(0) }),
      part('rw-p9', 'sw-tact-6', 132, { clock: deg(0) }),
      part('rw-p10', 'ch-resin', 22, {
        ...{ removable: true, heldBy: 'friction', landmark: 'the mark on its ring' },
        specs: { length: mm(118), wall: mm(1.4), mass: fact(32, 'g', 'measured', { with: 'scale' }) },
      }),
      part('rw-p11', 'wire-20', null, {
        specs: { gauge: val(20, '×'), length: mm(190), diameter: mm(1.8, 'datasheet') },
        carries: 'power',
      }),
      part('rw-p15', 'wire-28', null, { carries: 'signal' }),
      part('rw-p12', 'card-16', null),
      part('rw-p13', 'charger-1a', null),
      part('rw-p14', 'pixel-crystal', 108, { beside: 'rw-p4' }),
    ],
    blades: [
      pixelBlade('rw-b1', 'blade, 92 cm', 'rw-k1', 25.4, 920, { mass: fact(212, 'g', 'measured', { with: 'scale' }) }),
    ],
    zones: [
      {
        id: 'rw-z1',
        name: 'main blade',
        kind: 'blade',
        leds: val(251, '×', 'computed'),
        channelCurrent: val(12, 'mA'),
        idleCurrent: val(0.6, 'mA'),
        blade: 'rw-b1',
      },
      {
        id: 'rw-z2',
        name: 'crystal',
        kind: 'crystal',
        leds: val(1, '×', 'measured'),
        channelCurrent: val(18, 'mA'),
        idleCurrent: val(0.6, 'mA'),
        shines: stated('withAnother', 'measured', { with: 'seen with the blade lit' }),
        follows: 'rw-z1',
        part: 'rw-p14',
      },
    ],
    cutPower: 'killSwitch',
    use: {
      litShare: fact(60, '%', 'configured'),
      brightness: fact(80, '%', 'configured'),
      volume: fact(100, '%', 'configured'),
    },
    firmware: stated('4.2, with display splash', 'configured'),
    edition: 'no. 12',
    settings: {
      sensitivities: [
        { id: 'rw-n1', sense: 'swing', value: stated('6 of 10', 'configured'), triedWith: ['blade', 'plug'] },
        { id: 'rw-n2', sense: 'clash', value: stated('4 of 10', 'configured'), triedWith: ['blade', 'plug'] },
      ],
      sleepAfter: fact(300, 's', 'configured'),
      volumeSteps: fact(5, '×', 'configured'),
    },
    notFor: [
      { id: 'rw-no1', what: 'full-contact duelling', why: 'the neck carries the crystal and its glass' },
      { id: 'rw-no2', what: 'rain', why: 'the shroud is open to the crystal' },
    ],
    fonts: [
      font('rw-still', 'Still Water', {
        author: 'Wick & Daughter',
        licence: 'for this saber, and on its page',
        mayCopy: true,
      }),
      font('rw-buoy', 'Bell Buoy', { author: 'the shop', licence: 'the shop’s own' }),
      {
        ...{ id: 'rw-music', name: 'Marsh music', is: 'musicBank', author: 'Ilsabet’s choir' },
        sounds: [{ id: 'rw-tide', event: 'track', name: 'Low tide' }],
      },
    ],
    presets: [
      preset('rw-s1', 'Reed at dawn', 'rw-still', '#10d8b0', {
        why: 'the colour of the marsh in her first letter',
        askedBy: 'Ilsabet',
        extendMs: fact(900, 'ms', 'configured'),
        retractMs: fact(800, 'ms', 'configured'),
        tracks: ['rw-tide'],
        effects: {
          clash: { colour: stated('#ffffff', 'configured') },
          lock: { colour: stated('#ffffff', 'configured') },
        },
      }),
      preset('rw-s2', 'Warden’s watch', 'rw-buoy', '#2040ff', {
        why: 'for the parade',
        askedBy: 'Ilsabet',
        tracks: ['rw-tide'],
        extendMs: fact(900, 'ms', 'configured'),
      }),
      preset('rw-s3', 'Harbour fire', 'rw-buoy', '#ff5010', {
        why: 'the shop’s suggestion',
        askedBy: 'Maren',
        tracks: ['rw-tide'],
        flickerHz: fact(6, 'Hz', 'configured'),
        extendMs: fact(1100, 'ms', 'configured'),
      }),
    ],
    inputs: [
      { id: 'rw-i1', name: 'front button', kind: 'button', part: 'rw-p9' },
      { id: 'rw-i2', name: 'rear button', kind: 'button', part: 'rw-p8' },
      { id: 'rw-i3', name: 'hilt', kind: 'motion' },
    ],
    controls: [
      row('rw-c1', 'off', 'rw-i1', 'tap', 'ignite'),
      row('rw-c2', 'off', 'rw-i2', 'tap', 'nextPreset'),
      row('rw-c3', 'off', 'rw-i2', 'tap', 'previousPreset', { pose: 'down', times: 2 }),
      row('rw-c4', 'off', 'rw-i2', 'hold', 'battery', { s: 1.5, says: 'the display shows the battery' }),
      row('rw-c5', 'lit', 'rw-i2', 'tap', 'deflect'),
      row('rw-c6', 'lit', 'rw-i2', 'hold', 'lock', { s: 0.5, release: 'whileHeld' }),
      row('rw-c7', 'lit', 'rw-i1', 'tap', 'track', { times: 2, pose: 'up' }),
      row('rw-c9', 'off', 'rw-i1', 'chord', 'menuOpen', { other: 'rw-i2', s: 1, says: 'open the volume menu' }),
      volume('rw-c10', 'rw-i1', 'tap', 'choose', { says: 'one step louder' }),
      volume('rw-c11', 'rw-i2', 'tap', 'chooseBack', { says: 'one step softer' }),
      volume('rw-c12', 'rw-i1', 'hold', 'keep', {
        ...{ s: 1, says: 'keep that volume', cues: [{ at: 'end', as: 'voice', says: 'volume kept' }] },
      }),
      row('rw-c8', 'lit', 'rw-i1', 'hold', 'retract', { s: 2 }),
    ],
    modes: [
      ...usualModes('rw-mode', ['off', 'lit']),
      {
        ...{ id: 'rw-mode-volume', name: 'volume menu', is: 'menu', on: 'rw-mode-off' },
        ...{ chooses: 'volume', by: 'stepping', after: fact(10, 's', 'configured') },
      },
    ],
    timing: {
      tapMost: fact(0.35, 's', 'configured'),
      tapGap: fact(0.3, 's', 'configured'),
    },
    access: [
      {
        ...{ id: 'rw-a1', goal: 'powerOn', at: 'part:rw-p7' },
        steps: [told('rw-a1a', 'restore', 'part:rw-p7', 'Slide the kill switch towards the emitter')],
      },
      {
        ...{ id: 'rw-a2', goal: 'powerOff', at: 'part:rw-p7' },
        steps: [told('rw-a2a', 'cut', 'part:rw-p7', 'Slide the kill switch towards the pommel')],
      },
      {
        ...{ id: 'rw-a3', goal: 'bladeIn', at: 'blade:rw-b1' },
        steps: [
          told(
            'rw-a3a',
            'loosen',
            'fastener:rw-f1',
            'Back the upper blade screw out by two turns; do not take it out',
            {
              turns: 2,
            },
          ),
          told('rw-a3e', 'loosen', 'fastener:rw-f2', 'The lower one by two turns as well', { turns: 2 }),
          told('rw-a3b', 'putOn', 'blade:rw-b1', 'Push the blade in until it stops, and hold it there'),
          told('rw-a3c', 'tighten', 'fastener:rw-f1', 'Tighten the upper blade screw until snug; do not overtighten'),
          told('rw-a3f', 'tighten', 'fastener:rw-f2', 'Then the lower one'),
          told('rw-a3d', 'pullCheck', 'blade:rw-b1'),
        ],
      },
      {
        ...{ id: 'rw-a4', goal: 'bladeOut', at: 'blade:rw-b1' },
        steps: [
          told('rw-a4a', 'loosen', 'fastener:rw-f1', 'Back the upper blade screw out by two turns', { turns: 2 }),
          told('rw-a4c', 'loosen', 'fastener:rw-f2', 'The lower one by two turns as well', { turns: 2 }),
          told('rw-a4b', 'takeOff', 'blade:rw-b1', 'Pull the blade straight out'),
          told('rw-a4d', 'tighten', 'fastener:rw-f1', 'Turn the upper screw in again, so that it is not lost'),
          told('rw-a4e', 'tighten', 'fastener:rw-f2', 'And the lower one'),
        ],
      },
      {
        ...{ id: 'rw-a5', goal: 'cell', at: 'part:rw-p2' },
        steps: [
          told('rw-a5a', 'takeOff', 'section:rw-pommel', 'Unscrew the pommel'),
          told('rw-a5b', 'takeOff', 'part:rw-p10', 'Draw the chassis out by its ring', {
            caution: 'Never by the speaker cone.',
          }),
          told('rw-a7a', 'takeOff', 'part:rw-p2', 'Lift the cell at its plus end with the ribbon'),
          told('rw-a6a', 'putOn', 'part:rw-p2', 'Press the cell in, minus pole first, into the spring', {
            caution: 'Support the chassis from below; never a cell with a damaged wrap.',
          }),
          told('rw-a8a', 'putOn', 'part:rw-p10', 'Slide the chassis in with the mark to the switch line'),
          told('rw-a8b', 'putOn', 'section:rw-pommel', 'Screw the pommel on until it stops'),
        ],
      },
      {
        ...{ id: 'rw-a9', goal: 'charge', at: 'part:rw-p2' },
        steps: [told('rw-a9a', 'plugIn', 'part:rw-p13', 'Put the cell into the charger, plus to plus')],
      },
      {
        ...{ id: 'rw-a10', goal: 'card', at: 'part:rw-p12' },
        steps: [
          told(
            'rw-a10a',
            'takeOff',
            'part:rw-p12',
            'Push the card until it clicks, and copy all of it before changing anything',
            {
              caution: 'Pull it straight; the socket snaps.',
            },
          ),
        ],
      },
    ],
    order: 'operateFirst',
    takes: [],
  })
  s.decisions = [
    {
      id: 'rw-choice1',
      on: day(today, -50),
      by: SHOP.maker,
      chose: 'Cell 18650, protected, with the board on it, behind the chamber',
      why: 'the crystal is what she came for, and the protected cell lies in her charger',
      gaveUp: '48 min of runtime',
      layout: layoutFacts(s),
    },
  ]
  const c = commission('reed-warden', 'Reed Warden', {
    client: { name: 'Ilsabet Vorne', country: 'here', note: 'second commission' },
    ordered: day(today, -62),
    deadline: day(today, -2),
    shipped: day(today, -3),
    brief:
      'She turned the hilt herself and wants a crystal to be seen through the shroud, and nothing that needs a manual in the field.',
    requests: [
      {
        id: 'rw-r1',
        text: 'A crystal that glows with the blade',
        status: 'met',
        where: 'part:rw-p4',
        answer: 'lit by one pixel that follows the blade',
      },
      { id: 'rw-r2', text: 'The colour of the marsh at dawn', status: 'met', where: 'preset:rw-s1' },
      {
        id: 'rw-r3',
        text: 'The largest speaker that fits',
        status: 'met',
        where: 'part:rw-p1',
        answer: '28 mm, the pommel bored to 31.2',
      },
      {
        id: 'rw-r4',
        text: 'No visible screws',
        status: 'declined',
        answer: 'the blade needs two',
        toldOn: day(today, -40),
      },
    ],
    arrivals: [
      {
        id: 'rw-v1',
        what: 'Hilt, five pieces',
        quantity: 1,
        condition: 'clean, thread of the neck tight',
        ...went('rw-v1-s', 'altered', 1),
        note: 'pommel bored, neck thread eased',
      },
      {
        id: 'rw-v2',
        what: 'Quartz point',
        quantity: 2,
        condition: 'one chipped',
        conditionOn: day(today, -60),
        shares: [
          { id: 'rw-v2-s', fate: 'used', count: 1, saber: 'rw', now: 'part:rw-p4' },
          { id: 'rw-v2-r', fate: 'leftOver', count: 1 },
        ],
        faults: [{ id: 'rw-v2-f', text: 'one chipped', left: 'the whole one went in' }],
      },
    ],
    questions: [
      {
        id: 'rw-q1',
        text: 'Switch line in line with the window?',
        askedOn: day(today, -55),
        answer: 'yes',
        answeredOn: day(today, -54),
        blocks: true,
      },
    ],
    credits: [
      { id: 'rw-d1', who: 'Ilsabet Vorne', did: 'turned the hilt' },
      { id: 'rw-d2', who: 'Maren', did: 'boring, chassis, install' },
      { id: 'rw-d3', who: 'Osk', did: 'sound fonts' },
    ],
    packing: [
      { id: 'rw-g1', key: 'saber:rw', what: 'The saber', quantity: 1, packed: true },
      { id: 'rw-g2', key: 'blade:rw-b1', what: 'blade, 92 cm', quantity: 1, packed: true },
      {
        id: 'rw-g3',
        key: 'part:rw-p13',
        what: 'Charger for one round cell, 1 A',
        quantity: 1,
        packed: true,
        mass: grams(46),
      },
      { id: 'rw-g4', key: 'key:2 mm', what: 'Hex key 2 mm', quantity: 1, packed: true, mass: grams(8) },
      {
        id: 'rw-g5',
        key: 'arrival:rw-v2',
        what: 'Quartz point, chipped (yours)',
        quantity: 1,
        packed: true,
        mass: grams(12),
      },
      { id: 'rw-g6', key: 'part:rw-p2', what: 'Cell 18650, protected, 15 A', quantity: 1, packed: true },
      { id: 'rw-g7', key: 'record', what: 'Handoff record, printed', quantity: 1, packed: true, mass: grams(90) },
    ],
    parcels: [
      {
        ...{ id: 'rw-box1', to: 'Ilsabet Vorne', address: '7 Sluice Row\nFenbridge', abroad: false, carrier: 'tern' },
        ...{ boxMass: grams(310), mass: grams(1315), size: '110 × 14 × 12 cm', sentOn: day(today, -3) },
        ...{ polesCovered: true, cannotWake: true },
      },
    ],
    log: [{ id: 'rw-l1', on: day(today, -30), text: 'Waited nine days for the display.', kind: 'delay' }],
    sabers: [s],
    handoff: {
      paper: 'A4',
      waivers: [],
      films: [{ id: 'rw-m1', file: 'reed-warden.webm' }],
      receipts: [],
      words: 'It was a pleasure to put a light into something you made.',
      issued: [{ number: 1, on: day(today, -3), revision: 41, by: 'Maren' }],
    },
  })
  s.tests = proveAll(s, at(today, -5))
  let looked = 0
  s.access = lookThrough(s, { who: 'Maren', on: day(today, -2) }, () => `rw-al${looked++}`)
  s.beats = compose(c, s)
  return c
}

/** Three sabers in one order, one of them a repair that is not proved to the end yet. */
function emberFair(today: string): Commission {
  const player = (id: string, name: string, colour: string, grip: number, job: Saber['job']): Saber =>
    saber(name, job, {
      id,
      hilt: {
        origin: 'series',
        clearance: mm(0.3, 'configured'),
        sections: [
          section({
            id: `${id}-pommel`,
            name: 'pommel',
            role: 'pommel',
            material: 'aluminium',
            l: 28,
            o: 36,
            b: 29.5,
            joint: { kind: 'thread', length: mm(8), hand: 'right' },
          }),
          section({
            id: `${id}-grip`,
            name: 'grip',
            role: 'grip',
            material: 'leather',
            l: grip,
            o: 37,
            b: 29,
            joint: { kind: 'setScrew' },
          }),
          section({
            id: `${id}-emitter`,
            name: 'emitter',
            role: 'emitter',
            l: 62,
            o: 40,
            b: 25.55,
            outerProfile: [
              { x: 0, d: 37 },
              { x: 10, d: 40 },
              { x: 62, d: 38 },
            ],
          }),
        ],
        fasteners: [
          screw(`${id}-f1`, 'blade screw', '#8-32', '5/64 in', 28 + grip + 34, 0),
          screw(`${id}-f2`, 'grip screw', '#8-32', '5/64 in', 28 + grip + 6, 180, {
            purpose: 'joint',
            clientMay: 'never',
          }),
        ],
        openings: [opening(`${id}-o1`, 'vent ring', 'vent', 6, 0, 5, 40)],
        sockets: [socket(`${id}-k1`, `${id}-emitter`, 25.55, 50, [`${id}-f1`])],
      },
      parts: [
        part(`${id}-p1`, 'speaker-24-8-2', 8, { faces: stated('pommel', 'measured') }),
        part(`${id}-p2`, 'cell-18650-p', 26, {
          faces: stated('pommel', 'measured'),
          removable: true,
          landmark: 'plus pole towards the pommel; a plus is cut into the groove',
        }),
        part(`${id}-p3`, 'board-s', 100, {}),
        part(`${id}-p4`, 'conn-8pin', 28 + grip + 2, {}),
        part(`${id}-p5`, 'sw-12', 28 + grip - 24, { clock: deg(0) }),
        part(`${id}-p6`, 'ch-filament', 14, {
          specs: { length: mm(grip), wall: mm(1.6), mass: fact(28, 'g', 'measured') },
        }),
        part(`${id}-p7`, 'wire-22', null, { specs: { gauge: val(22, '×'), length: mm(150) } }),
        part(`${id}-p8`, 'charger-1a', null),
      ],
      blades: [pixelBlade(`${id}-b1`, 'stage blade, 81 cm', `${id}-k1`, 25.4, 810)],
      cutPower: 'cellOut',
      use: {
        litShare: fact(40, '%', 'configured'),
        brightness: fact(70, '%', 'configured'),
        volume: fact(90, '%', 'configured'),
      },
      firmware: stated('4.1', 'configured'),
      fonts: [font(`${id}-fair`, 'Fairground', { author: 'the shop' })],
      presets: [
        preset(`${id}-s1`, `${name}, plain`, `${id}-fair`, colour, {
          askedBy: 'the Guild',
          extendMs: fact(700, 'ms', 'configured'),
        }),
        preset(`${id}-s2`, 'Finale', `${id}-fair`, '#ffb020', { flickerHz: fact(8, 'Hz', 'configured') }),
      ],
      inputs: [
        { id: `${id}-i1`, name: 'button', kind: 'button', part: `${id}-p5` },
        { id: `${id}-i2`, name: 'hilt', kind: 'motion' },
      ],
      controls: [
        row(`${id}-c1`, 'off', `${id}-i1`, 'tap', 'ignite'),
        row(`${id}-c2`, 'off', `${id}-i1`, 'hold', 'nextPreset', { s: 1 }),
        row(`${id}-c3`, 'lit', `${id}-i1`, 'tap', 'deflect'),
        row(`${id}-c4`, 'lit', `${id}-i1`, 'holdStrike', 'lock'),
        row(`${id}-c5`, 'lit', `${id}-i1`, 'hold', 'retract', { s: 2 }),
      ],
      access: [
        {
          ...{ id: `${id}-a1`, goal: 'bladeIn', at: `blade:${id}-b1` },
          steps: [
            told(`${id}-a1a`, 'loosen', `fastener:${id}-f1`, 'Loosen the blade screw by two turns', { turns: 2 }),
            told(`${id}-a1b`, 'putOn', `blade:${id}-b1`, 'Push the blade in and keep pressing'),
            told(`${id}-a1c`, 'tighten', `fastener:${id}-f1`, 'Tighten the blade screw'),
          ],
        },
        {
          ...{ id: `${id}-a3`, goal: 'cell', at: `part:${id}-p2` },
          steps: [
            told(`${id}-a3a`, 'takeOff', `section:${id}-pommel`, 'Unscrew the pommel'),
            told(`${id}-a5a`, 'takeOff', `part:${id}-p2`, 'Tip the hilt; the cell slides out into the hand'),
            told(`${id}-a4a`, 'putOn', `part:${id}-p2`, 'Slide the cell in, minus pole first', {
              caution: 'Never a cell with a damaged wrap.',
            }),
            told(`${id}-a6a`, 'putOn', `section:${id}-pommel`, 'Screw the pommel on until it stops'),
          ],
        },
        {
          ...{ id: `${id}-a7`, goal: 'charge', at: `part:${id}-p2` },
          steps: [told(`${id}-a7a`, 'plugIn', `part:${id}-p8`, 'Charge the cell in the charger, never in the hilt')],
        },
      ],
    })
  const a = player('ef1', 'Short Torch', '#ff3020', 104, 'install')
  const b = player('ef2', 'Lamplighter', '#ffd21a', 112, 'install')
  const r = player('ef3', 'Old Bellwether', '#8a3cff', 118, 'repair')
  r.hilt.fasteners[0]!.looseNow = true
  const c = commission('ember-fair', 'Three for the Ember Fair', {
    job: 'install',
    purpose: 'stage',
    client: { name: 'Hollowmere Pageant Guild', country: 'here' },
    ordered: day(today, -34),
    deadline: day(today, 6),
    brief: 'Two new ones and the old one mended, all for one evening; whoever holds them has ten minutes to learn.',
    requests: [
      { id: 'ef-r1', text: 'Same button on all three', status: 'met', where: 'input:ef1-i1' },
      { id: 'ef-r2', text: 'The old one must not drop out when it is opened', status: 'open', saber: 'ef3' },
    ],
    arrivals: [
      {
        id: 'ef-v1',
        what: 'Old Bellwether, dead',
        quantity: 1,
        condition: 'two wires sheared in the pommel thread',
        ...went('ef-v1-s', 'altered', 1),
        note: 'rewired',
      },
    ],
    questions: [
      {
        id: 'ef-q1',
        text: 'Is anyone in the front rows sensitive to flashing light?',
        askedOn: day(today, -4),
        blocks: true,
      },
    ],
    credits: [
      { id: 'ef-d1', who: 'Osk', did: 'rewired Old Bellwether' },
      { id: 'ef-d2', who: 'Maren', did: 'turned the hilts' },
    ],
    people: [
      { id: 'ef-p1', name: 'Maren', does: 'hilts and film' },
      { id: 'ef-p2', name: 'Osk', does: 'wiring and repairs' },
    ],
    toDos: [
      {
        ...{
          id: 'ef-t1',
          text: 'grease the squealing thread',
          about: 'section:ef2-pommel',
          who: 'shop',
          person: 'Osk',
        },
        ...{ due: day(today, 3), blocks: 'shipping', done: false },
      },
      {
        ...{ id: 'ef-t2', text: 'tighten the screw left loose for the demonstration', who: 'shop', person: 'Maren' },
        ...{ blocks: 'filming', done: true, doneOn: day(today, -1), doneBy: 'Maren' },
      },
    ],
    warranty: {
      words: 'Two years on our work, bulbs and cells excepted.',
      ends: 'opening a screw that is marked with lacquer',
    },
    packing: [
      { id: 'ef-g1', what: 'Short Torch', quantity: 1, packed: true },
      { id: 'ef-g2', what: 'Lamplighter', quantity: 1, packed: false },
      { id: 'ef-g3', what: 'Old Bellwether', quantity: 1, packed: false },
    ],
    log: [
      {
        id: 'ef-l1',
        on: day(today, -8),
        text: 'Found the cause in Old Bellwether: wires pinched in the pommel thread.',
        kind: 'work',
        hours: 3.5,
      },
    ],
    sabers: [a, b, r],
  })
  a.tests = proveAll(a, at(today, -3))
  b.tests = proveAll(b, at(today, -2))
  r.repairs = [
    {
      id: 'ef3-x1',
      on: day(today, -2),
      fault: stated('goes dead when the pommel is screwed home', 'client'),
      reportedOn: day(today, -30),
      cycles: 20,
      cause: 'two wires sheared in the pommel thread',
      fix: 'new wires in a sleeve, routed through the keyed rail',
      place: 'section:ef3-pommel',
      retest: ['ef3-t1'],
    },
  ]
  r.tests = [
    tested(
      'ef3-t1',
      'sleep-current',
      'Current when asleep',
      at(today, -6),
      'Osk',
      { value: 0.4 },
      { unit: 'mA', min: 0, max: 0.53 },
    ),
    tested(
      'ef3-t2',
      'fix-ef3-x1',
      'Open and close after the repair: new wires in a sleeve, routed through the keyed rail',
      at(today, -1),
      'Osk',
      { value: 12, pass: false },
      { unit: 'cycles', min: 20, expect: 'no fault in any cycle', place: 'section:ef3-pommel' },
    ),
  ]
  a.beats = compose(c, a)
  b.beats = compose(c, b)
  return c
}

/** Honest trouble: an inherited hilt with memory, contradiction, an unknown, and a speaker that does not go in. */
function cinderOath(today: string): Commission {
  const s = saber('Cinder Oath', 'rebuild', {
    id: 'co',
    provenance: [
      { id: 'co-w1', who: 'the client’s great-uncle', when: 'about 1970', did: stated('turned it', 'believed') },
      { id: 'co-w2', who: 'an unknown hand', did: stated('rewired it once', 'client') },
    ],
    before: [
      { id: 'co-e1', what: 'hum at two loudnesses', kind: 'feature', stays: true },
      {
        id: 'co-b2',
        what: 'be read over its old card',
        kind: 'port',
        stays: false,
        insteadBy: 'the card of the new board',
      },
    ],
    losses: [
      {
        ...{ id: 'co-x1', on: day(today, -9), what: 'screw of the emitter', how: 'replaced', cause: 'seized' },
        ...{ about: 'section:co-emitter', toldOn: day(today, -8) },
      },
    ],
    hilt: {
      origin: 'inherited',
      story: 'Believed to have been made by the client’s great-uncle, and rewired once by an unknown hand.',
      clearance: mm(0.3, 'configured'),
      sections: [
        section({
          id: 'co-pommel',
          name: 'clawed pommel',
          role: 'pommel',
          material: 'brass',
          l: 36,
          o: 39,
          b: 27.2,
          outerProfile: [
            { x: 0, d: 28 },
            { x: 10, d: 39 },
            { x: 36, d: 35 },
          ],
          joint: { kind: 'thread', length: mm(10), hand: 'right' },
          sharp: true,
          shopNote: 'three claws',
        }),
        section({
          id: 'co-grip',
          name: 'grip',
          role: 'grip',
          material: 'wood',
          l: 108,
          o: 35,
          b: 27,
          joint: { kind: 'glue' },
        }),
        section({
          id: 'co-neck',
          name: 'neck',
          role: 'neck',
          material: 'copper',
          l: 24,
          o: 30,
          b: null,
          source: 'recalled',
          joint: { kind: 'thread', length: mm(6), hand: 'left' },
        }),
        section({
          id: 'co-emitter',
          name: 'emitter',
          role: 'emitter',
          material: 'brass',
          l: 58,
          o: 38,
          b: 22.3,
          outerProfile: [
            { x: 0, d: 30 },
            { x: 8, d: 38 },
            { x: 50, d: 38 },
            { x: 58, d: 33 },
          ],
        }),
      ],
      fasteners: [
        screw('co-f1', 'left screw', 'M4', '2 mm', 200, 300, {}),
        screw('co-f2', 'right screw', 'M4', '2 mm', 200, 60, {
          head: 'dummy',
          purpose: 'decoration',
          clientMay: 'never',
        }),
        screw('co-f3', 'grip pin', 'M3', '', 128, 180, { purpose: 'joint', clientMay: 'never' }),
      ],
      openings: [opening('co-o1', 'claw gaps', 'vent', 5, 0, 6, 14)],
      sockets: [socket('co-k1', 'co-emitter', 22.3, 44, ['co-f1'], { insertion: 'clockwise' })],
    },
    parts: [
      part('co-p1', 'speaker-28-4-3', 12, { faces: stated('pommel', 'measured') }),
      part('co-p2', 'cell-18650-p', 36, { faces: stated('emitter', 'measured'), removable: false }),
      part('co-p3', 'board-l', 112, {}),
      part('co-p4', 'port-usbc', null, {}),
      part('co-p5', 'conn-slim', 172, {}),
      part('co-p6', 'sw-tact-6', 122, { clock: deg(0) }),
      part('co-p7', 'wire-26', null, { specs: { gauge: val(26, '×'), length: mm(150) } }),
    ],
    blades: [pixelBlade('co-b1', 'slim blade, 81 cm', 'co-k1', 22.225, 810, { wall: mm(1.6, 'datasheet') })],
    cutPower: 'deepSleep',
    fonts: [
      font('co-ash', 'Ashfall', { author: 'the shop' }),
      // Its lock is missing.
      font('co-vow', 'Vow', { author: 'the shop' }, ['hum', 'ignite', 'retract', 'swing', 'clash', 'deflect']),
    ],
    presets: [
      preset('co-s1', 'Old and well kept', 'co-ash', '#20c840', {
        askedBy: 'Tobin',
        effects: { deflect: { colour: stated('#ff9010', 'configured') } },
        extendMs: fact(600, 'ms', 'configured'),
      }),
      preset('co-s2', 'Oath', 'co-vow', '#1fc33c', {
        lights: [{ id: 'co-l-2', zone: 'co-z3', colour: stated('#fff0d0', 'configured'), moves: { is: 'breathing' } }],
      }),
      preset('co-s3', 'Collier’s lamp', 'co-ash', '#ff9a20', {
        asked: stated('#ff9a20', 'client'),
        askedBy: 'Tobin',
        why: 'the lamp that hung over the forge',
        favourite: true,
        moves: { is: 'flame', second: stated('#ff3800', 'configured'), rate: fact(1.2, 'Hz', 'configured') },
        effects: {
          clash: { is: 'boardDefault' },
          lock: {
            colour: stated('#ffe0a0', 'configured'),
            moves: { is: 'flicker', rate: fact(7, 'Hz', 'configured') },
          },
          deflect: { is: 'varies' },
          retract: { is: 'boardDefault' },
        },
      }),
      preset('co-s4', 'Low tide', 'co-vow', '#1a50ff', {
        asked: stated('#2a6cff', 'client', { with: 'letter' }),
        moves: { is: 'wave', depth: fact(45, '%', 'configured') },
        exceptions: 'the lock is left out on purpose',
        effects: { clash: { colour: stated('#ffffff', 'configured') }, lock: { is: 'notThere' } },
      }),
      preset('co-s5', 'Deep water', 'co-vow', '#1838e8', { shopWhy: 'to compare with Low tide at the bench' }),
      preset('co-s6', 'How full', 'co-ash', '#ffffff', {
        look: 'battery',
        needsLength: mm(700, 'computed'),
        picture: 'a small barrel',
      }),
    ],
    cards: [
      {
        ...{ id: 'co-k-old', name: 'Tobin’s old card', is: 'clients', edits: [], copiedOn: day(today, -19) },
        note: 'bent: what could be read is kept with the order',
        readings: [
          {
            ...{ id: 'co-k-r1', was: 'read', on: day(today, -19), by: 'Osk' },
            files: [{ path: 'set up.txt', bytes: 2210, sum: 'c0'.repeat(32) }],
            unreadable: ['voice 1/hum.wav', 'voice 1/clash 1.wav'],
          },
        ],
      },
    ],
    zones: [
      {
        ...{ id: 'co-z0', name: 'the blade', kind: 'blade', blade: 'co-b1' },
        ...{ leds: val(220, '×', 'computed'), channelCurrent: val(12, 'mA'), idleCurrent: val(0.6, 'mA') },
      },
      {
        ...{ id: 'co-z1', name: 'jewel', kind: 'crystal', follows: 'co-z0' },
        shines: stated('withAnother', 'measured', { with: 'seen with the blade lit' }),
        through: { what: 'the garnet', colour: stated('#b00018', 'measured', { with: 'held against a white lamp' }) },
        ...{ leds: val(1, '×', 'measured'), channelCurrent: val(18, 'mA'), idleCurrent: val(0.6, 'mA') },
      },
      {
        ...{ id: 'co-z2', name: 'spine', kind: 'chassis' },
        ...{ leds: val(6, '×', 'measured'), channelCurrent: val(8, 'mA'), idleCurrent: val(0.5, 'mA') },
      },
      {
        ...{ id: 'co-z3', name: 'ring', kind: 'button', dies: ['red', 'green', 'blue', 'white'] },
        shines: stated('byItself', 'configured'),
        ...{ leds: val(4, '×', 'datasheet'), channelCurrent: val(8, 'mA'), idleCurrent: val(0.5, 'mA') },
      },
    ],
    inputs: [{ id: 'co-i1', name: 'button', kind: 'button', part: 'co-p6' }],
    controls: [
      row('co-c1', 'off', 'co-i1', 'tap', 'ignite'),
      row('co-c2', 'lit', 'co-i1', 'hold', 'lock', { s: 1 }),
      row('co-c3', 'lit', 'co-i1', 'hold', 'retract', { s: 1.2 }),
      row('co-c4', 'lit', 'co-i1', 'tap', 'quote', { times: 2, status: 'unsure' }),
    ],
    access: [],
    order: 'pommelUp',
  })
  s.hilt.sections[1]!.length = { ...mm(108), rivals: [{ value: 111.5, source: 'client', with: 'letter' }] }
  s.hilt.sections[2]!.length = mm(24, 'recalled')
  return commission('cinder-oath', 'Cinder Oath', {
    job: 'rebuild',
    client: { name: 'Tobin Aldercott', country: 'over the water' },
    ordered: day(today, -20),
    deadline: day(today, 21),
    brief: 'Old, well kept. It should feel as if it had always had light in it.',
    requests: [
      { id: 'co-r1', text: 'The largest speaker that fits', status: 'open' },
      { id: 'co-r2', text: 'An amber deflect on the green', status: 'open' },
      {
        id: 'co-r3',
        text: 'Keep the old sounds',
        status: 'declined',
        answer: 'the old card is bent and cannot be read',
      },
    ],
    arrivals: [
      {
        id: 'co-v1',
        what: 'Hilt',
        quantity: 1,
        condition: 'grip glued to pommel collar, one screw seized',
        conditionOn: day(today, -19),
        whole: true,
        ...went('co-v1-s', 'altered', 1),
        faults: [
          { id: 'co-v1-f1', text: 'one screw seized', became: 'toDo:co-t1' },
          { id: 'co-v1-f2', text: 'scratch under the collar', left: 'asked to keep: it is its age' },
        ],
      },
      {
        id: 'co-v2',
        what: 'Memory card',
        quantity: 1,
        condition: 'bent, cannot be read',
        conditionOn: day(today, -19),
        ...went('co-v2-s', 'undecided', 1),
        faults: [{ id: 'co-v2-f1', text: 'contacts torn off', became: 'request:co-r3' }],
      },
    ],
    questions: [{ id: 'co-q1', text: 'May the pommel be bored out by 2.2 mm?', askedOn: day(today, -3), blocks: true }],
    sabers: [s],
    toDos: [
      {
        ...{ id: 'co-t1', text: 'drill the seized screw out', about: 'section:co-emitter', who: 'shop', person: 'Osk' },
        ...{ due: day(today, 6), blocks: 'shipping', done: false },
      },
    ],
    log: [
      {
        ...{ id: 'co-l1', on: day(today, -12), text: 'Right screw turned out to be a glued dummy.', kind: 'work' },
        ...{ hours: 1, by: 'Osk' },
      },
    ],
    credits: [{ id: 'co-d1', who: 'Osk', did: 'drilled out the seized screw' }],
  })
}

/** Early: a gift for a beginner, brief and hilt only. */
function firstLantern(today: string): Commission {
  const s = saber('First Lantern', 'install', {
    id: 'fl',
    recipient: { name: 'Wenna', knows: 'neverSeen' },
    hilt: {
      origin: 'bought',
      clearance: mm(0.3, 'configured'),
      sections: [
        section({
          id: 'fl-pommel',
          name: 'pommel',
          role: 'pommel',
          l: 26,
          o: 34,
          b: 28,
          source: 'datasheet',
          joint: { kind: 'thread', length: mm(8), hand: 'right' },
        }),
        section({
          id: 'fl-grip',
          name: 'ribbed grip',
          role: 'grip',
          l: 140,
          o: 34,
          b: 28.5,
          source: 'datasheet',
          joint: { kind: 'thread', length: mm(8), hand: 'right' },
        }),
        section({ id: 'fl-emitter', name: 'emitter', role: 'emitter', l: null, o: 36, b: 25.6, source: 'recalled' }),
      ],
      fasteners: [screw('fl-f1', 'blade screw', 'M4', '2 mm', 196, 0)],
      openings: [],
      sockets: [socket('fl-k1', 'fl-emitter', null, null, ['fl-f1'], { insertion: 'straight' })],
    },
    blades: [
      pixelBlade('fl-b1', 'yellow string blade', 'fl-k1', 25.4, 760, {
        kind: 'string',
        groups: val(6, '×'),
        ledsPerGroup: val(20, '×'),
        ledsTotal: val(120, '×'),
        groupCurrent: val(200, 'mA'),
        forwardVolts: val(2.1, 'V'),
        diffusion: 'film',
      }),
    ],
    cutPower: 'none',
  })
  return commission('first-lantern', 'First Lantern', {
    purpose: 'beginner',
    client: { name: 'Yorrin Pell', country: 'here', note: 'a gift for his daughter, eleven' },
    giver: 'Yorrin Pell',
    ordered: day(today, -6),
    deadline: day(today, 30),
    brief: 'The simplest key there is. She should be able to do everything alone.',
    requests: [
      { id: 'fl-r1', text: 'Yellow that is really yellow', status: 'open' },
      { id: 'fl-r2', text: 'One button', status: 'open' },
    ],
    toDos: [
      {
        ...{ id: 'fl-t1', text: 'drill the tip for the last group', about: 'blade:fl-b1', who: 'shop' },
        ...{ blocks: 'shipping', done: false },
      },
    ],
    sabers: [s],
  })
}

/** Conversion of an old crossguard for a client abroad: three emitters, blades to buy. */
function crosswind(today: string): Commission {
  const s = saber('Crosswind', 'conversion', {
    id: 'cw',
    hilt: {
      origin: 'kit',
      clearance: mm(0.3, 'configured'),
      sections: [
        section({
          id: 'cw-pommel',
          name: 'pommel',
          role: 'pommel',
          material: 'steel',
          l: 30,
          o: 36,
          b: 29.6,
          joint: { kind: 'thread', length: mm(8), hand: 'right' },
        }),
        section({
          id: 'cw-grip',
          name: 'grip',
          role: 'grip',
          material: 'leather',
          l: 132,
          o: 36,
          b: 29.4,
          joint: { kind: 'setScrew' },
        }),
        section({
          id: 'cw-shroud',
          name: 'collar',
          role: 'shroud',
          material: 'copper',
          l: 22,
          o: 33,
          b: 27,
          joint: { kind: 'press' },
        }),
        section({ id: 'cw-emitter', name: 'cross block', role: 'emitter', material: 'steel', l: 50, o: 40, b: 25.5 }),
        section({ id: 'cw-left', name: 'left arm', role: 'quillon', material: 'steel', l: 34, o: 22, b: 16.2 }),
        section({ id: 'cw-right', name: 'right arm', role: 'quillon', material: 'steel', l: 34, o: 22, b: 16.2 }),
      ],
      fasteners: [
        screw('cw-f1', 'right blade screw', 'M4', '2 mm', 212, 90),
        screw('cw-f2', 'left blade screw', 'M5', '2.5 mm', 212, 270, { purpose: 'joint', clientMay: 'never' }),
        screw('cw-f3', 'grip screw', 'M3', '1.5 mm', 36, 180, { purpose: 'joint' }),
      ],
      openings: [
        opening('cw-o1', 'pommel vents', 'vent', 7, 0, 8, 24),
        opening('cw-o2', 'pommel vents, lower', 'vent', 7, 180, 8, 24),
      ],
      sockets: [
        socket('cw-k1', 'cw-emitter', 25.5, 42, ['cw-f1'], { name: 'main socket', insertion: 'straight' }),
        socket('cw-k2', 'cw-left', 16.2, 30, ['cw-f1'], { name: 'left socket' }),
        socket('cw-k3', 'cw-right', 16.2, 30, ['cw-f1'], { name: 'right socket' }),
      ],
    },
    parts: [
      part('cw-p1', 'speaker-28-8-2', 14, { faces: stated('pommel', 'measured') }),
      part('cw-p2', 'cell-21700-p', 28, {
        faces: stated('emitter', 'measured'),
        removable: true,
        supplied: 'notSupplied',
        landmark: 'plus pole towards the emitter, onto the brass pip; the strap lies over the minus end',
      }),
      part('cw-p3', 'board-m', 110, {}),
      part('cw-p4', 'conn-8pin', 182, {}),
      part('cw-p5', 'kill-slide-5a', 146, {}),
      part('cw-p6', 'sw-12-ring', 128, { clock: deg(0) }),
      part('cw-p7', 'wire-20', null, { specs: { gauge: val(20, '×'), length: mm(170) } }),
      part('cw-p8', 'plug-1', null),
    ],
    blades: [
      pixelBlade('cw-b1', 'main blade', 'cw-k1', 25.4, 810, { use: 'toBuy' }),
      pixelBlade('cw-b2', 'left arm blade', 'cw-k2', 16.05, 130, { use: 'toBuy' }),
      pixelBlade('cw-b3', 'right arm blade', 'cw-k3', 16.05, 130, { use: 'toBuy' }),
      pixelBlade('cw-b4', 'bench test blade', 'cw-k1', 25.4, 300, { use: 'demo' }),
    ],
    cutPower: 'killSwitch',
    use: {
      litShare: fact(50, '%', 'client'),
      brightness: fact(80, '%', 'configured'),
      volume: fact(80, '%', 'configured'),
    },
    fonts: [font('cw-gale', 'Gale', { author: 'the shop' })],
    presets: [
      preset('cw-s1', 'Ragged red', 'cw-gale', '#ff1408', {
        askedBy: 'Halvard',
        extendMs: fact(500, 'ms', 'configured'),
        flickerHz: fact(7, 'Hz', 'configured'),
      }),
      preset('cw-s2', 'Storm white', 'cw-gale', '#e8f0ff', {}),
    ],
    inputs: [{ id: 'cw-i1', name: 'button', kind: 'button', part: 'cw-p6' }],
    controls: [
      row('cw-c1', 'off', 'cw-i1', 'tap', 'ignite'),
      row('cw-c2', 'off', 'cw-i1', 'hold', 'nextPreset', { s: 1 }),
      row('cw-c3', 'lit', 'cw-i1', 'hold', 'retract', { s: 1.5 }),
    ],
    access: [
      {
        ...{ id: 'cw-a1', goal: 'powerOn', at: 'part:cw-p5' },
        steps: [told('cw-a1a', 'restore', 'part:cw-p5', 'Slide the kill switch forward')],
      },
      {
        ...{ id: 'cw-a2', goal: 'powerOff', at: 'part:cw-p5' },
        steps: [told('cw-a2a', 'cut', 'part:cw-p5', 'Slide the kill switch back')],
      },
      {
        ...{ id: 'cw-a3', goal: 'bladeIn', at: 'blade:cw-b1' },
        steps: [
          told('cw-a3a', 'loosen', 'fastener:cw-f1', 'Loosen the right blade screw'),
          told('cw-a3b', 'putOn', 'blade:cw-b1', 'Push the blade straight in; never twist it'),
        ],
      },
    ],
  })
  return commission('crosswind', 'Crosswind', {
    job: 'conversion',
    purpose: 'costume',
    client: { name: 'Halvard Quill', country: 'abroad', note: 'returning; cell cannot be posted' },
    ordered: day(today, -48),
    deadline: day(today, 12),
    brief: 'An old string-blade crossguard to be made to take pixel blades. He buys blades and cell where he lives.',
    requests: [
      {
        id: 'cw-r1',
        text: 'Arms light a moment after the main blade',
        status: 'met',
        where: 'preset:cw-s1',
        answer: 'a third of a second later',
      },
      { id: 'cw-r2', text: 'A second font, if it is not too dear', shape: 'offered', status: 'open' },
    ],
    arrivals: [
      {
        id: 'cw-v1',
        what: 'Crossguard with string blade',
        quantity: 1,
        condition: 'works, one segment dark',
        ...went('cw-v1-s', 'altered', 1),
      },
      {
        id: 'cw-v2',
        what: 'String blade',
        quantity: 1,
        condition: 'one segment dark',
        ...went('cw-v2-s', 'returned', 1),
      },
    ],
    questions: [],
    parcels: [{ id: 'cw-box1', to: 'Halvard Quill', abroad: true, carrier: 'harbour' }],
    credits: [{ id: 'cw-d1', who: 'Maren', did: 'conversion' }],
    sabers: [s],
  })
}

/** A model sheet: the shop's own pattern, measured once, to begin new orders from. */
function drillPattern(): Commission {
  const s = saber('Drill-hall pattern', 'model', {
    id: 'dh',
    hilt: {
      origin: 'series',
      clearance: mm(0.3, 'configured'),
      sections: [
        section({
          id: 'dh-pommel',
          name: 'pommel',
          role: 'pommel',
          l: 30,
          o: 36,
          b: 29,
          joint: { kind: 'thread', length: mm(9), hand: 'right' },
        }),
        section({ id: 'dh-grip', name: 'grip', role: 'grip', l: 150, o: 35, b: 29.4, joint: { kind: 'setScrew' } }),
        section({ id: 'dh-emitter', name: 'emitter', role: 'emitter', l: 62, o: 37, b: 25.5 }),
      ],
      fasteners: [screw('dh-f1', 'blade screw', 'M4', '2 mm', 214, 0, {})],
      openings: [opening('dh-o1', 'pommel vents', 'vent', 9, 0, 8, 24)],
      sockets: [socket('dh-k1', 'dh-emitter', 25.5, 50, ['dh-f1'])],
    },
    parts: [part('dh-p1', 'sw-tact-6', 140, { clock: deg(0) })],
  })
  return commission('drill-pattern', 'Drill-hall pattern', { job: 'model', client: { name: '' }, sabers: [s] })
}

export const demoCommissions = (today: string): Commission[] => [
  crosswind(today),
  emberFair(today),
  cinderOath(today),
  firstLantern(today),
  drillPattern(),
  reedWarden(today),
]
