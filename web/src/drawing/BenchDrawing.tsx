import { drawSection, type Scene } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import { balance } from '@nubrin/core/fit'
import type { Finding, Level, Station } from '@nubrin/core/judge'
import type { Section } from '@nubrin/core/record'
import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { todayIso } from '../data'
import { useBench, useSaber } from '../store/commission'
import { ProfileHandles } from './ProfileHandles'
import { SceneView } from './SceneView'
import { useWidth } from './useWidth'

const HEIGHT = 262
const HOME: Record<string, Station> = {
  section: 'hilt',
  fastener: 'hilt',
  opening: 'hilt',
  socket: 'hilt',
  part: 'fit',
  blade: 'power',
}

/** The section drawing that stays above every station: touch a thing to go to it, drag a part along the axis in Fit. */
export function BenchDrawing({
  station,
  findings,
  cut,
  onCut,
}: {
  station: Station
  findings: Finding[]
  cut?: number | undefined
  onCut?: (mm: number) => void
}) {
  const recorded = useSaber()
  const preview = useBench((b) => b.preview)
  const saber = preview?.saber ?? recorded
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const editSaber = useBench((b) => b.editSaber)
  const id = useBench((b) => b.id)
  const navigate = useNavigate()
  const [ref, width] = useWidth<HTMLElement>()
  const [drag, setDrag] = useState<{ id: string; from: number; by: number; at: number }>()
  const [reshaped, setReshaped] = useState<Section>()
  const [view, setView] = useState<{ zoom: number; centre?: number }>({ zoom: 1 })
  const [pan, setPan] = useState<{ from: number; centre: number }>()
  const svg = useRef<HTMLDivElement>(null)

  const shown = useMemo(() => {
    if (reshaped)
      return {
        ...saber,
        hilt: {
          ...saber.hilt,
          sections: saber.hilt.sections.map((x) => (x.id === reshaped.id ? reshaped : x)),
        },
      }
    if (!drag) return saber
    return {
      ...saber,
      parts: saber.parts.map((p) =>
        p.id === drag.id && p.at && known(p.at) !== undefined
          ? { ...p, at: { ...p.at, value: known(p.at)! + drag.by } }
          : p,
      ),
    }
  }, [saber, drag, reshaped])
  const scene = useMemo(
    () =>
      drawSection(shown, {
        width: width || 1240,
        height: HEIGHT,
        ...view,
        ...(saber.presets[0] ? { blade: saber.presets[0].colour } : {}),
      }),
    [shown, width, saber.presets, view],
  )

  const centre = useMemo(() => (station === 'fit' ? balance(shown).centre : undefined), [shown, station])

  /** Larger or smaller round what is lit, else round what stands in the middle now. */
  const zoomBy = (factor: number) => {
    const spot = lit ? scene.spots.find((q) => q.ref === lit) : undefined
    setView((v) => {
      const zoom = Math.min(8, v.zoom * factor)
      if (zoom <= 1.01) return { zoom: 1 }
      const middle = v.centre ?? hiltLength(scene) / 2
      return { zoom, centre: v.zoom === 1 && spot ? scene.mm((spot.x0 + spot.x1) / 2) : middle }
    })
  }
  const slide = (share: number) =>
    setView((v) =>
      v.zoom === 1
        ? v
        : {
            ...v,
            centre: Math.min(hiltLength(scene), Math.max(0, (v.centre ?? 0) + (share * scene.width) / scene.scale)),
          },
    )
  const keys = useRef({ zoomBy, slide })
  keys.current = { zoomBy, slide }
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if ((e.target as Element).closest('input:not([type=range]),textarea,select,[role=dialog]')) return
      if (e.ctrlKey || e.metaKey || e.altKey) return
      if (e.key === '+' || e.key === '=') keys.current.zoomBy(1.5)
      if (e.key === '-') keys.current.zoomBy(1 / 1.5)
      if (e.key === '[') keys.current.slide(-0.2)
      if (e.key === ']') keys.current.slide(0.2)
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [])

  const pick = (r: string) => {
    light(r)
    const home = HOME[r.split(':')[0]!]
    if (home && station === 'brief') navigate(`/commission/${id}/${home}`)
  }
  const mmAt = (e: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect()
    return scene.mm(((e.clientX - box.left) * scene.width) / box.width)
  }
  const down = (e: PointerEvent) => {
    const target = (e.target as Element).getAttribute('data-ref')
    if (!target && view.zoom > 1) {
      setPan({ from: e.clientX, centre: view.centre ?? 0 })
      ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
      return
    }
    if (station !== 'fit' || preview) return
    if (target?.startsWith('part:')) {
      const partId = target.slice(5)
      const at = known(saber.parts.find((p) => p.id === partId)?.at)
      if (at === undefined) return
      setDrag({ id: partId, from: mmAt(e), by: 0, at })
      ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
    }
  }
  const move = (e: PointerEvent) => {
    if (pan) setView((v) => ({ ...v, centre: pan.centre - (e.clientX - pan.from) / scene.scale }))
    // In half millimetres, and not out of the pommel.
    if (drag) setDrag({ ...drag, by: Math.max(-drag.at, Math.round((mmAt(e) - drag.from) * 2) / 2) })
  }
  const up = () => {
    setPan(undefined)
    // The captured pointer takes the click from the part under it, so a press without a move selects here.
    if (drag && !drag.by) light(`part:${drag.id}`)
    if (drag?.by) {
      const { id: partId, by } = drag
      editSaber('move a part', (s) => {
        const p = s.parts.find((x) => x.id === partId)
        if (p?.at && p.at.value !== null)
          p.at = {
            value: Number((p.at.value + by).toFixed(2)),
            unit: 'mm',
            source: 'assumed',
            with: 'set on the drawing',
            on: todayIso(),
          }
      })
    }
    setDrag(undefined)
  }

  const litId = lit?.startsWith('section:') ? lit.slice(8) : undefined
  const handled = shown.hilt.sections.find((x) => x.id === litId && x.role !== 'quillon')
  return (
    <section ref={ref} aria-label="Drawing" className="paper-grid border-rule relative border-b">
      <div ref={svg} onPointerDown={down} onPointerMove={move} onPointerUp={up} style={{ height: HEIGHT }}>
        <SceneView scene={scene} title={`Section drawing of ${saber.name}`} onPick={pick} lit={lit} className="block">
          <Balloons scene={scene} findings={findings} />
          {cut !== undefined && saber.hilt.sections.length ? (
            <g pointerEvents="none">
              <path
                d={`M${scene.x(cut)} 22V${HEIGHT - 30}`}
                stroke="#8a5f17"
                strokeWidth="1.4"
                strokeDasharray="10 3 2 3"
              />
              <path d={`M${scene.x(cut) - 6} 22h12l-6 8z`} fill="#8a5f17" />
            </g>
          ) : null}
          {station === 'fit' && centre?.ok ? (
            <g pointerEvents="none">
              <path
                d={`M${scene.x(centre.value)} ${scene.axisY - 9}l6 9l-6 9l-6 -9z`}
                fill="#fbf8f1"
                stroke="#1e2a2b"
                strokeWidth="1.3"
              />
              <path d={`M${scene.x(centre.value)} ${scene.axisY}m-6 0h12m-6 -9v18`} stroke="#1e2a2b" />
            </g>
          ) : null}
          {station === 'hilt' && handled ? (
            <ProfileHandles
              scene={scene}
              saber={shown}
              section={handled}
              onShape={setReshaped}
              onDone={(section) => {
                setReshaped(undefined)
                editSaber('shape a section', (s) => {
                  const i = s.hilt.sections.findIndex((x) => x.id === section.id)
                  if (i >= 0) s.hilt.sections[i] = section
                })
              }}
            />
          ) : null}
        </SceneView>
      </div>
      {saber.hilt.sections.length ? (
        <div className="absolute right-3 bottom-2 flex gap-1">
          {(
            [
              ['−', 'Smaller drawing (−)', () => zoomBy(1 / 1.5), view.zoom <= 1],
              ['+', 'Larger drawing (+)', () => zoomBy(1.5), view.zoom >= 8],
              ['whole', 'The whole drawing', () => setView({ zoom: 1 }), view.zoom <= 1],
            ] as const
          ).map(([text, label, run, off]) => (
            <button
              key={text}
              type="button"
              className="bg-card border-ink min-h-6 min-w-6 border px-1.5 text-[0.87rem] disabled:opacity-40"
              aria-label={label}
              title={label}
              disabled={off}
              onClick={run}
            >
              {text}
            </button>
          ))}
        </div>
      ) : null}
      {onCut && saber.hilt.sections.length && view.zoom === 1 ? (
        <input
          type="range"
          aria-label="Where the cross-section is cut, mm from the pommel"
          className="absolute top-1 h-5 accent-[#8a5f17]"
          style={{
            left: scene.x(0) - 8,
            width: scene.x(hiltLength(scene)) - scene.x(0) + 16,
          }}
          min={0}
          max={hiltLength(scene)}
          step={0.5}
          value={cut}
          onChange={(e) => onCut(Number(e.target.value))}
        />
      ) : null}
      {saber.hilt.sections.length ? null : (
        <p className="text-quiet absolute inset-x-0 top-24 text-center">
          The drawing grows from the sections you enter under Hilt.
        </p>
      )}
      {preview ? (
        <p role="status" className="bg-brass absolute top-2 right-3 px-3 py-0.5 text-white">
          {preview.label}
        </p>
      ) : null}
      {drag ? (
        <p className="bg-ink text-paper absolute top-2 left-1/2 px-3 py-1">
          {drag.by > 0 ? '+' : ''}
          {drag.by} mm
        </p>
      ) : null}
    </section>
  )
}

const hiltLength = (scene: Scene) =>
  scene.mm(Math.max(...scene.spots.filter((s) => s.ref.startsWith('section:')).map((s) => s.x1), 0))

const TONE: Record<Level, string> = { stop: '#a63a2b', caution: '#fbf8f1', note: '#fbf8f1' }

/** Numbered balloons from the findings at the side to their places, spread so that none covers another. */
function Balloons({ scene, findings }: { scene: Scene; findings: Finding[] }) {
  const items = findings
    .map((f, i) => ({ f, n: i + 1, spot: scene.spots.find((s) => s.ref === f.refs[0]) }))
    .filter((b): b is typeof b & { spot: NonNullable<typeof b.spot> } => !!b.spot)
    .slice(0, 12)
    .map((b) => ({ ...b, tip: (b.spot.x0 + b.spot.x1) / 2, x: (b.spot.x0 + b.spot.x1) / 2 }))
    .sort((a, b) => a.tip - b.tip)
  // They keep clear of figures written at the foot.
  const y = scene.height - 14
  const figures = scene.prims.flatMap((p) =>
    p.t === 'text' && p.anchor === 'middle' && Math.abs(p.at[1] - y) < 16
      ? [{ x: p.at[0], half: p.text.length * 3 + 14 }]
      : [],
  )
  for (const b of items) {
    const f = figures.find((q) => Math.abs(q.x - b.x) < q.half)
    if (f) b.x = f.x + (b.x < f.x ? -f.half : f.half)
  }
  for (let pass = 0; pass < 6; pass++)
    for (let i = 1; i < items.length; i++) {
      const gap = 26 - (items[i]!.x - items[i - 1]!.x)
      if (gap > 0) {
        items[i]!.x += gap / 2
        items[i - 1]!.x -= gap / 2
      }
    }
  // None hangs over an edge: those that do are pushed back in, and push their neighbours.
  for (let i = 0; i < items.length; i++) items[i]!.x = Math.max(items[i]!.x, 14 + 26 * i)
  for (let i = items.length - 1, n = 0; i >= 0; i--, n++) items[i]!.x = Math.min(items[i]!.x, scene.width - 14 - 26 * n)
  return (
    <g pointerEvents="none">
      {items.map((b) => {
        const tipY = Math.min((b.spot.y0 + b.spot.y1) / 2 + (b.spot.y1 - b.spot.y0) * 0.25, scene.height - 40)
        return (
          <g key={b.f.key}>
            <path
              d={`M${b.tip} ${tipY}L${b.x} ${y - 11}`}
              stroke={b.f.level === 'stop' ? '#a63a2b' : '#1e2a2b'}
              strokeWidth="1"
            />
            <circle cx={b.tip} cy={tipY} r="2" fill={b.f.level === 'stop' ? '#a63a2b' : '#1e2a2b'} />
            <circle
              cx={b.x}
              cy={y}
              r="11"
              fill={TONE[b.f.level]}
              stroke={b.f.level === 'stop' ? '#a63a2b' : '#1e2a2b'}
              strokeWidth="1.2"
            />
            <text
              x={b.x}
              y={y + 4.5}
              textAnchor="middle"
              fontSize="12.5"
              fontWeight="650"
              fill={b.f.level === 'stop' ? '#fff' : '#1e2a2b'}
            >
              {b.n}
            </text>
          </g>
        )
      })}
    </g>
  )
}
