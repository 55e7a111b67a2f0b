import { Toaster as Frame, toast } from 'sonner'

export const show = (text: string) => toast(text)

export const Toaster = () => (
  <Frame
    position="bottom-left"
    toastOptions={{
      unstyled: true,
      classNames: { toast: 'bg-ink text-paper px-4 py-2 border border-ink shadow-lg', error: 'bg-stop!' },
    }}
  />
)
