import { doingOf } from '../controls'
import { known } from '../facts'
import { litCurrent, safeVolume } from '../power'
import { type Commission, colourOf, type FittedPart, type Saber, type Test } from '../record'
import { say } from '../words'

/** A test that this build calls for. `key` stays the same for the same thing, so that a proposal is made once. */
export type Proposal = Omit<Test, 'id' | 'readings'>

/** Tests proposed from what is fitted, promised and repaired. */
export function proposeTests(_c: Commission, s: Saber): Proposal[] {
  return [...cellTests(s), ...currentTests(s), ...bladeTests(s), ...setUpTests(s), ...windowTests(s), ...repairTests(s)]
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
  return out
}

const bladeTests = (s: Saber): Proposal[] =>
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
