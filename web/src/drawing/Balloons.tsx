import type { Scene, Spot } from '@nubrin/core/drawing'
import type { Finding, Level } from '@nubrin/core/judge'

const TONE: Record<Level, string> = { stop: '#a63a2b', caution: '#fbf8f1', note: '#fbf8f1' }

/** A finding with its number, the place it points at, and where its balloon hangs, px. */
interface Balloon {
  f: Finding
  n: number
  spot: Spot
  tip: number
  x: number
}

/** Balloons at the foot of the drawing, clear of figures, of the edges and of each other. */
function hang(scene: Scene, findings: Finding[], y: number): Balloon[] {
  const items = findings
    .map((f, i) => ({ f, n: i + 1, spot: scene.spots.find((s) => s.ref === f.refs[0]) }))
    .filter((b): b is typeof b & { spot: NonNullable<typeof b.spot> } => !!b.spot)
    .slice(0, 12)
    .map((b) => ({ ...b, tip: (b.spot.x0 + b.spot.x1) / 2, x: (b.spot.x0 + b.spot.x1) / 2 }))
    .sort((a, b) => a.tip - b.tip)
  // They keep clear of figures written at the foot.
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
  return items
}

/** Numbered balloons from the findings at the side to their places, spread so that none covers another. */
export function Balloons({ scene, findings }: { scene: Scene; findings: Finding[] }) {
  const y = scene.height - 14
  return (
    <g pointerEvents="none">
      {hang(scene, findings, y).map((b) => {
        const tipY = Math.min((b.spot.y0 + b.spot.y1) / 2 + (b.spot.y1 - b.spot.y0) * 0.25, scene.height - 40)
        const line = b.f.level === 'stop' ? '#a63a2b' : '#1e2a2b'
        return (
          <g key={b.f.key}>
            <path d={`M${b.tip} ${tipY}L${b.x} ${y - 11}`} stroke={line} strokeWidth="1" />
            <circle cx={b.tip} cy={tipY} r="2" fill={line} />
            <circle cx={b.x} cy={y} r="11" fill={TONE[b.f.level]} stroke={line} strokeWidth="1.2" />
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
