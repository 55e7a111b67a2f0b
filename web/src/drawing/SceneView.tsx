import { inkOf, nightInkOf, pathData, type Scene, TEXT_INK } from '@nubrin/core/drawing'
import { memo, type ReactNode, useId } from 'react'

/** One stroke of a scene in its ink; words only by day. */
function Drawn({ prim: p, night, glow }: { prim: Scene['prims'][number]; night: boolean; glow: string }) {
  if (p.t === 'text') return night ? null : <Words prim={p} />
  const { fill, stroke, width, dash, opacity } = night ? nightInkOf(p) : inkOf(p)
  const ink = { fill, stroke, strokeWidth: width, strokeDasharray: dash, opacity }
  if (p.t === 'circle') return <circle cx={p.at[0]} cy={p.at[1]} r={p.r} {...ink} />
  const d = pathData(p.pts, p.closed)
  if (p.role === 'bladeCore') return <path d={d} fill="#fff" opacity={0.75} filter={`url(#${glow})`} />
  if (p.role !== 'bladeGlow' || !p.colour) return <path d={d} {...ink} />
  return (
    <g>
      <path d={d} fill={p.colour} opacity={0.55} filter={`url(#${glow})`} />
      <path d={d} fill={p.colour} opacity={0.85} />
    </g>
  )
}

function Words({ prim: p }: { prim: Extract<Scene['prims'][number], { t: 'text' }> }) {
  const k = TEXT_INK[p.role]
  const halo = p.role === 'mark' || p.role === 'partText' ? 0 : 3
  return (
    <text
      x={p.at[0]}
      y={p.at[1]}
      textAnchor={p.anchor}
      fill={k.fill}
      fontSize={k.size}
      fontWeight={k.weight}
      style={{ fontStretch: '82%', paintOrder: 'stroke', stroke: '#f4efe4', strokeWidth: halo }}
      pointerEvents="none"
    >
      {p.text}
    </text>
  )
}

/** Renders a scene as SVG. Blade colours glow; everything else is ink. Overlays come as children, in the scene's pixels. */
export const SceneView = memo(function SceneView({
  scene,
  title,
  onPick,
  lit,
  night = false,
  children,
  className,
}: {
  scene: Scene
  title: string
  onPick?: (ref: string) => void
  lit?: string | undefined
  /** In light lines on the dark, without words. */
  night?: boolean
  children?: ReactNode
  className?: string
}) {
  const glow = useId()
  const spots = onPick ? [...scene.spots].sort((a, b) => area(b) - area(a)) : []
  const here = lit ? scene.spots.filter((s) => s.ref === lit) : []
  return (
    <svg
      viewBox={`0 0 ${scene.width} ${scene.height}`}
      width={scene.width}
      height={scene.height}
      className={className}
      role={onPick || children ? 'group' : 'img'}
      aria-label={title}
    >
      <defs>
        <filter id={glow} x="-20%" y="-80%" width="140%" height="260%">
          <feGaussianBlur stdDeviation="7" />
        </filter>
      </defs>
      {scene.prims.map((p, i) => (
        <Drawn key={i} prim={p} night={night} glow={glow} />
      ))}
      {here.map((s) => (
        <rect
          key={`${s.ref}${s.x0}${s.y0}`}
          className={night ? 'lit-night' : 'lit'}
          x={s.x0 - 4}
          y={s.y0 - 4}
          width={s.x1 - s.x0 + 8}
          height={s.y1 - s.y0 + 8}
          rx={3}
        />
      ))}
      {spots.map((s) => (
        // biome-ignore lint/a11y/useSemanticElements: an SVG shape cannot be a button element
        <rect
          key={`${s.ref}${s.x0}${s.y0}`}
          className="spot"
          x={s.x0 - 2}
          y={s.y0 - 2}
          width={Math.max(8, s.x1 - s.x0 + 4)}
          height={Math.max(8, s.y1 - s.y0 + 4)}
          role="button"
          aria-label={s.name}
          tabIndex={-1}
          data-ref={s.ref}
          onClick={() => onPick?.(s.ref)}
        >
          <title>{s.name}</title>
        </rect>
      ))}
      {children}
    </svg>
  )
})

const area = (s: { x0: number; x1: number; y0: number; y1: number }) => (s.x1 - s.x0) * (s.y1 - s.y0)
