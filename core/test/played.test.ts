import { describe, expect, test } from '@jest/globals'
import {
  type BoardEvent,
  compile,
  deadLine,
  type HandEvent,
  playedLines,
  startOf,
  stepAll,
} from '@nubrin/core/controls'
import { asShown, machineOf, outOrBack, powered } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { MAKER, type Reader } from '@nubrin/core/units'
import { done } from './samples'

const DE: Reader = { language: 'de', written: 'en' }

describe('what came of a hand, as it is read', () => {
  const s = done()
  const read = (h: BoardEvent, reader: Reader = MAKER) => playedLines(reader, s, h).map((p) => `${p.what}: ${p.text}`)
  const ignites = s.controls.find((r) => r.does === 'ignite')!
  test.each<[string, BoardEvent, string, RegExp]>([
    ['done', { t: 1, what: 'did', row: ignites.id }, 'did: ignite', /^did: zünden$/],
    ['held', { t: 1, what: 'began', row: ignites.id }, 'did: ignite, for as long as it is held', /solange gehalten/],
    ['over', { t: 1, what: 'ended', row: ignites.id }, 'did: ignite: released', /beendet$/],
    ['a beep', { t: 1, what: 'beep', input: 'x', n: 2 }, 'beep: beep 2', /^beep: Ton 2$/],
    ['a choice', { t: 1, what: 'chose', choice: 3 }, 'cue: set to 3', /^cue: steht auf 3$/],
    [
      'gone by itself',
      { t: 1, what: 'went', from: 'x', to: 'nowhere', after: 1 },
      'went: by itself: nowhere',
      /von selbst/,
    ],
  ])('%s', (_what, h, english, german) => {
    expect(read(h)[0]).toBe(english)
    expect(read(h, DE)[0]).toMatch(german)
  })
  test('its cues follow what was done, but none that stands at a step', () => {
    const cued: Saber = structuredClone(s)
    const r = cued.controls.find((x) => x.does === 'ignite')!
    r.cues = [
      { at: 'end', as: 'voice', says: 'ready' },
      { at: 'step', as: 'beep' },
    ]
    const lines = playedLines(MAKER, cued, { t: 1, what: 'did', row: r.id })
    expect(lines.map((l) => l.what)).toEqual(['did', 'cue'])
    expect(lines[1]!.text).toContain('ready')
  })
  test('of a row that is gone nothing is read', () => {
    for (const what of ['did', 'began', 'ended'] as const) expect(read({ t: 0, what, row: 'gone' })).toEqual([])
  })
  test('whatever hands do, every happening has its line, and each line says something', () => {
    const board = compile(s)
    const events: HandEvent[] = s.inputs.flatMap((i, n): HandEvent[] => [
      { t: n * 9 + 1, do: 'press', input: i.id },
      { t: n * 9 + 1.1, do: 'release', input: i.id },
      { t: n * 9 + 4, do: 'press', input: i.id },
      { t: n * 9 + 7, do: 'release', input: i.id },
    ])
    const { happened } = stepAll(board, startOf(board), events)
    expect(happened.length).toBeGreaterThan(4)
    for (const h of happened) {
      const lines = playedLines(MAKER, s, h)
      expect(lines.length).toBeGreaterThan(0)
      for (const l of lines) expect(l.text.trim()).not.toBe('')
    }
  })
  test('without power it says what is out, else that it is cut', () => {
    expect(deadLine(MAKER, 'Cell', false).text).toContain('Cell')
    expect(deadLine(MAKER, undefined, true).text).not.toBe(deadLine(MAKER, undefined, false).text)
  })
})

describe('a saber as it is shown', () => {
  const two = (): Saber => {
    const s = done()
    const blade = s.blades.find((b) => b.kind !== 'inHilt' && b.kind !== 'plug')!
    s.blades.push({ ...structuredClone(blade), id: 'second', name: 'second' })
    s.blades.push({ ...structuredClone(blade), id: 'plug', name: 'plug', kind: 'plug' })
    return s
  }
  test('it has power and the first blade of each socket; plug and other blades are out', () => {
    const s = two()
    const first = s.blades.find((b) => b.kind !== 'inHilt' && b.kind !== 'plug')!
    const { assembly, rest } = machineOf(s)
    const shown = asShown(s, { ...rest, cut: true, screws: { x: 'out' }, off: [`blade:${first.id}`] })
    expect(shown).toMatchObject({ cut: false, screws: {} })
    expect([...shown.off].sort()).toEqual(['blade:plug', 'blade:second'])
    expect(powered(assembly, shown)).toBe(true)
  })
  test('a plug alone in its socket stays in', () => {
    const s = done()
    s.blades = [{ ...s.blades[0]!, kind: 'plug' }]
    expect(asShown(s, machineOf(s).rest).off).toEqual([])
  })
  test('what is put back into a socket puts out what was in it; what is taken out is out', () => {
    const s = two()
    const { assembly, rest } = machineOf(s)
    const shown = asShown(s, rest)
    const plugged = outOrBack(assembly, shown, 'blade:plug')
    expect(plugged.off).not.toContain('blade:plug')
    expect(plugged.off).toContain(`blade:${s.blades[0]!.id}`)
    expect(outOrBack(assembly, plugged, 'blade:plug').off).toContain('blade:plug')
  })
})
