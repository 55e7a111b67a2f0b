import type { Scene } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import type { Saber, Section } from '@nubrin/core/record'
import { layOut, type ProfilePoint } from '@nubrin/core/room'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { type KeyboardEvent, type PointerEvent, useState } from 'react'

type Which = 'outer' | 'bore'
const KEY = { outer: 'outerProfile', bore: 'boreProfile' } as const
const WORD = { outer: 'outside', bore: 'bore' } as const
/** Smallest diameter a point can be dragged to, mm. */
const LEAST = 1

/**
 * Points of the lit section's profiles, to be dragged on the drawing: up and down changes the diameter, sideways the
 * place between its neighbours; the ends keep their place. Arrow keys do the same by 0.1 mm. A straight section has its
 * two ends; dragging one makes a taper.
 */
export function ProfileHandles({
  scene,
  saber,
  section,
  onShape,
  onDone,
}: {
  scene: Scene
  saber: Saber
  section: Section
  onShape: (s: Section) => void
  onDone: (s: Section) => void
}) {
  const [held, setHeld] = useState<{ which: Which; i: number }>()
  const placed = layOut(saber.hilt).sections.find((s) => s.section.id === section.id)
  const length = known(section.length)
  if (!placed || length === undefined) return null
  const pointsOf = (which: Which): ProfilePoint[] | undefined => {
    const whole = known(which === 'outer' ? section.outside : section.bore)
    return (
      section[KEY[which]] ??
      (whole === undefined
        ? undefined
        : [
            { x: 0, d: whole },
            { x: length, d: whole },
          ])
    )
  }
  const moved = (which: Which, i: number, x: number, d: number): Section => {
    const points = pointsOf(which)!
    const last = points.length - 1
    const at =
      i === 0 ? 0 : i === last ? length : Math.min(points[i + 1]!.x, Math.max(points[i - 1]!.x, Number(x.toFixed(1))))
    const next = points.map((p, k) => (k === i ? { x: at, d: Math.max(LEAST, Number(d.toFixed(1))) } : p))
    return { ...section, [KEY[which]]: next }
  }
  const grab = (which: Which, i: number) => (e: PointerEvent) => {
    e.stopPropagation()
    ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
    setHeld({ which, i })
  }
  const drag = (e: PointerEvent) => {
    if (!held) return
    const svg = (e.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect()
    const [px, py] = [
      ((e.clientX - svg.left) * scene.width) / svg.width,
      ((e.clientY - svg.top) * scene.height) / svg.height,
    ]
    onShape(moved(held.which, held.i, scene.mm(px) - placed.x0, (2 * (scene.axisY - py)) / scene.scale))
  }
  const drop = () => {
    if (!held) return
    setHeld(undefined)
    onDone(section)
  }
  const nudge = (which: Which, i: number, p: ProfilePoint) => (e: KeyboardEvent) => {
    const step = { ArrowUp: [0, 0.1], ArrowDown: [0, -0.1], ArrowLeft: [-0.5, 0], ArrowRight: [0.5, 0] }[e.key]
    if (!step) return
    e.preventDefault()
    e.stopPropagation()
    onDone(moved(which, i, p.x + step[0]!, p.d + step[1]!))
  }
  return (
    <g>
      {(['outer', 'bore'] as const).flatMap((which) =>
        (pointsOf(which) ?? []).map((p, i) => (
          <circle
            key={`${which}${i}`}
            cx={scene.x(placed.x0 + p.x)}
            cy={scene.axisY - (p.d / 2) * scene.scale}
            r={held?.which === which && held.i === i ? 7 : 5.5}
            fill={which === 'outer' ? '#fbf8f1' : '#e3bd78'}
            stroke="#1e2a2b"
            strokeWidth="1.6"
            className="cursor-move"
            role="slider"
            tabIndex={0}
            aria-label={`${section.name}, ${WORD[which]} point ${i + 1}`}
            aria-valuenow={p.d}
            aria-valuetext={`${formatNumber(MAKER, p.d)} mm at ${formatNumber(MAKER, p.x)} from its rear`}
            onPointerDown={grab(which, i)}
            onPointerMove={drag}
            onPointerUp={drop}
            onKeyDown={nudge(which, i, p)}
          >
            <title>{`${WORD[which]} ${formatNumber(MAKER, p.d)} mm at ${formatNumber(MAKER, p.x)}`}</title>
          </circle>
        )),
      )}
    </g>
  )
}
