import { describe, expect, test } from '@jest/globals'
import { readCommission, writeCommission } from '@nubrin/core/import'
import { difference, hueWord } from '@nubrin/core/light'
import { GENERIC_CATALOGUE, KINDS, SPECS, type SpecKey } from '@nubrin/core/parts'
import { missingSounds, reachableEvents, readWav } from '@nubrin/core/voice'
import { demoCommissions, makeSounds } from '@nubrin/demo'
import fc from 'fast-check'
import { playing } from './playing'
import { demo, TODAY } from './samples'

describe('the open format', () => {
  test('every demo commission goes out and comes back the same', () => {
    for (const c of demoCommissions(TODAY)) expect(readCommission(writeCommission(c))).toEqual({ ok: true, record: c })
  })
  const broken = (run: (c: Record<string, never> & ReturnType<typeof demo>) => void) => {
    const c = structuredClone(demo('reed-warden')) as never
    run(c)
    const r = readCommission(JSON.stringify(c))
    return r.ok ? [] : r.problems.map((p) => `${p.path} ${p.rule}`)
  }
  test.each([
    ['no JSON at all', 'hello', ' json'],
    ['a list', '[]', ' type'],
    ['another format', '{"format":"x"}', '/format format'],
    ['a newer version', '{"format":"nubrin-commission","version":99}', '/version version'],
  ])('%s is refused by path and rule', (_n, text, expected) => {
    const r = readCommission(text)
    expect(r.ok ? [] : r.problems.map((p) => `${p.path} ${p.rule}`)).toEqual([expected])
  })
  test('faults are named where they are', () => {
    expect(broken((c) => void (c.sabers[0]!.hilt.sections[1]!.length.value = 'long' as never))).toContain(
      '/sabers/0/hilt/sections/1/length/value type',
    )
    expect(broken((c) => void delete (c.sabers[0] as { presets?: unknown }).presets)).toEqual([
      '/sabers/0/presets required',
    ])
    expect(broken((c) => void (c.sabers[0]!.parts[0]!.kind = 'warpCore' as never))).toEqual([
      '/sabers/0/parts/0/kind enum',
    ])
    expect(broken((c) => void ((c as unknown as Record<string, unknown>).extra = 1))).toEqual([
      '/extra additionalProperties',
    ])
    expect(broken((c) => void (c.sabers[0]!.parts[1]!.id = 'rw-p1'))).toContain('/sabers/0/parts/1/id uniqueId')
    expect(broken((c) => void (c.sabers[0]!.blades[0]!.socket = 'nowhere'))).toEqual([
      '/sabers/0/blades/0/socket reference',
    ])
    expect(broken((c) => void (c.deadline = '31.12.2026'))).toEqual(['/deadline format'])
  })
  test('whatever is fed in, it answers and does not throw', () => {
    fc.assert(fc.property(fc.jsonValue(), (v) => expect(readCommission(JSON.stringify(v)).ok).toBe(false)))
  })
})

describe('WAV', () => {
  const made = makeSounds(100, ['hum', 'clash'])
  test('a made sound is measured as it was made', () => {
    const w = readWav(made[0]!.bytes)
    expect(w).toMatchObject({ ok: true, seconds: 1, rate: 22050, channels: 1, bits: 16, clips: 0 })
    expect(w.ok && w.peakDb).toBeGreaterThan(-9)
    expect(w.ok && w.peakDb).toBeLessThan(-5)
  })
  test('a square at full scale: 0 dB peak and rms, every sample clipped', () => {
    const bytes = wav16(Array.from({ length: 100 }, (_, i) => (i % 2 ? 32767 : -32768)))
    const w = readWav(bytes)
    expect(w).toMatchObject({ ok: true, clips: 1 })
    expect(w.ok && w.rmsDb).toBeCloseTo(0, 2)
  })
  test('silence, offset and seam', () => {
    const w = readWav(wav16([0, 0, 0, 16384, 16384, 0, 0]))
    if (!w.ok) throw new Error(w.message)
    expect(w.leadSilence).toBeCloseTo(3 / 8000)
    expect(w.tailSilence).toBeCloseTo(2 / 8000)
    expect(w.dc).toBeCloseTo((2 * 0.5) / 7, 4)
    expect(w.seam).toEqual({ jump: 0, clicks: false })
  })
  test('faults by name', () => {
    expect(readWav(new Uint8Array([1, 2, 3]))).toMatchObject({ code: 'notWav' })
    expect(readWav(made[0]!.bytes.slice(0, 500))).toMatchObject({ code: 'truncated' })
    const mp3 = wav16([0, 1])
    new DataView(mp3.buffer).setUint16(20, 85, true)
    expect(readWav(mp3)).toMatchObject({ code: 'compressed' })
    expect(readWav(wav16([]))).toMatchObject({ ok: false })
  })
  test('a lock that the controls reach and the font lacks is missed', () => {
    const s = demo('reed-warden').sabers[0]!
    const p = s.presets[0]!
    expect(missingSounds(s, p)).toEqual([])
    const sounds = reachableEvents(s, p)
      .filter((e) => e !== 'lock')
      .map((event, i) => ({ id: `x${i}`, event, name: 'x.wav' }))
    playing(s, p, sounds)
    expect(missingSounds(s, p)).toEqual(['lock'])
    s.controls.find((r) => r.does === 'lock')!.presets = ['rw-s2']
    expect(missingSounds(s, p)).toEqual([])
  })
})

function wav16(samples: number[]): Uint8Array {
  const b = new Uint8Array(44 + samples.length * 2)
  const v = new DataView(b.buffer)
  const tag = (o: number, t: string) => [...t].forEach((c, i) => void (b[o + i] = c.charCodeAt(0)))
  tag(0, 'RIFF')
  v.setUint32(4, 36 + samples.length * 2, true)
  tag(8, 'WAVEfmt ')
  v.setUint32(16, 16, true)
  v.setUint16(20, 1, true)
  v.setUint16(22, 1, true)
  v.setUint32(24, 8000, true)
  v.setUint32(28, 16000, true)
  v.setUint16(32, 2, true)
  v.setUint16(34, 16, true)
  tag(36, 'data')
  v.setUint32(40, samples.length * 2, true)
  for (const [i, s] of samples.entries()) v.setInt16(44 + i * 2, s, true)
  return b
}

describe('light', () => {
  test('published CIEDE2000 ends', () => {
    expect(difference('#000000', '#ffffff')).toBeCloseTo(100, 1)
    expect(difference('#2040ff', '#2040ff')).toBe(0)
  })
  test.each([
    ['#ff1408', 'red'],
    ['#20c840', 'green'],
    ['#2040ff', 'blue'],
    ['#ffd21a', 'yellow'],
    ['#ffffff', 'white'],
    ['#000000', 'dark'],
    ['#8a3cff', 'violet'],
  ])('%s is %s', (hex, word) => {
    expect(hueWord(hex)).toBe(word)
  })
})

describe('the catalogue', () => {
  test('at least eighty parts, every value sourced and in range, every kind complete', () => {
    expect(GENERIC_CATALOGUE.length).toBeGreaterThanOrEqual(80)
    expect(new Set(GENERIC_CATALOGUE.map((p) => p.id)).size).toBe(GENERIC_CATALOGUE.length)
    for (const p of GENERIC_CATALOGUE) {
      for (const [k, f] of Object.entries(p.specs)) {
        const rule = SPECS[k as SpecKey]
        expect(`${p.id} ${k} ${f.value! >= rule.min && f.value! <= rule.max} ${f.unit === rule.unit} ${!!f.with}`).toBe(
          `${p.id} ${k} true true true`,
        )
      }
      for (const need of KINDS[p.kind].needs)
        expect(`${p.id} has ${need}: ${p.specs[need] !== undefined}`).toBe(`${p.id} has ${need}: true`)
    }
  })
})
