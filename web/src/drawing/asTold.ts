import { shines } from '@nubrin/core/controls'
import { type Apart, apartIn, machineOf } from '@nubrin/core/machine'
import { colourOf, type Saber } from '@nubrin/core/record'
import type { Rehearsal } from '@nubrin/core/script'

/** A saber as it lies when a beat has been told: what is off lies apart, and its blade shines in a colour or is dark. */
export function asTold(saber: Saber, at: Rehearsal['states'][number]): { apart: Apart; blade?: string } {
  const preset = at.preset === undefined ? undefined : saber.presets[at.preset]
  const lit = at.powered && shines(saber, at.mode) && preset
  return { apart: apartIn(saber, machineOf(saber).assembly, at.machine), ...(lit ? { blade: colourOf(preset) } : {}) }
}
