import { type FrozenProcedure, takenApart } from '@nubrin/core/handoff'
import type { Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import { useMemo } from 'react'
import { useReader } from '../base/reader'
import { SceneView } from '../drawing/SceneView'

/** The saber as far apart as its client takes it, numbered as the hands go. */
export function ApartDrawing({ saber, procedure }: { saber: Saber; procedure: FrozenProcedure }) {
  const reader = useReader()
  const scene = useMemo(
    () => takenApart(reader, saber, procedure, { width: 760, height: 270 }),
    [reader, saber, procedure],
  )
  const title = say(reader, 'pdf.drawing', { saber: saber.name, which: 'apart' })
  return (
    <>
      <p className="text-quiet mt-2">{say(reader, 'apart.about')}</p>
      <SceneView scene={scene} title={title} lit={undefined} className="mt-2 h-auto w-full" />
    </>
  )
}
