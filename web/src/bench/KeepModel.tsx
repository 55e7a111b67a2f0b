import { useMutation } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { call, refusalText } from '../data'
import { Modal, Refused } from '../kit'
import { useBench, useOrder, useSaber } from '../store/commission'

/** Keeps the hilt on the bench as a model sheet of its own; later changes here do not reach it. */
export function KeepModel({ close }: { close: () => void }) {
  const order = useOrder()
  const saber = useSaber()
  const flush = useBench((b) => b.flush)
  const navigate = useNavigate()
  const [title, setTitle] = useState(`${saber.name}, model`)
  const keep = useMutation({
    mutationFn: async () => {
      if (!title.trim()) throw new Error('A model sheet needs a name.')
      await flush()
      return call('keepModel', { params: { id: order.id }, body: { title, saber: saber.id } })
    },
    onSuccess: (made) => {
      close()
      navigate(`/commission/${made.record.id}/hilt`)
    },
  })
  const submit = (e: FormEvent) => {
    e.preventDefault()
    keep.mutate()
  }
  return (
    <Modal title="Keep as a model sheet" close={close}>
      <p className="text-quiet mt-1">
        Hilt, parts, controls and steps are copied. A commission started from it has its own copy, on which every size
        measured here must be confirmed.
      </p>
      <form className="mt-3" onSubmit={submit}>
        <label>
          <span className="label">What is the model called?</span>
          <input
            className="cell"
            maxLength={120}
            aria-invalid={keep.isError}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
        </label>
        <Refused why={keep.error ? refusalText(keep.error) : undefined} />
        <div className="mt-3 flex gap-2">
          <button type="submit" className="btn btn-main">
            Save as model sheet
          </button>
          <button type="button" className="btn" onClick={close}>
            Not now
          </button>
        </div>
      </form>
    </Modal>
  )
}
