import { type ComponentType, type ReactNode, useEffect, useState } from 'react'
import { once } from './once'

/** A component whose code comes when it is first shown, or before, when it is asked for by `fetch`. */
export type Later<P> = ComponentType<P> & { fetch: () => Promise<void> }

/**
 * Makes a component of code that is fetched once. React's own suspense holds every first reveal back by 0.3 s, which a sheet
 * opened by a key must not; what cannot be fetched is thrown to the boundary around it, and asked for again next time.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, waiting: ReactNode = null): Later<P> {
  const code = once(load)
  function Shown(props: P) {
    const [, draw] = useState(false)
    const [failed, setFailed] = useState<unknown>()
    useEffect(() => {
      let here = true
      if (!code.now())
        code.fetch().then(
          () => here && draw(true),
          (e) => here && setFailed(e ?? new Error('its code did not come')),
        )
      return () => {
        here = false
      }
    }, [])
    if (failed) throw failed
    const C = code.now()
    return C ? <C {...props} /> : waiting
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
