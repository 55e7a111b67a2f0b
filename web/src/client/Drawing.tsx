import { drawSection, drawUnrolled } from '@nubrin/core/drawing'
import { colourOf, type Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { SceneView } from '../drawing/SceneView'

/** A saber drawn as the client sees it. */
export function Drawing({
  saber,
  which,
  lit,
}: {
  saber: Saber
  which: 'section' | 'unrolled'
  lit: string | undefined
}) {
  const scene =
    which === 'section'
      ? drawSection(saber, {
          width: 760,
          height: 190,
          ...(saber.presets[0] ? { blade: colourOf(saber.presets[0]) } : {}),
        })
      : drawUnrolled(saber, { width: 760, height: 200 })
  return (
    <SceneView scene={scene} title={say('page.drawing', { saber: saber.name })} lit={lit} className="h-auto w-full" />
  )
}
