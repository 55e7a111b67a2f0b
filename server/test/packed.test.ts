import { describe, expect, test } from '@jest/globals'
import { buildHandoff, handedSaber } from '@nubrin/core/handoff'
import { writeCommission } from '@nubrin/core/import'
import { loadLanguages } from '@nubrin/core/languages'
import { told } from '@nubrin/core/record'
import { LANGUAGES } from '@nubrin/core/units'
import fc from 'fast-check'
import { drawn, tries } from '../../core/test/drawn'
import { kindOfOrder, ORDERS } from '../../core/test/orders'
import { TODAY } from '../../core/test/samples'
import { unpack } from '../src/commissions/archive'
import { mediaHashes } from '../src/commissions/media-hashes'
import { handoffArchive } from '../src/handoff/archive'
import { pageFile } from '../src/handoff/html'
import { Invalid } from '../src/http/problem'
import type { Library } from '../src/media/library'
import type { Work } from '../src/work/kinds'
import { zip } from './harness'

loadLanguages()
/** A shop that has lost every file: what is not there is named, and the rest goes on. */
const library = {
  has: async () => new Set<string>(),
  of: async () => Promise.reject(new Error('not here')),
} as unknown as Library
const work = { run: async () => [] } as unknown as Work
const WEB = 'web/dist'
const whom = { id: 'u' }
const carriedBy = (html: string) => JSON.parse(/id="carried">(.*?)<\/script>/s.exec(html)![1]!)

describe('file and archive', () => {
  const packings = LANGUAGES.flatMap((language) => ORDERS.map(([what, make]) => [what, language, make] as const))
  const few = drawn(packings, 1 / 5, (p) => [p[1], kindOfOrder(p)])
  test.each(few)(
    '%s, %s: carries its document and sabers; what goes in comes out bit for bit',
    async (_what, language, make) => {
      const record = make()
      record.client.language = language
      const document = buildHandoff(record, 'Shop', TODAY)
      const sabers = told(record).sabers.map(handedSaber)
      const of = { document, record, library, shopId: 's' }
      const page = await pageFile({ ...of, work, whom, webFolder: WEB, key: 'k' })
      const html = new TextDecoder().decode(page)
      expect(html).toContain(`<html lang="${language}">`)
      expect(html.split('</script>')).toHaveLength(3)
      expect(carriedBy(html)).toMatchObject(JSON.parse(JSON.stringify({ document, sabers })))
      expect(html.length).toBeLessThan(record.sabers.length > 3 ? 1_200_000 : 790_000)

      const pdf = Buffer.from('%PDF-')
      const stream = await handoffArchive({ ...of, pdf, page })
      const parts: Buffer[] = []
      for await (const b of stream) parts.push(b as Buffer)
      const back = await unpack(Buffer.concat(parts))
      expect(writeCommission(back.record)).toBe(writeCommission(record))
      // Without its files it names those that it lacks, and is taken in all the same.
      expect(back.media.size).toBe(0)
      expect(mediaHashes(back.record)).toEqual(mediaHashes(record))
    },
  )
})

test('sounds are carried by what this shop has, whatever another one had pressed before', async () => {
  const record = ORDERS.find(([what]) => what === 'Reed Warden')![1]()
  const [f] = record.sabers[0]!.fonts
  f!.mayCopy = true
  f!.sounds = ['a', 'b'].map((x) => ({ id: `snd-${x}`, event: 'hum', name: x, media: x.repeat(64) }))
  const press = { run: async (_k: string, { sounds }: { sounds: { hash: string; bytes: Uint8Array }[] }) => sounds }
  const has = (...names: string[]) =>
    ({
      of: async (_s: string, hash: string) =>
        names.includes(hash[0]!)
          ? { bytes: Buffer.from(hash), type: 'audio/wav' }
          : Promise.reject(new Error('not here')),
    }) as unknown as Library
  const document = buildHandoff(record, 'Shop', TODAY)
  const heard = async (library: Library) => {
    const of = { document, record, library, shopId: 's', key: 'k', whom, webFolder: WEB }
    const html = new TextDecoder().decode(await pageFile({ ...of, work: press as unknown as Work }))
    return Object.keys(carriedBy(html).photos).map((h) => h[0])
  }
  expect(await heard(has('a', 'b'))).toEqual(['a', 'b'])
  expect(await heard(has('a'))).toEqual(['a'])
  expect(await heard(has())).toEqual([])
})

describe('an archive that is not what was packed', () => {
  const record = ORDERS.find(([what]) => what === 'Reed Warden')![1]()
  const json = Buffer.from(writeCommission(record))
  const missing = Buffer.from(JSON.stringify(mediaHashes(record)))
  const whole = () =>
    zip([
      ['commission.json', json],
      ['missing.json', missing],
    ])
  /** What is said of it: the places and rules of a refusal; nothing where it is taken in as it was. */
  const refused = (bytes: Buffer) =>
    unpack(bytes).then(
      (x) => (writeCommission(x.record) === writeCommission(record) ? [] : ['another record']),
      (e) => {
        if (!(e instanceof Invalid)) throw e
        for (const p of e.problems) expect(p.message).toMatch(/\p{L}{3}/u)
        expect(e.message).toMatch(/\p{L}{3}/u)
        return e.problems.map((p) => `${p.path} ${p.rule}`)
      },
    )
  const hash = 'a'.repeat(64)
  test.each<[string, [string, Buffer][], string]>([
    ['a file whose name only begins like one', [[`media/${hash}x`, json]], `media/${hash}x unknownEntry`],
    ['a file of another folder', [[`more/${hash}`, json]], `more/${hash} unknownEntry`],
    ['a file that is not what its name says', [[`media/${hash}`, json]], `media/${hash} checksum`],
    ['the record twice', [['commission.json', json]], 'commission.json duplicate'],
  ])('%s is named', async (_what, more, says) => {
    const bytes = await zip([['commission.json', json], ['missing.json', missing], ...more])
    expect(await refused(bytes)).toEqual([says])
  })
  test('whole it is taken in; that which is no archive is named as such', async () => {
    expect(await refused(await whole())).toEqual([])
    expect(await refused(Buffer.from('PK and nothing more'))).toEqual([' zip'])
    expect(await refused((await whole()).subarray(0, 900))).toEqual([' zip'])
  })
  test('damage that still reads as a record is found by its sum', async () => {
    const bytes = await zip([['commission.json', json]], false)
    const at = bytes.indexOf('Reed Warden')
    expect(at).toBeGreaterThan(0)
    expect(await refused(bytes.fill('T', at, at + 1))).toEqual(['commission.json checksum'])
  })
  test('damaged anywhere it is refused in words, or the damage was nowhere', async () => {
    const bytes = await whole()
    await fc.assert(
      fc.asyncProperty(fc.nat(bytes.length - 1), fc.integer({ min: 1, max: 255 }), async (at, by) => {
        const bad = Buffer.from(bytes)
        bad[at] = bad[at]! ^ by
        expect(await refused(bad)).not.toEqual(['another record'])
      }),
      { numRuns: tries(400, 60) },
    )
  })
})
