import { wireRoom } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'
import { crossSectionAt } from '@nubrin/core/room'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'

const SIZE = 196

/** The hilt cut across at x, to scale: wall, chassis, what lies inside, and the wires that pass. */
export function CrossSection({ saber, cut }: { saber: Saber; cut: number }) {
  const slice = useMemo(() => crossSectionAt(saber, cut), [saber, cut])
  const wires = useMemo(() => wireRoom(saber, cut), [saber, cut])
  if (!slice) return <p className="text-quiet">Drag the mark above the drawing onto the hilt.</p>
  const k = (SIZE - 8) / Math.max(40, slice.outer)
  const c = SIZE / 2
  const passing = wires?.gauges.reduce((n, g) => n + g.count, 0) ?? 0
  const dots = !wires
    ? []
    : wires.goes === 'one'
      ? [{ ...wires.circle, r: wires.bundleMm / 2, bundle: true }]
      : wires.goes === 'two'
        ? wires.halves.map((h) => ({ ...h, r: Math.min(h.r, wires.bundleMm / 2), bundle: true }))
        : wires.laid.map((l) => ({ ...l, bundle: false }))
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
        <circle cx={c} cy={c} r={(slice.outer / 2) * k} fill="#efe6d4" stroke="#1e2a2b" strokeWidth="1.4" />
        <circle cx={c} cy={c} r={(slice.outer / 2) * k} fill="url(#cut-hatch)" />
        <circle cx={c} cy={c} r={(slice.bore / 2) * k} fill="#fbf8f1" stroke="#1e2a2b" strokeWidth="1.4" />
        {slice.wall > 0 ? (
          <circle
            cx={c}
            cy={c}
            r={(slice.bore / 2 - slice.wall) * k}
            fill="none"
            stroke="#6b6556"
            strokeDasharray="4 3"
          />
        ) : null}
        {slice.lying.map((l) => {
          if (l.shape === 'circle') {
            const out = Math.hypot(l.x, l.y) + l.r > slice.free + 0.005
            return (
              <g key={l.ref}>
                <circle
                  cx={c + l.x * k}
                  cy={c - l.y * k}
                  r={l.r * k}
                  fill={l.kind === 'cell' ? '#d5e0d6' : l.kind === 'chamber' ? '#e4efee' : '#dcdccf'}
                  stroke={out ? '#a63a2b' : '#1e2a2b'}
                  strokeWidth={out ? 2.4 : 1.1}
                  strokeDasharray={l.kind === 'chamber' ? '4 2' : undefined}
                />
                {l.hole ? (
                  <circle
                    cx={c + l.x * k}
                    cy={c - l.y * k}
                    r={l.hole * k}
                    fill="#fbf8f1"
                    stroke="#1e2a2b"
                    strokeWidth="1.1"
                  />
                ) : null}
                <text x={c + l.x * k} y={c - l.y * k + 4} textAnchor="middle" fontSize="12" fontWeight="620">
                  {formatNumber(MAKER, l.r * 2, 1)}
                </text>
              </g>
            )
          }
          const out =
            !l.turn && l.y < slice.free && Math.hypot(l.w / 2, Math.abs(l.y) + l.h / 2) > slice.bore / 2 + 0.005
          const inTheWall = l.y + l.h / 2 > slice.bore / 2 - 1
          return (
            <g key={l.ref} transform={`rotate(${l.turn} ${c} ${c})`}>
              <rect
                x={c + (l.x - l.w / 2) * k}
                y={c - (l.y + l.h / 2) * k}
                width={l.w * k}
                height={l.h * k}
                fill={l.kind === 'display' ? '#1e2a2b' : '#c9cfcd'}
                stroke={out && !inTheWall ? '#a63a2b' : '#1e2a2b'}
              />
              {l.w * k > 44 && l.h * k > 11 && l.kind !== 'display' ? (
                <text x={c + l.x * k} y={c - l.y * k + 4} textAnchor="middle" fontSize="11" fontWeight="600">
                  {formatNumber(MAKER, l.w, 1)} × {formatNumber(MAKER, l.h, 1)}
                </text>
              ) : null}
            </g>
          )
        })}
        {dots.map((d) => (
          <circle
            key={`${d.x},${d.y}`}
            cx={c + d.x * k}
            cy={c - d.y * k}
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
