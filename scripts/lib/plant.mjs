// Faults planted in a copy of the tree: which there could be, which are drawn, and the copy in which each can be switched on.
import { createHash } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Instrumenter } from '@stryker-mutator/instrumenter'

const quiet = Object.fromEntries(
  ['trace', 'debug', 'info', 'warn', 'error', 'fatal'].flatMap((k) => [
    [k, () => {}],
    [`is${k[0].toUpperCase()}${k.slice(1)}Enabled`, () => false],
  ]),
)
const planter = new Instrumenter(quiet)
/** What is only words or looks says nothing about what a test notices: a catalogue, and the classes of a page. */
const WORDS = /\/(words|languages|gallery)\/|-words\.ts$|(^|\/)index\.ts$|\/names\.ts$/
/** What a route says of itself is read by people. */
const said = {
  name: 'said',
  shouldIgnore: (at) =>
    at.isObjectProperty() && ['says', 'summary'].includes(at.node.key.name) ? 'only words' : undefined,
}
const optionsOf = (area) => ({
  excludedMutations: area === 'web' ? ['StringLiteral'] : [],
  plugins: null,
  ignorers: [said],
  noHeader: false,
})

/** What the server's routes are described by lies in the core, and is what the server's tests ask. */
const ROUTES = join('core', 'src', 'api')
const sourcesOf = (root, area) =>
  ['core', 'server', 'web']
    .flatMap((p) =>
      readdirSync(join(root, p, 'src'), { recursive: true, encoding: 'utf8' }).map((f) => join(p, 'src', f)),
    )
    .filter((f) => /\.tsx?$/.test(f) && !WORDS.test(f))
    .filter((f) => (f.startsWith(ROUTES) ? 'server' : f.split('/')[0]) === area)
    .sort()

const planted = (area, files) => planter.instrument(files, optionsOf(area))
/** What a fault is known by: of conditions in one another several begin at the same place. */
const where = ({ fileName, mutatorName, replacement, location: { start, end } }) =>
  `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column} ${mutatorName} ${replacement}`

/** So many faults of an area, drawn by the seed from all that could be planted in it. */
export async function draw(root, area, n, seed, only) {
  const files = sourcesOf(root, area)
    .filter((f) => !only || f.startsWith(join(area, 'src', only)))
    .map((name) => ({ name, mutate: true, content: readFileSync(join(root, name), 'utf8') }))
  const all = []
  // A file at a time, so that no identity depends on the others.
  for (const f of files) all.push(...(await planted(area, [f])).mutants.filter((m) => m.status !== 'Ignored'))
  const luck = (m) =>
    createHash('sha256')
      .update(`${seed} ${where(m)}`)
      .digest('hex')
  return {
    all: all.length,
    drawn: all
      .map((m) => [luck(m), m])
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .slice(0, n)
      .map(([, m]) => m),
  }
}

/** A file as somebody would have written the fault into it. */
export function textWith(root, { fileName, replacement, location: { start, end } }) {
  const text = readFileSync(join(root, fileName), 'utf8')
  const lines = text.split('\n')
  const at = ({ line, column }) => lines.slice(0, line).reduce((sum, l) => sum + l.length + 1, column)
  return text.slice(0, at(start)) + replacement + text.slice(at(end))
}

/** Copies the tree with the drawn faults in it, each switched off; gives them with what switches each on. */
export async function plant(root, copy, area, drawn) {
  rmSync(copy, { recursive: true, force: true })
  mkdirSync(copy, { recursive: true })
  for (const name of readdirSync(root)) {
    if (['node_modules', 'test-results', '.data', '.git'].includes(name)) continue
    cpSync(join(root, name), join(copy, name), {
      recursive: true,
      filter: (f) => !/\/(node_modules|screenshots)$/.test(f),
    })
  }
  for (const f of ['server/node_modules', 'web/node_modules'])
    if (existsSync(join(root, f))) symlinkSync(join(root, f), join(copy, f))
  // Every package is the tree's, but its own workspaces: those are the copy's.
  const packages = join(copy, 'node_modules')
  mkdirSync(packages)
  for (const name of readdirSync(join(root, 'node_modules')))
    if (name !== '@nubrin') symlinkSync(join(root, 'node_modules', name), join(packages, name))
  mkdirSync(join(packages, '@nubrin'))
  for (const name of readdirSync(join(root, 'node_modules', '@nubrin')))
    symlinkSync(join(copy, name), join(packages, '@nubrin', name))
  const out = []
  let next = 0
  for (const name of new Set(drawn.map((m) => m.fileName))) {
    const own = drawn.filter((m) => m.fileName === name)
    const ranges = own.map((m) => m.location)
    const content = readFileSync(join(root, name), 'utf8')
    const { files: written, mutants } = await planted(area, [{ name, mutate: ranges, content }])
    // Numbers begin anew in each file; those of different files must not switch each other on.
    const base = next
    next += mutants.length
    const text = written[0].content.replace(
      /(stryMutAct_9fa48|stryCov_9fa48)\(((?:"\d+"(?:, )?)+)\)/g,
      (_all, f, ids) => `${f}(${ids.replace(/\d+/g, (id) => String(Number(id) + base))})`,
    )
    writeFileSync(join(copy, name), text)
    for (const m of own) {
      const found = mutants.find((x) => where(x) === where(m))
      if (found)
        out.push({
          id: String(Number(found.id) + base),
          file: name,
          line: m.location.start.line + 1,
          kind: m.mutatorName,
          becomes: m.replacement.replace(/\s+/g, ' ').slice(0, 80),
        })
    }
  }
  return out
}
