import { drawUnrolled } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { type MouseEvent, useMemo, useState } from 'react'
import { freshId } from '../../data'
import { SceneView } from '../../drawing/SceneView'
import { useWidth } from '../../drawing/useWidth'
import { useBench, useEditSaber } from '../../store/commission'
import { putOn, type Tool } from './putOn'
import { UnrolledHead } from './UnrolledHead'

const HEIGHT = 226

/** Half way along the sections whose length is known, mm from the pommel. */
const middle = (s: Saber) => s.hilt.sections.reduce((sum, x) => sum + (known(x.length) ?? 0), 0) / 2

/** The outside of the hilt unrolled; a tool in hand puts a screw or an opening where it is pressed. */
export function Unrolled({ saber }: { saber: Saber }) {
  const [ref, width] = useWidth<HTMLDivElement>()
  const [tool, setTool] = useState<Tool>()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [zoom, setZoom] = useState(1)
  const scene = useMemo(
    () => drawUnrolled(MAKER, saber, { width: Math.max(300, width), height: HEIGHT, zoom, lit }),
    [saber, width, zoom, lit],
  )
  const place = (e: MouseEvent) => {
    if (!tool) return
    const box = e.currentTarget.querySelector('svg')!.getBoundingClientRect()
    const x = Number(scene.mm(e.clientX - box.left).toFixed(1))
    const exact = scene.clock(e.clientX - box.left, e.clientY - box.top)
    if (exact === undefined) return
    put(tool, x, (Math.round(exact / 5) * 5) % 360)
  }
  const put = (tool: Tool, x: number, clock: number) => {
    const id = freshId()
    editSaber(`add ${tool}`, (s) => putOn(s, tool, id, x, clock))
    light(tool === 'screw' ? `fastener:${id}` : `opening:${id}`)
    setTool(undefined)
  }
  return (
    <section aria-label="Unrolled surface">
      <UnrolledHead saber={saber} zoom={zoom} onZoom={setZoom} tool={tool} onTool={setTool} />
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the same is done by the button below it */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: see above */}
      <div ref={ref} onClick={place} className={`max-h-[230px] overflow-auto ${tool ? 'cursor-crosshair' : ''}`}>
        <SceneView
          scene={scene}
          title="Unrolled surface"
          onPick={(ref) => (tool ? undefined : light(ref))}
          lit={lit}
          className="block"
        />
      </div>
      {tool ? (
        <p className="text-brass">
          Press where the {tool} sits, or{' '}
          <button
            type="button"
            className="font-semibold underline decoration-dotted"
            onClick={() => put(tool, Math.round(middle(saber)), 0)}
          >
            put it in the middle
          </button>
          ; correct the figures at the side.
        </p>
      ) : null}
    </section>
  )
}
