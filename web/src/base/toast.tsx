import { lazy, Suspense, useSyncExternalStore } from 'react'

// The messages' own code comes with the first message.
const Toaster = lazy(() => import('./toaster').then((m) => ({ default: m.Toaster })))
let wanted = false
const waiting = new Set<() => void>()

/** Says in passing what happened; what must be answered is said where it stands. */
export const tell = (text: string) => {
  wanted = true
  for (const w of waiting) w()
  void import('./toaster').then((m) => m.show(text))
}

export function Toasts() {
  const needed = useSyncExternalStore(
    (told) => {
      waiting.add(told)
      return () => waiting.delete(told)
    },
    () => wanted,
  )
  return needed ? (
    <Suspense>
      <Toaster />
    </Suspense>
  ) : null
}
