import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import type { ReactNode } from 'react'

/** A sheet laid over the bench; Escape and a press beside it put it away. */
export function Modal({
  title,
  close,
  wide = 'max-w-md',
  children,
}: {
  title: string
  close: () => void
  wide?: string
  children: ReactNode
}) {
  return (
    <Dialog open onClose={close} className="relative z-50">
      <div className="bg-ink/30 fixed inset-0" aria-hidden="true" />
      <div className="fixed inset-0 grid place-items-center overflow-y-auto p-4">
        <DialogPanel className={`bg-card border-ink w-full border p-6 ${wide}`}>
          <DialogTitle className="text-xl font-semibold">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  )
}
