import { describe, expect, test } from '@jest/globals'
import {
  cardSpace,
  configurationDifferences,
  configurationOf,
  configurationSheet,
  onCard,
  presetsWithout,
  readConfiguration,
  takeIn,
  unusedFiles,
  verifyCard,
} from '@nubrin/core/card'
import { fact, known } from '@nubrin/core/facts'
import type { Card, CardFile, CardReading, Configuration, Saber } from '@nubrin/core/record'
import { cardFiles } from '@nubrin/core/voice'
import fc from 'fast-check'
import { demo } from './samples'

const saber = (): Saber => structuredClone(demo('reed-warden').sabers[0]!)
const sum = (n: number) => n.toString(16).padStart(64, '0')
const reading = (files: CardFile[], unreadable: string[] = []): CardReading => ({
  ...{ id: 'r', was: 'read', on: '2026-11-20', files, unreadable },
})
/** A saber whose sounds have files. */
const sounding = () => {
  const s = saber()
  for (const [i, x] of s.fonts.flatMap((f) => f.sounds).entries()) x.media = sum(i + 1)
  return s
}
const written = (s: Saber): CardFile[] => cardFiles(s).map((f) => ({ path: f.path, bytes: 1000, sum: f.media }))

describe('what is on a card', () => {
  test('files take whole clusters: as a card gives them out one by one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(200_000), { maxLength: 40 }),
        fc.integer({ min: 1, max: 65_536 }),
        (sizes, cluster) => {
          let clusters = 0
          for (const bytes of sizes) for (let left = bytes; left > 0; left -= cluster) clusters++
          expect(
            onCard(
              sizes.map((bytes) => ({ bytes })),
              cluster,
            ),
          ).toBe(clusters * cluster)
        },
      ),
    )
  })
  test('what is free is what the card has less that; without a size or a look nothing is made up', () => {
    const s = saber()
    const part = s.parts.find((p) => p.kind === 'card')!
    part.specs.cardMegabytes = fact(100, '×')
    const card: Card = {
      id: 'k',
      name: 'k',
      is: 'shipped',
      edits: [],
      readings: [reading([{ path: 'a', bytes: 1, sum: sum(1) }])],
    }
    expect(cardSpace(s, card).free).toMatchObject({ value: 100 - 0.032768 })
    expect(cardSpace(s, { ...card, cluster: fact(512, '×') }).used).toMatchObject({ value: 0.000512 })
    // A cluster of nothing is none.
    expect(cardSpace(s, { ...card, cluster: fact(0, '×') }).used).toMatchObject({ value: 0.032768 })
    expect(cardSpace(s, { ...card, readings: [] }).used.ok).toBe(false)
    delete part.specs.cardMegabytes
    expect(cardSpace(s, card).free.ok).toBe(false)
  })
  test('a card that came back: any change is found, and nothing else', () => {
    const file = fc.record({ path: fc.stringMatching(/^[a-z]{1,4}$/), bytes: fc.nat(9), sum: fc.nat(3).map(sum) })
    const card = fc.uniqueArray(file, { selector: (f) => f.path, maxLength: 12 })
    fc.assert(
      fc.property(card, card, (a, b) => {
        const v = verifyCard(reading(a), reading(b))
        const at = (list: CardFile[], p: string) => list.find((f) => f.path === p)
        for (const path of new Set([...a, ...b].map((f) => f.path))) {
          const [was, is] = [at(a, path), at(b, path)]
          expect(v.added.includes(path)).toBe(!was)
          expect(v.gone.includes(path)).toBe(!is)
          expect(v.changed.includes(path)).toBe(!!was && !!is && was.sum !== is.sum)
        }
      }),
    )
    const whole = [{ path: 'A.wav', bytes: 1, sum: sum(1) }]
    // A card does not tell capitals apart; what cannot be read is not gone.
    expect(verifyCard(reading(whole), reading([{ path: 'a.WAV', bytes: 1, sum: sum(1) }]))).toEqual({
      ...{ changed: [], added: [], gone: [], unreadable: [] },
    })
    expect(verifyCard(reading(whole), reading([], ['A.wav']))).toMatchObject({ gone: [], unreadable: ['A.wav'] })
  })
  test('what nothing uses, each with why; what is written is used', () => {
    const s = sounding()
    expect(unusedFiles(s, written(s))).toEqual([])
    const folder = (i: number) =>
      cardFiles(s)
        .find((f) => f.sound === s.fonts[i]!.sounds[0]!.id)!
        .path.split('/')[0]!
    const more = (path: string) => ({ path, bytes: 1, sum: sum(9) })
    const odd = [
      more('old voice/hum.wav'),
      more(`${folder(0)}/hum/extra.wav`),
      more('__MACOSX/x'),
      more('configuration.json'),
    ]
    expect(unusedFiles(s, [...written(s), ...odd]).map((u) => [u.path, u.why])).toEqual([
      ['old voice/hum.wav', 'noFont'],
      [`${folder(0)}/hum/extra.wav`, 'notRecorded'],
      ['__MACOSX/x', 'litter'],
    ])
    for (const p of s.presets) if (p.font === s.fonts[0]!.id) delete p.font
    expect(unusedFiles(s, written(s)).map((u) => u.why)).toEqual(s.fonts[0]!.sounds.map(() => 'noPreset'))
  })
  test('presets whose font is not on it', () => {
    const s = sounding()
    expect(presetsWithout(s, written(s))).toEqual([])
    const first = new Set(s.fonts[0]!.sounds.map((x) => x.id as string))
    const left = cardFiles(s)
      .filter((f) => !first.has(f.sound))
      .map((f) => ({ path: f.path, bytes: 1, sum: f.media }))
    expect(presetsWithout(s, left)).toEqual(
      s.presets.filter((p) => p.font === s.fonts[0]!.id).map((p) => ({ preset: p.id, font: s.fonts[0]!.name })),
    )
    expect(presetsWithout(saber(), [])).toEqual([])
  })
})

describe('what a card is set to', () => {
  test('goes out as JSON and in again as it was, for every saber of the shop', () => {
    for (const id of ['reed-warden', 'cinder-oath', 'crosswind', 'ember-fair', 'first-lantern'])
      for (const s of demo(id).sabers) {
        const c = configurationOf(s)
        const read = readConfiguration(JSON.stringify({ format: 'nubrin-configuration', version: 1, ...c }))
        expect(read).toEqual({ ok: true, configuration: c })
        expect(configurationDifferences(c, structuredClone(c))).toEqual([])
        expect(configurationSheet(c).every(([name, value]) => name && value !== undefined)).toBe(true)
      }
  })
  test('every single value that differs is told, and nothing else', () => {
    const c = configurationOf(saber())
    const leaves: (string | number)[][] = []
    const walk = (v: unknown, way: (string | number)[]) => {
      if (typeof v === 'object' && v !== null) for (const [k, x] of Object.entries(v)) walk(x, [...way, k])
      else leaves.push(way)
    }
    walk(c, [])
    // What the file is for, and by what a line is known, is no setting.
    const KEYS = new Set(['saber', 'sense', 'light', 'mode', 'when', 'tracks'])
    let tried = 0
    for (const way of leaves.filter((w) => !w.some((k) => KEYS.has(String(k))))) {
      const d = structuredClone(c)
      let home = d as unknown as Record<string, unknown>
      for (const k of way.slice(0, -1)) home = home[k] as Record<string, unknown>
      const last = way.at(-1)!
      home[last] = typeof home[last] === 'number' ? (home[last] as number) + 1 : `${String(home[last]).slice(0, -1)}~`
      expect([way.join('/'), configurationDifferences(c, d).length]).toEqual([way.join('/'), 1])
      tried++
    }
    expect(tried).toBeGreaterThan(20)
    const { volume: _v, ...less } = c
    expect(configurationDifferences(c, less as Configuration)).toEqual([
      { at: 'volume', was: String(c.volume), is: undefined },
    ])
  })
  test('a value of the card stands beside the record’s until somebody has settled it', () => {
    const s = saber()
    s.use.volume.by = 'Maren'
    const c = { ...configurationOf(s), volume: 55, sleepAfter: 120 }
    c.presets = structuredClone(c.presets)
    c.presets[1]!.colour = '#123456'
    const n = takeIn(s, c, { source: 'configured', with: 'the card', on: '2026-11-20' })
    expect(n).toBe(3)
    for (const [f, was, is] of [
      [s.use.volume, 100, 55],
      [s.settings.sleepAfter!, 300, 120],
      [s.presets[1]!.colour, '#2040ff', '#123456'],
    ] as const) {
      expect(f.value).toBe(was)
      expect(f.rivals!.map((r) => r.value)).toEqual([is])
      // It is the card that says so, and not who said the other.
      expect(f.rivals![0]).toEqual({ value: is, source: 'configured', with: 'the card', on: '2026-11-20' })
    }
    const same = saber()
    expect(takeIn(same, configurationOf(same), { source: 'configured', with: 'the card', on: '2026-11-20' })).toBe(0)
    expect(same).toEqual(saber())
  })
  test('what is none is refused by its field and its rule', () => {
    const c = configurationOf(saber())
    const why = (v: unknown) => {
      const r = readConfiguration(typeof v === 'string' ? v : JSON.stringify(v))
      return r.ok ? '' : r.why
    }
    expect(why('{')).toBe('it is no JSON')
    expect(why([])).toBe('it is no object')
    expect(why({ ...c, format: 'other' })).toMatch(/^format: /)
    expect(why({ ...c, version: 2 })).toMatch(/^version: /)
    expect(why({ ...c, volume: -1 })).toMatch(/^volume: /)
    expect(why({ ...c, volume: 'loud' })).toMatch(/^volume: /)
    expect(why({ ...c, presets: [{ ...c.presets[0], colour: 'blue' }] })).toMatch(/^presets\/0\/colour: /)
    expect(why({ ...c, more: 1 })).toMatch(/^more: /)
    expect(why('x'.repeat(2_000_001))).toMatch(/longer/)
    fc.assert(fc.property(fc.string(), (text) => void readConfiguration(text)))
    fc.assert(fc.property(fc.jsonValue(), (v) => void readConfiguration(JSON.stringify(v))))
  })
  test('pixels are those the board is set to, else those there are', () => {
    const s = saber()
    const count = () => configurationOf(s).pixels.find((p) => p.light === s.blades[0]!.name)!.count
    const there = count()
    s.blades[0]!.configured = fact(200, '×', 'configured')
    expect([there > 200, count()]).toEqual([true, 200])
    expect(known(s.blades[0]!.configured)).toBe(200)
  })
})
