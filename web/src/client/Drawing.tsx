import { drawSection, drawUnrolled } from '@nubrin/core/drawing'
import { colourOf, type Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useReader } from '../base/reader'
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
  const reader = useReader()
  const scene =
    which === 'section'
      ? drawSection(reader, saber, {
          width: 760,
          height: 190,
          ...(saber.presets[0] ? { blade: colourOf(saber.presets[0]) } : {}),
        })
      : drawUnrolled(reader, saber, { width: 760, height: 200 })
  return (
    <SceneView
      scene={scene}
      title={say(reader, 'page.drawing', { saber: saber.name })}
      lit={lit}
      className="h-auto w-full"
    />
  )
}
