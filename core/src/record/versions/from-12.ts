import type { TSchema } from '@sinclair/typebox'
import { planOf, walk } from '../walk/schema-plan'
import { type Loose, listOf, object, text } from './loose'
import v12 from './v12.schema.json' with { type: 'json' }

/** Figures whose names said another unit than they have, or none. */
const FIGURES: Readonly<Record<string, string>> = { maxRms: 'maxOutputVoltsRms', cardBytes: 'cardMegabytes' }
const PLAN = planOf(v12 as unknown as TSchema)!

/**
 * Version 12 called repairs fixes, the highest output of a board its rms, and the size of a card bytes. What it has is kept under
 * the names of the trade, with every reference, path and topic that named it.
 */
export function liftTradeNames(d: Loose): Loose {
  const lifted = structuredClone({ ...d, version: 13 }) as Loose
  walk(PLAN, lifted, (plan, value, at) => {
    if (plan.names && typeof value === 'string' && value.startsWith('fix:')) put(lifted, at.pointer, renamed(value))
  })
  for (const v of listOf(lifted.visits)) rename(v, 'fixes', 'repairs')
  for (const s of listOf(lifted.sabers)) {
    rename(s, 'fixes', 'repairs')
    for (const p of listOf(s.parts)) for (const [was, is] of Object.entries(FIGURES)) rename(object(p.specs), was, is)
    for (const b of listOf(s.beats)) {
      if (Array.isArray(b.covers)) b.covers = b.covers.map((k) => renamed(text(k)))
      for (const key of ['say', 'doText']) if (typeof b[key] === 'string') b[key] = withPaths(b[key])
    }
    for (const w of listOf(s.leftOut)) w.key = renamed(text(w.key))
    for (const x of listOf(s.decisions))
      if (x.layout) x.layout = Object.fromEntries(Object.entries(object(x.layout)).map(([k, v]) => [path(k), v]))
  }
  return lifted
}

function rename(o: Loose, was: string, is: string): void {
  if (!(was in o)) return
  o[is] = o[was]
  delete o[was]
}
/** A reference, or the key of a topic. */
const renamed = (key: string) => key.replace(/^fix:/, 'repair:')
const path = (at: string) =>
  at.replace(/\/specs\/(\w+)/g, (all, k: string) => (FIGURES[k] ? `/specs/${FIGURES[k]}` : all))
/** A text with facts by their paths in it. */
const withPaths = (words: string) => words.replace(/\[\[[^\]]*\]\]/g, path)

function put(root: Loose, pointer: string, value: string): void {
  const steps = pointer.split('/').slice(1)
  const last = steps.pop()!
  let home: unknown = root
  for (const step of steps) home = (home as Record<string, unknown>)[step]
  ;(home as Record<string, unknown>)[last] = value
}
