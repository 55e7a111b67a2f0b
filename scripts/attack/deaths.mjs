// Kills of server and database in mid-edit, and a disk that fills up: nothing acknowledged is gone.
import { execFileSync } from 'node:child_process'
import { rmSync, statfsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { startMariadb } from '../lib/mariadb.mjs'

/** A disk that is soon full, and what the server keeps free of it. */
const SMALL_DISK = '420m'
const KEPT_FREE = 48 * 1024 * 1024

export function deathRounds(world) {
  const { ask, upload, note, nat, seed, signIn, many, data, tight } = world
  return {
    /** The server, or the database, is killed in mid-edit: every acknowledged edit is there afterwards. */
    async kills() {
      for (let i = 0; i < many.kills; i++) {
        const acknowledged = []
        const { record, revision } = (await ask('GET', '/commissions/first-lantern')).json()
        let base = revision
        let go = true
        const editing = (async () => {
          for (let k = 0; go; k++) {
            const value = `edit ${i}-${k}`
            const r = await ask('PATCH', '/commissions/first-lantern', {
              base,
              change: `kill-${seed}-${i}-${k}`,
              ops: [
                { op: 'insert', at: '/questions', item: { id: `k${i}-${k}`, text: value, blocks: false }, after: null },
              ],
            })
            if (r.status === 200) {
              base = r.json().revision
              acknowledged.push(`k${i}-${k}`)
            } else await new Promise((done) => setTimeout(done, 20))
            if (k > 60) go = false
          }
        })()
        await new Promise((done) => setTimeout(done, 60 + nat(250)))
        if (i % 3 === 2) {
          world.db.kill()
          await new Promise((done) => setTimeout(done, 300))
          world.stopping = true
          world.server.kill('SIGKILL')
          world.db = await startMariadb(join(data, 'mariadb'))
          world.stopping = false
        } else {
          world.server.kill('SIGKILL')
          await new Promise((done) => setTimeout(done, 200))
        }
        go = false
        await editing
        await world.start()
        await signIn()
        const now = (await ask('GET', '/commissions/first-lantern')).json()
        const there = new Set(now.record.questions.map((q) => q.id))
        const lost = acknowledged.filter((id) => !there.has(id))
        if (lost.length) note(`${lost.length} acknowledged edits are gone after a kill`)
        // Tidied up again, or the list would grow past what a record takes.
        const gone = now.record.questions.filter((q) => /^k\d+-\d+$/.test(q.id))
        if (gone.length)
          await ask('PATCH', '/commissions/first-lantern', {
            base: now.revision,
            ops: gone.map((item) => ({ op: 'remove', at: `/questions/@${item.id}`, item, after: null })),
          })
        void record
      }
    },
    /** A disk of its own is filled: refusals say so, nothing acknowledged is gone, reading goes on, and with room all goes on. */
    async disk() {
      try {
        execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${SMALL_DISK}`, 'tmpfs', tight], { stdio: 'pipe' })
      } catch (e) {
        // Only root may; said, so that nobody takes it for tried.
        console.log(`disk: not tried, a small disk cannot be mounted here: ${e.stderr?.toString().trim()}`)
        return
      }
      world.stopping = true
      world.server.kill('SIGTERM')
      await new Promise((done) => world.server.once('exit', done))
      await world.db.stop()
      world.stopping = false
      world.home = tight
      world.db = await startMariadb(join(tight, 'mariadb'))
      await world.start()
      await signIn()
      const sharp = (await import('sharp')).default
      for (let i = 0; i < many.disk; i++) {
        const free = () => {
          const s = statfsSync(tight)
          return s.bavail * s.bsize
        }
        const filler = join(tight, 'filler')
        writeFileSync(filler, Buffer.alloc(Math.max(0, free() - KEPT_FREE - 3_000_000 * (1 + nat(2)))))
        const edits = []
        let { revision: base } = (await ask('GET', '/commissions/reed-warden')).json()
        const refused = { edits: 0, photos: 0 }
        for (let k = 0; k < 400 && (refused.edits < 3 || refused.photos < 3); k++) {
          const id = `d${i}-${k}`
          const r = await ask('PATCH', '/commissions/reed-warden', {
            base,
            change: `disk-${seed}-${id}`,
            ops: [{ op: 'set', at: '/brief', value: `${id} ${'ledger '.repeat(1000)}`.trim() }],
          })
          if (r.status === 200) {
            base = r.json().revision
            edits.push(id)
          } else if (r.status === 507) refused.edits++
          else note(`a full disk: an edit is answered ${r.status} ${r.text.slice(0, 300)}`)
          const noise = await sharp(Buffer.from(Array.from({ length: 300 * 300 * 3 }, () => nat(256))), {
            raw: { width: 300, height: 300, channels: 3 },
          })
            .png()
            .toBuffer()
          const photo = await upload('/media', noise, 'x.png')
          if (photo.status === 507) refused.photos++
          else if (photo.status !== 201 && photo.status !== 200)
            note(`a full disk: a photo is answered ${photo.status} ${photo.text.slice(0, 120)}`)
          // Others fill it too, to its very end once nothing is taken any more.
          const left = free()
          const more = refused.edits && refused.photos ? left : 40_000
          if (left > 40_000) writeFileSync(filler, Buffer.alloc(more), { flag: 'a' })
          if ((await ask('GET', '/commissions/reed-warden')).status !== 200) note('a full disk: reading stops')
        }
        if (!refused.photos || !refused.edits)
          note(`a full disk: ${refused.photos} photos and ${refused.edits} edits were refused, so too little was tried`)
        const health = await ask('GET', '/health')
        if (health.status !== 503 || !/disk/.test(health.text)) note(`a full disk: health says ${health.status}`)
        rmSync(filler)
        // Room again: what was refused goes through, and what was acknowledged is there, also after a kill.
        world.server.kill('SIGKILL')
        world.db.kill()
        await new Promise((done) => setTimeout(done, 300))
        world.db = await startMariadb(join(tight, 'mariadb'))
        await world.start()
        await signIn()
        const lines = (await ask('GET', '/commissions/reed-warden/history')).text
        const lost = edits.slice(-150).filter((id) => !lines.includes(`"${id} ledger`))
        if (lost.length) note(`a full disk: ${lost.length} acknowledged edits are gone`)
        const now = (await ask('GET', '/commissions/reed-warden')).json()
        const after = await ask('PATCH', '/commissions/reed-warden', {
          base: now.revision,
          ops: [{ op: 'set', at: '/brief', value: `room again ${i}` }],
        })
        if (after.status !== 200)
          note(`with room again an edit is answered ${after.status} ${after.text.slice(0, 120)}`)
      }
    },
  }
}
