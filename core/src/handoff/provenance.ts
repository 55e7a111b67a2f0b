import type { TSchema } from '@sinclair/typebox'
import { isFact } from '../facts'
import { Commission, isObject, type Kind, nameOfThing, readerOf, THINGS, told } from '../record'
import type { Reader } from '../units'
import type { Chapter } from './block'
import { AFTER, BEFORE, OF_A_SABER } from './chapters'
import { chapterLines, missingFrom } from './lines'

/** Something recorded that a sentence rests on: where it stands by identity, whose it is, and what it says. */
export interface Rest {
  path: string
  owner: string
  field: string
  value: string
  /** Where it comes from, where it is a fact. */
  source?: string
}
export interface RestedLine {
  line: string
  rests: Rest[]
}

/** A place of the record, and what to put there to see who notices. */
interface Leaf extends Rest {
  steps: (string | number)[]
  other: unknown
}

/** What says nothing by itself: identities, keys, what it was made from. */
const MUTE = new Set(['id', 'hash', 'catalogue', 'format', 'version', 'bytes', 'covers'])
/** A key is a tool's or a screw's, or that of a list. */
const LIST_KEY = /\/(tests|packing|waivers|leftOut)\/[^/]+\/key$/
const REF = new RegExp(`^(${Object.keys(THINGS).join('|')}):[a-z0-9]`)

const choices = (s: TSchema | undefined): string[] =>
  ((s?.anyOf ?? []) as TSchema[]).flatMap((x) => (typeof x.const === 'string' ? [x.const] : []))

/** Another value of the same sort; undefined where there is none to try. */
function otherThan(v: unknown, s: TSchema | undefined): unknown {
  if (typeof v === 'boolean') return !v
  if (typeof v === 'number') return v * 1.37 + 3
  if (typeof v !== 'string' || REF.test(v)) return undefined
  const among = choices(s)
  if (among.length) return among.findLast((x) => x !== v)
  if (s?.pattern?.includes('#')) return v === '#123456' ? '#654321' : '#123456'
  if (s?.format === 'date') return v === '2001-02-03' ? '2003-02-01' : '2001-02-03'
  if (s?.format === 'date-time') return '2001-02-03T04:05:06Z'
  return s?.pattern ? undefined : `${v}′`
}

/** Every place of a record that can say something else, with whose it is. */
function leavesOf(c: Commission): Leaf[] {
  const out: Leaf[] = []
  const look = (v: unknown, s: TSchema | undefined, steps: Leaf['steps'], path: string, owner: string) => {
    const field = String(steps.at(-1) ?? '')
    if (MUTE.has(field) || LIST_KEY.test(path)) return
    if (isFact(v)) {
      const value = v.value as unknown
      const of = s?.properties?.value as TSchema | undefined
      const among = ((of?.anyOf ?? []) as TSchema[]).find((x) => !x.type || x.type !== 'null')
      const other = value === null ? (choices(among)[0] ?? 7.7) : otherThan(value, among ?? of)
      const unit = 'unit' in v && v.unit !== '×' ? ` ${String(v.unit)}` : ''
      const said = value === null ? 'not recorded' : `${String(value)}${unit}`
      if (other !== undefined)
        out.push({ path, owner, field, value: said, source: String(v.source), steps: [...steps, 'value'], other })
      return
    }
    if (Array.isArray(v)) {
      for (const [i, x] of v.entries()) {
        const id = isObject(x) && typeof x.id === 'string' ? `@${x.id}` : String(i)
        look(x, s?.items as TSchema | undefined, [...steps, i], `${path}/${id}`, owner)
      }
      return
    }
    if (isObject(v)) {
      const kind = s?.properties?.id?.['x-kind'] as Kind | undefined
      const own = kind ? nameOfThing(kind, v) || owner : owner
      for (const [k, x] of Object.entries(v)) look(x, s?.properties?.[k], [...steps, k], `${path}/${k}`, own)
      return
    }
    const other = otherThan(v, s)
    if (other !== undefined) out.push({ path, owner, field, value: String(v), steps, other })
  }
  look(c, Commission, [], '', c.title)
  return out
}

/** The record with another value at some places; only what lies on the way to them is made anew. */
function changed(c: Commission, leaves: readonly Leaf[]): Commission {
  const made = new Map<unknown, unknown>()
  const fresh = <T>(v: T): T => {
    if (!made.has(v)) {
      const copy = Array.isArray(v) ? [...v] : { ...v }
      made.set(v, copy)
      made.set(copy, copy)
    }
    return made.get(v) as T
  }
  const root = fresh(c)
  for (const { steps, other } of leaves) {
    let at = root as unknown as Record<string | number, unknown>
    for (const step of steps.slice(0, -1)) {
      at[step] = fresh(at[step])
      at = at[step] as Record<string | number, unknown>
    }
    at[steps.at(-1)!] = other
  }
  return root
}

type Writer = (c: Commission) => Chapter | undefined
/** Who writes a chapter, by its id in the document. */
function writerOf(reader: Reader, c: Commission, id: string): Writer | undefined {
  const writers: Writer[] = [
    ...[...BEFORE, ...AFTER].map(
      (chapter): Writer =>
        (x) =>
          chapter(reader, x),
    ),
    ...c.sabers.flatMap((s, i) =>
      OF_A_SABER.map(
        (chapter): Writer =>
          (x) => {
            const own = x.sabers[i]!
            const made = chapter(reader, own)
            return { ...made, id: x.sabers.length > 1 ? `${made.id}-${s.id}` : made.id }
          },
      ),
    ),
  ]
  return writers.find((w) => w(c)?.id === id)
}

/**
 * For every line of a chapter, what of the record it rests on: found by putting something else there and seeing which lines
 * change, halves first, so that what nobody reads costs nothing. What only decides whether a line stands at all is found as
 * well; two places that make up for each other are not. A chapter that is not written gives none.
 */
export function restsOf(c: Commission, id: string): RestedLine[] {
  const writer = writerOf(readerOf(c), c, id)
  if (!writer) return []
  const read = (x: Commission): string[] | undefined => {
    try {
      return chapterLines(writer(told(x))!)
    } catch {
      return undefined
    }
  }
  const base = read(c) ?? []
  const rests = base.map((): Rest[] => [])
  /** The lines that are not there any more. */
  const missing = (leaves: readonly Leaf[]): number[] | undefined => {
    const now = read(changed(c, leaves))
    return now && missingFrom(base, now)
  }
  const search = (leaves: readonly Leaf[]) => {
    if (!leaves.length) return
    const gone = missing(leaves)
    if (gone && !gone.length) return
    if (leaves.length === 1) {
      const { steps: _s, other: _o, ...rest } = leaves[0]!
      for (const i of gone ?? []) rests[i]!.push(rest)
      return
    }
    const half = leaves.length >> 1
    search(leaves.slice(0, half))
    search(leaves.slice(half))
  }
  search(leavesOf(c))
  return base.map((line, i) => ({ line, rests: rests[i]! }))
}
