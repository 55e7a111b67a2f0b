import Papa from 'papaparse'
import { JOBS, type Saber } from '../record'
import { makeAjv } from '../record/check/validate'
import { nearestWord } from '../units'
import type { RowProblem } from './parts'

/** Work of the time before this program: one row a commission. */
export interface EarlierRow {
  client: string
  country?: string
  contact?: string
  title: string
  /** Names of its sabers; the title when none is said. */
  sabers: string[]
  job: Saber['job']
  ordered?: string
  shipped: string
  note?: string
}
export interface EarlierRows {
  rows: EarlierRow[]
  problems: RowProblem[]
}

const COLUMNS = ['client', 'country', 'contact', 'title', 'sabers', 'job', 'ordered', 'shipped', 'note'] as const
type Column = (typeof COLUMNS)[number]
const NEEDED = new Set<Column>(['client', 'title', 'shipped'])
const LONGEST: Partial<Record<Column, number>> = { title: 120 }
const LINE = 240
export const MOST_EARLIER = 2000
const MOST_SABERS = 12
const isDay = makeAjv().compile({ type: 'string', format: 'date' })

/**
 * Reads earlier commissions from CSV with the headings client, title, shipped and, where known, country, contact, sabers
 * (several with `;`), job, ordered, note. Every fault names its row, as a spreadsheet counts them, and its column.
 */
export function readEarlierCsv(text: string): EarlierRows {
  const cells = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    preview: MOST_EARLIER + 2,
    skipEmptyLines: 'greedy',
  }).data
  const headings = (cells[0] ?? []).slice(0, 50).map((h) => h.trim().toLowerCase().slice(0, 60))
  const problems: RowProblem[] = []
  const fault = (row: number, column: string, rule: string, message: string, got?: string) =>
    problems.push({ row, column, path: `/${row}/${column}`, rule, message, ...(got ? { got: got.slice(0, 60) } : {}) })
  for (const h of headings)
    if (h && !(COLUMNS as readonly string[]).includes(h)) {
      const near = nearestWord(h, COLUMNS)
      fault(
        1,
        h,
        'heading',
        near ? `is no heading here; ${near}?` : `is no heading here; one of ${COLUMNS.join(', ')}`,
        h,
      )
    }
  for (const need of NEEDED) if (!headings.includes(need)) fault(1, need, 'required', 'is missing')
  if (cells.length > MOST_EARLIER + 1) fault(MOST_EARLIER + 2, '', 'maxItems', `are more than ${MOST_EARLIER} rows`)
  if (problems.length) return { rows: [], problems }
  const rows = cells.slice(1).flatMap((line, i): EarlierRow[] => {
    const row = i + 2
    const before = problems.length
    const of = (c: Column) => (line[headings.indexOf(c)] ?? '').trim()
    for (const c of COLUMNS) {
      const v = of(c)
      if (!v && NEEDED.has(c)) fault(row, c, 'required', 'is empty')
      const most = LONGEST[c] ?? LINE
      if (v.length > most) fault(row, c, 'maxLength', `is longer than ${most} characters`, v)
    }
    for (const c of ['ordered', 'shipped'] as const)
      if (of(c) && !isDay(of(c))) fault(row, c, 'format', 'must be a day such as 2025-03-31', of(c))
    const job = (of('job') || 'install').toLowerCase()
    const known = JOBS.find((j) => j === job && j !== 'model')
    if (!known) fault(row, 'job', 'enum', `must be one of ${JOBS.filter((j) => j !== 'model').join(', ')}`, job)
    const sabers = of('sabers')
      .split(';')
      .map((s) => s.trim())
      .filter(Boolean)
    if (sabers.length > MOST_SABERS) fault(row, 'sabers', 'maxItems', `are more than ${MOST_SABERS}`)
    if (problems.length > before || !known) return []
    const optional = (['country', 'contact', 'ordered', 'note'] as const).flatMap((c) => (of(c) ? [[c, of(c)]] : []))
    return [
      {
        client: of('client'),
        title: of('title'),
        shipped: of('shipped'),
        sabers: sabers.length ? sabers : [of('title')],
        job: known,
        ...(Object.fromEntries(optional) as Partial<EarlierRow>),
      },
    ]
  })
  return { rows, problems }
}
