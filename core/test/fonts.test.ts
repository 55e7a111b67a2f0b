import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { type Font, fontOf, type Saber, type Sound, type SoundEvent, soundsOf, tracksOf } from '@nubrin/core/record'
import {
  cardFiles,
  evened,
  guessEvent,
  HIGHEST_PEAK,
  louder,
  measuresOf,
  missingOfBoard,
  missingSounds,
  outlineOf,
  pathFault,
  reachableEvents,
  readWav,
  timesBySound,
  wavFault,
} from '@nubrin/core/voice'
import { makeSounds } from '@nubrin/demo'
import fc from 'fast-check'
import wavefile from 'wavefile'
import { playing } from './playing'
import { done } from './samples'

const heard = (event: SoundEvent, more: Partial<Sound> = {}, n = 0): Sound => ({
  ...{ id: `${event}-${n}`, event, name: `${event}.wav` },
  ...more,
})
const font = (id: string, sounds: Sound[], more: Partial<Font> = {}): Font =>
  ({ id, name: id, is: 'font', sounds, ...more }) as Font

describe('what a preset plays', () => {
  const s: Saber = { ...done(), fonts: [] }
  const p = { ...s.presets[0]!, tracks: [] as never[] }
  const f = playing(s, p, [heard('hum'), heard('track')])
  s.fonts.push(
    font('pack', [heard('beep'), heard('track', {}, 5)], { is: 'voicePack' }),
    font('bank', [heard('track', {}, 1), heard('track', {}, 2)], { is: 'musicBank' }),
    font('other', [heard('clash')]),
  )
  test('its font and the voice of the board, and of music what is its own or named', () => {
    expect(fontOf(s, p)).toBe(f)
    expect(soundsOf(s, p).map((x) => x.event)).toEqual(['hum', 'beep'])
    const named = { ...p, tracks: ['track-2', 'track-0', 'gone'] as Font['sounds'][number]['id'][] }
    expect(tracksOf(s, named).map((x) => x.id)).toEqual(['track-0', 'track-2'])
    const { font: _f, ...silent } = named
    expect(soundsOf(s, silent).map((x) => x.event)).toEqual(['beep'])
    expect(tracksOf(s, silent).map((x) => x.id)).toEqual(['track-2', 'track-0'])
  })
})

describe('what is missing for what a map can reach', () => {
  const row = (does: string, more: object = {}) =>
    ({ ...done().controls[0]!, id: `r-${does}`, does, ...more }) as Saber['controls'][0]
  const bare = (controls: Saber['controls'], sounds: Sound[]): [Saber, Saber['presets'][0]] => {
    const s: Saber = { ...done(), fonts: [], controls }
    const p = { ...s.presets[0]!, tracks: [] }
    s.presets = [p]
    playing(s, p, sounds)
    return [s, p]
  }
  test('to light it brings hum, swing and clash; an action its sound; cues and counted beeps those of the board', () => {
    const rows = [
      row('ignite'),
      row('lock', { cues: [{ at: 'end', as: 'sound' }] }),
      row('menuOpen', {
        cues: [
          { at: 'start', as: 'voice' },
          { at: 'step', as: 'flash' },
        ],
      }),
      row('retract', { beeps: 2 }),
      row('wake'),
      row('drag', { status: 'unsure' }),
      row('melt', { presets: ['elsewhere'] }),
    ]
    const [s, p] = bare(rows, [heard('hum')])
    expect(reachableEvents(s, p)).toEqual([
      'ignite',
      'hum',
      'swing',
      'clash',
      'lock',
      'chime',
      'menuLine',
      'retract',
      'beep',
      'boot',
    ])
    expect(missingSounds(s, p)).toEqual(['ignite', 'swing', 'clash', 'lock', 'retract'])
    // Those of the board are asked of a voice pack, where there is one.
    expect(missingOfBoard(s)).toEqual([])
    s.fonts.push(font('pack', [heard('menuLine'), heard('boot')], { is: 'voicePack' }))
    expect(missingOfBoard(s)).toEqual(['chime', 'beep'])
    fontOf(s, p)!.sounds.push(heard('chime'), heard('swing'))
    expect([missingOfBoard(s), missingSounds(s, p)]).toEqual([['beep'], ['ignite', 'clash', 'lock', 'retract']])
    s.fonts.at(-1)!.sounds = []
    expect(missingOfBoard(s)).toEqual([])
  })
  test('nothing is missing of what lists no sound at all; a track is missed where none is played', () => {
    const [s, p] = bare([row('ignite'), row('track')], [])
    expect(missingSounds(s, p)).toEqual([])
    fontOf(s, p)!.sounds.push(...(['ignite', 'hum', 'swing', 'clash'] as const).map((e) => heard(e)))
    expect(missingSounds(s, p)).toEqual(['track'])
    s.fonts.push(font('bank', [heard('track')], { is: 'musicBank' }))
    p.tracks = ['track-0' as never]
    expect(missingSounds(s, p)).toEqual([])
  })
})

describe('one gain for each font', () => {
  const level = fc.double({ min: -45, max: -8, noNaN: true })
  const events = fc.subarray(['hum', 'swing', 'clash', 'lock'] as const, { minLength: 1 })
  /** Fonts that are one recording, each softer or louder by so much, with peaks of their own. */
  const shifted = fc
    .array(
      fc.record({
        by: fc.double({ min: -15, max: 15, noNaN: true }),
        crest: fc.double({ min: 3, max: 20, noNaN: true }),
        has: events,
      }),
      {
        minLength: 2,
        maxLength: 6,
      },
    )
    .chain((list) => fc.record({ list: fc.constant(list), base: fc.tuple(level, level, level, level) }))
  test('recordings that differ in gain alone come out alike, none peaks above −1 dBTP, and one of them has no more room or the middle is met', () => {
    fc.assert(
      fc.property(shifted, ({ list, base }) => {
        const order = ['hum', 'swing', 'clash', 'lock']
        const fonts = list.map(({ by, crest, has }, i) =>
          font(
            `f${i}`,
            (i ? has : (order as SoundEvent[])).map((e) => {
              const lufs = base[order.indexOf(e)]! + by
              return heard(e as SoundEvent, { loudnessLufs: lufs, truePeakDb: lufs + crest })
            }),
          ),
        )
        const out = evened(fonts)
        const place = out.map((e, i) => list[i]!.by + e.gain)
        // All at one level, but for the tenths that a gain is set in.
        expect(Math.max(...place) - Math.min(...place)).toBeLessThan(0.11)
        const peaks = fonts.map((f, i) => Math.max(...f.sounds.map((x) => x.truePeakDb!)) + out[i]!.gain)
        expect(Math.max(...peaks)).toBeLessThanOrEqual(HIGHEST_PEAK + 1e-6)
        const sorted = list.map((x) => x.by).sort((a, b) => a - b)
        const mid = (sorted[(sorted.length - 1) >> 1]! + sorted[sorted.length >> 1]!) / 2
        const full = Math.max(...peaks) > HIGHEST_PEAK - 0.11
        expect(full || Math.abs(place[0]! - mid) < 0.11).toBe(true)
        // With those gains set, none is louder than the others.
        const set = fonts.map((f, i) => ({ ...f, gain: fact(out[i]!.gain, 'dB') }))
        for (const e of evened(set)) expect(Math.abs(e.louder!)).toBeLessThan(0.2)
      }),
    )
  })
  test('hum is held against hum: a font that only has loud events is no louder for that', () => {
    const a = font('a', [heard('hum', { loudnessLufs: -30 }), heard('clash', { loudnessLufs: -12 })])
    const b = font('b', [heard('clash', { loudnessLufs: -12 })])
    expect(evened([a, b]).map((e) => [e.louder, e.gain])).toEqual([
      [0, 0],
      [0, 0],
    ])
  })
  test('energy is held against energy; what compares with nothing is only kept below the peak; packs and music stay', () => {
    const short = (id: string, rmsDb: number) => font(id, [heard('clash', { rmsDb, truePeakDb: -6 })])
    const alone = font('c', [heard('melt', { loudnessLufs: -20, truePeakDb: 0.5 })])
    const pack = font('p', [heard('clash', { rmsDb: -3 })], { is: 'voicePack' })
    const out = evened([short('a', -20), short('b', -24), alone, pack, font('d', [heard('clash')])])
    expect(out.map((e) => [e.font.id, e.gain])).toEqual([
      ['a', -2],
      ['b', 2],
      ['c', -1.5],
      ['d', 0],
    ])
    expect(out.map((e) => e.louder)).toEqual([2, -2, undefined, undefined])
    expect(evened([])).toEqual([])
  })
})

describe('times and shapes of sounds', () => {
  const facts = (event: SoundEvent) => {
    const wav = readWav(makeSounds(90, [event])[0]!.bytes)
    if (!wav.ok) throw new Error(wav.message)
    return wav
  }
  test('the blade is proposed where nine tenths of the energy have come, of several the middle one', () => {
    const s: Saber = { ...done(), fonts: [] }
    const p = s.presets[0]!
    const f = playing(s, p, [heard('ignite', { arrives: 0.826, seconds: 3 })])
    expect(timesBySound(s, p)).toEqual({ extendMs: 830 })
    f.sounds.push(
      heard('ignite', { arrives: 2 }, 1),
      heard('ignite', { arrives: 1.1 }, 2),
      heard('retract', { seconds: 0.7 }),
    )
    expect(timesBySound(s, p)).toEqual({ extendMs: 1100, retractMs: 700 })
    f.sounds = [heard('ignite')]
    expect(timesBySound(s, p)).toEqual({})
  })
  test('the demo’s own sounds are guessed by their shape', () => {
    expect(guessEvent(facts('hum'))).toBe('hum')
    expect(guessEvent(facts('clash'))).toBe('clash')
    expect(guessEvent(facts('deflect'))).toBe('clash')
    expect(guessEvent(facts('retract'))).toBe('retract')
    const shape = { seconds: 3, begins: 0, arrives: 2.95, tailSilence: 0, seam: { clicks: true } }
    expect(guessEvent(shape)).toBe('ignite')
    expect(guessEvent({ ...shape, seconds: 90, arrives: 80 })).toBe('track')
    expect(guessEvent({ ...shape, seconds: 0 })).toBeUndefined()
    expect(guessEvent({ ...shape, seconds: 3, tailSilence: 3 })).toBeUndefined()
  })
  test('an outline holds every sample and is as long as the sound', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { maxLength: 300 }),
        fc.integer({ min: 0, max: 400 }),
        (list, n) => {
          const samples = Float32Array.from(list)
          const o = outlineOf(samples, 100, n)
          expect(o.low.length).toBe(Math.min(n, list.length))
          expect(o.seconds).toBeCloseTo(list.length / 100, 9)
          if (!o.low.length) return
          expect(Math.min(...o.low) + 0).toBe(Math.min(...samples) + 0)
          expect(Math.max(...o.high) + 0).toBe(Math.max(...samples) + 0)
          expect(o.low.every((x, i) => x <= o.high[i]!)).toBe(true)
        },
      ),
    )
  })
  test('what a record keeps of a measured file is what was measured, rounded', () => {
    const w = facts('hum')
    const m = measuresOf(w)
    expect(m).toMatchObject({ rate: 22050, channels: 1, bits: 16, clips: 0, seconds: 1 })
    expect(m.loudnessLufs).toBeCloseTo(w.integrated!, 2)
    expect(m.truePeakDb).toBeCloseTo(w.truePeakDb, 2)
    expect('loudnessRangeLu' in m).toBe(false)
    expect('loudnessLufs' in measuresOf(facts('deflect'))).toBe(false)
  })
})

describe('what goes onto the card', () => {
  const wide = fc.string({ unit: 'binary', maxLength: 90 })
  test('every stored sound once, in a folder of its font, under names that a card holds and keeps apart', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(wide, fc.array(wide, { maxLength: 5 })), { maxLength: 5 }), (list) => {
        const fonts = list.map(([name, names], i) =>
          font(
            `f${i}`,
            names.map((n, k) => heard('hum', { name: n, media: 'a'.repeat(64) }, k)),
            { name },
          ),
        )
        const files = cardFiles({ fonts })
        const paths = files.map((f) => f.path)
        expect(paths.length).toBe(list.reduce((n, [, names]) => n + names.length, 0))
        expect(new Set(paths.map((p) => p.toLowerCase())).size).toBe(paths.length)
        for (const p of paths) {
          expect([p, pathFault(p)]).toEqual([p, undefined])
          expect(p).toMatch(/^\d\d [^/]+\/hum\/[^/]+\.wav$/)
        }
      }),
    )
    expect(cardFiles({ fonts: [font('f', [heard('hum')])] })).toEqual([])
  })
  test('a sound is louder by just so much in every form it is stored in, and cut off at full scale', () => {
    const ramp = Float32Array.from({ length: 4800 }, (_, i) => 0.4 * Math.sin(i / 7))
    for (const depth of ['8', '16', '24', '32', '32f', '64'] as const) {
      const wav = new wavefile.WaveFile()
      const full = depth === '8' ? 127 : 2 ** (Number.parseInt(depth, 10) - 1) - 1
      const scaled = /f|64/.test(depth)
        ? [...ramp]
        : [...ramp].map((v) => Math.round(v * full) + (depth === '8' ? 128 : 0))
      wav.fromScratch(1, 48_000, depth, scaled)
      const bytes = wav.toBuffer()
      const [was, is, over] = [readWav(bytes), readWav(louder(bytes, 6)), readWav(louder(bytes, 20))]
      if (!was.ok || !is.ok || !over.ok) throw new Error(depth)
      expect(is.rmsDb - was.rmsDb).toBeCloseTo(6, depth === '8' ? 0 : 2)
      expect([is.bits, is.rate]).toEqual([was.bits, was.rate])
      if (!/f|64/.test(depth)) expect(over.peakDb).toBeGreaterThan(-0.1)
      expect(readWav(louder(bytes, 0))).toEqual(was)
    }
  })
  test('the door names what measuring names', () => {
    const [made] = makeSounds(90, ['clash'])
    for (const cut of [0, 8, 30, 44, 46, 200]) {
      const bytes = made!.bytes.slice(0, cut)
      const w = readWav(bytes)
      expect(wavFault(bytes)?.code).toBe(w.ok ? undefined : w.code)
    }
    expect(wavFault(made!.bytes)).toBeUndefined()
  })
})
