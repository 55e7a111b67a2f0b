import { describe, expect, test } from '@jest/globals'
import { buildHandoff, TROUBLES, troublesOf } from '@nubrin/core/handoff'
import { blankSaber, readerOf, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demo, done, TODAY } from './samples'

const keys = (change: (s: Saber) => void) => {
  const s = structuredClone(done())
  change(s)
  return troublesOf(MAKER, s).map((t) => t.key)
}
const cure = (key: string, change: (s: Saber) => void = () => undefined) => {
  const s = structuredClone(done())
  change(s)
  return troublesOf(MAKER, s).find((t) => t.key === key)?.cure
}

describe('what may be odd one day', () => {
  test('is told by what is fitted: what a saber does not have cannot trouble', () => {
    expect(
      troublesOf(
        MAKER,
        blankSaber(() => 'x', 'x', 'install'),
      ),
    ).toEqual([])
    expect(keys(() => undefined)).toEqual([
      ...['flicker', 'freezes', 'crackles', 'muffled', 'loosePommel', 'noWake', 'noLight', 'loosensBlade'],
    ])
    const without = (kind: string) => (s: Saber) => void (s.parts = s.parts.filter((p) => p.kind !== kind))
    expect(keys(without('speaker'))).not.toContain('muffled')
    expect(keys(without('speaker'))).not.toContain('crackles')
    expect(keys(without('cell'))).not.toContain('noWake')
    expect(keys((s) => void (s.blades = []))).not.toContain('noLight')
    expect(keys((s) => void (s.hilt.sockets[0]!.retention = []))).not.toContain('loosensBlade')
    expect(keys((s) => void (s.hilt.sections[0]!.joint.kind = 'glue'))).not.toContain('loosePommel')
    expect(keys((s) => void s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: {} }))).toContain(
      'noCharge',
    )
  })
  test('a board that froze is reset by what this saber has for it', () => {
    expect(cure('freezes')).toBe('Cut the power, count to ten, restore it.')
    expect(cure('freezes', (s) => void (s.cutPower = 'cellOut'))).toMatch(/^Take the cell out/)
    expect(
      cure('freezes', (s) => {
        s.cutPower = 'none'
        for (const p of s.parts) if (p.kind === 'cell') delete p.removable
      }),
    ).toMatch(/^Leave it until it has gone to sleep/)
  })
  test('each has a name and a cure in both languages, and what is dangerous is for others', () => {
    for (const language of ['en', 'de'] as const) {
      const c = demo('reed-warden')
      c.client.language = language
      const s = c.sabers[0]!
      s.parts.push({ id: 'port', kind: 'chargePort', name: 'port', specs: {} })
      const list = troublesOf(readerOf(c), s)
      expect(list.map((t) => t.key)).toEqual([...TROUBLES])
      expect(new Set(list.flatMap((t) => [t.what, t.cure])).size).toBe(2 * TROUBLES.length)
      const text = JSON.stringify(buildHandoff(c, 'Shop', TODAY).chapters.find((x) => x.id === 'troubles'))
      for (const t of list) expect(text).toContain(t.cure)
      expect(text).toMatch(language === 'en' ? /hot, swollen/ : /heiß, bläht es sich auf/)
    }
  })
})
