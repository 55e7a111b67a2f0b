import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import type { RowProblem } from '@nubrin/core/import'
import { useState } from 'react'
import { type ApiError, importParts } from '../api'
import { FileButton } from '../ui/fields'

interface Refusal {
  detail: string
  problems: RowProblem[]
  faults: number
  good: number
  rejected: string
}

/** Brings a list of parts in; faulty cells are named by row, column and rule, and the faulty rows can be had back to mend. */
export function BringIn({ close, done }: { close: () => void; done: () => void }) {
  const [file, setFile] = useState<File>()
  const [busy, setBusy] = useState(false)
  const [refused, setRefused] = useState<Refusal>()
  const take = async (f: File, good: boolean) => {
    setFile(f)
    setBusy(true)
    setRefused(undefined)
    try {
      await importParts(f, good)
      done()
    } catch (e) {
      const err = e as ApiError
      setRefused({
        detail: err.message,
        problems: err.problems as RowProblem[],
        faults: Number(err.body.faults ?? err.problems.length),
        good: Number(err.body.good ?? 0),
        rejected: String(err.body.rejected ?? ''),
      })
    }
    setBusy(false)
  }
  return (
    <Dialog open onClose={close} className="relative z-50">
      <div className="bg-ink/30 fixed inset-0" aria-hidden="true" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="bg-card border-ink w-full max-w-2xl border p-6">
          <DialogTitle className="text-xl font-semibold">Bring parts in</DialogTitle>
          <p className="text-quiet mt-1">
            CSV or JSON, as this shelf gives it out. In CSV a heading may carry its unit, “length (in)”; cells may be
            written 22.2, 22,2 or 7/8 in. Rows with a known id are changed, others are added.
          </p>
          <FileButton
            label={busy ? 'reading…' : 'choose a file'}
            className="btn btn-main mt-3"
            accept=".csv,.json,.txt"
            disabled={busy}
            onFiles={([f]) => void take(f!, false)}
          />
          {refused ? (
            <div role="alert" className="border-stop mt-3 border-l-2 pl-3">
              <p className="text-stop font-semibold">{refused.detail}</p>
              <ul className="mt-1 max-h-60 overflow-y-auto">
                {refused.problems.map((p) => (
                  <li key={`${p.row}${p.column}${p.rule}`} className="border-rule border-b py-0.5">
                    {p.row ? <span className="font-semibold">row {p.row}, </span> : null}
                    {p.column ? <span className="font-semibold">{p.column}: </span> : null}
                    {p.message}
                    {p.got ? <span className="text-quiet"> ({p.got})</span> : null}
                  </li>
                ))}
              </ul>
              {refused.faults > refused.problems.length ? (
                <p className="text-quiet">and {refused.faults - refused.problems.length} more</p>
              ) : null}
              <div className="mt-2 flex flex-wrap gap-2">
                {refused.good && file ? (
                  <button type="button" className="btn" onClick={() => void take(file, true)}>
                    {refused.good === 1 ? 'take the one good row' : `take the ${refused.good} good rows`}
                  </button>
                ) : null}
                {refused.rejected ? (
                  <a
                    className="btn"
                    download={file?.name.endsWith('.json') ? 'to-mend.json' : 'to-mend.csv'}
                    href={`data:text/plain;charset=utf-8,${encodeURIComponent(refused.rejected)}`}
                  >
                    the faulty rows, to mend
                  </a>
                ) : null}
              </div>
            </div>
          ) : null}
          <div className="mt-3">
            <button type="button" className="btn" onClick={close}>
              close
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
