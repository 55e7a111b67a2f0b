import type { Commission, GoalKind, Saber, Task } from '../record'
import type { Reader } from '../units'

/** A line of facts: what, and how much is known of it. */
export interface FactRow {
  name: string
  value: string
  about?: boolean
}

/** What was wanted, computed and found of one test, in its own unit; nothing where it has no figures. */
export interface Bar {
  min?: number
  max?: number
  computed?: number
  found?: number
}

/** A block of the handoff record. The PDF and the client page render the same list, so they cannot disagree. */
export type Block =
  | { kind: 'para'; text: string }
  | { kind: 'facts'; rows: FactRow[] }
  | { kind: 'table'; head: string[]; rows: string[][]; swatch?: string[]; bars?: Bar[] }
  | { kind: 'apart'; saber: string; out: { text: string; tool?: string }[]; back: { text: string; tool?: string }[] }
  | {
      kind: 'steps'
      title: string
      saber?: string
      /** Of which procedure, by its place among those of its saber; one issued before there were any names a task. */
      goal?: GoalKind
      procedure?: number
      task?: Task
      /** The number of the first act, where it goes on from another procedure, and the words that send one there; the same at its end. */
      first?: number
      lead?: string
      tail?: string
      /** How many of these lead there; the others lead back. */
      turn?: number
      steps: { text: string; tool?: string; caution?: string; cue?: string; place?: string }[]
    }
  | { kind: 'caution'; title: string; text: string }
  | { kind: 'drawing'; saber: string; which: 'section' | 'unrolled' }
  | { kind: 'script'; saber: string; beats: { n: number; say: string; show?: string; ref?: string }[] }
  | { kind: 'film'; title: string; address?: string; file?: string; chapters: { at: number; title: string }[] }

export interface Chapter {
  id: string
  title: string
  /** The saber it belongs to, in an order of several. */
  saber?: string
  blocks: Block[]
}

/** A chapter on one saber, or on the order: a title and what stands in it. Without blocks it is left out. */
interface Written {
  id: string
  title: string
  blocks: Block[]
}
export type SaberChapter = (reader: Reader, s: Saber) => Written
export type OrderChapter = (reader: Reader, c: Commission) => Written

/** A table whose heads are worded by their column. Without rows there is none. */
export const table = (head: string[], rows: string[][], more: { swatch?: string[]; bars?: Bar[] } = {}): Block[] =>
  rows.length ? [{ kind: 'table', head, rows, ...more }] : []
