import { known } from '../facts'
import {
  allowedCurrent,
  FAR_LED_VOLTS,
  farLedVolts,
  type LightLoad,
  leftAs,
  litBlades,
  litCurrent,
  restCurrent,
} from '../power'
import { colourOf, refTo, type Saber } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import { atMost, between, notBeyond, type Planned, partRef, partsOf, predicted, supplyOf, wiresOf } from './planned'

/** How far the light of a strip may differ from strip to strip, as a share. */
const STRIPS_DIFFER = 0.15

/** What could hurt first: the cell, and what cuts its power. */
export function cellTests(reader: Reader, s: Saber): Planned[] {
  const cell = s.parts.find((p) => p.kind === 'cell')
  if (!cell) return []
  const [full, cut] = [known(cell.specs.fullVolts), known(cell.specs.cutoffVolts)]
  return [
    {
      test: {
        key: 'cell-volts',
        what: say(reader, 'test.cellVolts'),
        place: partRef(cell),
        unit: 'V',
        ...(cut === undefined ? {} : { min: cut }),
        ...(full === undefined ? {} : { max: full + 0.05 }),
      },
      rests: [partRef(cell)],
    },
  ]
}

/** One for each way in which the power is cut while lit. */
function cutTests(reader: Reader, s: Saber): Planned[] {
  const ways = s.parts.filter((p) => p.kind === 'killSwitch' || p.kind === 'killKey')
  if (!ways.length && s.cutPower === 'cellOut')
    return [
      {
        test: { key: 'cut-off', what: say(reader, 'test.cellOut'), expect: say(reader, 'test.cutOff.expect') },
        rests: partsOf(s, 'cell'),
      },
    ]
  return ways.map((p) => ({
    test: {
      // The only one is the way; of several each is told by itself.
      key: ways.length === 1 ? 'cut-off' : `cut-off-${p.id}`,
      what: ways.length === 1 ? say(reader, 'test.cutOff') : say(reader, 'test.cutOffBy', { by: p.name }),
      place: partRef(p),
      expect: say(reader, 'test.cutOff.expect'),
    },
    // How it is cut is the saber's.
    rests: [partRef(p), refTo('saber', s.id), ...partsOf(s, 'cell'), ...wiresOf(s, 'power')],
  }))
}

export function currentTests(reader: Reader, s: Saber, loads: readonly LightLoad[]): Planned[] {
  const out: Planned[] = []
  const all = supplyOf(s)
  const lights = [
    ...partsOf(s, 'connector', 'inHiltLed', 'strip', 'accentLed'),
    ...litBlades(s).map((b) => refTo('blade', b.id)),
    ...s.zones.map((z) => refTo('zone', z.id)),
    ...wiresOf(s),
    // How bright it is set.
    refTo('saber', s.id),
  ]
  if (s.parts.some((p) => p.kind === 'board'))
    out.push({
      test: { key: 'sleep-current', what: say(reader, 'test.sleepCurrent'), unit: 'mA', min: 0 },
      rests: all,
      // A board sleeps within half again of its datasheet: leakage differs most.
      ...predicted(s, (x) => restCurrent(x, leftAs(x)), atMost, 0.5),
    })
  out.push(...cutTests(reader, s))
  const rated = (colour: string) => notBeyond(() => allowedCurrent(s, colour))
  const first = s.presets[0]
  const load = loads.find((l) => l.preset === first && l.lasts === 'steady')?.current
  if (load?.ok)
    out.push({
      test: { key: 'lit-current', what: say(reader, 'test.litCurrent', { preset: first!.name }), unit: 'A' },
      rests: [...all, ...lights, refTo('preset', first!.id)],
      ...predicted(s, (x) => litCurrent(x, colourOf(first!)), between, STRIPS_DIFFER),
      ...rated(colourOf(first!)),
    })
  const peak = worst(loads)
  // The first preset's steady colour is measured anyway.
  if (peak && load?.ok && peak.amps > load.value * 1.05)
    out.push({
      test: {
        key: 'peak-current',
        what: say(reader, 'test.peakCurrent', { preset: peak.preset, look: say(reader, 'look', { look: peak.look }) }),
        unit: 'A',
      },
      rests: [...all, ...lights],
      ...predicted(s, (x) => litCurrent(x, peak.colour), between, STRIPS_DIFFER),
      // A flash may be over a rating; what lasts may not.
      ...(peak.lasts ? rated(peak.colour) : {}),
    })
  return out
}

/** The look that draws the most, of all presets. */
function worst(loads: readonly LightLoad[]) {
  const all = loads.flatMap((l) => {
    const { colour, look, current } = l
    return current.ok ? [{ colour, look, preset: l.preset.name, amps: current.value, lasts: l.lasts !== 'flash' }] : []
  })
  return all.toSorted((a, b) => b.amps - a.amps)[0]
}

/** What is charged and read from outside. */
export const portTests = (reader: Reader, s: Saber): Planned[] =>
  s.parts.flatMap((p): Planned[] => {
    if (p.kind === 'chargePort')
      return [
        {
          test: {
            key: `port-${p.id}`,
            what: say(reader, 'test.port', { port: p.name }),
            place: partRef(p),
            expect: say(reader, 'test.port.expect'),
          },
          rests: [partRef(p), ...partsOf(s, 'cell'), ...wiresOf(s, 'power')],
        },
      ]
    if (p.kind === 'card')
      return [
        {
          test: {
            key: `card-${p.id}`,
            what: say(reader, 'test.card', { card: p.name }),
            place: partRef(p),
            expect: say(reader, 'test.card.expect'),
          },
          rests: [partRef(p), ...partsOf(s, 'board')],
        },
      ]
    return []
  })

/** Every light beside the blade, and the last pixel of a long one. */
export const lightTests = (reader: Reader, s: Saber): Planned[] => [
  ...s.zones
    .filter((z) => !z.blade)
    .map(
      (z): Planned => ({
        test: {
          key: `zone-${z.id}`,
          what: say(reader, 'test.zone', { zone: z.name }),
          place: refTo('zone', z.id),
          expect: say(reader, 'test.zone.expect'),
        },
        rests: [
          refTo('zone', z.id),
          ...(z.part ? [refTo('part', z.part)] : []),
          ...partsOf(s, 'board'),
          ...wiresOf(s, 'signal'),
        ],
      }),
    ),
  ...s.blades.flatMap((b): Planned[] => {
    if (b.kind !== 'pixel' || b.use === 'toBuy' || !farLedVolts(s, b).ok) return []
    return [
      {
        test: {
          ...{
            key: `far-led-${b.id}`,
            what: say(reader, 'test.farLed', { blade: b.name }),
            place: refTo('blade', b.id),
          },
          ...{ unit: 'V', min: FAR_LED_VOLTS, setup: 'blade' as const },
        },
        rests: [refTo('blade', b.id), ...supplyOf(s), ...partsOf(s, 'connector')],
        ...predicted(s, (x) => farLedVolts(x, x.blades.find((y) => y.id === b.id) ?? b), undefined),
      },
    ]
  }),
]
