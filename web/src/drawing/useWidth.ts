import { useCallback, useLayoutEffect, useState } from 'react'

/** The width of an element in px, followed as it changes; the element may appear later than the component. */
export function useWidth<T extends HTMLElement>(): [(el: T | null) => void, number] {
  const [el, setEl] = useState<T | null>(null)
  const [width, setWidth] = useState(0)
  useLayoutEffect(() => {
    if (!el) return
    const watch = new ResizeObserver(([entry]) => setWidth(Math.round(entry!.contentRect.width)))
    watch.observe(el)
    setWidth(Math.round(el.getBoundingClientRect().width))
    return () => watch.disconnect()
  }, [el])
  return [useCallback((next: T | null) => setEl(next), []), width]
}
