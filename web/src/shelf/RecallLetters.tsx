import type { Api, GoodOf } from '@nubrin/core/api'
import { useState } from 'react'
import { call, freshId, refusalText } from '../data'
import { Refused, TextCell } from '../kit'
import { useSession } from '../store/session'

type Letters = GoodOf<Api['recallMessages']>

/** Letters to the clients whose sabers carry what is recalled: drafted in their language, read over, and sent once. */
export function RecallLetters({ asked }: { asked: string }) {
  const role = useSession((s) => s.person?.role)
  const [open, setOpen] = useState(false)
  const [id] = useState(() => `rc-${freshId()}`)
  const [why, setWhy] = useState('')
  const [todo, setTodo] = useState('')
  const [letters, setLetters] = useState<Letters>()
  const [wrong, setWrong] = useState('')
  const write = async (send: boolean) => {
    setWrong('')
    try {
      setLetters(await call('recallMessages', { body: { id, q: asked, why, todo, send } }))
    } catch (e) {
      setWrong(refusalText(e))
    }
  }
  if (role !== 'maker' && role !== 'owner') return null
  const reached = letters?.messages.filter((l) => l.to).length ?? 0
  const sent = letters?.messages.some((l) => l.sent)
  if (!open)
    return (
      <button type="button" className="btn mt-2" onClick={() => setOpen(true)}>
        write to their clients
      </button>
    )
  return (
    <section aria-label="Letters" className="bg-card border-ink mt-2 border p-3">
      <TextCell title="what is wrong with it" label="What is wrong with it" lines={2} value={why} onCommit={setWhy} />
      <TextCell
        title="what the client should do"
        label="What the client should do"
        lines={2}
        value={todo}
        onCommit={setTodo}
      />
      <div className="mt-2 flex gap-2">
        <button type="button" className="btn" disabled={!why.trim() || !todo.trim()} onClick={() => void write(false)}>
          draft the letters
        </button>
        {reached && !sent ? (
          <button type="button" className="btn btn-main" onClick={() => void write(true)}>
            send {reached}
          </button>
        ) : null}
      </div>
      <Refused why={wrong} className="mt-1" />
      {letters?.erased ? (
        <p className="mt-1">
          {letters.erased === 1 ? 'One commission was' : `${letters.erased} commissions were`} erased: lot and part are
          kept, but the client cannot be contacted.
        </p>
      ) : null}
      {letters?.messages.map((l) => (
        <details key={l.commission} className="border-rule border-b py-1">
          <summary className="cursor-pointer">
            {l.client || l.title}:{' '}
            {l.sent ? 'in the outbox, and in the log' : l.to || `${l.contact || 'no address'}: write or call`}
          </summary>
          <p className="text-quiet py-1 whitespace-pre-line">{l.text}</p>
        </details>
      ))}
    </section>
  )
}
