import type { Commission, Kind } from '@nubrin/core/record'
import { Commission as Schema } from '../src/record/schema/commission'

/** What the schema says, as plain JSON. */
export interface Shape {
  $ref?: string
  $defs?: Record<string, Shape>
  type?: string
  const?: unknown
  anyOf?: Shape[]
  properties?: Record<string, Shape>
  patternProperties?: Record<string, Shape>
  items?: Shape
  minimum?: number
  maximum?: number
  format?: string
  pattern?: string
  'x-kind'?: Kind
  'x-names'?: Kind[]
  'x-fact'?: string
  'x-words'?: true
}

/** A leaf of the full record: where it stands by field, and how it would be read in a document. */
interface Leaf {
  at: string
  /** Its pointer, by position. */
  way: string
  says: string
  /** It is the shop’s own language, as the schema says. */
  words: boolean
}
/** A field that takes one of some words: its pointer, and the words. */
interface Choice {
  way: string
  words: string[]
}
const DAYS = Array.from({ length: 200 }, (_, i) => new Date(Date.UTC(2031, 0, 1 + i)).toISOString().slice(0, 10))
const LETTERS = 'abcdefghijklmnopqrstuvwxyz'

/** One record with every field of this version's schema filled, every list with one thing in it, and a value of its own in every leaf. */
export const full = () => fullOf(Schema as unknown as Shape)
/** What a schema notes at each place: what it names, what has an identity, what is a fact. */
function notesOf(schema: Shape): Map<string, Shape> {
  const out = new Map<string, Shape>()
  const walk = (shape: Shape, at: string) => {
    const s = shape.$ref ? schema.$defs![shape.$ref.replace('#/$defs/', '')]! : shape
    if (s.$ref) return walk(s, at)
    if (s['x-kind'] || s['x-names'] || s['x-fact']) out.set(at, s)
    for (const [k, x] of Object.entries(s.properties ?? {})) walk(x, `${at}/${k}`)
    if (s.items) walk(s.items, at)
  }
  walk(schema, '')
  return out
}
/** The same of a schema: that of an older version, too. `like`: one that notes what this one does not. */
export function fullOf(schema: Shape, like: Shape = schema): { record: Commission; leaves: Leaf[]; choices: Choice[] } {
  const leaves: Leaf[] = []
  const choices: Choice[] = []
  let n = 0
  const word = () => {
    n++
    return `q${LETTERS[Math.floor(n / 676) % 26]}${LETTERS[Math.floor(n / 26) % 26]}${LETTERS[n % 26]}q`
  }
  const notes = like === schema ? undefined : notesOf(like)
  const make = (shape: Shape, at: string, way: string, inWords = false): unknown => {
    const bare = shape.$ref ? schema.$defs![shape.$ref.replace('#/$defs/', '')]! : shape
    if (bare.$ref) return make(bare, at, way)
    const note = notes?.get(at)
    const named = typeof bare.pattern === 'string' && (note?.['x-kind'] || note?.['x-names'])
    const s = named || (note?.['x-fact'] && bare.properties) ? { ...note, ...bare } : bare
    if (s['x-kind']) return `own-${s['x-kind'].toLowerCase()}`
    if (s['x-names']) {
      // What may name several kinds names one that stands in every full record.
      const kind = s['x-names'].includes('part') ? 'part' : s['x-names'][0]!
      const id = `own-${kind.toLowerCase()}`
      return s.pattern?.includes(':') ? `${kind}:${id}` : id
    }
    if (s.const !== undefined) return s.const
    if (s.anyOf) {
      // Choices are not told apart by their value: their words are the catalogue's.
      const free = s.anyOf.find((x) => x.const === undefined && x.type !== 'null' && !x.anyOf)
      if (free) return make(free, at, way, inWords)
      const words = s.anyOf.flatMap((x) => (typeof x.const === 'string' ? [x.const] : []))
      if (words.length > 1) choices.push({ way, words })
      return make(s.anyOf.find((x) => x.type !== 'null')!, at, way)
    }
    if (s.type === 'array') {
      const item = s.items!
      return [make(item, at, `${way}/0`)]
    }
    if (s.type === 'object') {
      if (!s.properties) return { '/parts/@own-part/at': 1 }
      const fact = s['x-fact']
      const entries = Object.entries(s.properties).flatMap(([k, x]): [string, unknown][] => {
        // A settled fact, plainly stated: its trail and rivals are the shop's.
        if (fact && ['rivals', 'trail', 'tol', 'with', 'on', 'by'].includes(k)) return []
        if (fact && k === 'source') return [[k, 'measured']]
        if (k === 'aside') return []
        return [[k, make(x, fact && k === 'value' ? at : `${at}/${k}`, `${way}/${k}`, Boolean(s['x-words']))]]
      })
      return Object.fromEntries(entries)
    }
    if (s.type === 'boolean') return !at.endsWith('/stays')
    if (s.type === 'number' || s.type === 'integer') {
      const value = Math.min(s.maximum ?? 1e9, Math.max(s.minimum ?? 0, 11))
      leaves.push({ at, way, says: '#', words: false })
      return value
    }
    const says =
      s.format === 'date'
        ? DAYS[n++ % DAYS.length]!
        : s.format === 'date-time'
          ? `${DAYS[n++ % DAYS.length]}T10:00:00Z`
          : s.pattern?.includes('0-9a-f]{64}')
            ? 'a'.repeat(64)
            : s.pattern?.includes('#')
              ? `#${(0x102030 + n++ * 7).toString(16).padStart(6, '0')}`
              : s.pattern === '^[A-Z]{3}$'
                ? 'EUR'
                : s.pattern === '^[0-9a-z]{1,16}$'
                  ? word()
                  : s.pattern?.includes('https')
                    ? `https://q.example/${word()}`
                    : s.pattern?.includes('webm')
                      ? `${word()}.webm`
                      : s.pattern
                        ? `own-${word()}`
                        : word()
    leaves.push({ at, way, says, words: inWords || Boolean(s['x-words']) })
    return says
  }
  return { record: make(schema, '', '') as Commission, leaves, choices }
}
