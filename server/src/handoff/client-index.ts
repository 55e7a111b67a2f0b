import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** What a client's page begins with; all of it is asked for at once, instead of one after the other as each is read. */
const BEGINS_WITH = ['src/client/ClientPage.tsx', 'src/client/InHand.tsx']

type Manifest = Record<string, { file: string; imports?: string[] }>

const made = new Map<string, string>()
/** The built page for a client's link, naming the scripts it will need; as it is where the build does not say which. */
export function clientIndex(webFolder: string): string {
  const there = made.get(webFolder)
  if (there) return there
  const html = readFileSync(join(webFolder, 'index.html'), 'utf8')
  const list = join(webFolder, '.vite', 'manifest.json')
  const manifest: Manifest = existsSync(list) ? JSON.parse(readFileSync(list, 'utf8')) : {}
  const seen = new Set<string>()
  const todo = BEGINS_WITH.filter((k) => manifest[k])
  for (let k = todo.pop(); k; k = todo.pop())
    if (!seen.has(k)) {
      seen.add(k)
      todo.push(...(manifest[k]!.imports ?? []))
    }
  const files = new Set([...seen].map((k) => manifest[k]!.file))
  const links = [...files].filter((f) => !html.includes(f)).map((f) => `<link rel="modulepreload" href="/${f}">`)
  const page = html.replace('</head>', `${links.join('')}</head>`)
  made.set(webFolder, page)
  return page
}
