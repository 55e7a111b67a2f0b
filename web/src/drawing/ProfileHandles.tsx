import type { Scene } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import { layOut, type ProfilePoint } from '@nubrin/core/geometry'
import type { Saber, Section } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { type KeyboardEvent, type PointerEvent, useState } from 'react'

type Which = 'outer' | 'bore'
const KEY = { outer: 'outerProfile', bore: 'boreProfile' } as const
const WORD = { outer: 'outside', bore: 'bore' } as const
/** Smallest diameter a point can be dragged to, mm. */
const LEAST = 1

/** The points of a profile; of a straight one its two ends. Undefined while nobody has measured it. */
function pointsOf(section: Section, which: Which): ProfilePoint[] | undefined {
  const length = known(section.length)
  const whole = known(which === 'outer' ? section.outside : section.bore)
  const straight = length === undefined || whole === undefined ? undefined : [0, length].map((x) => ({ x, d: whole }))
  return section[KEY[which]] ?? straight
}

/** A section with one point of a profile moved: the ends keep their place, the others stay between their neighbours; by 0.1 mm. */
export function withMoved(section: Section, which: Which, i: number, x: number, d: number): Section {
  const points = pointsOf(section, which)!
  const [before, here, after] = [points[i - 1], points[i]!, points[i + 1]]
  const at = before && after ? Math.min(after.x, Math.max(before.x, Number(x.toFixed(1)))) : here.x
  return { ...section, [KEY[which]]: points.with(i, { x: at, d: Math.max(LEAST, Number(d.toFixed(1))) }) }
}

/** What an arrow key does to a point, mm along and across. */
const NUDGE: Readonly<Record<string, readonly [number, number]>> = {
  ...{ ArrowUp: [0, 0.1], ArrowDown: [0, -0.1], ArrowLeft: [-0.5, 0], ArrowRight: [0.5, 0] },
}

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
  if (!placed || known(section.length) === undefined) return null
  const drag = (e: PointerEvent) => {
    if (!held) return
    const svg = (e.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect()
    const [px, py] = [
      ((e.clientX - svg.left) * scene.width) / svg.width,
      ((e.clientY - svg.top) * scene.height) / svg.height,
    ]
    const [x, d] = [scene.mm(px) - placed.x0, (2 * (scene.axisY - py)) / scene.scale]
    onShape(withMoved(section, held.which, held.i, x, d))
  }
  const drop = () => {
    if (!held) return
    setHeld(undefined)
    onDone(section)
  }
  const handlers = (which: Which, i: number, p: ProfilePoint) => ({
    onPointerDown(e: PointerEvent) {
      e.stopPropagation()
      ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
      setHeld({ which, i })
    },
    onPointerMove: drag,
    onPointerUp: drop,
    onKeyDown(e: KeyboardEvent) {
      const step = NUDGE[e.key]
      if (!step) return
      e.preventDefault()
      e.stopPropagation()
      onDone(withMoved(section, which, i, p.x + step[0], p.d + step[1]))
    },
  })
  return (
    <g>
      {(['outer', 'bore'] as const).flatMap((which) =>
        (pointsOf(section, which) ?? []).map((p, i) => (
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
            {...handlers(which, i, p)}
          >
            <title>{`${WORD[which]} ${formatNumber(MAKER, p.d)} mm at ${formatNumber(MAKER, p.x)}`}</title>
          </circle>
        )),
      )}
    </g>
  )
}
