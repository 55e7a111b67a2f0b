import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { CONFIGURATION_FILES, configurationOf, readConfiguration } from '@nubrin/core/card'
import { type Font, refTo } from '@nubrin/core/record'
import { evened, readWav, USUAL_RULES } from '@nubrin/core/voice'
import { makeSounds } from '@nubrin/demo'
import { entries, type Server, startServer, Visitor } from './harness'

let server: Server
let me: Visitor
beforeAll(async () => {
  server = await startServer()
  me = new Visitor(server.url)
  await me.signIn()
})
afterAll(() => server.stop())

const font = (id: string, more: object = {}) => ({ id, name: `Font ${id}`, is: 'font', sounds: [], ...more })
const listed = async (): Promise<{ font: Font; orders: number; bytes: number }[]> =>
  (await me.ask('GET', '/fonts')).body

describe('the library of fonts', () => {
  test('a font is kept with its files, changed, counted by the orders that have it, and let go', async () => {
    const [made] = makeSounds(61, ['hum'])
    const { hash, bytes } = (await me.upload('/media', made!.bytes, 'hum.wav')).body
    const sounds = [{ id: 'h1', event: 'hum', name: 'hum.wav', media: hash, loudnessLufs: -20.5 }]
    const kept = await me.ask(
      'PUT',
      '/fonts/mill',
      font('mill', { sounds, wish: 'w1', library: 'other', author: 'Wick' }),
    )
    // What belongs to one order does not go along.
    expect([kept.status, kept.body]).toEqual([200, font('mill', { sounds, author: 'Wick' })])
    expect(await listed()).toMatchObject([{ font: { id: 'mill' }, orders: 0, bytes }])
    const { record, revision } = (await me.ask('GET', '/commissions/reed-warden')).body
    const [s] = record.sabers
    const copy = font('mill-copy', { library: 'mill', sounds: [{ ...sounds[0], id: 'h2' }] })
    const op = { op: 'insert', at: `/sabers/@${s.id}/fonts`, item: copy, after: s.fonts.at(-1).id }
    expect((await me.ask('PATCH', '/commissions/reed-warden', { base: revision, ops: [op] })).status).toBe(200)
    expect(await listed()).toMatchObject([{ orders: 1 }])
    await me.ask('PUT', '/fonts/mill', font('mill', { name: 'Water mill', sounds: [] }))
    expect(await listed()).toMatchObject([{ font: { name: 'Water mill', sounds: [] }, orders: 1, bytes: 0 }])
    expect((await me.ask('DELETE', '/fonts/mill')).status).toBe(204)
    expect(await listed()).toEqual([])
    // The saber keeps its copy.
    const now = (await me.ask('GET', '/commissions/reed-warden')).body.record.sabers[0]
    expect(now.fonts.at(-1)).toMatchObject({ id: 'mill-copy', library: 'mill' })
    expect(refTo('font', now.fonts.at(-1).id)).toBe('font:mill-copy')
  })
  test.each([
    [
      'a file that the shop never had',
      font('xx', { sounds: [{ id: 'aa', event: 'hum', name: 'b', media: 'a'.repeat(64) }] }),
      ['stored', '/sounds/0/media'],
    ],
    ['another id than that of the address', font('yy'), ['const', '/id']],
    [
      'an event that there is none of',
      font('xx', { sounds: [{ id: 'aa', event: 'yodel', name: 'b' }] }),
      ['enum', '/sounds/0/event'],
    ],
    ['a field of its own', font('xx', { colour: 'red' }), ['additionalProperties', '/colour']],
    ['no name', { id: 'xx', is: 'font', sounds: [] }, ['required', '/name']],
  ])('%s is refused by field and rule', async (_what, body, [rule, path]) => {
    const r = await me.ask('PUT', '/fonts/xx', body)
    expect([r.status, r.body.problems[0].rule, r.body.problems[0].path]).toEqual([422, rule, path])
    expect(await listed()).toEqual([])
  })
  test('what is not there cannot be let go', async () => {
    expect((await me.ask('DELETE', '/fonts/none')).status).toBe(404)
  })
})

describe('the sounds as they go onto the card', () => {
  const loudness = (b: Buffer) => {
    const wav = readWav(new Uint8Array(b))
    if (!wav.ok) throw new Error(wav.message)
    return wav
  }
  test('two fonts of uneven loudness come out even, none above −1 dBTP, and what is stored stays as it was', async () => {
    const { record, revision } = (await me.ask('GET', '/commissions/cinder-oath')).body
    const [s] = record.sabers
    // One is recorded at two fifths of the other's level.
    const gains = evened(s.fonts)
    expect(gains.map((g) => Math.abs(g.louder!) > 3)).toEqual([true, true])
    const ops = gains.map((g) => ({
      ...{ op: 'set', at: `/sabers/@${s.id}/fonts/@${g.font.id}/gain` },
      value: { value: g.gain, unit: 'dB', source: 'computed' },
    }))
    expect((await me.ask('PATCH', '/commissions/cinder-oath', { base: revision, ops })).status).toBe(200)
    const answer = await me.raw('GET', `/commissions/cinder-oath/sabers/${s.id}/card.zip`)
    expect(answer.headers.get('content-type')).toBe('application/zip')
    const out = await entries(Buffer.from(await answer.arrayBuffer()))
    const [a, b] = s.fonts as Font[]
    expect(out.size).toBe(a!.sounds.length + b!.sounds.length + CONFIGURATION_FILES.length)
    // What the board is set to stands beside them, twice and once to be read; it reads back as the record has it.
    const [main, copy, sheet] = CONFIGURATION_FILES.map((n) => Buffer.from(out.get(n)!).toString())
    expect(readConfiguration(main!)).toEqual({ ok: true, configuration: configurationOf(s) })
    expect(copy).toBe(main)
    for (const p of s.presets as { name: string }[]) expect(sheet).toContain(p.name)
    for (const event of ['hum', 'ignite', 'swing']) {
      const both = [`01 ${a!.name}`, `02 ${b!.name}`].map((f) => loudness(out.get(`${f}/${event}/${event}01.wav`)!))
      expect(Math.abs(both[0]!.integrated! - both[1]!.integrated!)).toBeLessThan(1.5)
    }
    for (const [k, f] of (s.fonts as Font[]).entries())
      for (const x of f.sounds) {
        const stored = Buffer.from(await (await me.raw('GET', `/media/${x.media}`)).arrayBuffer())
        const [was, is] = [loudness(stored), loudness(out.get(`0${k + 1} ${f.name}/${x.event}/${x.name}`)!)]
        expect(was.truePeakDb).toBeCloseTo(x.truePeakDb!, 1)
        expect(is.truePeakDb).toBeLessThanOrEqual(-1 + 0.05)
        expect(is.rmsDb - was.rmsDb).toBeCloseTo(gains[k]!.gain, 1)
      }
  })
  test('a saber that is not there says so; one without a recorded sound has its configuration', async () => {
    expect((await me.ask('GET', '/commissions/cinder-oath/sabers/none/card.zip')).status).toBe(404)
    const { record } = (await me.ask('POST', '/commissions', { title: 'Silent', client: 'Nobody' })).body
    const bare = await me.raw('GET', `/commissions/${record.id}/sabers/${record.sabers[0].id}/card.zip`)
    expect([...(await entries(Buffer.from(await bare.arrayBuffer()))).keys()]).toEqual([...CONFIGURATION_FILES])
  })
})

describe('the words by which files find their event', () => {
  test('are those that a shop begins with until it has its own, and again when it lets these go', async () => {
    expect((await me.ask('GET', '/sound-rules')).body).toEqual(USUAL_RULES)
    const own = [{ event: 'hum', words: ['Brummbär'] }]
    expect((await me.ask('PUT', '/sound-rules', own)).body).toEqual(own)
    expect((await me.ask('GET', '/sound-rules')).body).toEqual(own)
    expect((await me.ask('PUT', '/sound-rules', [{ event: 'hum', words: ['12'] }])).status).toBe(422)
    // The shop's settings are another matter.
    const settings = (await me.ask('GET', '/settings')).body
    expect((await me.ask('PUT', '/settings', settings)).status).toBe(200)
    expect((await me.ask('GET', '/sound-rules')).body).toEqual(own)
    expect((await me.ask('PUT', '/sound-rules', [])).body).toEqual(USUAL_RULES)
  })
})
