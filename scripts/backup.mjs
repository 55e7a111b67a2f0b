// npm run backup: takes a backup, beside the running shop or without it, reads it back, and says where it is.
//   NUBRIN_DATA    the data folder, .data otherwise
//   DATABASE_URL   a database of your own, as a user that may read all tables
import { existsSync, realpathSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { backup, thin } from './lib/backup.mjs'
import { ensureNpm } from './lib/install.mjs'
import { lockFolder } from './lib/lock.mjs'
import { runningOwner, startMariadb } from './lib/mariadb.mjs'
import { isRestoring } from './lib/restoring.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
ensureNpm(root)
const folder = process.env.NUBRIN_DATA ?? join(root, '.data')
if (!existsSync(folder)) {
  console.error(`There is no data folder ${folder}, so there is nothing to back up.`)
  process.exit(1)
}
const data = realpathSync(folder)
let own
let giveBack = () => {}
try {
  if (isRestoring(data)) throw new Error('A restore is under way, or was cut off. npm start puts that right first.')
  let ownerUrl = process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL || runningOwner(join(data, 'mariadb'))
  if (!ownerUrl) {
    giveBack = lockFolder(data)
    own = await startMariadb(join(data, 'mariadb'))
    ownerUrl = own.ownerUrl
  }
  const into = process.argv[2] ?? join(data, 'backups')
  console.log(`Backed up and read back: ${await backup({ data, ownerUrl, into })}`)
  await thin(into, Number(process.env.NUBRIN_KEEP_BACKUPS ?? 14))
} catch (e) {
  console.error(`No backup was made: ${e.message}`)
  process.exitCode = 1
} finally {
  await own?.stop()
  giveBack()
}
