// npm run restore -- [folder of a backup]: puts a shop back as it was; the newest backup when none is named. What is there now
// is moved aside at the end, not deleted. The shop must not be running. Cut off anywhere, the next start has the one or the other whole.
import { mkdirSync, realpathSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { backupsIn, restore, verify } from './lib/backup.mjs'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { lockFolder } from './lib/lock.mjs'
import { startMariadb } from './lib/mariadb.mjs'
import { afterRestore, beginRestore, makingOf, putInPlace } from './lib/restoring.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
ensureNpm(root)
ensureDebian(['mariadbd'])
const wanted = process.env.NUBRIN_DATA ?? join(root, '.data')
mkdirSync(wanted, { recursive: true })
const data = realpathSync(wanted)
let db
let giveBack = () => {}
try {
  giveBack = lockFolder(data)
  const before = afterRestore(data)
  if (before) console.log(before)
  const newest = backupsIn(join(data, 'backups'))[0]
  const folder = process.argv[2] ? resolve(process.argv[2]) : newest && join(data, 'backups', newest)
  if (!folder) throw new Error('There is no backup yet, and none was named.')
  // Read through before anything is touched.
  const { at } = await verify(folder)
  const aside = join(data, `before-restore-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}`)
  beginRestore(data, aside)
  const making = makingOf(data)
  db = await startMariadb(join(making, 'mariadb'))
  await restore({ folder, data: making, ownerUrl: db.ownerUrl })
  await db.stop()
  putInPlace(data)
  console.log(
    `Restored as of ${at}. What was there before is in ${aside}.\nnpm start opens it; everybody signs in again, and what was erased since is erased again.`,
  )
} catch (e) {
  console.error(`Nothing was restored: ${e.message}`)
  process.exitCode = 1
} finally {
  await db?.stop()
  giveBack()
}
