import type { Scene } from '@nubrin/core/drawing'
import { useEffect, useRef, useState } from 'react'
import { hiltLength } from './hiltLength'

export interface Zoom {
  /** How much larger than the whole; 1 shows all. */
  zoom: number
  /** What stands in the middle, mm. */
  centre?: number
}
export const MOST_ZOOM = 8

/** The part of the drawing in view: + and − round what is lit, [ and ] along the hilt. `sceneOf` gives the scene as it is now. */
export function useZoom(lit: string | undefined, sceneOf: () => Scene | undefined) {
  const [view, setView] = useState<Zoom>({ zoom: 1 })
  /** Larger or smaller round what is lit, else round what stands in the middle now. */
  const by = (factor: number) => {
    const scene = sceneOf()
    if (!scene) return
    const spot = lit ? scene.spots.find((q) => q.ref === lit) : undefined
    setView((v) => {
      const zoom = Math.min(MOST_ZOOM, v.zoom * factor)
      if (zoom <= 1.01) return { zoom: 1 }
      const middle = v.centre ?? hiltLength(scene) / 2
      return { zoom, centre: v.zoom === 1 && spot ? scene.mm((spot.x0 + spot.x1) / 2) : middle }
    })
  }
  const slide = (share: number) => {
    const scene = sceneOf()
    if (!scene) return
    const moved = (centre: number) =>
      Math.min(hiltLength(scene), Math.max(0, centre + (share * scene.width) / scene.scale))
    setView((v) => (v.zoom === 1 ? v : { ...v, centre: moved(v.centre ?? 0) }))
  }
  const keys = useRef({ by, slide })
  keys.current = { by, slide }
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if ((e.target as Element).closest('input:not([type=range]),textarea,[role=dialog],[role=listbox]')) return
      if (e.ctrlKey || e.metaKey || e.altKey) return
      if (e.key === '+' || e.key === '=') keys.current.by(1.5)
      if (e.key === '-') keys.current.by(1 / 1.5)
      if (e.key === '[') keys.current.slide(-0.2)
      if (e.key === ']') keys.current.slide(0.2)
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [])
  return {
    view,
    by,
    whole: () => setView({ zoom: 1 }),
    centreOn: (mm: number) => setView((v) => ({ ...v, centre: mm })),
  }
}
