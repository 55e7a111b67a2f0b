import { fact } from '../facts'
import { type FittedPart, type Material, type PartKind, SPECS, type SpecKey, type SpecMap } from '../record'

/** A row of the shop's catalogue. A commission copies it; later edits to the row do not reach a finished saber. */
export interface CataloguePart {
  id: string
  kind: PartKind
  name: string
  specs: SpecMap
  protected?: boolean
  /** What it is made of, where that matters. */
  material?: Material
  /** A board that turns a pack's voltage into what pixels take. */
  converter?: boolean
  /** The key a tool turns. */
  key?: string
  stock?: number
  lot?: string
  supplier?: string
  cost?: number
}

/** What a row says beyond its sizes and ratings. */
type Extra = Pick<CataloguePart, 'protected' | 'material' | 'converter' | 'key'> & { tol?: number }
type Row = [id: string, name: string, specs: Partial<Record<SpecKey, number>>, extra?: Extra]

const SOURCE_NOTE = 'generic datasheet; check the lot in hand'
/** Length and diameter tolerance where the row states none: typical of moulded and wound parts, mm. */
const DEFAULT_TOL = 0.2

const cell = (
  code: string,
  name: string,
  d: number,
  l: number,
  mAh: number,
  amps: number,
  mOhm: number,
  grams: number,
  prot: boolean,
): Row => [
  `cell-${code}`,
  name,
  {
    diameter: d,
    length: l,
    capacity: mAh,
    contCurrent: amps,
    resistance: mOhm,
    mass: grams,
    nominalVolts: 3.6,
    fullVolts: 4.2,
    cutoffVolts: 3.0,
    chargeCurrent: Math.min(2, mAh / 2000),
  },
  { protected: prot, tol: prot ? 0.5 : 0.2 },
]
const speaker = (d: number, l: number, ohms: number, watts: number, grams: number): Row => [
  `speaker-${d}-${ohms}-${watts}`,
  `Speaker ${d} mm, ${ohms} Ω ${watts} W`,
  {
    diameter: d,
    length: l,
    impedance: ohms,
    ratedWatts: watts,
    mass: grams,
    coneArea: Math.round(Math.PI * (d / 2 - 1.5) ** 2),
  },
]
const wire = (awg: number, outside: number): Row => [
  `wire-${awg}`,
  `Wire AWG ${awg}, silicone`,
  { gauge: awg, diameter: outside },
]
const tube = (inch: string, d: number, wall: number, l: number): Row => [
  `tube-${inch.replace('/', '')}-${wall * 10}-${l}`,
  `Tube ${inch} in, ${wall} mm wall, ${l} mm`,
  { diameter: d, wall, length: l, mass: Math.round((Math.PI / 4) * (d ** 2 - (d - 2 * wall) ** 2) * l * 0.0012) },
]

const TABLE: Partial<Record<PartKind, Row[]>> = {
  cell: [
    cell('14500-b', 'Cell 14500, bare', 14, 50, 900, 5, 45, 22, false),
    cell('14500-p', 'Cell 14500, protected', 14.2, 52.6, 900, 2.5, 70, 24, true),
    cell('16340-b', 'Cell 16340, bare', 16, 34, 650, 4, 55, 17, false),
    cell('18350-b', 'Cell 18350, bare', 18.2, 35, 1100, 9, 32, 27, false),
    cell('18350-p', 'Cell 18350, protected', 18.5, 38.4, 1100, 4, 60, 29, true),
    cell('18500-b', 'Cell 18500, bare', 18.3, 50, 2000, 7, 34, 34, false),
    cell('18500-p', 'Cell 18500, protected', 18.6, 53.5, 2000, 5, 60, 36, true),
    cell('18650-hd', 'Cell 18650, bare, high drain', 18.4, 65.1, 2600, 20, 18, 45, false),
    cell('18650-hc', 'Cell 18650, bare, high capacity', 18.5, 65.2, 3400, 8, 38, 47, false),
    cell('18650-p', 'Cell 18650, protected', 18.6, 69.4, 3400, 7, 62, 49, true),
    cell('18650-p15', 'Cell 18650, protected, 15 A', 18.6, 69.8, 3000, 15, 40, 49, true),
    cell('21700-hd', 'Cell 21700, bare, high drain', 21.4, 70.4, 4000, 30, 13, 68, false),
    cell('21700-hc', 'Cell 21700, bare, high capacity', 21.5, 70.6, 5000, 10, 26, 70, false),
    cell('21700-p', 'Cell 21700, protected', 21.7, 75.6, 5000, 10, 45, 74, true),
    [
      'pack-2s-18350',
      'Pack 2 × 18350 in series, hard-wired',
      {
        diameter: 18.6,
        length: 74,
        capacity: 1100,
        contCurrent: 6,
        resistance: 80,
        mass: 58,
        nominalVolts: 7.2,
        fullVolts: 8.4,
        cutoffVolts: 6,
        chargeCurrent: 0.5,
      },
      { protected: true, tol: 0.6 },
    ],
    [
      'pack-2p-14500',
      'Pack 2 × 14500 in parallel, hard-wired',
      {
        diameter: 28.4,
        length: 53,
        capacity: 1800,
        contCurrent: 5,
        resistance: 35,
        mass: 48,
        nominalVolts: 3.6,
        fullVolts: 4.2,
        cutoffVolts: 3,
        chargeCurrent: 0.9,
      },
      { protected: true, tol: 0.6 },
    ],
  ],
  speaker: [
    speaker(20, 4.6, 8, 1, 6),
    speaker(20, 5.4, 4, 2, 7),
    speaker(22, 5.0, 8, 1, 8),
    speaker(22, 6.2, 4, 2, 9),
    speaker(24, 5.6, 8, 2, 10),
    speaker(24, 9.5, 4, 3, 14),
    speaker(25, 6.4, 8, 2, 11),
    speaker(28, 5.4, 8, 2, 13),
    speaker(28, 11.8, 4, 3, 22),
    speaker(36, 8.2, 4, 3, 28),
  ],
  board: [
    [
      'board-s',
      'Sound board, small',
      {
        length: 25.4,
        width: 16.4,
        height: 4.6,
        mass: 4,
        idleCurrent: 28,
        sleepCurrent: 0.35,
        deepSleepCurrent: 0.02,
        contCurrent: 10,
        maxOutputVoltsRms: 2.6,
      },
    ],
    [
      'board-m',
      'Sound board, medium',
      {
        length: 34.8,
        width: 18.2,
        height: 4.4,
        mass: 6,
        idleCurrent: 34,
        sleepCurrent: 0.28,
        deepSleepCurrent: 0.015,
        contCurrent: 15,
        maxOutputVoltsRms: 2.8,
      },
    ],
    [
      'board-l',
      'Sound board, large, two-sided',
      {
        length: 45.2,
        width: 20.4,
        height: 6.8,
        mass: 9,
        idleCurrent: 52,
        sleepCurrent: 0.9,
        deepSleepCurrent: 0.06,
        contCurrent: 30,
        maxOutputVoltsRms: 3.4,
      },
    ],
    [
      'board-flat',
      'Sound board, flat, for thin hilts',
      {
        length: 51,
        width: 14.2,
        height: 3.4,
        mass: 6,
        idleCurrent: 30,
        sleepCurrent: 0.3,
        deepSleepCurrent: 0.02,
        contCurrent: 12,
        maxOutputVoltsRms: 2.6,
      },
    ],
  ],
  auxBoard: [
    [
      'aux-wireless',
      'Wireless link board',
      { length: 19, width: 12.6, height: 3.2, mass: 2, idleCurrent: 8, sleepCurrent: 0.05 },
    ],
    ['aux-switch', 'Switch board, two positions', { length: 22, width: 9, height: 3, mass: 2 }],
    ['aux-charge', 'Charge controller, USB-C', { length: 21, width: 11, height: 4, mass: 3, sleepCurrent: 0.02 }],
    [
      'aux-boost',
      'Voltage converter',
      { length: 18, width: 11, height: 4.4, mass: 3, idleCurrent: 3, sleepCurrent: 0.08 },
      { converter: true },
    ],
  ],
  switch: [
    ['sw-8', 'Button 8 mm, latching off', { diameter: 8, length: 8, height: 9.5, mass: 2, contCurrent: 0.5 }],
    ['sw-8-ring', 'Button 8 mm, ring light', { diameter: 8, length: 8, height: 12.5, mass: 3, contCurrent: 0.5 }],
    ['sw-12', 'Button 12 mm, low profile', { diameter: 12, length: 12, height: 7.8, mass: 4, contCurrent: 1 }],
    ['sw-12-ring', 'Button 12 mm, ring light', { diameter: 12, length: 12, height: 15.5, mass: 6, contCurrent: 1 }],
    ['sw-16', 'Button 16 mm, domed', { diameter: 16, length: 16, height: 15, mass: 9, contCurrent: 3 }],
    ['sw-tact-6', 'Tact switch 6 × 6', { diameter: 6, length: 6, height: 5, mass: 1, contCurrent: 0.05 }],
    [
      'sw-tact-44',
      'Tact switch 4.4 × 4.4, side',
      { diameter: 4.4, length: 4.4, height: 3.6, mass: 1, contCurrent: 0.05 },
    ],
  ],
  killSwitch: [
    ['kill-slide-2a', 'Slide switch, 2 A', { length: 12.7, width: 6.6, height: 6.5, mass: 2, contCurrent: 2 }],
    ['kill-slide-5a', 'Slide switch, 5 A', { length: 19.8, width: 8.2, height: 8, mass: 4, contCurrent: 5 }],
    ['kill-slide-10a', 'Slide switch, 10 A', { length: 23.5, width: 13, height: 12, mass: 8, contCurrent: 10 }],
  ],
  killKey: [
    ['key-21', 'Kill key and 2.1 mm jack', { diameter: 8.2, length: 14, mass: 4, contCurrent: 5 }],
    ['key-13', 'Kill key and 1.3 mm jack', { diameter: 6.4, length: 11.5, mass: 3, contCurrent: 2 }],
    ['key-turn', 'Kill key, turn to run', { diameter: 11, length: 17, mass: 7, contCurrent: 8 }],
  ],
  // Only one that switches the saber's own current is rated for it.
  chargePort: [
    [
      'port-21',
      'Charge port, 2.1 mm barrel, switched',
      { length: 14.2, width: 9.2, height: 11, mass: 3, contCurrent: 5, chargeCurrent: 2 },
    ],
    ['port-13', 'Charge port, 1.3 mm barrel', { length: 10.5, width: 6, height: 6, mass: 2, chargeCurrent: 1 }],
    ['port-usbc', 'Charge port, USB-C', { length: 9.2, width: 9, height: 3.4, mass: 1, chargeCurrent: 1 }],
  ],
  connector: [
    ['conn-8pin', 'Blade connector, 8 sprung pins', { diameter: 23.2, length: 9.6, mass: 8, pinCurrent: 2, pins: 3 }],
    [
      'conn-10pin-lit',
      'Blade connector, 10 sprung pins, lit',
      { diameter: 23.2, length: 11.2, mass: 9, pinCurrent: 2.5, pins: 3, leds: 6 },
    ],
    ['conn-slim', 'Blade connector, slim', { diameter: 20.4, length: 7.4, mass: 6, pinCurrent: 2, pins: 2 }],
    [
      'conn-keyed-5',
      'Keyed plug, 5 pins, for string blades',
      { diameter: 14, length: 16, mass: 6, pinCurrent: 3, pins: 1 },
    ],
  ],
  contactBoard: [
    ['contact-6', 'Contact board, 6 sprung pins', { diameter: 24, length: 6.4, mass: 4, pinCurrent: 2, pins: 2 }],
    ['contact-9', 'Contact board, 9 sprung pins', { diameter: 26, length: 7, mass: 5, pinCurrent: 3, pins: 3 }],
  ],
  strip: [
    [
      'strip-144',
      'Pixel strip 144/m, 10 mm wide',
      { length: 1000, width: 10, height: 1.9, leds: 144, channelCurrent: 12, idleCurrent: 0.6 },
    ],
    [
      'strip-chassis-8',
      'Chassis strip, 8 pixels, 4 mm wide',
      { length: 56, width: 4.2, height: 1.6, leds: 8, channelCurrent: 5, idleCurrent: 0.5, mass: 1 },
    ],
    [
      'strip-chassis-14',
      'Chassis strip, 14 pixels, 4 mm wide',
      { length: 97, width: 4.2, height: 1.6, leds: 14, channelCurrent: 5, idleCurrent: 0.5, mass: 2 },
    ],
    [
      'ring-7',
      'Pixel ring, 7 pixels',
      { length: 2, width: 23, leds: 7, channelCurrent: 12, idleCurrent: 0.6, mass: 2 },
    ],
    [
      'pixel-crystal',
      'Single pixel under a crystal',
      { length: 8, width: 8, leds: 1, channelCurrent: 18, idleCurrent: 0.6, mass: 1 },
    ],
  ],
  accentLed: [
    ['led-3-red', 'Accent LED 3 mm, red', { diameter: 3, length: 5.4, forwardVolts: 2.0, channelCurrent: 20 }],
    ['led-3-green', 'Accent LED 3 mm, green', { diameter: 3, length: 5.4, forwardVolts: 3.1, channelCurrent: 20 }],
    ['led-3-blue', 'Accent LED 3 mm, blue', { diameter: 3, length: 5.4, forwardVolts: 3.2, channelCurrent: 20 }],
    ['led-3-white', 'Accent LED 3 mm, white', { diameter: 3, length: 5.4, forwardVolts: 3.2, channelCurrent: 20 }],
    ['led-5-amber', 'Accent LED 5 mm, amber', { diameter: 5, length: 8.6, forwardVolts: 2.1, channelCurrent: 20 }],
  ],
  inHiltLed: [
    [
      'ih-3die',
      'In-hilt LED module, three dies',
      { diameter: 20, length: 9, forwardVolts: 3.3, dies: 3, channelCurrent: 1000, mass: 7 },
    ],
    [
      'ih-4die',
      'In-hilt LED module, four dies',
      { diameter: 22, length: 11, forwardVolts: 3.3, dies: 4, channelCurrent: 1000, mass: 9 },
    ],
    [
      'ih-1die',
      'In-hilt LED module, one white die',
      { diameter: 20, length: 8, forwardVolts: 3.1, dies: 1, channelCurrent: 1500, mass: 6 },
    ],
  ],
  heatsink: [
    ['hs-20', 'Heatsink 20 × 22, aluminium', { diameter: 20, length: 22, mass: 15 }],
    ['hs-24', 'Heatsink 24 × 25, aluminium', { diameter: 24, length: 25, mass: 24 }],
  ],
  display: [
    ['oled-049', 'Display 0.49 in', { length: 14.5, width: 11.8, height: 2.6, mass: 2, idleCurrent: 9 }],
    ['oled-069', 'Display 0.69 in', { length: 26.4, width: 12.2, height: 2.8, mass: 3, idleCurrent: 12 }],
    ['oled-091', 'Display 0.91 in', { length: 38, width: 12, height: 2.8, mass: 4, idleCurrent: 14 }],
  ],
  chamber: [
    ['chamber-22', 'Crystal chamber Ø 22 × 34', { diameter: 22, length: 34, wall: 1.2, mass: 14 }],
    ['chamber-24', 'Crystal chamber Ø 24 × 40', { diameter: 24, length: 40, wall: 1.2, mass: 19 }],
  ],
  chassis: [
    ['ch-resin', 'Chassis, resin, one piece', { length: 130, wall: 1.4, mass: 32 }, { material: 'resin' }],
    ['ch-filament', 'Chassis, filament, one piece', { length: 130, wall: 1.8, mass: 30 }],
    ['ch-split', 'Chassis, two halves with contact board', { length: 150, wall: 1.6, mass: 36 }],
  ],
  spacer: [
    ['spacer-5', 'Spacer 5 mm', { diameter: 24, length: 5, mass: 2 }],
    ['spacer-10', 'Spacer 10 mm', { diameter: 24, length: 10, mass: 4 }],
  ],
  spring: [
    ['spring-5', 'Cell spring, 5 mm worked', { diameter: 12, length: 5, mass: 1 }],
    ['spring-8', 'Chassis spring, 8 mm worked', { diameter: 20, length: 8, mass: 3 }],
  ],
  wire: [wire(20, 1.8), wire(22, 1.7), wire(24, 1.6), wire(26, 1.3), wire(28, 1.2), wire(30, 0.8)],
  resistor: [
    ['res-1-2w', 'Resistor 1 Ω 2 W', { ohms: 1, ratedWatts: 2, diameter: 4, length: 11 }],
    ['res-1r2-3w', 'Resistor 1.2 Ω 3 W', { ohms: 1.2, ratedWatts: 3, diameter: 5, length: 13 }],
    ['res-68', 'Resistor 68 Ω ¼ W', { ohms: 68, ratedWatts: 0.25, diameter: 2.4, length: 6.3 }],
    ['res-120', 'Resistor 120 Ω ¼ W', { ohms: 120, ratedWatts: 0.25, diameter: 2.4, length: 6.3 }],
  ],
  card: [
    ['card-4', 'Memory card 4 GB', { cardMegabytes: 4000, length: 15, width: 11, height: 1 }],
    ['card-16', 'Memory card 16 GB', { cardMegabytes: 16000, length: 15, width: 11, height: 1 }],
  ],
  tube: [
    tube('3/4', 19.05, 1.6, 660),
    tube('7/8', 22.225, 1.6, 810),
    tube('7/8', 22.225, 2, 920),
    tube('1', 25.4, 1.6, 810),
    tube('1', 25.4, 2, 920),
    tube('1', 25.4, 3.2, 920),
  ],
  plug: [
    ['plug-78', 'Blade plug 7/8 in, resin', { diameter: 22.1, length: 48, mass: 18 }],
    ['plug-1', 'Blade plug 1 in, resin', { diameter: 25.3, length: 48, mass: 24 }],
    ['plug-1-metal', 'Blade plug 1 in, turned aluminium', { diameter: 25.3, length: 46, mass: 52 }],
  ],
  cover: [['cover-magnet', 'Metal cover, magnet held', { length: 42, width: 18, wall: 0.8, mass: 6 }]],
  sleeve: [['sleeve-grip-100', 'Grip sleeve over a core, 100 mm', { length: 100, diameter: 40, wall: 1.5, mass: 58 }]],
  charger: [
    ['charger-1a', 'Charger for one round cell, 1 A', { chargeCurrent: 1 }],
    ['charger-usb', 'USB-C cable, 1 A', { chargeCurrent: 1 }],
  ],
  tool: [
    ['tool-hex-15', 'Hex key 1.5 mm', {}, { key: '1.5 mm' }],
    ['tool-hex-2', 'Hex key 2 mm', {}, { key: '2 mm' }],
    ['tool-hex-116', 'Hex key 1/16 in', {}, { key: '1/16 in' }],
  ],
  screw: [
    ['screw-m3-5', 'Set screw M3 × 5', { diameter: 3, length: 5 }],
    ['screw-m4-6', 'Set screw M4 × 6', { diameter: 4, length: 6 }],
    ['screw-632', 'Set screw #6-32 × 1/4', { diameter: 3.5, length: 6.35 }],
    ['screw-thumb-m4', 'Thumb screw M4', { diameter: 4, length: 10 }],
  ],
}

/** The properties of a row that are neither size nor rating. */
const beyond = ({ protected: p, material, converter, key }: Extra = {}) => ({
  ...(p === undefined ? {} : { protected: p }),
  ...(material ? { material } : {}),
  ...(converter === undefined ? {} : { converter }),
  ...(key ? { key } : {}),
})

/** The catalogue a new shop starts with: generic parts, every value with its source. */
export const GENERIC_CATALOGUE: readonly CataloguePart[] = Object.entries(TABLE).flatMap(([kind, rows]) =>
  rows.map(([id, name, specs, extra]) => ({
    id,
    kind: kind as PartKind,
    name,
    specs: Object.fromEntries(
      Object.entries(specs).map(([k, v]) => {
        const tol = k === 'length' || k === 'diameter' ? (extra?.tol ?? DEFAULT_TOL) : undefined
        return [
          k,
          fact(v, SPECS[k as SpecKey].unit, 'datasheet', {
            with: SOURCE_NOTE,
            ...(tol && kind !== 'wire' ? { tol } : {}),
          }),
        ]
      }),
    ),
    ...beyond(extra),
  })),
)

/** The saber's own copy of a catalogue row. Which lot it is of nobody has looked at: it is entered on the part. */
export function fitFrom(row: CataloguePart, id: string, more: Partial<FittedPart> = {}): FittedPart {
  return {
    id,
    kind: row.kind,
    name: row.name,
    catalogue: row.id,
    specs: structuredClone(row.specs) as FittedPart['specs'],
    ...beyond(row),
    supplied: 'shop',
    ...more,
  }
}
