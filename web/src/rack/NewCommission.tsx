import { JOBS, keyWords, PURPOSES } from '@nubrin/core/record'
import { type ReactElement, useState } from 'react'
import { type Control, Controller, useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { ApiError, call, type RackRow, refusalText } from '../data'
import { ComboCell, FileButton, GroupedSelect, Modal, Refused, SelectCell } from '../kit'
import { SameAs } from './SameAs'

interface Start {
  title: string
  client: string
  job: (typeof JOBS)[number]
  purpose: (typeof PURPOSES)[number]
  model: string
}

/** A field of the form by a cell of the kit, under its question. */
function Asked<K extends keyof Start>({
  control,
  name,
  label,
  span,
  children,
}: {
  control: Control<Start>
  name: K
  label: string
  span?: string
  children: (cell: {
    title: string
    span: string | undefined
    label: string
    value: Start[K]
    onCommit: (v: Start[K]) => void
  }) => ReactElement
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) =>
        children({ title: label, span, label, value: field.value as Start[K], onCommit: field.onChange })
      }
    />
  )
}

/** Begins what was asked for, or takes a file in; what is refused says why. */
function useBegin() {
  const navigate = useNavigate()
  const [refused, setRefused] = useState('')
  const go = (saved: { record: { id: string } }) => navigate(`/commission/${saved.record.id}/brief`)
  const take = async (file: File, copy: boolean): Promise<void> => {
    try {
      go(await call('takeIn', { file, ...(copy ? { query: { as: 'copy' as const } } : {}) }))
    } catch (e) {
      if (e instanceof ApiError && e.status === 409 && !copy) return take(file, true)
      setRefused(refusalText(e))
    }
  }
  const begin = ({ model, ...v }: Start, known: string | undefined) =>
    call('begin', { body: { ...v, ...(model ? { model } : {}), ...(known ? { knownClient: known } : {}) } }).then(go)
  return { begin, take, refused }
}

/** The hilts that one can begin from, in groups. */
function hiltsOf(rows: readonly RackRow[]) {
  const hilts = (title: string, sheets: boolean) => ({
    title,
    choices: rows
      .filter((r) => (r.job === 'model') === sheets)
      .map((r) => ({ value: r.id, words: `${r.title} (sizes to be confirmed)` })),
  })
  const bare = { title: '', choices: [{ value: '', words: 'an empty hilt' }] }
  return [bare, hilts('model sheets', true), hilts('earlier hilts', false)].filter((g) => g.choices.length)
}

/** Begins a commission: a bare bench, a model sheet, or a file. */
export function NewCommission({ rows, close }: { rows: readonly RackRow[]; close: () => void }) {
  const [known, setKnown] = useState<string>()
  const { register, control, handleSubmit, formState, setError, watch } = useForm<Start>({
    defaultValues: { title: '', client: '', job: 'install', purpose: 'display', model: '' },
  })
  const { begin, take, refused } = useBegin()
  const submit = (v: Start) => begin(v, known).catch((e: Error) => setError('title', { message: e.message }))
  return (
    <Modal title="New commission" close={close} wide="max-w-lg">
      <form className="mt-3 grid grid-cols-2 gap-4" noValidate onSubmit={handleSubmit(submit)}>
        <label className="col-span-2">
          <span className="label">What is it called?</span>
          <input
            className="cell"
            {...register('title', {
              required: 'A commission needs a name.',
              maxLength: { value: 120, message: 'At most 120 characters.' },
            })}
          />
          <Refused why={formState.errors.title?.message} />
        </label>
        <div className="col-span-2">
          <Asked control={control} name="client" label="Who is it for?">
            {({ onCommit, ...cell }) => (
              <ComboCell
                {...cell}
                suggestions={[...new Set(rows.map((r) => r.client).filter(Boolean))]}
                onCommit={(v) => {
                  onCommit(v)
                  setKnown(undefined)
                }}
              />
            )}
          </Asked>
          <SameAs name={watch('client')} chosen={known} onChoose={setKnown} />
        </div>
        <Asked control={control} name="job" label="What kind of job?">
          {(cell) => (
            <SelectCell {...cell} options={JOBS} words={(j) => (j === 'model' ? 'model sheet' : keyWords(j))} />
          )}
        </Asked>
        <Asked control={control} name="purpose" label="What will it be used for?">
          {(cell) => <SelectCell {...cell} options={PURPOSES} />}
        </Asked>
        <Asked control={control} name="model" label="Start from the hilt of" span="col-span-2">
          {(cell) => <GroupedSelect {...cell} groups={hiltsOf(rows)} />}
        </Asked>
        <div className="col-span-2 flex items-center gap-2">
          <button type="submit" className="btn btn-main" disabled={formState.isSubmitting}>
            Put it on the rack
          </button>
          <button type="button" className="btn" onClick={close}>
            Not now
          </button>
          <FileButton
            label="or import a file"
            className="btn-plain btn ml-auto"
            accept=".json,.zip"
            onFiles={([f]) => void take(f!, false)}
          />
        </div>
        <Refused why={refused} className="col-span-2" />
      </form>
    </Modal>
  )
}
