import { Toaster, toast } from 'sonner'

/** Says in passing what happened; what must be answered is said where it stands. */
export const tell = (text: string) => toast(text)

export const Toasts = () => (
  <Toaster
    position="bottom-left"
    toastOptions={{
      unstyled: true,
      classNames: { toast: 'bg-ink text-paper px-4 py-2 border border-ink shadow-lg', error: 'bg-stop!' },
    }}
  />
)
