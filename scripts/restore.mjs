// npm run restore -- [folder of a backup]: puts a shop back as it was; the newest backup when none is named. What is there now
// is moved aside, not deleted. The shop must not be running.
import { existsSync, mkdirSync, realpathSync, renameSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { backupsIn, restore, verify } from './lib/backup.mjs'
import { ensureDebian, ensureNpm } from './lib/install.mjs'
import { lockFolder } from './lib/lock.mjs'
import { startMariadb } from './lib/mariadb.mjs'

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
  const newest = backupsIn(join(data, 'backups'))[0]
  const folder = process.argv[2] ? resolve(process.argv[2]) : newest && join(data, 'backups', newest)
  if (!folder) throw new Error('There is no backup yet, and none was named.')
  // Read through before anything is touched.
  const { at } = await verify(folder)
  const aside = join(data, `before-restore-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}`)
  mkdirSync(aside)
  for (const name of ['mariadb', 'files'])
    if (existsSync(join(data, name))) renameSync(join(data, name), join(aside, name))
  db = await startMariadb(join(data, 'mariadb'))
  await restore({ folder, data, ownerUrl: db.ownerUrl })
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
