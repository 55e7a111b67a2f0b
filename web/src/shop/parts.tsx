import { type ReactNode, useState } from 'react'
import { refusalText } from '../data'
import { Modal, Refused, tell } from '../kit'

/** A block of the page with its heading. */
export function Block({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <section aria-label={title}>
      <div className="border-ink mb-2 flex items-end justify-between border-b pb-1">
        <h2 className="h2">{title}</h2>
        {action}
      </div>
      {children}
    </section>
  )
}

/** Does something on the server and says how it went. */
export function useDeed() {
  const [why, setWhy] = useState('')
  const run = async (deed: () => Promise<unknown>, done?: string): Promise<boolean> => {
    setWhy('')
    try {
      await deed()
      if (done) tell(done)
      return true
    } catch (e) {
      setWhy(refusalText(e))
      return false
    }
  }
  return { run, why }
}

/** Asks before something that cannot simply be taken back. */
export function Sure({
  title,
  words,
  yes,
  close,
}: {
  title: string
  words: string
  yes: () => void
  close: () => void
}) {
  return (
    <Modal title={title} close={close}>
      <p className="mt-2 mb-4">{words}</p>
      <div className="flex gap-3">
        <button type="button" className="btn btn-main" onClick={yes}>
          Yes
        </button>
        <button type="button" className="btn" onClick={close}>
          No
        </button>
      </div>
    </Modal>
  )
}

/** A link that is told once: to be copied now. */
export function TellLink({ title, link, close }: { title: string; link: string; close: () => void }) {
  const whole = new URL(link, window.location.origin).href
  return (
    <Modal title={title} close={close} wide="max-w-xl">
      <p className="text-quiet mt-1 mb-2">It works once, for seven days, and is not shown again.</p>
      <input className="cell" readOnly aria-label="The link" value={whole} onFocus={(e) => e.target.select()} />
      <button
        type="button"
        className="btn btn-main mt-3"
        onClick={() => void navigator.clipboard.writeText(whole).then(() => tell('Copied.'))}
      >
        Copy it
      </button>
    </Modal>
  )
}

export const Why = ({ why }: { why: string }) => <Refused why={why} className="mt-1" />
