import { certainty, drawUnrolled, layOut } from '@nubrin/core/hilt'
import { fact, type Saber } from '@nubrin/core/record'
import { formatNumber } from '@nubrin/core/units'
import { type MouseEvent, useMemo, useState } from 'react'
import { freshId, todayIso } from '../../api'
import { SceneView } from '../../drawing/SceneView'
import { useWidth } from '../../drawing/useWidth'
import { useBench, useEditSaber } from '../../store/commission'

const TOOLS = ['screw', 'button hole', 'window', 'vent', 'port'] as const
type Tool = (typeof TOOLS)[number]
const HEIGHT = 226

/** The outside of the hilt unrolled; a tool in hand puts a screw or an opening where it is pressed. */
export function Unrolled({ saber }: { saber: Saber }) {
  const [ref, width] = useWidth<HTMLDivElement>()
  const [tool, setTool] = useState<Tool>()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const [zoom, setZoom] = useState(1)
  const scene = useMemo(
    () => drawUnrolled(saber, { width: Math.max(300, width), height: HEIGHT, zoom, lit }),
    [saber, width, zoom, lit],
  )
  const shape = useMemo(() => layOut(saber.hilt), [saber])
  const place = (e: MouseEvent) => {
    if (!tool) return
    const box = e.currentTarget.querySelector('svg')!.getBoundingClientRect()
    const x = Number(scene.mm(e.clientX - box.left).toFixed(1))
    const exact = scene.clock(e.clientX - box.left, e.clientY - box.top)
    if (exact === undefined) return
    const clock = Math.round(exact / 5) * 5
    const at = fact(x, 'mm', 'assumed', { with: 'set on the drawing', on: todayIso() })
    const angle = fact(clock % 360, 'deg', 'assumed', { with: 'set on the drawing', on: todayIso() })
    const id = freshId()
    editSaber(`add ${tool}`, (s) => {
      if (tool === 'screw')
        s.hilt.fasteners.push({
          id,
          name: `screw ${s.hilt.fasteners.length + 1}`,
          thread: 'M4',
          key: '2 mm',
          head: 'set',
          purpose: 'other',
          at,
          clock: angle,
          clientMay: 'loosen',
        })
      else {
        const kind = ({ 'button hole': 'switch', window: 'window', vent: 'vent', port: 'port' } as const)[tool]
        const [l, w] = { switch: [12, 12], window: [24, 12], vent: [8, 24], port: [10, 10] }[kind] as [number, number]
        s.hilt.openings.push({
          id,
          name: `${tool} ${s.hilt.openings.length + 1}`,
          kind,
          at,
          clock: angle,
          length: fact(l, 'mm', 'assumed'),
          width: fact(w, 'mm', 'assumed'),
        })
      }
    })
    light(tool === 'screw' ? `fastener:${id}` : `opening:${id}`)
    setTool(undefined)
  }
  return (
    <section aria-label="Unrolled surface">
      <div
        className="flex items-center gap-2"
        title="To scale both ways; 0° is the switch line, figures from the pommel"
      >
        <h2 className="h2">Unrolled</h2>
        {shape.sections.length ? (
          <span className="text-quiet whitespace-nowrap">
            {shape.sections.every((s) => certainty(s.section.length) === 'known') ? '' : 'about '}
            {formatNumber(shape.length, 1)} mm over all
          </span>
        ) : null}
        <span className="flex gap-1">
          <button
            type="button"
            className="btn min-h-7! px-2! py-0.5!"
            aria-label="Smaller surface"
            disabled={zoom <= 1}
            onClick={() => setZoom((z) => Math.max(1, z / 1.5))}
          >
            −
          </button>
          <button
            type="button"
            className="btn min-h-7! px-2! py-0.5!"
            aria-label="Larger surface"
            disabled={zoom >= 5}
            onClick={() => setZoom((z) => Math.min(5.1, z * 1.5))}
          >
            +
          </button>
        </span>
        <span className="ml-auto flex gap-1">
          {TOOLS.map((t) => (
            <button
              key={t}
              type="button"
              aria-pressed={tool === t}
              className={`btn min-h-7! px-2! py-0.5! text-[0.87rem] ${tool === t ? 'btn-main' : ''}`}
              onClick={() => setTool(tool === t ? undefined : t)}
            >
              {t}
            </button>
          ))}
        </span>
      </div>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the same is done with the keyboard in the list beside it */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: see above */}
      <div ref={ref} onClick={place} className={`max-h-[230px] overflow-auto ${tool ? 'cursor-crosshair' : ''}`}>
        <SceneView
          scene={scene}
          title="Unrolled surface"
          onPick={tool ? () => undefined : light}
          lit={lit}
          className="block"
        />
      </div>
      {tool ? <p className="text-brass">Press where the {tool} sits; correct the figures at the side.</p> : null}
    </section>
  )
}
