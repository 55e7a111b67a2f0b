import type { Pulling } from './usePull'

/** The way a thing is being drawn, as an arrow from where it was taken. */
export function PullMark({ pulling: { from, to } }: { pulling: Pulling }) {
  const a = Math.atan2(to[1] - from[1], to[0] - from[0])
  const wing = (by: number) => `${to[0] - 11 * Math.cos(a + by)} ${to[1] - 11 * Math.sin(a + by)}`
  return (
    <path
      aria-hidden
      pointerEvents="none"
      d={`M ${from.join(' ')} L ${to.join(' ')} M ${wing(0.5)} L ${to.join(' ')} L ${wing(-0.5)}`}
      fill="none"
      stroke="#8a5f17"
      strokeWidth={2.5}
    />
  )
}
