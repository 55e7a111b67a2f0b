import { drawSection, type Scene } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import type { Finding, Station } from '@nubrin/core/judge'
import { type Kind, partsOfRef, type Saber, type Section } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { type PointerEvent, useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { lazyView } from '../base/lazy'
import { useBench, useEditHilt, useSaber } from '../store/commission'
import { Balloons } from './Balloons'
import { hiltLength } from './hiltLength'
import { SceneView } from './SceneView'
import { useDrag } from './useDrag'
import { usePull } from './usePull'
import { useWidth } from './useWidth'
import { useZoom } from './useZoom'

/** What only some stations show on it comes when it is shown. */
const ActMark = lazyView(() => import('./ActMark').then((m) => m.ActMark))
const ProfileHandles = lazyView(() => import('./ProfileHandles').then((m) => m.ProfileHandles))
const DrawingNotes = lazyView(() => import('./DrawingNotes').then((m) => m.DrawingNotes))
const BalanceMark = lazyView(() => import('./Marks').then((m) => m.BalanceMark))
const PlayLayer = lazyView(() => import('../play/PlayLayer').then((m) => m.PlayLayer))
const BladeLight = lazyView(() => import('../play/BladeLight').then((m) => m.BladeLight))
const PullMark = lazyView(() => import('./PullMark').then((m) => m.PullMark))
const ZoomButtons = lazyView(() => import('./ZoomButtons').then((m) => m.ZoomButtons))
const CutMark = lazyView(() => import('./Marks').then((m) => m.CutMark))

const HEIGHT = 262
/** Bench beyond a saber that lies apart, mm. */
const AIR = 24
const HOME: Partial<Record<Kind, Station>> = {
  section: 'hilt',
  fastener: 'hilt',
  opening: 'hilt',
  socket: 'hilt',
  part: 'fit',
  blade: 'power',
}

const withSection = (saber: Saber, section: Section | undefined): Saber =>
  section
    ? {
        ...saber,
        hilt: { ...saber.hilt, sections: saber.hilt.sections.map((x) => (x.id === section.id ? section : x)) },
      }
    : saber

/** Where the pointer is on the page that is drawn, px of the scene; the page and the scene as they are by then. */
function usePage() {
  const page = useRef<HTMLDivElement>(null)
  const drawn = useRef<Scene>(undefined)
  const at = (e: PointerEvent): [number, number] => {
    const box = page.current!.getBoundingClientRect()
    const k = drawn.current!.width / box.width
    return [(e.clientX - box.left) * k, (e.clientY - box.top) * k]
  }
  return { page, drawn, at }
}

/** A saber as it lies on the page: apart, in hand, or whole and zoomed. */
function useScene(saber: Saber, shown: Saber, width: number, zoom: ReturnType<typeof useZoom>): Scene {
  const apart = useBench((b) => b.apart)
  const playing = useBench((b) => b.playing)
  return useMemo(() => {
    const blade = known(saber.presets[0]?.colour)
    const page = { width: width || 1240, height: HEIGHT }
    if (apart)
      return drawSection(MAKER, shown, {
        ...{ ...page, apart, from: apart.from - AIR, to: apart.to + AIR },
        ...(apart.blade ? { blade: apart.blade } : {}),
      })
    if (playing) return drawSection(MAKER, shown, { ...page, bladeShare: 0.55, quiet: true })
    return drawSection(MAKER, shown, { ...page, ...zoom.view, ...(blade ? { blade } : {}) })
  }, [shown, width, saber.presets, zoom.view, apart, playing])
}

/** What a hand does on the drawing: moves the page, pushes a part in Fit, draws a thing away in Access. */
function useHand(station: Station, saber: Saber) {
  const { page, drawn, at } = usePage()
  const [pan, setPan] = useState<{ from: number; centre: number }>()
  const lit = useBench((b) => b.lit)
  const free = useBench((b) => !b.preview && !b.apart)
  const zoom = useZoom(lit, () => drawn.current)
  const drag = useDrag(saber, (e) => drawn.current!.mm(at(e)[0]))
  const pull = usePull(at, () => drawn.current)
  const hand = {
    onPointerDown(e: PointerEvent) {
      const target = (e.target as Element).getAttribute('data-ref')
      if (!target && zoom.view.zoom > 1) {
        setPan({ from: e.clientX, centre: zoom.view.centre ?? 0 })
        e.currentTarget.setPointerCapture(e.pointerId)
      } else if (station === 'fit' && free && target?.startsWith('part:')) drag.begin(target.slice(5), e)
      else if (station === 'access' && free && target) pull.begin(target, e)
    },
    onPointerMove(e: PointerEvent) {
      if (pan) zoom.centreOn(pan.centre - (e.clientX - pan.from) / drawn.current!.scale)
      drag.move(e)
      pull.move(e)
    },
    onPointerUp() {
      setPan(undefined)
      drag.end()
      pull.end()
    },
  }
  return { page, drawn, zoom, drag, pull, hand }
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
  const apart = useBench((b) => b.apart)
  const playing = useBench((b) => b.playing)
  const lit = useBench((b) => b.lit)
  const saber = preview?.saber ?? recorded
  const [ref, width] = useWidth<HTMLElement>()
  const [reshaped, setReshaped] = useState<Section>()
  const { page, drawn, zoom, drag, pull, hand } = useHand(station, saber)
  const shown = useMemo(() => withSection(drag.shown, reshaped), [drag.shown, reshaped])
  const scene = useScene(saber, shown, width, zoom)
  drawn.current = scene
  const pick = usePick(station)
  const bare = !saber.hilt.sections.length
  return (
    <section ref={ref} aria-label="Drawing" className="paper-grid border-rule relative border-b">
      <div ref={page} {...hand} style={{ height: HEIGHT }}>
        <SceneView scene={scene} title={`Section drawing of ${saber.name}`} onPick={pick} lit={lit} className="block">
          {apart || playing ? null : <Balloons scene={scene} findings={findings} />}
          {playing ? <PlayLayer saber={shown} scene={scene} /> : null}
          {pull.pulling ? <PullMark pulling={pull.pulling} /> : null}
          {apart?.act ? <ActMark scene={scene} act={apart.act} /> : null}
          {cut !== undefined && !bare ? <CutMark scene={scene} at={cut} /> : null}
          {station === 'fit' ? <BalanceMark scene={scene} saber={shown} /> : null}
          {station === 'hilt' ? <Handles scene={scene} saber={shown} onShape={setReshaped} /> : null}
        </SceneView>
      </div>
      {playing ? <BladeLight saber={shown} scene={scene} /> : null}
      {bare || apart || playing ? null : <ZoomButtons zoom={zoom.view.zoom} by={zoom.by} whole={zoom.whole} />}
      {onCut && !bare && zoom.view.zoom === 1 ? <CutSlider scene={scene} cut={cut} onCut={onCut} /> : null}
      <DrawingNotes bare={bare} considered={preview?.label} pushed={drag.by} />
    </section>
  )
}

/** Touching a thing lights it; from the brief it goes to where the thing is at home. */
function usePick(station: Station) {
  const navigate = useNavigate()
  const light = useBench((b) => b.light)
  const id = useBench((b) => b.id)
  return (ref: string) => {
    light(ref)
    const kind = partsOfRef(ref)?.kind
    const home = kind && HOME[kind]
    if (home && station === 'brief') navigate(`/commission/${id}/${home}`)
  }
}

/** The handles of the section that is lit, where it has a profile. */
function Handles({
  scene,
  saber,
  onShape,
}: {
  scene: Scene
  saber: Saber
  onShape: (section: Section | undefined) => void
}) {
  const lit = useBench((b) => b.lit)
  const editSection = useEditHilt('sections')
  const section = saber.hilt.sections.find((x) => lit === `section:${x.id}` && x.role !== 'quillon')
  if (!section) return null
  const done = (shaped: Section) => {
    onShape(undefined)
    editSection('shape a section', shaped.id, (x) => void Object.assign(x, shaped))
  }
  return <ProfileHandles scene={scene} saber={saber} section={section} onShape={onShape} onDone={done} />
}

const CutSlider = ({ scene, cut, onCut }: { scene: Scene; cut: number | undefined; onCut: (mm: number) => void }) => (
  <input
    type="range"
    aria-label="Where the cross-section is cut, mm from the pommel"
    className="absolute top-1 h-5 accent-[#8a5f17]"
    style={{ left: scene.x(0) - 8, width: scene.x(hiltLength(scene)) - scene.x(0) + 16 }}
    min={0}
    max={hiltLength(scene)}
    step={0.5}
    value={cut}
    onChange={(e) => onCut(Number(e.target.value))}
  />
)
