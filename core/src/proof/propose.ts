import { litCurrent, safeVolume } from '../power/budget'
import { known } from '../record/fact'
import type { Commission, Reading, Saber, Test } from '../record/schema'
import { ACTION_WORDS } from '../record/words'
import { formatNumber } from '../units/format'

/** A test that this build calls for. `key` stays the same for the same thing, so that a proposal is made once. */
export type Proposal = Omit<Test, 'id' | 'readings'>

/** Tests proposed from what is fitted, promised and repaired. */
export function proposeTests(_c: Commission, s: Saber): Proposal[] {
  const out: Proposal[] = []
  const cell = s.parts.find((p) => p.kind === 'cell')
  if (cell) {
    const full = known(cell.specs.fullVolts)
    const cut = known(cell.specs.cutoffVolts)
    out.push({
      key: 'cell-volts',
      what: 'Cell voltage at rest',
      place: `part:${cell.id}`,
      unit: 'V',
      ...(cut === undefined ? {} : { min: cut }),
      ...(full === undefined ? {} : { max: full + 0.05 }),
    })
  }
  const sleep = s.parts.filter((p) => p.specs.sleepCurrent).reduce((a, p) => a + (known(p.specs.sleepCurrent) ?? 0), 0)
  if (s.parts.some((p) => p.kind === 'board'))
    out.push({
      key: 'sleep-current',
      what: 'Current when asleep',
      unit: 'mA',
      min: 0,
      ...(sleep > 0 ? { max: Number((sleep * 1.5).toFixed(2)) } : {}),
    })
  if (s.parts.some((p) => p.kind === 'killSwitch' || p.kind === 'killKey'))
    out.push({
      key: 'cut-off',
      what: 'Power cut while lit: everything goes dark',
      expect: 'dark at once, and wakes again',
    })
  const load = s.presets[0] ? litCurrent(s, s.presets[0].colour) : undefined
  if (load?.ok)
    out.push({
      key: 'lit-current',
      what: `Current lit in ${s.presets[0]!.name}`,
      unit: 'A',
      min: Number((load.value * 0.5).toFixed(2)),
      max: Number((load.value * 1.25).toFixed(2)),
    })
  for (const k of s.hilt.sockets) {
    out.push({
      key: `pull-${k.id}`,
      what: `Blade held in the ${k.name}: pull by hand`,
      place: `socket:${k.id}`,
      expect: 'does not move',
    })
    if (s.blades.some((b) => b.socket === k.id && b.kind === 'pixel'))
      out.push({
        key: `pixels-${k.id}`,
        what: `Every pixel lights, ${k.name}`,
        place: `socket:${k.id}`,
        expect: 'red, green, blue and white without a gap',
      })
  }
  for (const p of s.presets)
    out.push({
      key: `preset-${p.id}`,
      what: `${p.name} plays and shows its colour`,
      place: `preset:${p.id}`,
      expect: 'right font, right colour',
    })
  for (const r of s.controls.filter((r) => r.status === 'configured'))
    out.push({
      key: `row-${r.id}`,
      what: `Control: ${r.says ?? ACTION_WORDS[r.does]}`,
      place: `row:${r.id}`,
      expect: 'does it, first try',
    })
  const safe = safeVolume(s)
  if (safe.ok) out.push({ key: 'volume', what: 'Volume as shipped', unit: '%', min: 1, max: safe.value })
  for (const d of s.parts.filter((p) => p.kind === 'display'))
    out.push({
      key: `display-${d.id}`,
      what: `${d.name} straight behind its window`,
      place: `part:${d.id}`,
      expect: 'whole picture seen',
    })
  for (const f of s.fixes)
    out.push({
      key: `fix-${f.id}`,
      what: `Open and close after the repair: ${f.fix}`.slice(0, 240),
      ...(f.place ? { place: f.place } : {}),
      unit: 'cycles',
      min: 10,
      expect: 'no fault in any cycle',
    })
  return out
}

/** How a reading stands against the test's limits. A text-only test takes the maker's own verdict. */
export function judge(test: Pick<Test, 'min' | 'max' | 'unit'>, value: number | undefined, own: boolean): boolean {
  if (value === undefined) return own && test.min === undefined && test.max === undefined
  if (!Number.isFinite(value)) return false
  return value >= (test.min ?? Number.NEGATIVE_INFINITY) && value <= (test.max ?? Number.POSITIVE_INFINITY)
}

export type Standing = 'none' | 'pass' | 'fail' | 'retest'

/** A test's standing: its latest reading, unless a fix that names it came on a later day (or the same day, with no reading after). */
export function standing(saber: Saber, test: Test): Standing {
  const last = latest(test)
  if (!last) return 'none'
  if (!last.pass) return 'fail'
  const touched = saber.fixes.filter((f) => f.retest.includes(test.id)).some((f) => f.on > last.at.slice(0, 10))
  return touched ? 'retest' : 'pass'
}

export const latest = (t: Test): Reading | undefined => [...t.readings].sort((a, b) => a.at.localeCompare(b.at)).at(-1)

/** "min 3 V, max 4.25 V", "at least 10 cycles", or what is expected in words. */
export function limitText(t: Pick<Test, 'min' | 'max' | 'unit' | 'expect'>): string {
  const u = t.unit ? ` ${t.unit}` : ''
  if (t.min !== undefined && t.max !== undefined) return `${formatNumber(t.min)} to ${formatNumber(t.max)}${u}`
  if (t.min !== undefined) return `at least ${formatNumber(t.min)}${u}`
  if (t.max !== undefined) return `at most ${formatNumber(t.max)}${u}`
  return t.expect ?? 'works'
}
