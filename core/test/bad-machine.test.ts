import { describe, expect, test } from '@jest/globals'
import { analyse } from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import { validateCommission } from '@nubrin/core/import'
import { judgeCommission } from '@nubrin/core/judge'
import { type Body, errand, goalsOf, machineOf, planOff, run } from '@nubrin/core/machine'
import type { Commission, Saber } from '@nubrin/core/record'
import { compose, rehearse } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { demo, TODAY } from './samples'

const changed = (run: (s: Saber, c: Commission) => void) => {
  const c = structuredClone(demo('reed-warden'))
  run(c.sabers[0]!, c)
  return c
}
const refused = (run: (s: Saber, c: Commission) => void) => {
  const r = validateCommission(changed(run))
  return r.ok ? [] : r.problems.map((p) => `${p.path} ${p.rule}`)
}
const off = (s: Saber, body: Body) => {
  const { assembly, rest } = machineOf(s)
  const p = planOff(assembly, rest, [body], 'maker')
  return p.ok ? 'off' : p.blocked.map((b) => `${b.code} ${b.at}`).join()
}
const POMMEL = 'section:rw-pommel' as const
const after = (body: Body, ...list: Body[]) => ({ id: `j-${body.slice(body.indexOf(':') + 1)}`, body, after: list })

describe('joints that cannot be', () => {
  test('one that waits for itself, and two that wait for each other, say so and end', () => {
    const cell = `part:${demo('reed-warden').sabers[0]!.parts.find((p) => p.kind === 'cell')!.id}` as Body
    const self = changed((s) => void s.joints.push(after(POMMEL, POMMEL))).sabers[0]!
    expect(off(self, POMMEL)).toMatch(/^circle /)
    const ring = changed((s) => void s.joints.push(after(POMMEL, cell), after(cell, POMMEL))).sabers[0]!
    expect(off(ring, POMMEL)).toMatch(/^circle /)
    expect(off(ring, cell)).toMatch(/^circle /)
    for (const s of [self, ring]) {
      const { assembly, rest } = machineOf(s)
      for (const g of goalsOf(s, assembly)) expect(typeof errand(assembly, rest, g).ok).toBe('boolean')
      const c = { ...changed(() => undefined), sabers: [s] }
      expect(judgeCommission(c, TODAY).filter((f) => f.code === 'failed')).toEqual([])
    }
  })
  test('one of nothing, or held by nothing, is refused by its place', () => {
    expect(refused((s) => void s.joints.push(after('section:gone')))).toEqual(['/sabers/0/joints/0/body reference'])
    expect(refused((s) => void s.joints.push(after(POMMEL, 'part:gone')))).toEqual([
      '/sabers/0/joints/0/after/0 reference',
    ])
    expect(refused((s) => void s.joints.push({ ...after(POMMEL), held: [{ screw: 'gone', by: 'loosen' }] }))).toEqual([
      '/sabers/0/joints/0/held/0/screw reference',
    ])
  })
  test('said twice, the joint has one answer; two bodies in one place are one at a time', () => {
    const twice = changed(
      (s) => void s.joints.push({ ...after(POMMEL), how: 'pull' }, { ...after(POMMEL), id: 'again', how: 'turnPull' }),
    )
    const { assembly, rest } = machineOf(twice.sabers[0]!)
    expect(new Set(assembly.joints[POMMEL]!.ways.map((w) => w.how)).size).toBe(1)
    const s = changed((x) => void x.blades.push({ ...structuredClone(x.blades[0]!), id: 'second' })).sabers[0]!
    const m = machineOf(s)
    const [first] = s.blades
    const inIt = { ...m.rest, screws: {}, off: m.rest.off.filter((b) => b !== `blade:${first!.id}`) }
    const free = { ...inIt, off: [...new Set([...inIt.off, 'blade:second' as const])] }
    expect(run(m.assembly, free, { do: 'putOn', at: 'blade:second' })).toMatchObject({ ok: false })
    expect(rest.off).toBeDefined()
  })
})

describe('maps that cannot be', () => {
  test('ten thousand rows, a row in a mode or with an input that is not there, are refused by place and rule', () => {
    const many = refused((s) => {
      s.controls = Array.from({ length: 10_000 }, (_, i) => ({ ...s.controls[0]!, id: `r${i}x` }))
    })
    expect(many).toContain('/sabers/0/controls maxItems')
    expect(refused((s) => void (s.controls[0]!.mode = 'gone'))).toEqual(['/sabers/0/controls/0/mode reference'])
    expect(refused((s) => void (s.controls[0]!.to = 'gone'))).toEqual(['/sabers/0/controls/0/to reference'])
    expect(refused((s) => void (s.controls[0]!.input = 'gone'))).toEqual(['/sabers/0/controls/0/input reference'])
    expect(refused((s) => void (s.modes[0]!.on = 'gone'))).toEqual(['/sabers/0/modes/0/on reference'])
    expect(refused((s) => void ((s.controls[0] as { gesture: string }).gesture = 'whistle'))).toEqual([
      '/sabers/0/controls/0/gesture enum',
    ])
  })
  test('thresholds that contradict each other are named; the whole of it still judges, composes and rehearses', () => {
    const c = changed((s) => {
      s.timing = {
        tapMost: fact(3, 's'),
        tapGap: fact(0, 's'),
        chordGap: fact(-1, 's'),
        beepEvery: fact(0, 's'),
        handKeeps: fact(60, 's'),
      }
      for (const m of s.modes) Object.assign(m, { on: m.id, leads: m.id, after: fact(0.0001, 's') })
    })
    const [s] = c.sabers
    expect(analyse(s!).matters.some((m) => m.code === 'holdInTap')).toBe(true)
    expect(judgeCommission(c, TODAY).filter((f) => f.code === 'failed')).toEqual([])
    s!.beats = compose(c, s!)
    expect(rehearse(MAKER, s!).states).toHaveLength(s!.beats.length)
  })
})
