// How the built server is run, wherever it is: by npm start, the attack and the bench.
import { availableParallelism } from 'node:os'
import { join } from 'node:path'

/** V8's own helpers tidy up after all threads and give way to none: with as many as there are cores, requests would wait for them. */
const HELPERS = Math.max(1, Math.min(4, availableParallelism() - 1))
/** What Node is given to run the server of the project in `root`. */
export const serving = (root) => [
  '--enable-source-maps',
  `--v8-pool-size=${HELPERS}`,
  join(root, 'server', 'dist', 'main.js'),
]
