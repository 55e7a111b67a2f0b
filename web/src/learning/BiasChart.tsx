import { extent, scaleLinear, scaleUtc, utcFormat } from 'd3'
import { useNavigate } from 'react-router'
import type { Learning } from '../data'

type Bias = Learning['biases'][number]
const [W, H, PAD] = [560, 74, 40]
const INKS = ['#2f5d78', '#8a3f2f', '#35613d', '#5d4a7d', '#8a5f17']
const month = utcFormat('%b %Y')
const at = (on: string) => new Date(`${on}T00:00:00Z`)

/** Each saber as a point: when it was measured, and by how much it lay above or below what was predicted; lots by their ink. */
export function BiasChart({ bias: b }: { bias: Bias }) {
  const navigate = useNavigate()
  const [from, to] = extent(b.points, (p) => at(p.on)) as [Date, Date]
  const x = scaleUtc([from, to], [PAD + 8, W - 12])
  const most = Math.max(0.02, ...b.points.map((p) => Math.abs(p.share)))
  const y = scaleLinear([-most, most], [H - 18, 8])
  const lots = [...new Set(b.points.map((p) => p.lot ?? ''))]
  const ink = (lot: string | undefined) => (lot ? INKS[lots.indexOf(lot) % INKS.length]! : '#1e2a2b')
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="img"
      aria-label={`${b.what}: measured against predicted, ${b.n} sabers`}
    >
      <title>{`${b.what}: measured against predicted`}</title>
      <rect
        x={PAD}
        y={y(b.bias + b.spread)}
        width={W - PAD}
        height={Math.max(1, y(b.bias - b.spread) - y(b.bias + b.spread))}
        fill="#a9782a"
        opacity={0.14}
      />
      <path d={`M${PAD} ${y(0)}H${W}`} stroke="#b3a88f" />
      <path d={`M${PAD} ${y(b.bias)}H${W}`} stroke="#8a5f17" strokeWidth={1.5} />
      {[most, 0, -most].map((v) => (
        <text key={v} x={PAD - 4} y={y(v) + 4} textAnchor="end" fontSize={11} fill="#5f594b">
          {`${v > 0 ? '+' : v < 0 ? '−' : ''}${Math.round(Math.abs(v) * 100)}%`}
        </text>
      ))}
      <text x={PAD} y={H - 2} fontSize={11} fill="#5f594b">
        {month(from)}
      </text>
      <text x={W - 2} y={H - 2} textAnchor="end" fontSize={11} fill="#5f594b">
        {month(to)}
      </text>
      {b.points.map((p) => (
        // biome-ignore lint/a11y/useSemanticElements: a link inside of a drawing
        <circle
          key={`${p.commission}${p.saber}${p.on}${p.share}`}
          role="link"
          tabIndex={0}
          aria-label={`${p.saber}, ${Math.round(p.share * 100)} %`}
          className="cursor-pointer"
          cx={x(at(p.on))}
          cy={y(p.share)}
          r={4.5}
          fill={ink(p.lot)}
          onClick={() => void navigate(`/commission/${p.commission}/proof`)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') void navigate(`/commission/${p.commission}/proof`)
          }}
        >
          <title>{`${p.saber} of ${p.title}${p.lot ? `, lot ${p.lot}` : ''}: ${Math.round(p.share * 100)} %`}</title>
        </circle>
      ))}
    </svg>
  )
}
