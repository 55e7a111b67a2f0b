// Sounds against Debian's ffmpeg: CPU for a minute of stereo, wall time and memory for a library of 600 files, 1 GB.
import { spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'esbuild'
import { ensureDebian } from './install.mjs'

const RATE = 48_000
const FILTER = ['-hide_banner', '-nostats', '-loglevel', 'error']

/** Stereo of 16 bits: what fills it is worst to measure (noise as loud throughout) or like music. */
function wav(seconds, sample) {
  const frames = Math.round(RATE * seconds)
  const b = Buffer.alloc(44 + frames * 4)
  b.write('RIFF', 0)
  b.writeUInt32LE(36 + frames * 4, 4)
  b.write('WAVEfmt ', 8)
  b.writeUInt32LE(16, 16)
  b.writeUInt16LE(1, 20)
  b.writeUInt16LE(2, 22)
  b.writeUInt32LE(RATE, 24)
  b.writeUInt32LE(RATE * 4, 28)
  b.writeUInt16LE(4, 32)
  b.writeUInt16LE(16, 34)
  b.write('data', 36)
  b.writeUInt32LE(frames * 4, 40)
  for (let i = 0; i < frames; i++) {
    const v = Math.round(32_767 * sample(i / RATE))
    b.writeInt16LE(v, 44 + 4 * i)
    b.writeInt16LE(v >> 1, 46 + 4 * i)
  }
  return b
}
let seed = 1
const noise = () => {
  seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff
  return seed / 0x3fffffff - 1
}
const KINDS = {
  'noise throughout (the worst)': () => 0.5 * noise(),
  'like music': (t) => {
    const loud = 0.3 + 0.25 * Math.sin(t * 0.7)
    return loud * (0.5 * Math.sin(2 * Math.PI * 110 * t) + 0.25 * Math.sin(2 * Math.PI * 337 * t) + 0.15 * noise())
  },
}
const median = (list) => list.toSorted((a, b) => a - b)[list.length >> 1]

/** Measures the files of a folder in two threads, and says how long it took and how much memory. */
const LIBRARY = `
import { readdirSync, readFileSync } from 'node:fs'
import { isMainThread, Worker, workerData } from 'node:worker_threads'
import { readWav } from './voice.mjs'
if (isMainThread) {
  const files = readdirSync(process.argv[2]).map((f) => process.argv[2] + '/' + f)
  const began = performance.now()
  await Promise.all([0, 1].map((k) => new Promise((done, fail) => new Worker(new URL(import.meta.url), { workerData: files.filter((_, i) => i % 2 === k) }).on('exit', done).on('error', fail))))
  console.log(JSON.stringify({ s: (performance.now() - began) / 1000, mb: process.resourceUsage().maxRSS / 1024 }))
} else for (const f of workerData) if (!readWav(new Uint8Array(readFileSync(f))).ok) throw new Error(f)
`
const TIMED = `
import { readFileSync } from 'node:fs'
import { readWav } from './voice.mjs'
const bytes = new Uint8Array(readFileSync(process.argv[2]))
readWav(bytes)
const before = process.cpuUsage()
readWav(bytes)
const used = process.cpuUsage(before)
console.log((used.user + used.system) / 1e6)
`

export async function benchSounds(root) {
  ensureDebian(['ffmpeg'])
  const folder = mkdtempSync(join(tmpdir(), 'sounds-'))
  try {
    await build({
      ...{ entryPoints: [join(root, 'core/src/voice/index.ts')], outfile: join(folder, 'voice.mjs') },
      ...{ bundle: true, platform: 'node', format: 'esm', logLevel: 'error', absWorkingDir: root },
    })
    writeFileSync(join(folder, 'library.mjs'), LIBRARY)
    writeFileSync(join(folder, 'timed.mjs'), TIMED)
    for (const [what, sample] of Object.entries(KINDS)) {
      const file = join(folder, 'minute.wav')
      writeFileSync(file, wav(60, sample))
      const [ours, theirs] = [[], []]
      for (let n = 0; n < 7; n++) {
        ours.push(
          Number(
            spawnSync('taskset', ['-c', '0', process.execPath, join(folder, 'timed.mjs'), file], { encoding: 'utf8' })
              .stdout,
          ),
        )
        const run = `TIMEFORMAT='%U %S'; time taskset -c 0 ffmpeg ${FILTER.join(' ')} -i ${file} -af ebur128=peak=true -f null -`
        const said = spawnSync('bash', ['-c', run], { encoding: 'utf8' }).stderr.trim().split('\n').at(-1)
        theirs.push(said.split(' ').reduce((sum, x) => sum + Number(x), 0))
      }
      const share = median(ours) / median(theirs)
      console.log(
        `a minute of stereo, ${what}: ${share.toFixed(2)} of ffmpeg's CPU, ratio to 0.9 ${(0.9 / share).toFixed(2)}`,
      )
    }
    const many = join(folder, 'many')
    mkdirSync(many)
    const one = wav(9, KINDS['like music'])
    for (let n = 0; n < 600; n++) writeFileSync(join(many, `${n}.wav`), one)
    const said = spawnSync(process.execPath, [join(folder, 'library.mjs'), many], { encoding: 'utf8' })
    const ours = JSON.parse(said.stdout)
    const began = performance.now()
    for (let n = 0; n < 60; n++)
      spawnSync('ffmpeg', [...FILTER, '-i', join(many, `${n}.wav`), '-af', 'ebur128=peak=true', '-f', 'null', '-'])
    const share = ours.s / (((performance.now() - began) / 1000) * 10)
    console.log(
      `600 files, ${Math.round((one.length * 600) / 1e6)} MB, two threads: ${share.toFixed(2)} of ffmpeg's time one after the other, ratio to 0.6 ${(0.6 / share).toFixed(2)}; ${Math.round(ours.mb)} MB of memory, ratio to 300 ${(300 / ours.mb).toFixed(2)}`,
    )
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
