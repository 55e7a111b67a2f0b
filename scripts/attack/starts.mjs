// A shop with people of its own whose restores and starts are cut off: it is opened as it was or as it was put back, never as the demo.
import { execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../lib/mariadb.mjs'

const SHOP = join('server', 'test', 'published', 'format-8.tar.gz')
const [OWN, DEMO] = ['an old shop of ours', 'brass-and-light']
const UP_MS = 60_000

export function startRounds(world) {
  const { note, nat, many, root } = world
  return {
    async starts() {
      const data = mkdtempSync(join(tmpdir(), 'nubrin-starts-'))
      const port = await freePort()
      const url = `http://127.0.0.1:${port}/api`
      const run = (script) =>
        spawn(process.execPath, [join('scripts', `${script}.mjs`)], {
          cwd: root,
          env: {
            ...process.env,
            NUBRIN_DATA: data,
            PORT: String(port),
            DATABASE_URL: '',
            NUBRIN_DEMO: '1',
            LOG_LEVEL: 'silent',
          },
          stdio: ['ignore', 'pipe', 'pipe'],
        })
      const ended = (child) =>
        new Promise((done) => (child.exitCode === null && !child.signalCode ? child.once('exit', done) : done()))
      const opened = async () => {
        const child = run('start')
        let said = ''
        const late = setTimeout(() => child.kill('SIGKILL'), UP_MS)
        await new Promise((done) => {
          for (const out of [child.stdout, child.stderr])
            out.on('data', (b) => {
              said += b
              if (said.includes('Ctrl-C stops it')) done()
            })
          child.once('exit', done)
        })
        clearTimeout(late)
        if (!said.includes('Ctrl-C stops it')) note(`a start after a cut ended: ${said.slice(-300)}`)
        else if (!said.includes(`:${port}`)) note(`a start after a cut is at another address: ${said.slice(0, 120)}`)
        const opens = async (password) =>
          (
            await fetch(`${url}/session`, {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify({ signIn: 'maren', password }),
            }).catch(() => ({ status: 0 }))
          ).status
        const [own, demo] = [await opens(OWN), await opens(DEMO)]
        if (own !== 200 || demo !== 401)
          note(`after a cut the shop's own password is answered ${own}, the demo's ${demo}`)
        return child
      }
      try {
        execFileSync('tar', ['xzf', SHOP, '-C', data], { cwd: root })
        await ended(run('restore'))
        for (let i = 0; i < many.starts; i++) {
          const restoring = run('restore')
          await new Promise((done) => setTimeout(done, 200 + nat(5000)))
          restoring.kill('SIGKILL')
          await ended(restoring)
          // The starter dies, what it has started lives on: the next one takes its place.
          const first = await opened()
          first.kill('SIGKILL')
          await ended(first)
          const second = await opened()
          // One that lives is left alone.
          const third = run('start')
          await ended(third)
          if (third.exitCode === 0) note('a second start on a living shop ends as if it had started')
          const there = await fetch(`${url}/health`).catch(() => ({ status: 0 }))
          if (![200, 503].includes(there.status)) note(`a living shop is gone after a second start: ${there.status}`)
          second.kill('SIGTERM')
          await ended(second)
          const { at } = JSON.parse(readFileSync(join(data, 'backups', 'last-good.json'), 'utf8'))
          if (Date.now() - Date.parse(at) > 24 * 3_600_000) note('a backup that was due is not made at the start')
        }
      } finally {
        rmSync(data, { recursive: true, force: true, maxRetries: 5 })
      }
    },
  }
}
