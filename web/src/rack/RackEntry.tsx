import { STATIONS, type Station } from '@nubrin/core/judge'
import { keyWords } from '@nubrin/core/record'
import type { Said } from '@nubrin/core/schedule'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { STATION_NAME } from '../base/names'
import type { RackRow } from '../data'
import { SceneView } from '../drawing/SceneView'
import { dayOfWeeks, Mark, STATE_WORD } from '../kit'
import { daysTo } from './days'
import { hiltScene } from './hiltScene'

const BLADE_PX = 570

interface Hanging {
  row: RackRow
  /** How it will go, once that is worked out. */
  outlook: Said | undefined
  /** Where it hangs in the list, px from its top. */
  at: number
  index: number
  measure: (li: HTMLLIElement | null) => void
}

/** A commission on its peg: the hilt, its blade as far out as the work has come, and what blocks it. */
export function RackEntry({ row, outlook, at, index, measure }: Hanging) {
  const scene = useMemo(() => hiltScene(row.hilt, 250, 60), [row])
  const end = Math.max(...scene.spots.filter((s) => s.ref.startsWith('section')).map((s) => s.x1), 40)
  const next = STATIONS.find((s) => row.states[s] !== 'clear') ?? 'handoff'
  const jobs = [...new Set(row.sabers.map((s) => keyWords(s.job)))].join(', ')
  return (
    <li
      ref={measure}
      data-index={index}
      className="border-rule absolute inset-x-0 top-0 border-b"
      style={{ transform: `translateY(${at}px)` }}
    >
      <Link
        to={`/commission/${row.id}/${row.shipped ? 'handoff' : next}`}
        className="hover:bg-card grid grid-cols-[230px_1fr_190px] items-center gap-3 px-5 py-3"
      >
        <div className="min-w-0">
          <div className="truncate text-[1.13rem] font-semibold">{row.title}</div>
          <div className="text-quiet truncate">{row.client || 'no client yet'}</div>
          <div className="text-quiet text-[0.9rem]">
            {row.sabers.length > 1 ? `${row.sabers.length} sabers: ${jobs}` : keyWords(row.job)}
          </div>
        </div>
        <div className="min-w-0">
          <div className="relative h-[64px] overflow-hidden">
            <div className="absolute top-0 left-0">
              <SceneView scene={scene} title={`${row.title}, section`} />
            </div>
            <Progress row={row} end={end} next={next} />
          </div>
          <Standing row={row} />
        </div>
        <Due row={row} outlook={outlook} />
      </Link>
    </li>
  )
}

function Progress({ row, end, next }: { row: RackRow; end: number; next: Station }) {
  const out = row.progress * BLADE_PX
  return (
    <svg
      className="absolute top-0 left-0"
      width={end + BLADE_PX + 20}
      height="64"
      role="img"
      aria-label={`${Math.round(row.progress * 100)} % done`}
    >
      <rect x={end + 1} y="21" width={BLADE_PX} height="19" rx="9" fill="none" stroke="#b3a88f" strokeDasharray="3 3" />
      {out > 4 ? (
        <>
          <rect
            x={end + 1}
            y="22"
            width={out}
            height="17"
            rx="8"
            fill={row.colour ?? '#c9bfa8'}
            opacity={row.colour ? 0.9 : 0.5}
          />
          <rect x={end + 1} y="27" width={Math.max(0, out - 6)} height="7" rx="3" fill="#fff" opacity="0.65" />
        </>
      ) : null}
      {STATIONS.map((s, i) => (
        <g key={s}>
          <path d={`M${end + ((i + 1) * BLADE_PX) / 10} 43v5`} stroke="#1e2a2b" strokeWidth={s === next ? 2 : 1} />
          {s === next && !row.shipped ? (
            <text x={end + (i * BLADE_PX) / 10 + 6} y="58" fontSize="12" fill="#4d493d" style={{ fontStretch: '84%' }}>
              {STATION_NAME[s]}, {STATE_WORD[row.states[s]]}
            </text>
          ) : null}
        </g>
      ))}
    </svg>
  )
}

function Standing({ row }: { row: RackRow }) {
  const b = row.shipped ? null : row.blocking
  return (
    <div className="mt-0.5 flex items-center gap-2">
      <Mark level={b ? b.level : 'fine'} />
      {b ? (
        <>
          <span className="truncate">
            {b.saber ? `${b.saber}: ` : ''}
            {b.title}
          </span>
          {row.gate > 1 ? <span className="text-quiet shrink-0">and {row.gate - 1} more</span> : null}
        </>
      ) : (
        <span>{row.shipped ? 'Handed over' : 'No open issues'}</span>
      )}
    </div>
  )
}

function Due({ row, outlook }: { row: RackRow; outlook: Said | undefined }) {
  if (row.shipped) return <div className="text-right font-semibold">shipped {dayOfWeeks(row.shipped)}</div>
  const why = outlook && [row.deadline && outlook.chance, outlook.held].filter(Boolean).join(', ')
  const going = outlook ? (
    <div className={`font-normal ${outlook.risky ? 'text-stop' : ''}`}>
      {outlook.likely ?? 'no date can be given'}
      <div className={`truncate text-[0.9rem] ${outlook.risky ? '' : 'text-quiet'}`} title={why}>
        {why}
      </div>
    </div>
  ) : null
  if (!row.deadline)
    return (
      <div className="min-w-0 text-right font-semibold">
        no date
        {going}
      </div>
    )
  const days = daysTo(row.deadline)
  return (
    <div className="min-w-0 text-right font-semibold">
      {dayOfWeeks(row.deadline, true)}
      <span className={`font-normal ${days < 0 ? 'text-stop' : 'text-quiet'}`}>
        {days < 0 ? `, ${-days} days late` : days === 0 ? ', today' : `, in ${days} days`}
      </span>
      {going}
    </div>
  )
}
