import { drawSection } from '@nubrin/core/drawing'
import { byId, type Ref, type Saber } from '@nubrin/core/record'
import type { Rehearsal } from '@nubrin/core/script'
import { MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { asTold } from '../drawing/asTold'
import { SceneView } from '../drawing/SceneView'
import { useWidth } from '../drawing/useWidth'

const HEIGHT = 262
const AIR = 24

/** The saber as it lies in the hand now, in light lines on the dark: open or closed, lit or dark, the place that is shown glowing. */
export function NightDrawing({
  saber,
  at,
  lit,
}: {
  saber: Saber
  at: Rehearsal['states'][number] | undefined
  lit: string | undefined
}) {
  const [ref, width] = useWidth<HTMLDivElement>()
  const scene = useMemo(() => {
    const page = { width: Math.max(600, width), height: HEIGHT }
    if (!at) return drawSection(MAKER, saber, page)
    const { apart, ...blade } = asTold(saber, at)
    return drawSection(MAKER, saber, { ...page, ...blade, apart, from: apart.from - AIR, to: apart.to + AIR })
  }, [saber, width, at])
  return (
    <div ref={ref} className="mx-8">
      <SceneView
        night
        scene={scene}
        title="The saber now, and where it is shown"
        lit={onDrawing(saber, lit)}
        className="block"
      />
    </div>
  )
}

/** What can be lit on the drawing for a thing: a button is the part that it is. */
function onDrawing(s: Saber, ref: string | undefined): string | undefined {
  const input = ref?.startsWith('input:') ? byId(s.inputs, ref.slice(6)) : undefined
  return input?.part ? (`part:${input.part}` satisfies Ref) : input?.opening ? `opening:${input.opening}` : ref
}
