import type { Saber } from '@nubrin/core/record'
import type { Rehearsal } from '@nubrin/core/script'
import { useEffect } from 'react'
import { asTold } from '../../drawing/asTold'
import { useBench } from '../../store/commission'

/** Lays the saber on the drawing as it is when a beat has been told. */
export function useBeatOnDrawing(saber: Saber, states: Rehearsal['states'], beat: string | undefined) {
  const layApart = useBench((b) => b.layApart)
  useEffect(() => {
    const at = states.find((x) => x.beat === beat)
    if (!at) return
    const { apart, ...blade } = asTold(saber, at)
    layApart({ ...apart, act: undefined, ...blade })
    return () => layApart(undefined)
  }, [saber, states, beat, layApart])
}
