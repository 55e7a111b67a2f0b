import type { RowProblem } from '@nubrin/core/import'

/** What a list was refused for, cell by cell, with the ways on: take the good rows, or mend the faulty ones. */
export function RefusedRows({
  file,
  detail,
  problems,
  faults,
  good,
  rejected,
  onTakeGood,
}: {
  file: string
  detail: string
  problems: RowProblem[]
  /** How many there are in all; the list may be cut short. */
  faults: number
  good: number
  /** The faulty rows as a file; empty when there is nothing to mend. */
  rejected: string
  onTakeGood: () => void
}) {
  return (
    <div role="alert" className="border-stop mt-3 border-l-2 pl-3">
      <p className="text-stop font-semibold">{detail}</p>
      <ul className="mt-1 max-h-60 overflow-y-auto">
        {problems.map((p) => (
          <li key={`${p.row}${p.column}${p.rule}`} className="border-rule border-b py-0.5">
            {p.row ? <span className="font-semibold">row {p.row}, </span> : null}
            {p.column ? <span className="font-semibold">{p.column}: </span> : null}
            {p.message}
            {p.got ? <span className="text-quiet"> ({p.got})</span> : null}
          </li>
        ))}
      </ul>
      {faults > problems.length ? <p className="text-quiet">and {faults - problems.length} more</p> : null}
      <div className="mt-2 flex flex-wrap gap-2">
        {good ? (
          <button type="button" className="btn" onClick={onTakeGood}>
            {good === 1 ? 'import the one valid row' : `import the ${good} valid rows`}
          </button>
        ) : null}
        {rejected ? (
          <a
            className="btn"
            download={file.endsWith('.json') ? 'to-mend.json' : 'to-mend.csv'}
            href={`data:text/plain;charset=utf-8,${encodeURIComponent(rejected)}`}
          >
            download the rejected rows
          </a>
        ) : null}
      </div>
    </div>
  )
}
