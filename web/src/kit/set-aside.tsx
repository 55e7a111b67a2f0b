import { useState } from 'react'

/** Leaves a gap open knowingly: signed by who is signed in, with a reason. */
export function SetAside({ by, onSet }: { by: string; onSet: (who: string, reason: string) => void }) {
  const [open, setOpen] = useState(false)
  const [reason, setReason] = useState('')
  const enough = reason.trim().length > 2
  if (!open)
    return (
      <button type="button" className="text-brass" onClick={() => setOpen(true)}>
        waive
      </button>
    )
  return (
    <span className="mt-1 flex gap-1">
      <input
        autoFocus
        className="cell"
        aria-label="Why it is waived"
        placeholder={`why? signed ${by}`}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && enough && onSet(by, reason.trim())}
      />
      <button type="button" className="btn min-h-7! px-2!" disabled={!enough} onClick={() => onSet(by, reason.trim())}>
        sign
      </button>
    </span>
  )
}
