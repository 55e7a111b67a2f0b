// npm run attack: everything that a hostile or unlucky world does to the shop, on loopback and bounded. Prints what happened and
// fails when anything was answered with a fault, hung, was lost, let somebody in, or took too much memory.
//   --small   a tenth of a hundredth of it, as npm test runs it: the same doors, another seed each day
//   --seed=N  the same draw again
//   --only=disk,zip  some of the rounds
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { deathRounds } from './attack/deaths.mjs'
import { keepingRounds } from './attack/keeping.mjs'
import { letterRounds } from './attack/letters.mjs'
import { loadRounds } from './attack/loads.mjs'
import { oddRounds } from './attack/odd.mjs'
import { peopleRounds } from './attack/people.mjs'
import { startRounds } from './attack/starts.mjs'
import { makeWorld } from './attack/world.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(root)
const small = process.argv.includes('--small')
const flag = (name) => process.argv.find((a) => a.startsWith(`--${name}=`))?.slice(name.length + 3)
const only = flag('only')?.split(',')
const seed = Number(flag('seed') ?? Math.floor(Date.now() / 86_400_000))
/** How much of each: in the small run, and in the whole one. Of what starts and ends whole shops the small run has one by turns. */
const turn = (n) => Number(only !== undefined || seed % 3 === n)
const MANY = {
  ...{ json: [50, 10_000], zip: [15, 1000], wav: [20, 1000], csv: [15, 500], pictures: [10, 500], routes: [2, 40] },
  ...{ sessions: [3, 60], links: [3, 60], helpers: [4, 40], queue: [6, 200], recalls: [1, 20], erased: [2, 30] },
  ...{ heavy: [1, 99], letters: [2, 150], starts: [turn(0), 12], kills: [turn(1), 30], disk: [turn(2), 3] },
}
const many = Object.fromEntries(Object.entries(MANY).map(([name, [few, all]]) => [name, small ? few : all]))
const MOST_MEMORY = 1024 ** 3

const { build } = await import('./build.mjs')
await build()
let world
let code = 0
try {
  world = await makeWorld(root, { seed, small, many })
  const { found, note } = world
  // The disk comes last: it takes the shop elsewhere.
  const rounds = {
    ...oddRounds(world),
    ...peopleRounds(world),
    ...keepingRounds(world),
    ...loadRounds(world),
    ...letterRounds(world),
    ...startRounds(world),
    ...deathRounds(world),
  }
  await world.start()
  await world.signIn()
  for (const [name, run] of Object.entries(rounds)) {
    if (only ? !only.includes(name) : !many[name]) continue
    const began = performance.now()
    const before = found.length
    const tried = (await run()) ?? world.many[name]
    await world.signIn()
    const took = ((performance.now() - began) / 1000).toFixed(0)
    console.log(`${name}: ${tried} tried in ${took} s, ${found.length - before} found`)
  }
  if (world.deaths) note(`the server died ${world.deaths} times by itself`)
  if (world.peak > MOST_MEMORY) note(`it took ${(world.peak / 1e6).toFixed(0)} MB`)
  const memory = `most memory ${(world.peak / 1e6).toFixed(0)} MB`
  console.log(`seed ${seed}; ${memory}; ${found.length ? 'FOUND:' : 'nothing found.'}`)
  for (const f of found) console.log(`  ${f}`)
  code = found.length ? 1 : 0
} catch (e) {
  console.error(e)
  code = 1
} finally {
  await world?.end()
  process.exit(code)
}
