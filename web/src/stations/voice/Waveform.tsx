import type { Outline } from '@nubrin/core/voice'
import { area, scaleLinear } from 'd3'
import { type ReactNode, useMemo } from 'react'

const HIGH = 92

/** A sound as it is drawn, in seconds from left to right; pointing at it gives the moment. What lies over it is drawn by the caller. */
export function Waveform({
  outline,
  label,
  at,
  onPoint,
  over,
  until = 0,
  wide = 600,
}: {
  outline: Outline
  label: string
  /** Where it is being heard, s. */
  at?: number | undefined
  onPoint?: (seconds: number) => void
  over?: (x: (seconds: number) => number, high: number) => ReactNode
  /** Drawn at least so far, s. */
  until?: number
  /** About how wide it is shown, px. */
  wide?: number
}) {
  const span = Math.max(outline.seconds, until) || 1
  const x = useMemo(() => scaleLinear([0, span], [0, wide]), [span, wide])
  const path = useMemo(() => {
    const y = scaleLinear([-1, 1], [HIGH - 15, 1])
    const each = outline.seconds / Math.max(1, outline.low.length)
    return area<number>(
      (_, i) => x((i + 0.5) * each),
      (_, i) => y(Math.min(-0.004, outline.low[i]!)),
      (_, i) => y(Math.max(0.004, outline.high[i]!)),
    )(outline.low)
  }, [outline, x])
  return (
    <svg
      viewBox={`0 0 ${wide} ${HIGH}`}
      className={`bg-card w-full ${onPoint ? 'cursor-text' : ''}`}
      role="img"
      aria-label={label}
      onPointerDown={(e) => {
        const box = e.currentTarget.getBoundingClientRect()
        onPoint?.(Math.max(0, Math.min(outline.seconds, x.invert(((e.clientX - box.left) / box.width) * wide))))
      }}
    >
      <path d={path ?? ''} fill="#1e2a2b" />
      {x.ticks(wide / 75).map((t) => (
        <g key={t} transform={`translate(${x(t)} 0)`}>
          <path d={`M0 ${HIGH - 14}v4`} stroke="#5f594b" strokeWidth="0.7" />
          <text y={HIGH - 1} x={t === 0 ? 1 : 0} textAnchor={t === 0 ? 'start' : 'middle'} fontSize="10" fill="#5f594b">
            {x(t) > wide - 14 ? '' : `${t}${t === 0 ? ' s' : ''}`}
          </text>
        </g>
      ))}
      {over?.(x, HIGH - 14)}
      {at === undefined ? null : <path d={`M${x(at)} 0v${HIGH - 14}`} stroke="#a63a2b" strokeWidth="1.4" />}
    </svg>
  )
}
