import { describe, expect, test } from '@jest/globals'
import { actOf, proposeSteps, readActs, tasksOf } from '@nubrin/core/access'
import { judgeCommission } from '@nubrin/core/judge'
import { machineOf, runAll } from '@nubrin/core/machine'
import type { Saber, Step, Task } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { demo, done, TODAY } from './samples'

const step = (place: string | undefined, direction: Step['direction'], more: Partial<Step> = {}): Step => ({
  ...{ id: 'st', text: 'words of the maker', direction, ...(place ? { place: place as Step['place'] } : {}) },
  ...more,
})
const read = (s: Saber, task: Task, place: string | undefined, direction: Step['direction']) => {
  const act = actOf(s, task, step(place, direction))
  return act && `${act.do} ${act.at}`
}

describe('steps in words, read as acts', () => {
  const s = done()
  const blade = s.blades.find((b) => b.kind !== 'plug')!
  const socket = `socket:${blade.socket}`
  const kill = `part:${s.parts.find((p) => p.kind === 'killSwitch')!.id}`
  const cell = `part:${s.parts.find((p) => p.kind === 'cell')!.id}`
  test.each<[Task, string | undefined, Step['direction'], string | undefined]>([
    ['bladeIn', 'fastener:rw-f1', 'anticlockwise', 'loosen fastener:rw-f1'],
    ['bladeIn', 'fastener:rw-f1', 'clockwise', 'tighten fastener:rw-f1'],
    ['bladeIn', 'fastener:rw-f1', 'push', undefined],
    ['bladeIn', socket, 'push', `putOn blade:${blade.id}`],
    ['bladeIn', socket, 'clockwise', `putOn blade:${blade.id}`],
    ['bladeIn', socket, 'pull', undefined],
    ['bladeOut', socket, 'pull', `takeOff blade:${blade.id}`],
    ['bladeOut', socket, 'push', undefined],
    ['bladeOut', socket, 'none', undefined],
    ['open', socket, 'pull', undefined],
    ['powerOn', kill, 'slide', `restore ${kill}`],
    ['powerOff', kill, 'slide', `cut ${kill}`],
    ['open', kill, 'slide', undefined],
    ['cellOut', cell, 'slide', `takeOff ${cell}`],
    ['cellOut', cell, 'pull', `takeOff ${cell}`],
    ['cellIn', cell, 'push', `putOn ${cell}`],
    ['cellIn', cell, 'slide', `putOn ${cell}`],
    ['cellIn', cell, 'none', undefined],
    ['open', 'section:rw-pommel', 'anticlockwise', 'takeOff section:rw-pommel'],
    ['open', 'section:rw-pommel', 'pull', 'takeOff section:rw-pommel'],
    ['close', 'section:rw-pommel', 'clockwise', 'putOn section:rw-pommel'],
    ['close', 'section:rw-pommel', 'push', 'putOn section:rw-pommel'],
    ['close', 'section:rw-pommel', 'none', undefined],
    ['open', undefined, 'pull', undefined],
    ['open', 'preset:rw-s1', 'pull', undefined],
  ])('%s, %s, %s: %s', (task, place, direction, says) => expect(read(s, task, place, direction)).toBe(says))
  test('a socket with two blades that could be meant is none of them', () => {
    const two = structuredClone(s)
    two.blades.push({ ...structuredClone(blade), id: 'second' })
    expect(read(two, 'bladeIn', socket, 'push')).toBeUndefined()
    two.blades.at(-1)!.use = 'demo'
    expect(read(two, 'bladeIn', socket, 'push')).toBe(`putOn blade:${blade.id}`)
  })
  test('what is drafted and told in words alone is read again as the acts that it was', () => {
    let [good, all] = [0, 0]
    for (const c of demoCommissions(TODAY))
      for (const saber of c.sabers)
        for (const task of tasksOf(saber)) {
          let n = 0
          const { steps } = proposeSteps(MAKER, saber, task, () => `d${n++}`)
          if (!steps.length || !steps.every((x) => x.act)) continue
          const x = structuredClone(saber)
          const earlier = x.access
            .filter((p) => p.task !== task)
            .map((p) => ({ ...p, steps: proposeSteps(MAKER, saber, p.task, () => `e${n++}`).steps }))
          x.access = [...earlier, { id: 'worded', task, steps: steps.map(({ act: _a, ...w }) => w) }]
          const r = readActs(x, task)
          all++
          if (!r.ok) continue
          good++
          expect(r.steps.map((y) => y.act?.do)).toEqual(steps.map((y) => y.act!.do))
          expect(r.steps.every((y) => y.ownWords)).toBe(true)
        }
    expect(all).toBeGreaterThan(20)
    expect(good / all).toBeGreaterThan(0.5)
  })
  test('all or none: a step that says nothing, or cannot be done where it stands, is named', () => {
    const x = done()
    const put = (steps: Step[]) => {
      x.access = [{ id: 'a', task: 'bladeIn', steps: steps.map((y, i) => ({ ...y, id: `s${i}x` })) }]
      return readActs(x, 'bladeIn')
    }
    const { assembly, rest } = machineOf(x)
    const screws = assembly.joints[`blade:${blade.id}`]!.held.map((h) => `fastener:${h.screw}`)
    const loose = screws.map((f) => step(f, 'anticlockwise'))
    const tight = screws.map((f) => step(f, 'clockwise'))
    expect(put([...loose, step(socket, 'push')])).toMatchObject({ ok: true })
    expect(put([step(socket, 'push'), ...tight])).toEqual({ ok: false, n: 1, why: 'refused' })
    expect(put([...loose, step(undefined, 'none')])).toEqual({ ok: false, n: loose.length + 1, why: 'words' })
    const whole = put([...loose, step(socket, 'push'), ...tight])
    if (!whole.ok) throw new Error(JSON.stringify(whole))
    expect(
      runAll(
        assembly,
        { ...rest, screws: {} },
        whole.steps.map((y) => y.act!),
      ).refused,
    ).toBeUndefined()
    // How it lies after each step is what its acts come to, one by one.
    expect(whole.states).toEqual(
      whole.steps.map(
        (_, i) =>
          runAll(
            assembly,
            { ...rest, screws: {} },
            whole.steps.slice(0, i + 1).map((y) => y.act!),
          ).state,
      ),
    )
    // Read so, nothing of it is called stale: the words are the maker's.
    x.access = [{ id: 'a', task: 'bladeIn', steps: whole.steps }]
    const c = { ...demo('reed-warden'), sabers: [x] }
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'acts')).toEqual([])
    // What has an act already keeps it.
    expect(readActs(x, 'bladeIn')).toEqual(whole)
    expect(readActs(x, 'card')).toEqual({ ok: true, steps: [], states: [] })
  })
})
