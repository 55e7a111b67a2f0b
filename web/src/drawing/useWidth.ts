import { useLayoutEffect, useRef, useState } from 'react'

/** The width of an element in px, followed as it changes. */
export function useWidth<T extends HTMLElement>(): [React.RefObject<T | null>, number] {
  const ref = useRef<T>(null)
  const [width, setWidth] = useState(0)
  useLayoutEffect(() => {
    const el = ref.current
    if (!el) return
    const watch = new ResizeObserver(([entry]) => setWidth(Math.round(entry!.contentRect.width)))
    watch.observe(el)
    setWidth(Math.round(el.getBoundingClientRect().width))
    return () => watch.disconnect()
  }, [])
  return [ref, width]
}
