import { type ComponentType, type ReactNode, useEffect, useState } from 'react'
import { type Once, once } from './once'

/** A component whose code comes when it is first shown, or before, when it is asked for by `fetch`. */
export type Later<P> = ComponentType<P> & { fetch: () => Promise<void> }

/** So long after it could not be fetched a part is asked for again, ms; at once when there is a connection again. */
const AGAIN = 3000
const Lost = () => (
  <p role="status" className="text-quiet">
    This part has not loaded yet. Trying again.
  </p>
)

/** What comes when it is first asked for, and whether it could not be fetched; it is asked for until it comes. */
export function useCode<T>(code: Once<T>): { now: T | undefined; lost: boolean } {
  const [lost, setLost] = useState(false)
  const [, come] = useState(false)
  useEffect(() => {
    if (code.now() !== undefined) return
    let here = true
    let timer: ReturnType<typeof setTimeout> | undefined
    const ask = () => {
      clearTimeout(timer)
      code.fetch().then(
        () => here && come(true),
        () => {
          if (!here) return
          setLost(true)
          timer = setTimeout(ask, AGAIN)
        },
      )
    }
    ask()
    window.addEventListener('online', ask)
    return () => {
      here = false
      clearTimeout(timer)
      window.removeEventListener('online', ask)
    }
  }, [code])
  return { now: code.now(), lost }
}

/**
 * Makes a component of code that is fetched once. React's own suspense holds every first reveal back by 0.3 s, which a sheet
 * opened by a key must not. What cannot be fetched leaves all around it as it is: it says so in its own place, and is asked for
 * until it comes.
 */
export function lazyView<P extends object>(
  load: () => Promise<ComponentType<P>>,
  { waiting = null, lost = <Lost /> }: { waiting?: ReactNode; lost?: ReactNode } = {},
): Later<P> {
  const code = once(load)
  function Shown(props: P) {
    const { now: C, lost: gone } = useCode(code)
    return C ? <C {...props} /> : gone ? lost : waiting
  }
  return Object.assign(Shown, { fetch: async () => void (await code.fetch()) })
}

/** Fetches what will be wanted soon, once the page has nothing better to do. */
export function fetchWhenIdle(...what: { fetch: () => Promise<void> }[]): () => void {
  const idle = window.requestIdleCallback ?? ((run: () => void) => window.setTimeout(run, 1500))
  const cancel = window.cancelIdleCallback ?? window.clearTimeout
  const id = idle(() => {
    for (const w of what) void w.fetch().catch(() => {})
  })
  return () => cancel(id)
}
