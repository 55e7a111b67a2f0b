import { JOBS, keyWords, PURPOSES } from '@nubrin/core/record'
import { useState } from 'react'
import { Controller, useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { ApiError, call, type RackRow, refusalText } from '../data'
import { ComboCell, FileButton, GroupedSelect, Labelled, Modal, Refused, SelectCell } from '../kit'
import { SameAs } from './SameAs'

interface Start {
  title: string
  client: string
  job: (typeof JOBS)[number]
  purpose: (typeof PURPOSES)[number]
  model: string
}

/** Begins a commission: a bare bench, a model sheet, or a file. */
export function NewCommission({ rows, close }: { rows: readonly RackRow[]; close: () => void }) {
  const navigate = useNavigate()
  const [known, setKnown] = useState<string>()
  const { register, control, handleSubmit, formState, setError, watch } = useForm<Start>({
    defaultValues: { title: '', client: '', job: 'install', purpose: 'display', model: '' },
  })
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
  const begin = ({ model, ...v }: Start) =>
    call('begin', { body: { ...v, ...(model ? { model } : {}), ...(known ? { knownClient: known } : {}) } })
      .then(go)
      .catch((e: Error) => setError('title', { message: e.message }))
  const hilts = (title: string, sheets: boolean) => ({
    title,
    choices: rows
      .filter((r) => (r.job === 'model') === sheets)
      .map((r) => ({ value: r.id, words: `${r.title} (sizes to be confirmed)` })),
  })
  return (
    <Modal title="New commission" close={close} wide="max-w-lg">
      <form className="mt-3 grid grid-cols-2 gap-4" noValidate onSubmit={handleSubmit(begin)}>
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
        <Labelled label="Who is it for?" className="col-span-2">
          <Controller
            control={control}
            name="client"
            render={({ field }) => (
              <ComboCell
                label="Who is it for?"
                value={field.value}
                suggestions={[...new Set(rows.map((r) => r.client).filter(Boolean))]}
                onCommit={(v) => {
                  field.onChange(v)
                  setKnown(undefined)
                }}
              />
            )}
          />
          <SameAs name={watch('client')} chosen={known} onChoose={setKnown} />
        </Labelled>
        <Labelled label="What kind of job?">
          <Controller
            control={control}
            name="job"
            render={({ field }) => (
              <SelectCell
                label="What kind of job?"
                value={field.value}
                options={JOBS}
                words={(j) => (j === 'model' ? 'model sheet' : keyWords(j))}
                onCommit={field.onChange}
              />
            )}
          />
        </Labelled>
        <Labelled label="What will it be used for?">
          <Controller
            control={control}
            name="purpose"
            render={({ field }) => (
              <SelectCell
                label="What will it be used for?"
                value={field.value}
                options={PURPOSES}
                onCommit={field.onChange}
              />
            )}
          />
        </Labelled>
        <Labelled label="Begin from the hilt of" className="col-span-2">
          <Controller
            control={control}
            name="model"
            render={({ field }) => (
              <GroupedSelect
                label="Begin from the hilt of"
                value={field.value}
                groups={[
                  { title: '', choices: [{ value: '', words: 'a bare bench' }] },
                  hilts('model sheets', true),
                  hilts('earlier hilts', false),
                ].filter((g) => g.choices.length)}
                onCommit={field.onChange}
              />
            )}
          />
        </Labelled>
        <div className="col-span-2 flex items-center gap-2">
          <button type="submit" className="btn btn-main" disabled={formState.isSubmitting}>
            Put it on the rack
          </button>
          <button type="button" className="btn" onClick={close}>
            Not now
          </button>
          <FileButton
            label="or take in a file"
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
