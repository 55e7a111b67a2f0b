import type { Static } from '@sinclair/typebox'
import Papa from 'papaparse'
import { fact, type NumberFact, SOURCES, type Source } from '../facts'
import type { CataloguePart } from '../parts/catalogue'
import { CataloguePartSchema } from '../parts/schema'
import {
  KINDS,
  MATERIALS,
  type Material,
  type PartKind,
  type Problem,
  SPECS,
  type SpecKey,
  type SpecMap,
} from '../record'
import { DEEPEST_JSON, nestedDeeper } from '../record/check/depth'
import { explain, makeAjv } from '../record/check/validate'
import { nearestWord, parseFaultText, parseMeasure, parseNumber, quantityOf } from '../units'

const check = makeAjv().compile<Static<typeof CataloguePartSchema>>(CataloguePartSchema)

/** A fault of an import: which row (as a spreadsheet counts them, the heading being row 1), which column, which rule. */
export interface RowProblem extends Problem {
  row: number
  column: string
}

export interface PartRows {
  parts: CataloguePart[]
  problems: RowProblem[]
  /** Rows of data, good or bad; what is beyond the most that a shelf holds was only counted. */
  rows: number
  /** The rows that could not be taken, as CSV with a column that says why, to mend and bring again. */
  rejected: string
}

/** A catalogue larger than this is refused whole: a shop's shelf is not a warehouse. */
export const MOST_PARTS = 5000

/** Held against the schema and the usual range of every value; problems carry a path such as `/specs/length/value`. */
export function validatePart(input: unknown): { ok: true; part: CataloguePart } | { ok: false; problems: Problem[] } {
  if (!check(input))
    return {
      ok: false,
      problems: explain(check.errors ?? []),
    }
  const problems = Object.entries(input.specs as Partial<Record<SpecKey, NumberFact>>).flatMap(([k, f]) => {
    const rule = SPECS[k as SpecKey]
    if (f.value === null || (f.value >= rule.min && f.value <= rule.max)) return []
    return [rangeProblem(k as SpecKey, f.value)]
  })
  return problems.length ? { ok: false, problems } : { ok: true, part: input as CataloguePart }
}

const rangeProblem = (k: SpecKey, value: number): Problem => ({
  path: `/specs/${k}/value`,
  rule: 'range',
  message: `${SPECS[k].label} must be from ${SPECS[k].min} to ${SPECS[k].max} ${SPECS[k].unit}`,
  got: String(value),
})

const FIXED = [
  'id',
  'kind',
  'name',
  'protected',
  'material',
  'converter',
  'key',
  'stock',
  'lot',
  'supplier',
  'cost',
  'source',
  'source note',
] as const
type Fixed = (typeof FIXED)[number]
const SPEC_KEYS = Object.keys(SPECS) as SpecKey[]
const heading = (k: SpecKey) => (SPECS[k].unit === '×' ? SPECS[k].label : `${SPECS[k].label} (${SPECS[k].unit})`)
const tolHeading = (k: SpecKey) => `${SPECS[k].label} ± (${SPECS[k].unit})`

const yesNo = (v: boolean | undefined) => (v === undefined ? '' : v ? 'yes' : 'no')

/** The catalogue as CSV: one row a part, units in the heading, decimal points, a source for the row. */
export function writePartsCsv(parts: readonly CataloguePart[]): string {
  const used = SPEC_KEYS.filter((k) => parts.some((p) => p.specs[k]))
  const tols = used.filter((k) => parts.some((p) => p.specs[k]?.tol !== undefined))
  const fields = [...FIXED, ...used.flatMap((k) => [heading(k), ...(tols.includes(k) ? [tolHeading(k)] : [])])]
  const data = parts.map((p) => {
    const any = Object.values(p.specs)[0]
    const fixed: Record<Fixed, string> = {
      id: p.id,
      kind: p.kind,
      name: p.name,
      protected: yesNo(p.protected),
      material: p.material ?? '',
      converter: yesNo(p.converter),
      key: p.key ?? '',
      stock: p.stock === undefined ? '' : String(p.stock),
      lot: p.lot ?? '',
      supplier: p.supplier ?? '',
      cost: p.cost === undefined ? '' : String(p.cost),
      source: any?.source ?? '',
      'source note': any?.with ?? '',
    }
    const value = (v: number | null | undefined) => (v === null || v === undefined ? '' : String(v))
    return [
      ...FIXED.map((f) => fixed[f]),
      ...used.flatMap((k) => [value(p.specs[k]?.value), ...(tols.includes(k) ? [value(p.specs[k]?.tol)] : [])]),
    ]
  })
  return `${Papa.unparse({ fields, data }, { newline: '\n', escapeFormulae: true })}\n`
}

type Column = { fixed: Fixed } | { spec: SpecKey; tol: boolean; unit: string | undefined } | { unknown: true }

/** No catalogue has more columns, no heading more letters, no cell with a number more. */
const MOST_COLUMNS = 200
const LONGEST_HEADING = 120
const LONGEST_NUMBER = 80

/** Reads a heading: a fixed name, or a specification's key or label with an optional unit in brackets. */
function columnOf(text: string): Column {
  const bare = text.trim().toLowerCase()
  const fixed = FIXED.find((f) => f === bare)
  if (fixed) return { fixed }
  const { name, tol, unit } = partsOfHeading(bare)
  // A label comes before a key: "resistance" is a resistor's, the key of that name a cell's.
  const spec =
    SPEC_KEYS.find((k) => SPECS[k].label.toLowerCase() === name) ?? SPEC_KEYS.find((k) => k.toLowerCase() === name)
  return spec ? { spec, tol, unit: unit || undefined } : { unknown: true }
}

/** `bore ± (mm)` as its name, whether it is a tolerance, and its unit. Step by step: a pattern for all of it would try for ages. */
function partsOfHeading(bare: string): { name: string; tol: boolean; unit: string } {
  if (bare.length > LONGEST_HEADING) return { name: '', tol: false, unit: '' }
  const open = /[)\]]$/.test(bare) ? Math.max(bare.lastIndexOf('('), bare.lastIndexOf('[')) : -1
  const unit = open < 0 ? '' : bare.slice(open + 1, -1).trim()
  const rest = (open < 0 ? bare : bare.slice(0, open)).trimEnd()
  const mark = ['±', 'tol.', 'tol'].find((t) => rest.endsWith(t))
  return { name: mark ? rest.slice(0, -mark.length).trimEnd() : rest, tol: mark !== undefined, unit }
}

const YES: Record<string, boolean> = { yes: true, true: true, 1: true, no: false, false: false, 0: false }

/** Reads a catalogue row by row. */
class PartsReader {
  private readonly columns: Column[]
  readonly problems: RowProblem[] = []
  readonly parts: CataloguePart[] = []
  private readonly bad: string[][] = []
  private readonly ids = new Map<string, number>()
  private readonly headings: string[]
  private at = 1
  rows = 0
  /** The heading itself is at fault: then no row can be read. */
  readonly stopped: boolean

  private constructor(all: string[]) {
    const headings = all.slice(0, MOST_COLUMNS)
    this.headings = headings
    this.columns = headings.map(columnOf)
    const fault = (column: string, rule: string, message: string, got?: string) =>
      this.problems.push({ row: 1, column, path: `/1/${column}`, rule, message, ...(got ? { got } : {}) })
    const seen = new Set<string>()
    this.columns.forEach((c, i) => {
      const text = headings[i]!.trim()
      if ('unknown' in c) {
        if (text) fault(text, 'heading', 'is no heading this catalogue knows; leave it out or correct it', text)
        return
      }
      const key = JSON.stringify(c)
      if (seen.has(key)) fault(text, 'twice', 'stands there twice', text)
      seen.add(key)
      if ('spec' in c && c.unit !== undefined) {
        const probe = parseMeasure(`1 ${c.unit}`, quantityOf(SPECS[c.spec].unit), SPECS[c.spec].unit)
        if (!probe.ok)
          fault(text, 'unit', `is not a unit of ${SPECS[c.spec].label}; one of ${probe.accepts.join(', ')}`, c.unit)
      }
    })
    if (all.length > MOST_COLUMNS) fault('', 'maxColumns', `are ${all.length}; a catalogue has at most ${MOST_COLUMNS}`)
    for (const need of ['kind', 'name'] as const)
      if (!this.columns.some((c) => 'fixed' in c && c.fixed === need)) fault(need, 'required', 'is missing')
    this.stopped = this.problems.length > 0
  }

  static open(headings: string[]): PartsReader {
    return new PartsReader(headings)
  }

  /** Takes one row in. Empty rows are passed over; a faulty one is kept aside with what is wrong with it. */
  row(cells: string[]): void {
    this.at++
    if (cells.every((c) => !c.trim())) return
    this.rows++
    if (this.rows > MOST_PARTS) return
    const before = this.problems.length
    const part = this.read(cells)
    if (this.problems.length === before && part) {
      this.parts.push(part)
      return
    }
    const why = this.problems.slice(before).map((p) => `${p.column}: ${p.message}${p.got ? ` (${p.got})` : ''}`)
    this.bad.push([...this.headings.map((_, i) => cells[i] ?? ''), why.join('; ')])
  }

  private fault(column: string, rule: string, message: string, got?: string) {
    this.problems.push({
      row: this.at,
      column,
      path: `/${this.at}/${column}`,
      rule,
      message,
      ...(got === undefined ? {} : { got }),
    })
  }

  private read(cells: string[]): CataloguePart | undefined {
    if (cells.length > this.headings.length)
      this.fault('', 'cells', `has ${cells.length} cells under ${this.headings.length} headings`)
    const fixed: Partial<Record<Fixed, string>> = {}
    this.columns.forEach((c, i) => {
      if ('fixed' in c) fixed[c.fixed] = (cells[i] ?? '').trim()
    })
    const kind = this.kindOf(fixed.kind ?? '')
    const name = fixed.name ?? ''
    if (!name) this.fault('name', 'required', 'is empty')
    if (name.length > 240) this.fault('name', 'maxLength', 'is longer than 240 characters', name.slice(0, 40))
    const source = this.sourceOf(fixed.source ?? '')
    const note = fixed['source note']?.slice(0, 200)
    const specs: Partial<Record<SpecKey, NumberFact>> = {}
    const tols: [SpecKey, number, string][] = []
    this.columns.forEach((c, i) => {
      const text = (cells[i] ?? '').trim()
      if (!('spec' in c) || !text) return
      const value = this.measure(c, text, this.headings[i]!.trim())
      if (value === undefined) return
      if (c.tol) tols.push([c.spec, value, this.headings[i]!.trim()])
      else specs[c.spec] = fact(value, SPECS[c.spec].unit, source, note ? { with: note } : {})
    })
    for (const [k, tol, column] of tols) {
      const f = specs[k]
      if (f) f.tol = tol
      else this.fault(column, 'orphan', `is a tolerance without a ${SPECS[k].label}`)
    }
    const stock = this.whole('stock', fixed.stock)
    const cost = this.money(fixed.cost)
    const shut = this.yesNo('protected', fixed.protected)
    const converter = this.yesNo('converter', fixed.converter)
    const material = this.materialOf(fixed.material ?? '')
    const id = this.idOf(fixed.id, name)
    if (!kind || !name || !id) return undefined
    return {
      id,
      kind,
      name,
      specs: specs as SpecMap,
      ...(shut === undefined ? {} : { protected: shut }),
      ...(material ? { material } : {}),
      ...(converter === undefined ? {} : { converter }),
      ...(fixed.key ? { key: fixed.key.slice(0, 240) } : {}),
      ...(stock === undefined ? {} : { stock }),
      ...(fixed.lot ? { lot: fixed.lot.slice(0, 240) } : {}),
      ...(fixed.supplier ? { supplier: fixed.supplier.slice(0, 240) } : {}),
      ...(cost === undefined ? {} : { cost }),
    }
  }

  private kindOf(text: string): PartKind | undefined {
    const bare = text.toLowerCase()
    const found = (Object.keys(KINDS) as PartKind[]).find(
      (k) => k.toLowerCase() === bare || KINDS[k].label.toLowerCase() === bare,
    )
    if (!text) this.fault('kind', 'required', 'is empty')
    else if (!found) {
      const near = nearestWord(text, Object.keys(KINDS))
      this.fault(
        'kind',
        'enum',
        near ? `is no kind; ${near}?` : `must be one of ${Object.keys(KINDS).join(', ')}`,
        text,
      )
    }
    return found
  }

  private yesNo(column: string, text: string | undefined): boolean | undefined {
    if (!text) return undefined
    const said = YES[text.toLowerCase()]
    if (said === undefined) this.fault(column, 'yesNo', 'must be yes or no', text)
    return said
  }

  private materialOf(text: string): Material | undefined {
    const found = MATERIALS.find((m) => m.toLowerCase() === text.toLowerCase())
    if (text && !found) this.fault('material', 'enum', `must be one of ${MATERIALS.join(', ')}`, text)
    return found
  }

  private sourceOf(text: string): Source {
    const found = SOURCES.find((s) => s === text.toLowerCase())
    if (text && !found) this.fault('source', 'enum', `must be one of ${SOURCES.join(', ')}`, text)
    return found && found !== 'unknown' ? found : 'datasheet'
  }

  private measure(c: { spec: SpecKey; tol: boolean; unit: string | undefined }, text: string, column: string) {
    const rule = SPECS[c.spec]
    if (text.length > LONGEST_NUMBER) {
      this.fault(column, 'maxLength', `is longer than ${LONGEST_NUMBER} characters`, text.slice(0, 40))
      return undefined
    }
    const typed = c.unit && /^[-−+]?[\d\s.,/]+$/.test(text) ? `${text} ${c.unit}` : text
    const read = parseMeasure(typed, quantityOf(rule.unit), rule.unit)
    if (!read.ok) {
      this.fault(column, read.code, parseFaultText(read, rule.label), text)
      return undefined
    }
    if (!c.tol && (read.value < rule.min || read.value > rule.max)) {
      this.fault(column, 'range', `must be from ${rule.min} to ${rule.max} ${rule.unit}`, text)
      return undefined
    }
    return read.value
  }

  private whole(column: string, text: string | undefined): number | undefined {
    if (!text) return undefined
    if (/^\d{1,6}$/.test(text)) return Number(text)
    this.fault(column, 'integer', 'must be a whole number from 0', text)
    return undefined
  }

  private money(text: string | undefined): number | undefined {
    if (!text) return undefined
    const read = parseNumber(text)
    if (read.ok && read.value >= 0 && read.value <= 1e6) return read.value
    if (read.ok || read.code !== 'either') this.fault('cost', 'number', 'must be a number from 0', text)
    else this.fault('cost', read.code, parseFaultText(read), text)
    return undefined
  }

  /** The id of the row, made from its name when there is none; the same id twice is a fault. */
  private idOf(text: string | undefined, name: string): string | undefined {
    const id =
      text ||
      name
        .toLowerCase()
        .normalize('NFKD')
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-+|-+$/g, '')
        .slice(0, 48)
        .replace(/-+$/, '')
    if (!/^[a-z0-9][a-z0-9-]{1,47}$/.test(id)) {
      if (name) this.fault('id', 'pattern', 'must be 2 to 48 of a–z, 0–9 and hyphens', id)
      return undefined
    }
    const first = this.ids.get(id)
    if (first !== undefined) {
      this.fault('id', 'uniqueId', `is the id of row ${first} too`, id)
      return undefined
    }
    this.ids.set(id, this.at)
    return id
  }

  result(): PartRows {
    return {
      parts: this.parts,
      problems: this.problems,
      rows: this.rows,
      rejected: this.bad.length
        ? `${Papa.unparse({ fields: [...this.headings, 'what is wrong'], data: this.bad }, { newline: '\n' })}\n`
        : '',
    }
  }
}

/** So much of a file is looked at for its separator. */
const HEAD = 40_000

/** A CSV text given out row by row. The separator is the one under which the heading reads best; a byte-order mark is skipped. */
function eachRow(text: string, take: (cells: string[]) => void): void {
  const bare = text.replace(/^\uFEFF/, '')
  const known = (delimiter: string) =>
    (Papa.parse<string[]>(bare.slice(0, HEAD), { delimiter, preview: 1 }).data[0] ?? [])
      .slice(0, MOST_COLUMNS)
      .filter((h) => !('unknown' in columnOf(h))).length
  const delimiter = [',', ';', '\t', '|'].reduce((best, d) => (known(d) > known(best) ? d : best))
  Papa.parse<string[]>(bare, { delimiter, step: ({ data }) => take(data) })
}

/** Reads a CSV text: all its rows are counted, and as many read as a shelf may hold. */
export function readPartsCsv(text: string): PartRows {
  let reader: PartsReader | undefined
  eachRow(text, (cells) => {
    if (!reader) reader = PartsReader.open(cells)
    else if (!reader.stopped) reader.row(cells)
  })
  return (reader ?? PartsReader.open([])).result()
}

/** Reads a catalogue from JSON: a list of parts. Rows are counted from 1; every fault names its row and its field. */
export function readPartsJson(text: string): PartRows {
  const out: PartRows = { parts: [], problems: [], rows: 0, rejected: '' }
  const fault = (row: number, p: Problem) =>
    out.problems.push({ ...p, row, column: p.path.split('/').filter(Boolean).join(' ') || 'row' })
  if (nestedDeeper(text, DEEPEST_JSON)) {
    fault(0, { path: '', rule: 'maxDepth', message: `The list is nested deeper than ${DEEPEST_JSON} levels.` })
    return out
  }
  let raw: unknown
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (e) {
    fault(0, { path: '', rule: 'json', message: `This is not JSON: ${(e as Error).message}` })
    return out
  }
  if (!Array.isArray(raw)) {
    fault(0, { path: '', rule: 'type', message: 'The catalogue must be a list of parts.' })
    return out
  }
  const ids = new Map<string, number>()
  const bad: unknown[] = []
  out.rows = raw.length
  raw.slice(0, MOST_PARTS).forEach((item, i) => {
    const v = validatePart(item)
    if (!v.ok) {
      for (const p of v.problems) fault(i + 1, p)
      bad.push(item)
      return
    }
    const first = ids.get(v.part.id)
    if (first !== undefined) {
      fault(i + 1, { path: '/id', rule: 'uniqueId', message: `is the id of part ${first} too`, got: v.part.id })
      bad.push(item)
      return
    }
    ids.set(v.part.id, i + 1)
    out.parts.push(v.part)
  })
  if (bad.length) out.rejected = `${JSON.stringify(bad, null, 2)}\n`
  return out
}
