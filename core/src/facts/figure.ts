import { MAKER } from '../units'
import type { Unit } from '../units/unit'
import { known, type NumberFact, printable } from './fact'
import { formatFact } from './print'

/** Where an input stands in the record; facts know no more of it than its kind and id. */
export type FigureRef = `${string}:${string}`

/** One input of a computed value, as it can be shown to whoever doubts the result. */
export interface FigureInput {
  name: string
  text: string
  /** True when the input itself is only "about". */
  about: boolean
  ref?: FigureRef
}

/** A computed value that can be opened to its inputs, formula and the source of the formula. */
export interface Figure {
  ok: true
  value: number
  unit: Unit
  formula: string
  /** Where the formula comes from. */
  basis: string
  inputs: FigureInput[]
  /** True when any input is only "about": the result then prints as "about" too. */
  about: boolean
}

/** The facts a figure was computed from, its own and those of the figures in it; kept beside it, since it is data that travels. */
const USED = new WeakMap<Figure, readonly NumberFact[]>()
/** The facts behind a computed value, each once; none for what could not be computed, or was made elsewhere. */
export const factsBehind = (c: Calculated): readonly NumberFact[] => (c.ok ? (USED.get(c) ?? []) : [])

/** Not calculable: what is missing, in words, and where to enter it. */
export interface Missing {
  ok: false
  needs: { name: string; ref?: FigureRef }[]
}
export type Calculated = Figure | Missing

/**
 * Gathers inputs for a figure. `take` reads a fact and remembers it, or remembers that it is missing; `figure` gives the
 * result when nothing was missing and the list of needs otherwise. The formula runs only with all inputs present.
 */
export class Gather {
  readonly inputs: FigureInput[] = []
  readonly needs: { name: string; ref?: FigureRef }[] = []
  private readonly used = new Set<NumberFact>()

  take(name: string, f: NumberFact | undefined, ref?: FigureRef): number {
    const v = known(f)
    if (v === undefined || !f) {
      this.needs.push({ name, ...(ref ? { ref } : {}) })
      return Number.NaN
    }
    this.used.add(f)
    const input: FigureInput = {
      name,
      // Most figures are only compared: the words are made when they are read.
      get text() {
        return formatFact(MAKER, f)
      },
      about: printable(f) !== 'plain',
    }
    if (ref) input.ref = ref
    this.inputs.push(input)
    return v
  }

  /** A setting or constant that goes into the figure, shown but never missing. */
  note(name: string, text: string, about = false) {
    this.inputs.push({ name, text, about })
  }

  /** A figure that feeds another one. */
  from(name: string, c: Calculated): number {
    if (!c.ok) {
      this.needs.push(...c.needs)
      return Number.NaN
    }
    for (const f of factsBehind(c)) this.used.add(f)
    this.inputs.push({ name, text: `${Number(c.value.toPrecision(4))} ${c.unit}`, about: c.about })
    return c.value
  }

  missing(name: string, ref?: FigureRef) {
    this.needs.push({ name, ...(ref ? { ref } : {}) })
  }

  figure(unit: Unit, formula: string, basis: string, compute: () => number): Calculated {
    if (this.needs.length) return { ok: false, needs: dedupe(this.needs) }
    const value = compute()
    if (!Number.isFinite(value)) return { ok: false, needs: [{ name: 'values that can be true together' }] }
    const figure: Figure = {
      ok: true,
      value,
      unit,
      formula,
      basis,
      inputs: this.inputs,
      about: this.inputs.some((i) => i.about),
    }
    USED.set(figure, [...this.used])
    return figure
  }
}

const dedupe = <T extends { name: string; ref?: FigureRef }>(list: T[]) =>
  list.filter((n, i) => list.findIndex((m) => m.name === n.name && m.ref === n.ref) === i)

/** "cannot be calculated without the cell's capacity and the wire gauge" */
export function missingText(m: Missing): string {
  const names = m.needs.map((n) => n.name)
  return `cannot be calculated without ${names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names[0]}`
}
