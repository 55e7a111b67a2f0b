import Papa from 'papaparse'
import type { ToOrder } from './stock'

/** What is to be ordered of a supplier, or of all, as CSV: part, how many, at what price each, for whom. */
export function orderListCsv(toOrder: readonly ToOrder[], supplier?: string): string {
  const mine = toOrder.filter((t) => supplier === undefined || (t.row.supplier ?? '') === supplier)
  const fields = ['supplier', 'part', 'id', 'quantity', 'cost', 'for']
  const data = mine.map((t) => [
    ...[
      t.row.supplier ?? '',
      t.row.name,
      t.row.id,
      String(t.toOrder),
      t.row.cost === undefined ? '' : String(t.row.cost),
    ],
    [...new Set(t.for.map((c) => c.title))].join('; '),
  ])
  return `${Papa.unparse({ fields, data }, { newline: '\n', escapeFormulae: true }).trimEnd()}\n`
}
