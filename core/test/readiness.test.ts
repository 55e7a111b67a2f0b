import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import type { Commission, Saber } from '@nubrin/core/record'
import { readinessOf } from '@nubrin/core/script'
import { demoCommissions } from '@nubrin/demo'
import { demo, TODAY } from './samples'

const ready = (run: (s: Saber, c: Commission) => void = () => undefined) => {
  const c = structuredClone(demo('reed-warden'))
  run(c.sabers[0]!, c)
  return readinessOf(c, c.sabers[0]!).map((x) => `${x.key}: ${x.what}${x.missing ? ` – ${x.missing}` : ''}`)
}

describe('what is ready before the lamp goes on', () => {
  test('of the finished saber, all of it and nothing that it does not have', () => {
    const hilt = 255
    const list = ready((s) => {
      s.settings.link = { name: 'reed', program: 'any terminal' }
    })
    expect(list).toEqual([
      'blade: blade, 92 cm, 920 mm',
      `room: ${((700 + hilt + 920) / 1000).toFixed(1)} m clear to every side and above`,
      'cell: the cell charged',
      'power: the power cut: the film begins with switching it on',
      'tools: hex key 2 mm',
      'card: the card in, and a copy of it kept',
      'preset: at the first preset, Reed at dawn',
      'link: a phone with any terminal that finds reed',
    ])
  })
  test('each goes with what it is about, and says what stands against it', () => {
    expect(ready((s) => void (s.blades[0]!.use = 'demo'))[0]).toBe('blade: blade, 92 cm, 920 mm, the bench’s own')
    expect(ready((s) => void (s.blades[0]!.use = 'toBuy'))[0]).toBe(
      'blade: a blade – only one to be bought is recorded',
    )
    const gone = (run: (s: Saber) => void, key: string) => ready(run).some((x) => x.startsWith(`${key}:`))
    expect(gone((s) => void (s.blades = []), 'blade')).toBe(false)
    expect(gone((s) => void (s.blades = []), 'room')).toBe(false)
    expect(gone((s) => void (s.parts = s.parts.filter((p) => p.kind !== 'cell')), 'cell')).toBe(false)
    expect(gone((s) => void (s.parts = s.parts.filter((p) => p.kind !== 'card')), 'card')).toBe(false)
    expect(gone((s) => void (s.cutPower = 'none'), 'power')).toBe(false)
    expect(gone((s) => void (s.hilt.fasteners = []), 'tools')).toBe(false)
    expect(gone((s) => void (s.presets = s.presets.slice(0, 1)), 'preset')).toBe(false)
    // A key of which nobody has said what it does is on no way.
    expect(
      ready((s) => {
        s.cutPower = 'killKey'
        s.parts.find((p) => p.kind === 'killSwitch')!.kind = 'killKey'
      }),
    ).toContain('power: the power on')
    expect(
      ready((s) => void s.parts.push({ ...structuredClone(s.parts.find((p) => p.kind === 'cell')!), id: 'c2' })),
    ).toContain('cell: all cells charged')
    expect(ready((s) => void (s.hilt.fasteners[0]!.looseNow = true)).at(-1)).toMatch(
      /^open: .* tight – it was left loose$/,
    )
  })
  test('work that holds up the filming of this saber, and no other work', () => {
    const todo = (more: object) => (_s: Saber, c: Commission) =>
      void (c.toDos = [
        { id: 'td', text: 'film into the blade', who: 'shop', done: false, blocks: 'filming', ...more } as never,
      ])
    const says = (more: object) => ready(todo(more)).filter((x) => x.startsWith('open'))
    expect(says({})).toEqual(['open: film into the blade – still to be done before it is filmed'])
    expect(says({ about: 'section:rw-pommel' })).toHaveLength(1)
    expect(says({ about: 'saber:rw' })).toHaveLength(1)
    expect(says({ about: 'saber:other' })).toEqual([])
    expect(says({ about: 'part:elsewhere' })).toEqual([])
    expect(says({ done: true })).toEqual([])
    expect(says({ blocks: 'shipping' })).toEqual([])
  })
  test('of every demo it speaks of what is there, without a gap', () => {
    for (const c of demoCommissions(TODAY))
      for (const s of c.sabers) {
        const list = readinessOf(c, s)
        expect(list.map((x) => x.what).join('|')).not.toMatch(/undefined|NaN|null/)
        expect(new Set(list.map((x) => `${x.key} ${x.what}`)).size).toBe(list.length)
      }
    const c = structuredClone(demo('reed-warden'))
    c.sabers[0]!.blades[0]!.length = fact(null, 'mm')
    expect(readinessOf(c, c.sabers[0]!)[0]!.what).toBe('blade, 92 cm')
  })
})
