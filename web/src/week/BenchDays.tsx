import { workName } from '@nubrin/core/schedule'
import { dayAfter, weekdayOf } from '@nubrin/core/units'
import { scaleBand, scaleLinear } from 'd3'
import { useNavigate } from 'react-router'
import type { ShopPlan } from '../data'
import { dayOfWeeks } from '../kit'
import type { BenchPiece, ForecastSaid } from '../workers/forecast.worker'

const DAYS = 7
const [W, LEFT, HEAD, HOUR, FOOT] = [920, 62, 30, 21, 18]
/** A day is drawn from nine on, for as many hours as anybody has that week, eight at the least. */
const BEGINS = 9
const SHOWN = 1.2

interface Drawn {
  plan: ShopPlan
  said: ForecastSaid
  /** The first day shown, counted from today. */
  from: number
  ink: ReadonlyMap<string, string>
  /** The one that is looked at; the rest steps back. */
  lit: string | undefined
  onLit: (id: string | undefined) => void
}

/** The working hours of somebody on a day of the plan. */
function hoursOn(p: ShopPlan['people'][number], day: string): number {
  return p.off.some((o) => o.from <= day && day <= o.to) ? 0 : p.week[weekdayOf(day)]!
}

/** Seven days on the bench: who does what when, one plank a person; above them what is promised, below what comes in. */
export function BenchDays({ plan, said, from, ink, lit, onLit }: Drawn) {
  const days = Array.from({ length: DAYS }, (_, i) => dayAfter(plan.today, from + i))
  const most = Math.max(8, ...plan.people.flatMap((p) => days.map((d) => hoursOn(p, d))))
  const x = scaleBand<string>(days, [LEFT, W]).paddingInner(0.03)
  const flags = plan.open.filter((o) => o.promise && days.includes(o.promise))
  const deepest = Math.max(0, ...days.map((d) => flags.filter((o) => o.promise === d).length))
  const top = HEAD + deepest * 20 + 6
  const plank = most * HOUR + 16
  const y = scaleLinear([BEGINS, BEGINS + most], [0, most * HOUR])
  const height = top + plan.people.length * (plank + FOOT)
  return (
    <svg viewBox={`0 0 ${W} ${height}`} className="w-full" role="img" aria-label="The week on the bench">
      <title>The week on the bench</title>
      <defs>
        <pattern id="off" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="#f4efe4" />
          <path d="M0 0v7" stroke="#d8cfbb" strokeWidth="2" />
        </pattern>
      </defs>
      {days.map((d) => (
        <text key={d} x={x(d)! + 4} y={20} fontSize={15} fontWeight={d === plan.today ? 700 : 500} fill="#1e2a2b">
          {d === plan.today ? `today, ${dayOfWeeks(d)}` : dayOfWeeks(d, true)}
        </text>
      ))}
      {flags.map((o) => {
        const k = flags.filter((f) => f.promise === o.promise).indexOf(o)
        const risky = said.outlooks.find((s) => s.id === o.id)?.said.risky
        return (
          <g key={o.id} transform={`translate(${x(o.promise!)! + 4} ${HEAD + k * 20})`}>
            <path d="M0 0v15M0 1l9 4-9 4" stroke={risky ? '#a63a2b' : '#1e2a2b'} fill={risky ? '#a63a2b' : '#1e2a2b'} />
            <Fitted x={13} y={12} width={x.bandwidth() - 20} size={12.5} fill={risky ? '#a63a2b' : '#1e2a2b'}>
              {o.title}
            </Fitted>
          </g>
        )
      })}
      {plan.people.map((p, row) => (
        <g key={p.id} transform={`translate(0 ${top + row * (plank + FOOT)})`}>
          <text x={0} y={18} fontSize={15} fontWeight={600} fill="#1e2a2b">
            {p.name}
          </text>
          {days.map((d) => {
            const hours = hoursOn(p, d)
            return (
              <g key={d} transform={`translate(${x(d)!} 0)`}>
                {hours ? (
                  <rect width={x.bandwidth()} height={hours * HOUR} fill="#fbf8f1" stroke="#d8cfbb" />
                ) : (
                  <rect width={x.bandwidth()} height={most * HOUR} fill="url(#off)" />
                )}
              </g>
            )
          })}
          {said.course.flatMap((s, i) =>
            s.person === p.name && s.day >= from && s.day < from + DAYS ? (
              <Ticket
                key={`${s.commission}${s.key}${s.day}`}
                piece={s}
                plan={plan}
                x={x(days[s.day - from]!)!}
                y={y(s.from / 60)}
                width={x.bandwidth()}
                height={y(s.to / 60) - y(s.from / 60)}
                ink={ink.get(s.commission) ?? '#1e2a2b'}
                faint={lit !== undefined && lit !== s.commission}
                onLit={onLit}
                first={!said.course.slice(0, i).some((e) => e.commission === s.commission && e.key === s.key)}
              />
            ) : (
              []
            ),
          )}
          <rect x={LEFT} y={most * HOUR} width={W - LEFT} height={9} rx={2} fill="#c9a15a" stroke="#8a5f17" />
          <path
            d={`M${LEFT + 22} ${most * HOUR + 9}v7M${W - 22} ${most * HOUR + 9}v7`}
            stroke="#8a5f17"
            strokeWidth={5}
          />
        </g>
      ))}
    </svg>
  )
}

/** Words that end where their room ends. */
function Fitted(p: {
  x: number
  y: number
  width: number
  size: number
  fill: string
  weight?: number
  children: string
}) {
  const room = Math.floor(p.width / (p.size * 0.52))
  return (
    <text x={p.x} y={p.y} fontSize={p.size} fontWeight={p.weight ?? 500} fill={p.fill}>
      {p.children.length > room ? `${p.children.slice(0, Math.max(1, room - 1)).trimEnd()}…` : p.children}
    </text>
  )
}

interface TicketProps {
  piece: BenchPiece
  plan: ShopPlan
  x: number
  y: number
  width: number
  height: number
  ink: string
  faint: boolean
  /** It is begun here, and not gone on with. */
  first: boolean
  onLit: (id: string | undefined) => void
}
/** A piece of work as a ticket on the plank: whose, and what. */
function Ticket({ piece: s, plan, x, y, width, height, ink, faint, first, onLit }: TicketProps) {
  const navigate = useNavigate()
  const open = plan.open.find((o) => o.id === s.commission)
  const work = open?.work.find((w) => w.key === s.key)
  const what = work ? (work.text ?? workName(work.kind)) : ''
  const clock = (m: number) => `${Math.floor(m / 60)}:${String(m % 60).padStart(2, '0')}`
  return (
    // biome-ignore lint/a11y/useSemanticElements: a link inside of a drawing
    <g
      role="link"
      tabIndex={0}
      aria-label={`${s.person}: ${open?.title}, ${what}, ${clock(s.from)} to ${clock(s.to)}`}
      transform={`translate(${x} ${y})`}
      opacity={faint ? 0.28 : 1}
      className="cursor-pointer"
      onMouseEnter={() => onLit(s.commission)}
      onMouseLeave={() => onLit(undefined)}
      onFocus={() => onLit(s.commission)}
      onBlur={() => onLit(undefined)}
      onClick={() => void navigate(`/commission/${s.commission}/to-do`)}
      onKeyDown={(e) => {
        if (e.key === 'Enter') void navigate(`/commission/${s.commission}/to-do`)
      }}
    >
      <title>{`${open?.title}: ${what}, ${clock(s.from)}–${clock(s.to)}`}</title>
      <rect
        x={2}
        y={1}
        width={width - 4}
        height={Math.max(2, height - 2)}
        rx={2}
        fill={ink}
        fillOpacity={0.14}
        stroke={ink}
        strokeOpacity={0.45}
      />
      <rect x={2} y={1} width={4} height={Math.max(2, height - 2)} fill={ink} />
      {height >= HOUR * SHOWN * 0.6 ? (
        <Fitted x={10} y={Math.min(14, height / 2 + 5)} width={width - 14} size={12.5} weight={600} fill="#1e2a2b">
          {open?.title ?? ''}
        </Fitted>
      ) : null}
      {height >= HOUR * SHOWN * 1.25 ? (
        <Fitted x={10} y={28} width={width - 14} size={12.5} fill="#4d493d">
          {first ? what : `${what}, on`}
        </Fitted>
      ) : null}
    </g>
  )
}
