/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals'
import type { Font, SoundEvent } from '@nubrin/core/record'
import { evened, USUAL_RULES } from '@nubrin/core/voice'
import { act, screen, waitFor, within } from '@testing-library/react'
import { costly } from '../../core/test/costly'
import { type Arrived, useIntake } from '../src/store/intake'
import { bench, choose, lay, saber, user } from './lay'

const fontNamed = (name: string) => saber().fonts.find((f) => f.name === name)!
const open = (tab: string) => user.click(screen.getByRole('tab', { name: tab }))
/** Answers the routes of the library and the rules; what was asked is kept. */
function library(list: { font: Font; orders: number; bytes: number }[]) {
  const asked: { url: string; method: string; body: unknown }[] = []
  const before = globalThis.fetch
  Object.assign(globalThis, {
    fetch: async (url: string, init: { method: string; body?: string } = { method: 'GET' }) => {
      if (!/\/(fonts|sound-rules)/.test(url)) return before(url, init)
      asked.push({ url, method: init.method, body: init.body && JSON.parse(init.body) })
      const json = url.includes('rules')
        ? init.method === 'PUT'
          ? JSON.parse(init.body!)
          : USUAL_RULES
        : init.method === 'GET'
          ? list.map((x) => ({ ...x, changedAt: '2026-01-01T00:00:00Z' }))
          : JSON.parse(init.body ?? '{}')
      return { ok: true, status: init.method === 'DELETE' ? 204 : 200, json: async () => json }
    },
  })
  return asked
}
beforeEach(() => act(() => useIntake.getState().dismiss()))

const arrived = (name: string, font: string, event?: SoundEvent, guess?: SoundEvent): Arrived => ({
  ...{ path: `${font}/${name}`, font, event, guess },
  sound: { id: `in-${name.replace(/\W/g, '')}`.toLowerCase() as never, name, media: 'd'.repeat(64), seconds: 1.25 },
})
/** As the intake stands when all was read. */
const came = (all: Arrived[], more: object = {}) =>
  act(() =>
    useIntake.setState({
      state: 'done',
      into: { saber: saber().id },
      arrived: all,
      refused: [],
      passedOver: 0,
      ...more,
    }),
  )

/** What says by its name what it is has gone where it belongs. */
const allPlaced = () => waitFor(() => expect(useIntake.getState().arrived.filter((a) => a.event)).toEqual([]))

describe('sounds that come in', () => {
  test('many go in by and by, none twice and none lost', async () => {
    await lay('voice', 'reed-warden')
    await open('Fonts')
    const names = Array.from({ length: 150 }, (_, n) => `swing ${n}.wav`)
    came(names.map((n) => arrived(n, 'Old Mill', 'swing')))
    await allPlaced()
    expect(fontNamed('Old Mill').sounds.map((s) => s.name)).toEqual(names)
  })
  costly(
    'each goes into the font of its folder by its name; the others are placed by hand, several at once, or as guessed',
    async () => {
      await lay('voice', 'reed-warden')
      await open('Fonts')
      came([
        arrived('hum.wav', 'Old Mill', 'hum'),
        arrived('swing.wav', 'Bell Buoy', 'swing'),
        arrived('x1.wav', 'Old Mill', undefined, 'clash'),
        arrived('x2.wav', 'Old Mill'),
        arrived('x3.wav', 'Old Mill'),
      ])
      await allPlaced()
      expect(fontNamed('Old Mill').sounds.map((s) => [s.name, s.event])).toEqual([['hum.wav', 'hum']])
      expect(fontNamed('Bell Buoy').sounds.at(-1)).toMatchObject({ name: 'swing.wav', event: 'swing' })
      expect(screen.getByText('3 sounds do not say what they are for')).toBeTruthy()
      expect(screen.getByText('1.25 s, may be clash')).toBeTruthy()
      await user.click(screen.getByRole('button', { name: 'place 1 as guessed' }))
      expect(fontNamed('Old Mill').sounds.at(-1)).toMatchObject({ name: 'x1.wav', event: 'clash' })
      for (const name of ['x2.wav', 'x3.wav']) await user.click(screen.getByRole('checkbox', { name }))
      await choose('Place the chosen sounds as', 'melt')
      expect(fontNamed('Old Mill').sounds.map((s) => s.event)).toEqual(['hum', 'clash', 'melt', 'melt'])
      expect(screen.queryByText(/do not say/)).toBeNull()
      // All that was placed at once is taken back at once.
      act(() => bench().undoLast())
      expect(fontNamed('Old Mill').sounds.map((s) => s.event)).toEqual(['hum', 'clash'])
    },
  )
  costly(
    'what cannot be taken is named with its reason, what is no sound counted; what is for another font is not shown here',
    async () => {
      await lay('voice', 'reed-warden')
      await open('Fonts')
      came([], { refused: [{ path: 'a/cut.wav', why: 'it is cut short' }], passedOver: 2 })
      expect(screen.getByText(/it is cut short/)).toBeTruthy()
      expect(screen.getByText('2 files are not sounds and were left out.')).toBeTruthy()
      came([arrived('x.wav', 'a')], { into: { saber: saber().id, font: 'rw-buoy' } })
      expect(screen.queryByText(/does not say/)).toBeNull()
      await user.click(screen.getByRole('button', { name: /^Bell Buoy/ }))
      expect(screen.getByText('1 sound does not say what it is for')).toBeTruthy()
      await user.click(screen.getByRole('button', { name: 'leave these out' }))
      expect(screen.queryByText(/does not say/)).toBeNull()
    },
  )
})

describe('the library', () => {
  const shelved = (): Font => ({
    ...{ id: 'lib-1' as never, name: 'Old Mill', is: 'font', author: 'Wick', mayCopy: true },
    sounds: [{ id: 'lib-s1' as never, event: 'hum', name: 'hum.wav', media: 'e'.repeat(64) }],
  })
  costly(
    'a font is put on the card as a copy with ids of its own; kept anew, the library has what this one is',
    async () => {
      const asked = library([{ font: shelved(), orders: 3, bytes: 2_500_000 }])
      await lay('voice', 'reed-warden')
      library([{ font: shelved(), orders: 3, bytes: 2_500_000 }])
      await open('Fonts')
      await user.click(screen.getByRole('button', { name: 'from the library' }))
      const sheet = await screen.findByRole('dialog')
      expect(await within(sheet).findByText(/by Wick · 1 sound · 2.5 MB · in 3 orders/)).toBeTruthy()
      await user.click(within(sheet).getByRole('button', { name: 'put on the card' }))
      const copy = fontNamed('Old Mill')
      expect(copy).toMatchObject({ library: 'lib-1', author: 'Wick', mayCopy: true })
      expect(copy.id).not.toBe('lib-1')
      expect(copy.sounds.map((s) => [s.event, s.media, s.id === ('lib-s1' as never)])).toEqual([
        ['hum', 'e'.repeat(64), false],
      ])
      const mine = library([{ font: shelved(), orders: 4, bytes: 1 }])
      await user.click(await screen.findByRole('button', { name: 'update it in the library' }))
      expect(mine.find((a) => a.method === 'PUT')).toMatchObject({
        url: '/api/fonts/lib-1',
        body: { id: 'lib-1', name: 'Old Mill' },
      })
      expect(asked.every((a) => a.method === 'GET')).toBe(true)
    },
  )
  costly('the words by which files are placed are changed, and tried on a name', async () => {
    await lay('voice', 'reed-warden')
    const asked = library([])
    await open('Fonts')
    await user.click(screen.getByRole('button', { name: 'how files are placed' }))
    const sheet = await screen.findByRole('dialog')
    await user.type(within(sheet).getByLabelText('A name to try'), 'Schwung_3.wav')
    expect(await within(sheet).findByText('→ swing')).toBeTruthy()
    const words = within(sheet).getByLabelText('Words for melt')
    await user.clear(words)
    await user.type(words, 'forge,  anvil ,{Enter}')
    const put = asked.find((a) => a.method === 'PUT')!.body as { event: string; words: string[] }[]
    expect(put.find((r) => r.event === 'melt')!.words).toEqual(['forge', 'anvil'])
    expect(put.find((r) => r.event === 'hum')!.words).toEqual(USUAL_RULES.find((r) => r.event === 'hum')!.words)
  })
})

describe('missing and level', () => {
  costly(
    'each preset against each event; the gains that even fonts out are set with one press, and taken back',
    async () => {
      await lay('voice', 'reed-warden', (c) => {
        const [a, b] = c.sabers[0]!.fonts as [Font, Font]
        for (const s of a.sounds) Object.assign(s, { loudnessLufs: -20, truePeakDb: -6 })
        for (const s of b.sounds) Object.assign(s, { loudnessLufs: -28, truePeakDb: -10 })
        b.sounds = b.sounds.filter((s) => s.event !== 'lock')
      })
      await open('Missing and loudness')
      const table = await screen.findByRole('region', { name: 'What is missing' })
      const row = (name: string) => within(table).getByRole('row', { name: new RegExp(name) })
      expect(within(row('Reed at dawn')).queryByText('missing')).toBeNull()
      for (const name of ['Warden’s watch', 'Harbour fire'])
        expect(within(row(name)).getAllByText('missing')).toHaveLength(1)
      await user.click(screen.getByRole('button', { name: 'set the gains that even them out' }))
      const gains = () => saber().fonts.map((f) => f.gain?.value)
      expect(gains()).toEqual([-4, 4, undefined])
      expect(saber().fonts[0]!.gain).toMatchObject({ unit: 'dB', source: 'computed' })
      expect(evened(saber().fonts).every((e) => Math.abs(e.louder!) < 0.1)).toBe(true)
      expect(screen.getByRole('button', { name: 'these gains are set' })).toHaveProperty('disabled', true)
      act(() => bench().undoLast())
      expect(gains()).toEqual([undefined, undefined, undefined])
      await user.click(within(table).getByRole('button', { name: /Warden’s watch/ }))
      expect(screen.getByRole('region', { name: 'Font Bell Buoy' })).toBeTruthy()
    },
  )
  test('the blade is taken from its sound, and moved by the arrow keys', async () => {
    await lay('voice', 'reed-warden', (c) => {
      c.sabers[0]!.fonts[0]!.sounds.find((s) => s.event === 'ignite')!.arrives = 0.62
    })
    const preset = () => saber().presets[0]!
    await user.click(screen.getByRole('button', { name: 'match the sound: 0.62 s' }))
    expect(preset().extendMs).toMatchObject({ value: 620, source: 'computed' })
    const slider = screen.getByRole('slider', { name: 'Blade of Reed at dawn is out after' })
    act(() => slider.focus())
    await user.keyboard('{ArrowRight}{PageUp}')
    expect(preset().extendMs).toMatchObject({ value: 730, source: 'configured' })
    expect(slider.getAttribute('aria-valuetext')).toBe('0.73 s')
  })
})
