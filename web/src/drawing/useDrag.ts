import { correct, known } from '@nubrin/core/facts'
import type { Saber } from '@nubrin/core/record'
import { type PointerEvent, useMemo, useState } from 'react'
import { todayIso } from '../data'
import { useBench, useEditThing } from '../store/commission'

/** A part pushed along the axis: the saber as it is meanwhile, and its place written down when it is let go. */
export function useDrag(saber: Saber, mmAt: (e: PointerEvent) => number) {
  const light = useBench((b) => b.light)
  const edit = useEditThing('parts')
  const [drag, setDrag] = useState<{ id: string; from: number; by: number; at: number }>()
  const shown = useMemo(() => {
    if (!drag) return saber
    const parts = saber.parts.map((p) =>
      p.id === drag.id && p.at ? { ...p, at: { ...p.at, value: drag.at + drag.by } } : p,
    )
    return { ...saber, parts }
  }, [saber, drag])
  return {
    shown,
    /** How far it was pushed, mm; undefined while nothing is. */
    by: drag?.by,
    begin(id: string, e: PointerEvent) {
      const at = known(saber.parts.find((p) => p.id === id)?.at)
      if (at === undefined) return
      setDrag({ id, from: mmAt(e), by: 0, at })
      e.currentTarget.setPointerCapture(e.pointerId)
    },
    /** In half millimetres, and not out of the pommel. */
    move(e: PointerEvent) {
      if (drag) setDrag({ ...drag, by: Math.max(-drag.at, Math.round((mmAt(e) - drag.from) * 2) / 2) })
    },
    end() {
      if (!drag) return
      // The captured pointer takes the click from the part under it, so a press without a move selects here.
      if (!drag.by) light(`part:${drag.id}`)
      else
        edit('move a part', drag.id, (p) => {
          const value = Number((drag.at + drag.by).toFixed(2))
          if (p.at) p.at = correct(p.at, { value, source: 'assumed', with: 'set on the drawing', on: todayIso() })
        })
      setDrag(undefined)
    },
  }
}
