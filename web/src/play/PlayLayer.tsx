import type { Motion } from '@nubrin/core/controls'
import type { Scene } from '@nubrin/core/drawing'
import type { Saber } from '@nubrin/core/record'
import { type PointerEvent, useRef } from 'react'
import { bladesOn, type DrawnBlade, turnOf } from './BladeLight'
import { keyOf } from './keys'
import { usePlay } from './usePlay'

/** Shorter than this a drag is a touch, px. */
const LEAST_DRAG = 18
/** A stroke along or across the blade that takes no longer is sharp, ms. */
const SHARP = 160
/** How far the hilt is turned by a drag of one step, px. */
const STEP = 26

/** Drags on the drawing as what hands do: a touch or a stroke at the blade, turning and twisting the hilt. */
function useDrags(upright: boolean) {
  const { move, turn } = usePlay.getState()
  const from = useRef<{ x: number; y: number; t: number; turned: number }>(undefined)
  const end = () => {
    const f = from.current
    from.current = undefined
    return f
  }
  return {
    down(e: PointerEvent) {
      from.current = { x: e.clientX, y: e.clientY, t: e.timeStamp, turned: 0 }
      e.currentTarget.setPointerCapture(e.pointerId)
    },
    turning(e: PointerEvent) {
      const f = from.current
      if (!f) return
      const steps = Math.trunc((upright ? e.clientX - f.x : f.y - e.clientY) / STEP) - f.turned
      if (!steps) return
      f.turned += steps
      turn(steps)
    },
    bladeUp(e: PointerEvent) {
      const f = end()
      if (f) move(strokeOf(e.clientX - f.x, e.clientY - f.y, e.timeStamp - f.t, upright))
    },
    hiltUp(e: PointerEvent) {
      const f = end()
      // A sharp turn is a twist; a slow one goes through choices.
      const way = f && (upright ? e.clientX - f.x : e.clientY - f.y)
      if (f && Math.abs(way ?? 0) >= LEAST_DRAG && e.timeStamp - f.t < SHARP * 2) move('twist')
    },
  }
}
type Drags = ReturnType<typeof useDrags>

/** What a stroke over the blade is, by how far it went along the screen, px, and how long it took, ms. */
export function strokeOf(x: number, y: number, ms: number, upright: boolean): Motion {
  const [along, across] = upright ? [y, x] : [x, y]
  if (Math.hypot(x, y) < LEAST_DRAG) return 'strike'
  if (Math.abs(along) > Math.abs(across)) return 'thrust'
  return ms < SHARP ? 'flick' : 'swing'
}

/** What a hand can touch on a drawn saber: its buttons where they are, the blade to swing and strike, the hilt to turn. */
export function PlayLayer({
  saber,
  scene,
  upright = false,
}: {
  saber: Saber
  scene: Scene
  /** It stands on its pommel, in the dark, without words on it. */
  upright?: boolean
}) {
  const off = usePlay((p) => p.machine?.off ?? NONE)
  const drags = useDrags(upright)
  const blades = bladesOn(saber, scene, off)
  const hilt = { x0: scene.x(0), x1: blades.find((b) => b.way === 'along')?.x ?? scene.width * 0.5 }
  return (
    <g>
      <rect
        className="cursor-ns-resize fill-transparent"
        x={hilt.x0}
        y={scene.axisY - 60}
        width={Math.max(0, hilt.x1 - hilt.x0)}
        height={120}
        onPointerDown={drags.down}
        onPointerMove={drags.turning}
        onPointerUp={drags.hiltUp}
      >
        <title>turn it: drag up or down; twist it: sharply</title>
      </rect>
      {blades.map((b) => (
        <Blade key={b.id} blade={b} upright={upright} drags={drags} />
      ))}
      {saber.inputs.map((input, n) => {
        const spot = input.part ? scene.spots.find((s) => s.ref === `part:${input.part}`) : undefined
        return spot && input.kind === 'button' ? (
          <Button key={input.id} input={input} n={n} spot={spot} axisY={scene.axisY} upright={upright} />
        ) : null
      })}
    </g>
  )
}

/** A blade to be touched, and how many LEDs it has where there are words. */
function Blade({ blade: b, upright, drags }: { blade: DrawnBlade; upright: boolean; drags: Drags }) {
  const r = b.thick / 2
  const along = b.way === 'along'
  return (
    <g transform={`translate(${b.x} ${b.y}) rotate(${(turnOf(b) * 180) / Math.PI})`}>
      <path
        d={`M 0 ${-r} H ${b.length - r} A ${r} ${r} 0 0 1 ${b.length - r} ${r} H 0 Z`}
        fill={upright ? '#1b2322' : '#f7f4ea'}
        stroke="#6b6556"
        pointerEvents="none"
      />
      {along && !upright ? (
        <text x={b.length - r} y={r + 40} textAnchor="end" fontSize={12} fill="#5f594b" pointerEvents="none">
          {b.leds} LEDs, not drawn to length
        </text>
      ) : null}
      <rect
        className="cursor-grab fill-transparent"
        x={0}
        y={-r - (along ? 26 : 4)}
        width={b.length}
        height={2 * r + (along ? 52 : 8)}
        onPointerDown={drags.down}
        onPointerUp={drags.bladeUp}
      >
        <title>touch it: a strike; drag across: a swing; along: a thrust</title>
      </rect>
    </g>
  )
}

/** A button where it lies; with its name and key where there are words. */
function Button({
  input: i,
  n,
  spot,
  axisY,
  upright,
}: {
  input: Saber['inputs'][number]
  n: number
  spot: Scene['spots'][number]
  axisY: number
  upright: boolean
}) {
  const held = usePlay((p) => p.state?.held)
  const { press, release } = usePlay.getState()
  const on = held?.some((h) => h.input === i.id)
  const [x, y, r] = [(spot.x0 + spot.x1) / 2, (spot.y0 + spot.y1) / 2, Math.max(11, (spot.x1 - spot.x0) / 2 + 4)]
  // Names stand at two heights, so that neighbours do not meet.
  const tall = axisY - 74 - (n % 2) * 20
  const words = { x, textAnchor: 'middle', fontSize: 13, pointerEvents: 'none' } as const
  return (
    <g>
      {/* biome-ignore lint/a11y/useSemanticElements: an SVG shape cannot be a button element */}
      <circle
        role="button"
        aria-label={`press ${i.name} on the drawing`}
        tabIndex={-1}
        cx={x}
        cy={y}
        r={r}
        className="cursor-pointer"
        fill={on ? '#a9782a' : '#fbf8f1'}
        fillOpacity={on ? 0.95 : 0.75}
        stroke="#8a5f17"
        strokeWidth={2}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId)
          press(i.id)
        }}
        onPointerUp={() => release(i.id)}
        onPointerCancel={() => release(i.id)}
      >
        <title>{i.name}</title>
      </circle>
      {upright ? null : (
        <>
          <path d={`M ${x} ${y - r} V ${tall}`} stroke="#8a5f17" strokeWidth={1} pointerEvents="none" />
          <text {...words} y={tall - 5} fontWeight={600} fill="#8a5f17">
            {i.name}
          </text>
          <text {...words} y={y + 4.5} fontWeight={650} fill={on ? '#fbf8f1' : '#8a5f17'}>
            {keyOf(n)}
          </text>
        </>
      )}
    </g>
  )
}
const NONE: readonly string[] = []
