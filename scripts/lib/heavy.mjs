// The heaviest things that one person may send: each file as large as it may be, a change of as many operations, many page files.
import { createHash } from 'node:crypto'
import { createRequire } from 'node:module'
import { join } from 'node:path'

const MB = 1024 * 1024
/** A sound as large as it may be: 16 bits, one channel, a slow beat. */
function sound(bytes) {
  const b = Buffer.alloc(bytes)
  b.write('RIFF', 0)
  b.writeUInt32LE(bytes - 8, 4)
  b.write('WAVEfmt ', 8)
  b.writeUInt32LE(16, 16)
  b.writeUInt16LE(1, 20)
  b.writeUInt16LE(1, 22)
  b.writeUInt32LE(44_100, 24)
  b.writeUInt32LE(88_200, 28)
  b.writeUInt16LE(2, 32)
  b.writeUInt16LE(16, 34)
  b.write('data', 36)
  b.writeUInt32LE(bytes - 44, 40)
  for (let i = 44; i + 1 < bytes; i += 2) b.writeInt16LE(Math.round(9000 * Math.sin(i / (40 + (i >> 16)))), i)
  return b
}
async function photo(root, most) {
  const sharp = createRequire(join(root, 'server', 'package.json'))('sharp')
  const [width, height] = [7700, 7700]
  const tile = Buffer.alloc(width * height * 3)
  for (let i = 0; i < tile.length; i++) tile[i] = (i * 31 + ((i * i) >> 7)) & 255
  for (const quality of [60, 40, 20, 8, 3]) {
    const b = await sharp(tile, { raw: { width, height, channels: 3 } })
      .jpeg({ quality })
      .toBuffer()
    if (b.length < most) return b
  }
  throw new Error('no photo is small enough')
}
const shelf = () =>
  Buffer.from(
    `kind,name,diameter (mm)\n${Array.from({ length: 5000 }, (_, i) => `cell,Heavy ${i},18.${i % 10}\n`).join('')}`,
  )
/** A record with a large sound, as one shop gives it to another. */
async function archive(root, record, tone) {
  const yazl = createRequire(join(root, 'server', 'package.json'))('yazl')
  const zip = new yazl.ZipFile()
  const hash = createHash('sha256').update(tone).digest('hex')
  const media = [{ id: 'heavy', hash, type: 'audio/wav', name: 'x.wav', bytes: tone.length }]
  const sabers = record.sabers.map((s) => ({ ...s, fonts: s.fonts.map((f) => ({ ...f, sounds: [] })) }))
  zip.addBuffer(Buffer.from(JSON.stringify({ ...record, media, sabers })), 'commission.json')
  zip.addBuffer(tone, `media/${hash}`)
  zip.end()
  const parts = []
  for await (const b of zip.outputStream) parts.push(b)
  return Buffer.concat(parts)
}

/** Each heavy thing by name: given who sends it, it makes what it sends, and gives what sends it and tells the status. */
export function heavyThings(root, { record, token }) {
  // Made when it is first sent: not every run sends all of them.
  let [tone, picture, zipped] = []
  const toneOf = () => (tone ??= sound(40 * MB - 1))
  const earlier = Buffer.from(
    `title,client,shipped,sabers\n${Array.from({ length: 2000 }, (_, i) => `Early ${i},Somebody ${i},2020-01-01,One\n`).join('')}`,
  )
  const files = {
    'a list without end': () => ['/parts/import', Buffer.from(`kind,name\n${'cell,A\n'.repeat(3_400_000)}`), 'x.csv'],
    'a list with every cell wrong': () => [
      '/parts/import',
      Buffer.from(`kind,name,diameter (mm)\n${'cell,A,wide\n'.repeat(1_900_000)}`),
      'x.csv',
    ],
    'a full shelf': () => ['/parts/import', shelf(), 'x.csv'],
    'a sound': () => ['/media', toneOf(), 'x.wav'],
    'a photo': async () => ['/media', (picture ??= await photo(root, 12 * MB)), 'x.jpg'],
    'an archive': async () => ['/import?as=copy', (zipped ??= await archive(root, record, toneOf())), 'x.zip'],
    'JSON without end': () => ['/import', Buffer.from(`{"x":"${'x'.repeat(68 * MB)}"}`), 'x.json'],
    'nested JSON': () => ['/import', Buffer.from('['.repeat(60 * MB)), 'x.json'],
    'a file of controls': () => [
      '/maps/read',
      Buffer.from(`{"format":"x","map":[${'{},'.repeat(7 * MB)}{}]}`),
      'x.json',
    ],
    'earlier work': () => ['/import/earlier', earlier, 'x.csv'],
    'a record': () => ['/import?as=copy', Buffer.from(JSON.stringify(record)), 'x.json'],
  }
  let n = 0
  const changes = {
    'two thousand words': () =>
      Array.from({ length: 2000 }, (_, i) => ({ op: 'set', at: '/brief', value: `word ${n} ${i}` })),
    'two thousand things': () =>
      Array.from({ length: 2000 }, (_, i) => ({
        ...{ op: 'insert', at: '/questions', after: null },
        item: { id: `h${n}-${i}`, text: `${i}`, blocks: false },
      })),
  }
  const thirty = (path) => async (ask) =>
    (await Promise.all(Array.from({ length: 30 }, () => ask('GET', path)))).map((r) => r.status).join('/')
  const pages = {
    'thirty page files': thirty(`/client/${token}/saber.html`),
    'thirty papers': thirty(`/client/${token}/handoff.pdf`),
  }
  const made = {}
  for (const [name, of] of Object.entries(files))
    made[name] = async ({ upload }) => {
      const [path, bytes, file] = await of()
      return async () => (await upload(path, bytes, file)).status
    }
  for (const [name, ops] of Object.entries(changes))
    made[name] =
      ({ change }) =>
      async () => {
        n++
        return (await change(record.id, ops())).status
      }
  for (const [name, fetched] of Object.entries(pages))
    made[name] =
      ({ ask }) =>
      () =>
        fetched(ask)
  return made
}
