import type { Unit } from '../../units/unit'

/** A specification value a part kind may carry: its unit, its words, and the range outside which it is asked back. */
export interface SpecRule {
  unit: Unit
  label: string
  min: number
  max: number
}

/** All specification keys. Sizes are outside sizes in mm; electrical values are ratings unless they say otherwise. */
export const SPECS = {
  length: { unit: 'mm', label: 'length', min: 0.3, max: 1400 },
  width: { unit: 'mm', label: 'width', min: 0.3, max: 80 },
  height: { unit: 'mm', label: 'height', min: 0.3, max: 80 },
  diameter: { unit: 'mm', label: 'diameter', min: 0.05, max: 80 },
  wall: { unit: 'mm', label: 'wall', min: 0.2, max: 12 },
  mass: { unit: 'g', label: 'mass', min: 0.01, max: 3000 },
  capacity: { unit: 'mAh', label: 'capacity', min: 50, max: 12000 },
  contCurrent: { unit: 'A', label: 'continuous current', min: 0.01, max: 60 },
  resistance: { unit: 'mΩ', label: 'internal resistance', min: 0.1, max: 1000 },
  nominalVolts: { unit: 'V', label: 'nominal voltage', min: 0.5, max: 15 },
  fullVolts: { unit: 'V', label: 'full voltage', min: 0.5, max: 17 },
  cutoffVolts: { unit: 'V', label: 'cut-off voltage', min: 0.5, max: 12 },
  chargeCurrent: { unit: 'A', label: 'charge current', min: 0.05, max: 10 },
  chargeVolts: { unit: 'V', label: 'end-of-charge voltage', min: 1, max: 17 },
  impedance: { unit: 'Ω', label: 'impedance', min: 2, max: 64 },
  ratedWatts: { unit: 'W', label: 'rated power', min: 0.05, max: 20 },
  coneArea: { unit: 'mm²', label: 'cone area', min: 20, max: 2000 },
  idleCurrent: { unit: 'mA', label: 'idle current', min: 0, max: 1000 },
  sleepCurrent: { unit: 'mA', label: 'sleep current', min: 0, max: 100 },
  deepSleepCurrent: { unit: 'mA', label: 'deep-sleep current', min: 0, max: 20 },
  maxOutputVoltsRms: { unit: 'V', label: 'highest output, rms', min: 0.1, max: 12 },
  pinCurrent: { unit: 'A', label: 'current per pin', min: 0.1, max: 20 },
  pins: { unit: '×', label: 'power pins a side', min: 1, max: 12 },
  leds: { unit: '×', label: 'LED count', min: 1, max: 2000 },
  channelCurrent: { unit: 'mA', label: 'current per colour channel, full', min: 1, max: 1500 },
  forwardVolts: { unit: 'V', label: 'forward voltage', min: 1, max: 14 },
  dies: { unit: '×', label: 'dies', min: 1, max: 4 },
  ohms: { unit: 'Ω', label: 'resistance', min: 0.01, max: 1e6 },
  gauge: { unit: '×', label: 'wire gauge, AWG', min: 14, max: 40 },
  leastCell: { unit: 'mm', label: 'shortest cell with contact', min: 20, max: 300 },
  cardMegabytes: { unit: '×', label: 'card size, MB', min: 16, max: 1e6 },
} as const satisfies Record<string, SpecRule>
export type SpecKey = keyof typeof SPECS
/** What somebody may be hurt by when it is wrong: nobody stands behind it without having looked, or the sheet. */
export const RATINGS: ReadonlySet<SpecKey> = new Set<SpecKey>([
  ...(['contCurrent', 'pinCurrent', 'ratedWatts', 'chargeCurrent', 'chargeVolts', 'fullVolts', 'cutoffVolts'] as const),
])

/** How a part sits in the drawing and which specifications it should have before it can be judged. */
export interface KindRule {
  label: string
  glyph: 'cell' | 'speaker' | 'slab' | 'disc' | 'chamber' | 'frame' | 'window' | 'knob' | 'dot'
  /** Needed to place and check the part; a missing one raises a finding. */
  needs: SpecKey[]
  extras: SpecKey[]
  /** True for what travels inside the cavity and takes axial room. */
  inside: boolean
  /** Told to the client as a part of the saber. */
  told: boolean
}

const size: SpecKey[] = ['length', 'diameter']
const slab: SpecKey[] = ['length', 'width', 'height']
export const KINDS = {
  cell: {
    label: 'cell',
    glyph: 'cell',
    needs: [...size, 'capacity', 'contCurrent'],
    extras: ['mass', 'resistance', 'nominalVolts', 'fullVolts', 'cutoffVolts', 'chargeCurrent'],
    inside: true,
    told: true,
  },
  speaker: {
    label: 'speaker',
    glyph: 'speaker',
    needs: [...size, 'impedance', 'ratedWatts'],
    extras: ['mass', 'coneArea'],
    inside: true,
    told: true,
  },
  board: {
    label: 'sound board',
    glyph: 'slab',
    needs: slab,
    extras: ['mass', 'idleCurrent', 'sleepCurrent', 'deepSleepCurrent', 'contCurrent', 'maxOutputVoltsRms'],
    inside: true,
    told: true,
  },
  auxBoard: {
    label: 'auxiliary board',
    glyph: 'slab',
    needs: slab,
    extras: ['mass', 'idleCurrent', 'sleepCurrent'],
    inside: true,
    told: false,
  },
  switch: {
    label: 'button',
    glyph: 'knob',
    needs: ['length', 'diameter'],
    extras: ['height', 'mass', 'contCurrent'],
    inside: true,
    told: true,
  },
  killSwitch: {
    label: 'kill switch',
    glyph: 'slab',
    needs: slab,
    extras: ['mass', 'contCurrent'],
    inside: true,
    told: true,
  },
  killKey: { label: 'kill key', glyph: 'disc', needs: size, extras: ['mass', 'contCurrent'], inside: true, told: true },
  chargePort: {
    label: 'charge port',
    glyph: 'slab',
    needs: slab,
    extras: ['mass', 'chargeCurrent', 'chargeVolts', 'contCurrent'],
    inside: true,
    told: true,
  },
  connector: {
    label: 'blade connector',
    glyph: 'disc',
    needs: size,
    extras: ['mass', 'pinCurrent', 'pins', 'leds'],
    inside: true,
    told: true,
  },
  contactBoard: {
    label: 'contact board',
    glyph: 'disc',
    needs: size,
    extras: ['mass', 'pinCurrent', 'pins', 'leastCell'],
    inside: true,
    told: false,
  },
  strip: {
    label: 'lit strip',
    glyph: 'slab',
    needs: ['length', 'width', 'leds'],
    extras: ['height', 'mass', 'channelCurrent', 'idleCurrent'],
    inside: true,
    told: true,
  },
  accentLed: {
    label: 'accent LED',
    glyph: 'dot',
    needs: ['diameter', 'forwardVolts'],
    extras: ['channelCurrent', 'length', 'mass'],
    inside: true,
    told: true,
  },
  inHiltLed: {
    label: 'in-hilt LED module',
    glyph: 'disc',
    needs: [...size, 'forwardVolts', 'channelCurrent'],
    extras: ['dies', 'mass'],
    inside: true,
    told: true,
  },
  heatsink: {
    label: 'heatsink',
    glyph: 'disc',
    needs: size,
    extras: ['mass', 'ratedWatts'],
    inside: true,
    told: false,
  },
  display: {
    label: 'display',
    glyph: 'window',
    needs: slab,
    extras: ['mass', 'idleCurrent'],
    inside: true,
    told: true,
  },
  chamber: {
    label: 'crystal chamber',
    glyph: 'chamber',
    needs: size,
    extras: ['mass', 'wall'],
    inside: true,
    told: true,
  },
  chassis: {
    label: 'chassis',
    glyph: 'frame',
    needs: ['length', 'wall'],
    extras: ['diameter', 'mass', 'leastCell'],
    inside: false,
    told: true,
  },
  spacer: { label: 'spacer', glyph: 'disc', needs: size, extras: ['mass'], inside: true, told: false },
  spring: { label: 'spring', glyph: 'disc', needs: size, extras: ['mass', 'leastCell'], inside: true, told: false },
  wire: { label: 'wire', glyph: 'dot', needs: ['gauge'], extras: ['diameter', 'length'], inside: false, told: false },
  resistor: {
    label: 'resistor',
    glyph: 'dot',
    needs: ['ohms'],
    extras: ['ratedWatts', 'diameter', 'length'],
    inside: false,
    told: false,
  },
  card: {
    label: 'memory card',
    glyph: 'slab',
    needs: ['cardMegabytes'],
    extras: ['length', 'width', 'height'],
    inside: false,
    told: true,
  },
  tube: {
    label: 'blade tube',
    glyph: 'disc',
    needs: ['length', 'diameter', 'wall'],
    extras: ['mass'],
    inside: false,
    told: true,
  },
  plug: { label: 'blade plug', glyph: 'disc', needs: size, extras: ['mass'], inside: false, told: true },
  cover: {
    label: 'cover',
    glyph: 'frame',
    needs: ['length'],
    extras: ['width', 'wall', 'mass'],
    inside: false,
    told: true,
  },
  sleeve: {
    label: 'sleeve',
    glyph: 'frame',
    needs: ['length', 'diameter'],
    extras: ['wall', 'mass'],
    inside: false,
    told: true,
  },
  charger: { label: 'charger', glyph: 'slab', needs: [], extras: ['chargeCurrent'], inside: false, told: true },
  tool: { label: 'tool', glyph: 'dot', needs: [], extras: [], inside: false, told: true },
  screw: { label: 'screw', glyph: 'dot', needs: [], extras: ['length', 'diameter'], inside: false, told: false },
  other: {
    label: 'other part',
    glyph: 'slab',
    needs: [],
    extras: ['length', 'width', 'height', 'diameter', 'mass', 'idleCurrent'],
    inside: true,
    told: true,
  },
} as const satisfies Record<string, KindRule>
export type PartKind = keyof typeof KINDS

export const kindRule = (kind: PartKind): KindRule => KINDS[kind]
