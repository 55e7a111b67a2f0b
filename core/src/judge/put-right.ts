import { type Kind, partsOfRef, type Ref } from '../record'
import type { Finding } from './finding'

type Matter = Pick<Finding, 'code' | 'params'>
/** A field of the first thing that a finding names, where there is one that puts it right; by its key, or its path in that thing. */
type Said = string | ((m: Matter) => string | undefined)
type Field = Said | Readonly<Record<string, Said>>

/** What a check itself says of a field in what it found. */
const said =
  (key: string) =>
  ({ params }: Matter): string | undefined => {
    const v = (params as Record<string, unknown>)[key]
    const first = Array.isArray(v) ? v[0] : v
    return typeof first === 'string'
      ? first
      : ((first as { field?: string; key?: string })?.field ?? (first as { key?: string })?.key)
  }

/** Where each check's matters are put right, by their codes where these differ. What is put right in several places, or by hand, has none. */
export const FIELDS: Readonly<Record<string, Field>> = {
  // What one value says of itself.
  ...{ contradiction: said('field'), impossible: said('field'), noSize: said('field'), unusual: said('field') },
  ...{ oddSize: (m) => said('field')(m) ?? 'thread', sameName: 'name' },
  ...{ recalled: said('values'), unmeasured: said('missing') },
  specs: (m) =>
    said('values')(m) ?? said('missing')(m) ?? ((m.params as { unplaced?: boolean }).unplaced ? 'at' : undefined),
  // The hilt.
  ...{
    boreWall: 'bore',
    sameKey: 'clientMay',
    loose: 'looseNow',
    bladeHeld: { never: 'clientMay' },
    wrongKey: 'key',
    takenScrew: said('taken'),
    jointDepth: { deep: 'joint/engagement', thread: 'joint/engagement', wide: 'joint/passes' },
    nameHints: { sharp: 'sharp', resin: 'material', converter: 'converter', material: 'material', facing: 'faces' },
    hiltLength: 'length',
  },
  ...{ openingPlace: 'at', screwPlace: 'at' },
  // What lies in it.
  ...{ tooWide: 'specs/diameter', atItsHole: 'at', overlap: 'at', displayWindow: 'at', grilleAir: 'at', carried: 'on' },
  ...{ socketFit: 'outside', stringSums: 'ledsTotal', sleeveFit: 'specs/diameter', demoDiffers: 'use' },
  // Power.
  chargeCurrent: 'specs/chargeCurrent',
  chargeEnd: {
    ...{ over: 'specs/chargeVolts', other: 'specs/chargeVolts', unbalanced: 'balances' },
    ...{ balanceUnsaid: 'balances', endless: 'endsCharge' },
  },
  ...{
    configuredPixels: 'configured',
    fittedResistor: 'specs/ohms',
    landmark: 'landmark',
    poles: 'leads',
  },
  ...{
    zones: { count: 'leds', unsaid: 'shines', whom: 'follows', ring: 'follows' },
    portEnd: (m) => said('missing')(m) ?? 'switched',
    otherPole: 'faces',
  },
  dies: { unsaid: 'fed' },
  protectedCell: { bare: 'protected' },
  cutOff: { missing: 'cutPower', unused: 'cutPower', noSleep: 'specs/deepSleepCurrent', keyUnsaid: 'keyDoes/out' },
  noFirmware: 'firmware',
  loudVolume: {
    ...{ faint: 'use/volume', unknown: 'use/volume', loud: 'use/volume' },
    ...{ above: 'use/highestVolume', highest: 'use/highestVolume', possible: 'use/highestVolume' },
  },
  // Voice and controls.
  ...{ alikeColours: 'colour', lostEffect: 'colour', bleached: 'colour', behindTint: 'colour', noFont: 'font' },
  flashing: ({ params }) => ((params as { counted?: boolean }).counted ? 'flickerHz' : 'moves/is'),
  askedColour: ({ params }) => {
    const { event } = params as { event?: string }
    // The cell of an event is opened on the sheet.
    return event ? undefined : 'colour'
  },
  ignitionTime: ({ params }) => ((params as { way?: string }).way === 'retract' ? 'retractMs' : 'extendMs'),
  ...{ clipped: { over: 'gain' }, unevenFonts: 'gain', fontOffer: { unoffered: 'wish', unaccepted: 'wish' } },
  ...{ unsurePreset: 'status', unsureControl: 'status', holdUnknown: 'hold', collision: 'gesture' },
  cardCopied: 'copiedOn',
  // The order.
  ...{ goesWith: { unsaid: 'type', unprotected: 'protected' } },
  ...{ openQuestion: 'answer', client: 'client/name', sameInOrder: { edition: 'edition' } },
  parcels: { apart: 'mass', heavy: 'carrier' },
  lithium: {
    ...{ noCarrier: 'carrier', refused: 'carrier', confirm: 'confirmedBy' },
    unsecured: ({ params }) => ((params as { poles?: string }).poles === 'yes' ? 'polesCovered' : 'cannotWake'),
  },
}

/** The field in which a matter is put right, of the first thing that it names; undefined where no single one does it. */
export function putRightIn(check: string, m: Matter): string | undefined {
  const of = FIELDS[check]
  const f = typeof of === 'object' ? of[m.code] : of
  return typeof f === 'function' ? f(m) : f
}
/** Where things have their fields: what is said of a cell is said at Fit, wherever it is missed. */
const HOMES: Readonly<Partial<Record<Kind, string>>> = {
  ...{ section: 'hilt', fastener: 'hilt', opening: 'hilt', socket: 'hilt', part: 'fit', blade: 'fit' },
  ...{ preset: 'voice', font: 'voice', card: 'voice', row: 'controls', zone: 'power', item: 'saber' },
}
/** Matters that are put right on a desk of their own, or at a station where their thing does not lie. */
const DESKS: Readonly<Record<string, string>> = {
  ...{ noFirmware: 'power', loudVolume: 'power', client: 'brief', sameInOrder: 'saber' },
  translated: 'translation',
  toDos: 'to-do',
  workLoop: 'to-do',
  loggedHours: 'ledger',
  losses: 'ledger',
  before: 'saber',
}

/** The station or desk where a matter is put right, where that is not the one that it is found at. */
export function putRightAt(check: string, field: string | undefined, ref: Ref | undefined): string | undefined {
  const kind = ref && partsOfRef(ref)?.kind
  return DESKS[check] ?? (field && kind ? HOMES[kind] : undefined)
}
