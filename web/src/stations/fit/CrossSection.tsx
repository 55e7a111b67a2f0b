import { wireRoom } from '@nubrin/core/fit'
import { crossSectionAt } from '@nubrin/core/geometry'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'

const SIZE = 196
const C = SIZE / 2

type Slice = NonNullable<ReturnType<typeof crossSectionAt>>
type Lying = Slice['lying'][number]
type Wires = NonNullable<ReturnType<typeof wireRoom>>

/** The wires that pass as they would lie: one bundle, two, or each by itself. */
function bundlesOf(wires: Wires | undefined): { x: number; y: number; r: number; bundle: boolean }[] {
  if (!wires) return []
  if (wires.goes === 'one') return [{ ...wires.circle, r: wires.bundleMm / 2, bundle: true }]
  if (wires.goes === 'two')
    return wires.halves.map((h) => ({ ...h, r: Math.min(h.r, wires.bundleMm / 2), bundle: true }))
  return wires.laid.map((l) => ({ ...l, bundle: false }))
}

/** The hilt cut across at x, to scale: wall, chassis, what lies inside, and the wires that pass. */
export function CrossSection({ saber, cut }: { saber: Saber; cut: number }) {
  const slice = useMemo(() => crossSectionAt(saber, cut), [saber, cut])
  const wires = useMemo(() => wireRoom(saber, cut), [saber, cut])
  if (!slice) return <p className="text-quiet">Drag the mark above the drawing onto the hilt.</p>
  const k = (SIZE - 8) / Math.max(40, slice.outer)
  const passing = wires?.gauges.reduce((n, g) => n + g.count, 0) ?? 0
  return (
    <div>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className="mx-auto block w-[172px]"
        role="img"
        aria-label={`Cross-section at ${cut} mm: bore ${formatNumber(MAKER, slice.bore)} mm, ${slice.lying.map((l) => l.name).join(', ') || 'empty'}, ${passing} wires`}
      >
        <defs>
          <pattern id="cut-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V5" stroke="#8a8371" strokeWidth="1" />
          </pattern>
        </defs>
        <Wall slice={slice} k={k} />
        {slice.lying.map((l) =>
          l.shape === 'circle' ? (
            <Round key={l.ref} lying={l} free={slice.free} k={k} />
          ) : (
            <Block key={l.ref} lying={l} slice={slice} k={k} />
          ),
        )}
        {bundlesOf(wires).map((d) => (
          <circle
            key={`${d.x},${d.y}`}
            cx={C + d.x * k}
            cy={C - d.y * k}
            r={d.r * k}
            fill={d.bundle ? 'none' : '#a9782a'}
            stroke={d.bundle ? '#a9782a' : '#7a5413'}
            strokeWidth={d.bundle ? 1.6 : 0.6}
          />
        ))}
      </svg>
      <p className="text-quiet text-center text-[0.87rem]">
        bore {formatNumber(MAKER, slice.bore, 1)} · wall {formatNumber(MAKER, (slice.outer - slice.bore) / 2, 1)} · free
        Ø {formatNumber(MAKER, slice.free * 2, 1)}
      </p>
    </div>
  )
}

/** The wall, hatched, and the chassis where one stands here. */
const Wall = ({ slice, k }: { slice: Slice; k: number }) => (
  <>
    <circle cx={C} cy={C} r={(slice.outer / 2) * k} fill="#efe6d4" stroke="#1e2a2b" strokeWidth="1.4" />
    <circle cx={C} cy={C} r={(slice.outer / 2) * k} fill="url(#cut-hatch)" />
    <circle cx={C} cy={C} r={(slice.bore / 2) * k} fill="#fbf8f1" stroke="#1e2a2b" strokeWidth="1.4" />
    {slice.wall > 0 ? (
      <circle cx={C} cy={C} r={(slice.bore / 2 - slice.wall) * k} fill="none" stroke="#6b6556" strokeDasharray="4 3" />
    ) : null}
  </>
)

const FILL: Partial<Record<Lying['kind'], string>> = { cell: '#d5e0d6', chamber: '#e4efee' }
/** What is round here; red where it stands out of the free bore. */
function Round({ lying: l, free, k }: { lying: Extract<Lying, { shape: 'circle' }>; free: number; k: number }) {
  const out = Math.hypot(l.x, l.y) + l.r > free + 0.005
  const [cx, cy] = [C + l.x * k, C - l.y * k]
  return (
    <g>
      <circle
        cx={cx}
        cy={cy}
        r={l.r * k}
        fill={FILL[l.kind] ?? '#dcdccf'}
        stroke={out ? '#a63a2b' : '#1e2a2b'}
        strokeWidth={out ? 2.4 : 1.1}
        strokeDasharray={l.kind === 'chamber' ? '4 2' : undefined}
      />
      {l.hole ? <circle cx={cx} cy={cy} r={l.hole * k} fill="#fbf8f1" stroke="#1e2a2b" strokeWidth="1.1" /> : null}
      <text x={cx} y={cy + 4} textAnchor="middle" fontSize="12" fontWeight="620">
        {formatNumber(MAKER, l.r * 2, 1)}
      </text>
    </g>
  )
}

/** What is a block here; red where its corners stand out of the bore, unless it is let into the wall. */
function Block({ lying: l, slice, k }: { lying: Exclude<Lying, { shape: 'circle' }>; slice: Slice; k: number }) {
  const out = !l.turn && l.y < slice.free && Math.hypot(l.w / 2, Math.abs(l.y) + l.h / 2) > slice.bore / 2 + 0.005
  const inTheWall = l.y + l.h / 2 > slice.bore / 2 - 1
  return (
    <g transform={`rotate(${l.turn} ${C} ${C})`}>
      <rect
        x={C + (l.x - l.w / 2) * k}
        y={C - (l.y + l.h / 2) * k}
        width={l.w * k}
        height={l.h * k}
        fill={l.kind === 'display' ? '#1e2a2b' : '#c9cfcd'}
        stroke={out && !inTheWall ? '#a63a2b' : '#1e2a2b'}
      />
      {l.w * k > 44 && l.h * k > 11 && l.kind !== 'display' ? (
        <text x={C + l.x * k} y={C - l.y * k + 4} textAnchor="middle" fontSize="11" fontWeight="600">
          {formatNumber(MAKER, l.w, 1)} × {formatNumber(MAKER, l.h, 1)}
        </text>
      ) : null}
    </g>
  )
}
