import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import type { Commission } from '@nubrin/core/record'
import { type FormEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { api } from '../api'
import { useBench, useOrder, useSaber } from '../store/commission'
import { Refused } from '../ui/fields'

/** Keeps the hilt on the bench as a model sheet of its own; later changes here do not reach it. */
export function KeepModel({ close }: { close: () => void }) {
  const order = useOrder()
  const saber = useSaber()
  const flush = useBench((b) => b.flush)
  const navigate = useNavigate()
  const [title, setTitle] = useState(`${saber.name}, model`)
  const [wrong, setWrong] = useState('')
  const keep = async (e: FormEvent) => {
    e.preventDefault()
    if (!title.trim()) {
      setWrong('A model sheet needs a name.')
      return
    }
    try {
      await flush()
      const made = await api<{ record: Commission }>('POST', `/commissions/${order.id}/model`, {
        title,
        saber: saber.id,
      })
      close()
      navigate(`/commission/${made.record.id}/hilt`)
    } catch (err) {
      setWrong((err as Error).message)
    }
  }
  return (
    <Dialog open onClose={close} className="relative z-50">
      <div className="bg-ink/30 fixed inset-0" aria-hidden="true" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="bg-card border-ink w-full max-w-md border p-6">
          <DialogTitle className="text-xl font-semibold">Keep as a model sheet</DialogTitle>
          <p className="text-quiet mt-1">
            Hilt, parts, controls and steps are copied. A commission begun from it keeps a copy of its own, and has to
            confirm every size that was measured here.
          </p>
          <form className="mt-3" onSubmit={keep}>
            <label>
              <span className="label">What is the model called?</span>
              <input
                className="cell"
                maxLength={120}
                aria-invalid={!!wrong}
                value={title}
                onChange={(e) => setTitle(e.target.value)}
              />
            </label>
            <Refused why={wrong} />
            <div className="mt-3 flex gap-2">
              <button type="submit" className="btn btn-main">
                Keep it
              </button>
              <button type="button" className="btn" onClick={close}>
                Not now
              </button>
            </div>
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
