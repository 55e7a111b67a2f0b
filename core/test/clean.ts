import { lookThrough } from '@nubrin/core/access'
import { fact } from '@nubrin/core/facts'
import { proposeTests, restedOn } from '@nubrin/core/proof'
import { type Commission, readerOf, type Saber } from '@nubrin/core/record'
import { compose } from '@nubrin/core/script'
import { proposePacking } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { deg, font, mm, on, order, part, pixelBlade, preset, row, screw } from './cases/plain'

/** What is drawn for a record in which nothing is wrong: what a careful shop chooses among. */
export interface Choices {
  /** Tube, in: its socket is a tenth of a millimetre wider. */
  tube: 22.225 | 25.4
  length: number
  grip: number
  cut: 'killSwitch' | 'killKey' | 'cellOut'
  key: 'runsOut' | 'runsIn' | 'turned'
  buttons: 1 | 2
  hold: number
  colours: number
  accent: boolean
  screws: 1 | 2
  byHand: boolean
}

/** Any of them. */
export const CHOICES: fc.Arbitrary<Choices> = fc.record({
  tube: fc.constantFrom(22.225 as const, 25.4 as const),
  length: fc.integer({ min: 60, max: 95 }).map((n) => n * 10),
  grip: fc.integer({ min: 140, max: 190 }),
  cut: fc.constantFrom('killSwitch' as const, 'killKey' as const, 'cellOut' as const),
  key: fc.constantFrom('runsOut' as const, 'runsIn' as const, 'turned' as const),
  buttons: fc.constantFrom(1 as const, 2 as const),
  hold: fc.integer({ min: 8, max: 20 }).map((n) => n / 10),
  colours: fc.integer({ min: 1, max: 4 }),
  accent: fc.boolean(),
  screws: fc.constantFrom(1 as const, 2 as const),
  byHand: fc.boolean(),
})

const HUES = ['#2060ff', '#20c060', '#ff4010', '#c040ff']
const today = '2026-11-24'

/**
 * A commission made as a careful shop makes it, from start to issue, by nothing but the choices: sizes that fit by arithmetic done
 * here, every question answered, every test made. It asks no check.
 */
export function cleanOrder(n: number, x: Choices): Commission {
  const id = `k${n}`
  const c = order(id, `Order ${n}`, [`Saber ${n}`])
  const s = c.sabers[0]!
  s.id = id
  fit(s, id, x)
  power(s, id, x)
  controls(s, id, x)
  s.telling = { length: 'full', readers: [], differs: [] }
  finish(c, s, id, x)
  return c
}

function fit(s: Saber, id: string, x: Choices) {
  const { hilt } = s
  const [pommel, grip, emitter] = hilt.sections as [
    Saber['hilt']['sections'][0],
    Saber['hilt']['sections'][0],
    Saber['hilt']['sections'][0],
  ]
  grip.length = mm(x.grip, 'measured', 0.1)
  emitter.bore = mm(x.tube + 0.1, 'measured', 0.02)
  for (const q of [pommel, grip, emitter]) q.mass = fact(90, 'g', 'measured', { with: 'scale' })
  const length = 30 + x.grip + 60
  const seat = hilt.sockets[0]!
  seat.bore = mm(x.tube + 0.1, 'measured', 0.02)
  seat.depth = mm(50, 'measured', 0.2)
  hilt.fasteners = Array.from({ length: x.screws }, (_, i) =>
    screw(`${id}-f${i}`, i ? 'lower blade screw' : 'upper blade screw', 'M4', '2 mm', length - 20 - i * 12, 0),
  )
  seat.retention = hilt.fasteners.map((f) => f.id)
  s.blades = [
    pixelBlade(`${id}-b1`, `blade, ${x.length / 10} cm`, seat.id, x.tube, x.length, {
      ...{ configured: fact(2 * Math.floor((144 * (x.length - 50)) / 1000), '×', 'configured') },
      mass: fact(150, 'g', 'measured', { with: 'scale' }),
    }),
  ]
  const button = s.parts.find((p) => p.kind === 'switch')!
  hilt.openings.push({
    ...{ id: `${id}-hole`, name: 'button hole', kind: 'switch', clock: deg(0), length: mm(6.5), width: mm(6.5) },
    at: mm(button.at!.value! + 3),
  })
}

function power(s: Saber, id: string, x: Choices) {
  const cell = s.parts.find((p) => p.kind === 'cell')!
  cell.landmark = 'a plus is cut into the tray'
  cell.specs.chargeCurrent = fact(2, 'A', 'datasheet')
  const add = (...parts: Saber['parts']) => s.parts.push(...parts)
  if (x.cut === 'killSwitch') add(part(`${id}-kill`, 'kill-slide-5a', 160, { clock: deg(180) }))
  if (x.cut === 'killKey') {
    add(part(`${id}-key`, x.key === 'turned' ? 'key-turn' : 'key-21', 160, { clock: deg(180) }))
    s.keyDoes = {
      runsOut: { out: 'closed', in: 'open' } as const,
      runsIn: { out: 'open', in: 'closed' } as const,
      turned: { out: 'open', in: 'open', turned: 'closed' } as const,
    }[x.key]
  }
  s.cutPower = x.cut
  add(part(`${id}-charger`, 'charger-1a', null, { endsCharge: true }))
  if (x.accent) {
    // (4.2 − 2) V at 20 mA.
    add(
      {
        id: `${id}-led`,
        kind: 'accentLed',
        name: 'pommel light',
        fed: 'resistor',
        through: `${id}-res`,
        supplied: 'shop',
        at: mm(20),
        specs: {
          diameter: mm(3),
          forwardVolts: fact(2, 'V', 'datasheet'),
          channelCurrent: fact(20, 'mA', 'datasheet'),
        },
      },
      {
        id: `${id}-res`,
        kind: 'resistor',
        name: 'resistor 120 Ω',
        supplied: 'shop',
        specs: { ohms: fact(120, 'Ω', 'datasheet') },
      },
    )
  }
  s.use = {
    ...{
      litShare: fact(50, '%', 'client'),
      brightness: fact(70, '%', 'configured'),
      volume: fact(60, '%', 'configured'),
      highestVolume: fact(100, '%', 'configured'),
    },
  }
}

function controls(s: Saber, id: string, x: Choices) {
  s.fonts = HUES.slice(0, x.colours).map((_, i) => font(`${id}-t${i}`, `Font ${i}`))
  s.presets = HUES.slice(0, x.colours).map((hue, i) => preset(`${id}-p${i}`, `Light ${i}`, `${id}-t${i}`, hue))
  const [one, two] = [`${id}-i1`, `${id}-i2`]
  s.inputs = [{ id: one, name: 'front button', kind: 'button', part: s.parts.find((p) => p.kind === 'switch')!.id }]
  if (x.buttons === 2) s.inputs.push({ id: two, name: 'rear button', kind: 'button' })
  s.controls = [
    row(`${id}-on`, 'off', one, 'tap', 'ignite'),
    row(`${id}-off`, 'lit', one, 'hold', 'retract', { s: x.hold }),
    ...(x.colours > 1
      ? [
          row(
            `${id}-next`,
            'off',
            x.buttons === 2 ? two : one,
            x.buttons === 2 ? 'tap' : 'hold',
            'nextPreset',
            x.buttons === 2 ? {} : { s: x.hold },
          ),
        ]
      : []),
  ]
}

function finish(c: Commission, s: Saber, id: string, x: Choices) {
  c.client.contact = 'aud@example'
  c.requests = []
  c.deadline = on('12-20')
  let n = 0
  const fresh = () => `${id}-z${n++}`
  s.access = []
  s.access = lookThrough(s, { who: 'Maren', on: today }, fresh)
  s.beats = compose(c, s)
  s.tests = proposeTests(readerOf(c), s).map((p) => {
    const mid = p.min !== undefined && p.max !== undefined ? (p.min + p.max) / 2 : (p.max ?? p.min)
    const reading = { id: fresh(), at: `${today}T10:00:00Z`, by: 'Maren', pass: true }
    return {
      ...p,
      id: fresh(),
      readings: [{ ...reading, ...(mid === undefined ? { text: 'as it should' } : { value: mid }) }],
    }
  })
  for (const t of s.tests) for (const r of t.readings) r.rested = restedOn(s, t)
  c.packing = proposePacking(MAKER, c).map(
    (p) => ({ id: fresh(), ...p, packed: true }) as Commission['packing'][number],
  )
  c.parcels = [
    {
      ...{ id: `${id}-box`, to: c.client.name, abroad: false, carrier: x.byHand ? 'byHand' : 'tern' },
      ...{ polesCovered: true, cannotWake: true, boxMass: fact(300, 'g', 'measured') },
    },
  ]
}
