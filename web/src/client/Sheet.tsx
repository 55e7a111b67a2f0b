import { type ReactNode, useEffect, useRef } from 'react'

/** The whole page for one thing; Escape leaves it, and the keyboard stays in it. The browser's own, so that the file stays small. */
export function Sheet({ label, onLeave, children }: { label: string; onLeave: () => void; children: ReactNode }) {
  const sheet = useRef<HTMLDialogElement>(null)
  useEffect(() => {
    const d = sheet.current
    d?.showModal()
    return () => d?.close()
  }, [])
  return (
    <dialog
      ref={sheet}
      aria-label={label}
      className="bg-paper text-ink m-0 h-full max-h-none w-full max-w-none overflow-y-auto px-5 py-4"
      onCancel={(e) => {
        e.preventDefault()
        onLeave()
      }}
    >
      <div className="flex min-h-full flex-col">{children}</div>
    </dialog>
  )
}
