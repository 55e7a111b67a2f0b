import { shines } from '@nubrin/core/controls'
import { apartIn, machineOf } from '@nubrin/core/machine'
import { colourOf, type Saber } from '@nubrin/core/record'
import type { Rehearsal } from '@nubrin/core/script'
import { useEffect } from 'react'
import { useBench } from '../../store/commission'

/** Lays the saber on the drawing as it is when a beat has been told: what is off lies apart, and it shines or is dark. */
export function useBeatOnDrawing(saber: Saber, states: Rehearsal['states'], beat: string | undefined) {
  const layApart = useBench((b) => b.layApart)
  useEffect(() => {
    const at = states.find((x) => x.beat === beat)
    if (!at) return
    const { assembly } = machineOf(saber)
    const preset = at.preset === undefined ? undefined : saber.presets[at.preset]
    const lit = at.powered && shines(saber, at.mode) && preset
    layApart({
      ...apartIn(saber, assembly, at.machine),
      ...{ act: undefined, ...(lit ? { blade: colourOf(preset) } : {}) },
    })
    return () => layApart(undefined)
  }, [saber, states, beat, layApart])
}
