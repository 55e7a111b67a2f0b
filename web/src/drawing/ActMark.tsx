import type { Scene } from '@nubrin/core/drawing'
import type { ActOnDrawing } from '../store/actOnDrawing'

const BRASS = '#8a5f17'
const ARROW = {
  pommel: 'M 22 0 H -22 m 9 -6 l -9 6 l 9 6',
  emitter: 'M -22 0 H 22 m -9 -6 l 9 6 l -9 6',
  up: 'M 0 14 V -14 m -6 9 l 6 -9 l 6 9',
  down: 'M 0 -14 V 14 m -6 -9 l 6 9 l 6 -9',
  clockwise: 'M -13 6 A 14 14 0 0 1 13 6 m 1 -10 l -1 10 l -9 -4',
  anticlockwise: 'M 13 6 A 14 14 0 0 0 -13 6 m -1 -10 l 1 10 l 9 -4',
} as const

export function ActMark({ scene, act }: { scene: Scene; act: ActOnDrawing }) {
  const spot = scene.spots.find((s) => s.ref === act.ref)
  if (!spot) return null
  const x = Math.min(scene.width - 40, Math.max(40, (spot.x0 + spot.x1) / 2))
  const y = Math.max(30, spot.y0 - 26)
  return (
    <g aria-hidden pointerEvents="none">
      <line x1={x} x2={x} y1={y + 11} y2={spot.y0 - 2} stroke={BRASS} />
      <circle cx={x} cy={y} r={11} fill={BRASS} />
      <text x={x} y={y + 4.5} textAnchor="middle" fill="#fbf8f1" fontSize={13} fontWeight={600}>
        {act.n}
      </text>
      {act.way ? (
        <path d={ARROW[act.way]} transform={`translate(${x + 40} ${y})`} fill="none" stroke={BRASS} strokeWidth={2} />
      ) : null}
    </g>
  )
}
