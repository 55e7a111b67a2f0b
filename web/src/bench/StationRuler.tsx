import { STATIONS, type Station, stationStates } from '@nubrin/core/judge'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { STATION_NAME } from '../base/names'
import { Mark, STATE_MARK, STATE_WORD } from '../kit'
import { useBench, useOrder } from '../store/commission'

/** The stations as a ruler under the drawing, each with how it stands. */
export function StationRuler({ station }: { station: Station | undefined }) {
  const order = useOrder()
  const all = useBench((b) => b.findings)
  const judged = useBench((b) => b.judged === 'yes')
  const states = useMemo(() => stationStates(order, all), [order, all])
  return (
    <nav aria-label="Stations" className="border-ink relative flex h-[36px] shrink-0 border-b px-5">
      {STATIONS.map((s, i) => {
        const here = s === station
        const tone = here ? 'bg-ink text-paper' : states[s] === 'empty' ? 'text-quiet hover:bg-card' : 'hover:bg-card'
        return (
          <Link
            key={s}
            to={`/commission/${order.id}/${s}`}
            aria-current={here ? 'page' : undefined}
            className={`ruler relative flex flex-1 items-center gap-1.5 border-l border-[#1e2a2b] px-2 text-[0.95rem] last:border-r ${tone}`}
            style={{ fontStretch: '86%' }}
          >
            <span className={here ? 'text-[#e3bd78]' : 'text-brass'}>{(i + 1) % 10}</span>
            <span className="truncate font-semibold">{STATION_NAME[s]}</span>
            {judged ? (
              <span className={`ml-auto ${here ? 'rounded-full bg-[#f4efe4] p-px' : ''}`} title={STATE_WORD[states[s]]}>
                <Mark level={STATE_MARK[states[s]]} size={15} />
                <span className="sr-only">{STATE_WORD[states[s]]}</span>
              </span>
            ) : null}
          </Link>
        )
      })}
    </nav>
  )
}
