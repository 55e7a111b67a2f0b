import { doingOf } from '../controls'
import { known } from '../facts'
import { FAR_LED_VOLTS, farLedVolts, litCurrent, loadsOf, safeVolume } from '../power'
import { type Commission, colourOf, effectColours, type FittedPart, type Saber, type Test } from '../record'
import { say } from '../words'

/** A test that this build calls for. `key` stays the same for the same thing, so that a proposal is made once. */
export type Proposal = Omit<Test, 'id' | 'readings'>

/** Tests proposed from what is fitted, promised and repaired; what could hurt or fail for good comes first. */
export function proposeTests(_c: Commission, s: Saber): Proposal[] {
  return [
    ...[cellTests, currentTests, repairTests, bladeTests, portTests, lightTests, setUpTests, sensitivityTests].flatMap(
      (tests) => tests(s),
    ),
    ...[windowTests, linkTests, spareTests].flatMap((tests) => tests(s)),
  ]
}

function cellTests(s: Saber): Proposal[] {
  const cell = s.parts.find((p) => p.kind === 'cell')
  if (!cell) return []
  const [full, cut] = [known(cell.specs.fullVolts), known(cell.specs.cutoffVolts)]
  return [
    {
      key: 'cell-volts',
      what: say('test.cellVolts'),
      place: `part:${cell.id}`,
      unit: 'V',
      ...(cut === undefined ? {} : { min: cut }),
      ...(full === undefined ? {} : { max: full + 0.05 }),
    },
  ]
}

const sum = (parts: FittedPart[]) => parts.reduce((a, p) => a + (known(p.specs.sleepCurrent) ?? 0), 0)

function currentTests(s: Saber): Proposal[] {
  const out: Proposal[] = []
  const sleep = sum(s.parts.filter((p) => p.specs.sleepCurrent))
  if (s.parts.some((p) => p.kind === 'board'))
    out.push({
      key: 'sleep-current',
      what: say('test.sleepCurrent'),
      unit: 'mA',
      min: 0,
      ...(sleep > 0 ? { max: Number((sleep * 1.5).toFixed(2)) } : {}),
    })
  if (s.parts.some((p) => p.kind === 'killSwitch' || p.kind === 'killKey'))
    out.push({ key: 'cut-off', what: say('test.cutOff'), expect: say('test.cutOff.expect') })
  const first = s.presets[0]
  const load = first && litCurrent(s, colourOf(first))
  if (load?.ok)
    out.push({
      key: 'lit-current',
      what: say('test.litCurrent', { preset: first!.name }),
      unit: 'A',
      min: Number((load.value * 0.5).toFixed(2)),
      max: Number((load.value * 1.25).toFixed(2)),
    })
  const peak = worst(s)
  // The first preset's steady colour is measured anyway.
  if (peak && load?.ok && peak.amps > load.value * 1.05)
    out.push({
      key: 'peak-current',
      what: say('test.peakCurrent', { preset: peak.preset, look: say('look', { look: peak.look }) }),
      unit: 'A',
      min: Number((peak.amps * 0.5).toFixed(2)),
      max: Number((peak.amps * 1.25).toFixed(2)),
    })
  return out
}

/** The look that draws the most, of all presets. */
function worst(s: Saber): { preset: string; look: string; amps: number } | undefined {
  const all = loadsOf(s).flatMap((l) =>
    l.current.ok ? [{ preset: l.preset.name, look: l.look, amps: l.current.value }] : [],
  )
  return all.toSorted((a, b) => b.amps - a.amps)[0]
}

/** What is charged and read from outside. */
const portTests = (s: Saber): Proposal[] =>
  s.parts.flatMap((p): Proposal[] =>
    p.kind === 'chargePort'
      ? [
          {
            key: `port-${p.id}`,
            what: say('test.port', { port: p.name }),
            place: `part:${p.id}`,
            expect: say('test.port.expect'),
          },
        ]
      : p.kind === 'card'
        ? [
            {
              key: `card-${p.id}`,
              what: say('test.card', { card: p.name }),
              place: `part:${p.id}`,
              expect: say('test.card.expect'),
            },
          ]
        : [],
  )

/** Every light beside the blade, and the last pixel of a long one. */
const lightTests = (s: Saber): Proposal[] => [
  ...s.zones
    .filter((z) => !z.blade)
    .map(
      (z): Proposal => ({
        key: `zone-${z.id}`,
        what: say('test.zone', { zone: z.name }),
        place: `zone:${z.id}`,
        expect: say('test.zone.expect'),
      }),
    ),
  ...s.blades.flatMap((b): Proposal[] => {
    const volts = b.kind === 'pixel' && b.use !== 'toBuy' ? farLedVolts(s, b) : undefined
    return volts?.ok
      ? [
          {
            ...{ key: `far-led-${b.id}`, what: say('test.farLed', { blade: b.name }), place: `blade:${b.id}` },
            ...{ unit: 'V', min: FAR_LED_VOLTS, setup: 'blade' },
          },
        ]
      : []
  }),
]

/** How readily it answers, with what the socket will hold. */
const sensitivityTests = (s: Saber): Proposal[] => {
  const there = new Set(s.blades.map((b) => (b.kind === 'plug' ? ('plug' as const) : ('blade' as const))))
  return s.settings.sensitivities.flatMap((x) =>
    (['plug', 'blade'] as const)
      .filter((w) => there.has(w))
      .map(
        (setup): Proposal => ({
          key: `sense-${x.id}-${setup}`,
          what: say('test.sense', { sense: say('sense', { sense: x.sense }) }),
          ...{ setup, expect: say('test.sense.expect') },
        }),
      ),
  )
}

const linkTests = (s: Saber): Proposal[] =>
  s.settings.link
    ? [{ key: 'link', what: say('test.link', { link: s.settings.link.name ?? '' }), expect: say('test.link.expect') }]
    : []

/** What ships beside it is tried in its place: a spare that does not fit is none. */
const spareTests = (s: Saber): Proposal[] =>
  s.items
    .filter((x) => x.supplied === 'shop' && x.role !== 'accessory')
    .map((x) => ({
      key: `item-${x.id}`,
      what: say('test.spare', { what: x.what }),
      place: `item:${x.id}`,
      expect: say('test.spare.expect'),
    }))

const bladeTests = (s: Saber): Proposal[] => [
  ...socketTests(s),
  ...s.blades
    .filter((b) => b.use !== 'toBuy')
    .map(
      (b): Proposal => ({
        key: `fit-${b.id}`,
        what: say('test.fit', { blade: b.name }),
        place: `blade:${b.id}`,
        setup: b.kind === 'plug' ? 'plug' : 'blade',
        expect: say('test.fit.expect'),
      }),
    ),
]

const socketTests = (s: Saber): Proposal[] =>
  s.hilt.sockets.flatMap((k): Proposal[] => [
    {
      key: `pull-${k.id}`,
      what: say('test.pull', { socket: k.name }),
      place: `socket:${k.id}`,
      expect: say('test.pull.expect'),
    },
    ...(s.blades.some((b) => b.socket === k.id && b.kind === 'pixel')
      ? [
          {
            key: `pixels-${k.id}`,
            what: say('test.pixels', { socket: k.name }),
            place: `socket:${k.id}` as const,
            expect: say('test.pixels.expect'),
          },
        ]
      : []),
  ])

function setUpTests(s: Saber): Proposal[] {
  const safe = safeVolume(s)
  return [
    ...s.presets.map(
      (p): Proposal => ({
        key: `preset-${p.id}`,
        what: say('test.preset', { preset: p.name }),
        place: `preset:${p.id}`,
        expect: say('test.preset.expect'),
      }),
    ),
    ...s.presets.flatMap((p): Proposal[] => {
      const effects = effectsOf(s, p)
      return effects.length
        ? [
            {
              key: `effects-${p.id}`,
              what: say('test.effects', {
                preset: p.name,
                effects: effects.map((e) => say('event', { event: e })).join(', '),
              }).slice(0, 240),
              place: `preset:${p.id}`,
              expect: say('test.effects.expect'),
            },
          ]
        : []
    }),
    ...s.controls
      .filter((r) => r.status !== 'unsure')
      .map(
        (r): Proposal => ({
          key: `row-${r.id}`,
          what: say('test.control', { what: doingOf(r) }),
          place: `row:${r.id}`,
          expect: say('test.control.expect'),
        }),
      ),
    ...(safe.ok ? [{ key: 'volume', what: say('test.volume'), unit: '%', min: 1, max: safe.value }] : []),
  ]
}

/** Effects that a hand can call up. */
const CALLED: ReadonlySet<string> = new Set(['lock', 'drag', 'melt', 'deflect', 'surge'])
/** The effects of a preset: those with a colour of their own, and those that a control calls up in it. */
const effectsOf = (s: Saber, p: Saber['presets'][number]): string[] => {
  const called = s.controls.filter((r) => CALLED.has(r.does) && (!r.presets?.length || r.presets.includes(p.id)))
  return [...new Set([...effectColours(p).map(([e]): string => e), ...called.map((r): string => r.does)])]
}

const windowTests = (s: Saber): Proposal[] =>
  s.parts
    .filter((p) => p.kind === 'display')
    .map((d) => ({
      key: `display-${d.id}`,
      what: say('test.display', { display: d.name }),
      place: `part:${d.id}`,
      expect: say('test.display.expect'),
    }))

const repairTests = (s: Saber): Proposal[] =>
  s.fixes.map((f) => ({
    key: `fix-${f.id}`,
    what: say('test.repair', { fix: f.fix }).slice(0, 240),
    ...(f.place ? { place: f.place } : {}),
    unit: say('test.repair.unit'),
    min: 10,
    expect: say('test.repair.expect'),
  }))
