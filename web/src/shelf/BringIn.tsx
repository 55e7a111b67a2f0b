import type { RowProblem } from '@nubrin/core/import'
import { useState } from 'react'
import { type ApiError, useShelf } from '../data'
import { FileButton, Modal } from '../kit'
import { RefusedRows } from './RefusedRows'

/** Brings a list of parts in; faulty cells are named by row, column and rule, and the faulty rows can be had back to mend. */
export function BringIn({ close }: { close: () => void }) {
  const { bringIn } = useShelf()
  const [file, setFile] = useState<File>()
  const take = (f: File, good: boolean) => {
    setFile(f)
    bringIn.mutate({ file: f, good }, { onSuccess: close })
  }
  const refused = bringIn.error as ApiError | null
  return (
    <Modal title="Import parts" close={close} wide="max-w-2xl">
      <p className="text-quiet mt-1">
        CSV or JSON, as exported from this shelf. A CSV heading may carry its unit, “length (in)”; values may be written
        22.2, 22,2 or 7/8 in. Rows with a known ID are updated, others are added.
      </p>
      <FileButton
        label={bringIn.isPending ? 'reading…' : 'choose a file'}
        className="btn btn-main mt-3"
        accept=".csv,.json,.txt"
        disabled={bringIn.isPending}
        onFiles={([f]) => take(f!, false)}
      />
      {refused && file ? (
        <RefusedRows
          file={file.name}
          detail={refused.message}
          problems={refused.problems as RowProblem[]}
          faults={Number(refused.body.faults ?? refused.problems.length)}
          good={Number(refused.body.good ?? 0)}
          rejected={String(refused.body.rejected ?? '')}
          onTakeGood={() => take(file, true)}
        />
      ) : null}
      <div className="mt-3">
        <button type="button" className="btn" onClick={close}>
          close
        </button>
      </div>
    </Modal>
  )
}
