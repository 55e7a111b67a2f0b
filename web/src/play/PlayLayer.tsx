import type { Scene } from '@nubrin/core/drawing'
import type { Saber } from '@nubrin/core/record'
import { type PointerEvent, useRef } from 'react'
import { bladesOn, turnOf } from './BladeLight'
import { keyOf } from './keys'
import { usePlay } from './usePlay'

/** Shorter than this a drag is a touch, px. */
const LEAST_DRAG = 18
/** A stroke along or across the blade that takes no longer is sharp, ms. */
const SHARP = 160
/** How far the hilt is turned by a drag of one step, px. */
const STEP = 26

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
  const held = usePlay((p) => p.state?.held)
  const off = usePlay((p) => p.machine?.off ?? NONE)
  const { press, release, move, turn } = usePlay.getState()
  const from = useRef<{ x: number; y: number; t: number; turned: number }>(undefined)
  const blades = bladesOn(saber, scene, off)
  const hilt = { x0: scene.x(0), x1: blades.find((b) => b.way === 'along')?.x ?? scene.width * 0.5 }
  const buttons = saber.inputs.flatMap((i, n) => {
    const spot = i.part ? scene.spots.find((s) => s.ref === `part:${i.part}`) : undefined
    return spot && i.kind === 'button'
      ? [{ i, n, x: (spot.x0 + spot.x1) / 2, y: (spot.y0 + spot.y1) / 2, r: Math.max(11, (spot.x1 - spot.x0) / 2 + 4) }]
      : []
  })
  /** Names stand at two heights, so that neighbours do not meet. */
  const tall = (n: number) => scene.axisY - 74 - (n % 2) * 20
  const down = (e: PointerEvent) => {
    from.current = { x: e.clientX, y: e.clientY, t: e.timeStamp, turned: 0 }
    e.currentTarget.setPointerCapture(e.pointerId)
  }
  const turning = (e: PointerEvent) => {
    const f = from.current
    if (!f) return
    const steps = Math.trunc((upright ? e.clientX - f.x : f.y - e.clientY) / STEP) - f.turned
    if (steps) {
      f.turned += steps
      turn(steps)
    }
  }
  const bladeUp = (e: PointerEvent) => {
    const f = from.current
    from.current = undefined
    if (!f) return
    const [across, along] = [e.clientX - f.x, e.clientY - f.y]
    const [dx, dy] = upright ? [along, across] : [across, along]
    const quick = e.timeStamp - f.t < SHARP
    if (Math.hypot(dx, dy) < LEAST_DRAG) move('strike')
    else if (Math.abs(dx) > Math.abs(dy)) move('thrust')
    else move(quick ? 'flick' : 'swing')
  }
  const hiltUp = (e: PointerEvent) => {
    const f = from.current
    from.current = undefined
    // A sharp turn is a twist; a slow one goes through choices.
    const way = f && (upright ? e.clientX - f.x : e.clientY - f.y)
    if (f && Math.abs(way ?? 0) >= LEAST_DRAG && e.timeStamp - f.t < SHARP * 2) move('twist')
  }
  return (
    <g>
      <rect
        className="cursor-ns-resize fill-transparent"
        x={hilt.x0}
        y={scene.axisY - 60}
        width={Math.max(0, hilt.x1 - hilt.x0)}
        height={120}
        onPointerDown={down}
        onPointerMove={turning}
        onPointerUp={hiltUp}
      >
        <title>turn it: drag up or down; twist it: sharply</title>
      </rect>
      {blades.map((b) => {
        const r = b.thick / 2
        return (
          <g key={b.id} transform={`translate(${b.x} ${b.y}) rotate(${(turnOf(b) * 180) / Math.PI})`}>
            <path
              d={`M 0 ${-r} H ${b.length - r} A ${r} ${r} 0 0 1 ${b.length - r} ${r} H 0 Z`}
              fill={upright ? '#1b2322' : '#f7f4ea'}
              stroke="#6b6556"
              pointerEvents="none"
            />
            {b.way === 'along' && !upright ? (
              <text x={b.length - r} y={r + 40} textAnchor="end" fontSize={12} fill="#5f594b" pointerEvents="none">
                {b.leds} LEDs along it, drawn shorter than it is
              </text>
            ) : null}
            <rect
              className="cursor-grab fill-transparent"
              x={0}
              y={-r - (b.way === 'along' ? 26 : 4)}
              width={b.length}
              height={2 * r + (b.way === 'along' ? 52 : 8)}
              onPointerDown={down}
              onPointerUp={bladeUp}
            >
              <title>touch it: a strike; drag across: a swing; along: a thrust</title>
            </rect>
          </g>
        )
      })}
      {buttons.map(({ i, n, x, y, r }) => {
        const on = held?.some((h) => h.input === i.id)
        return (
          <g key={i.id}>
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
                <path d={`M ${x} ${y - r} V ${tall(n)}`} stroke="#8a5f17" strokeWidth={1} pointerEvents="none" />
                <text
                  x={x}
                  y={tall(n) - 5}
                  textAnchor="middle"
                  fontSize={13}
                  fontWeight={600}
                  fill="#8a5f17"
                  pointerEvents="none"
                >
                  {i.name}
                </text>
                <text
                  x={x}
                  y={y + 4.5}
                  textAnchor="middle"
                  fontSize={13}
                  fontWeight={650}
                  fill={on ? '#fbf8f1' : '#8a5f17'}
                  pointerEvents="none"
                >
                  {keyOf(n)}
                </text>
              </>
            )}
          </g>
        )
      })}
    </g>
  )
}
const NONE: readonly string[] = []
