import { type HistoryEntry, historyOf } from '@nubrin/core/proof'
import { scaleUtc, utcFormat } from 'd3'
import { useMemo } from 'react'
import { dayText } from '../../kit'
import { useLight, useOrder, useSaber } from '../../store/commission'

const [W, PAD, ROW] = [1000, 14, 22]
const COLOUR: Record<HistoryEntry['kind'], string> = {
  ...{ ordered: '#6b6556', arrived: '#6b6556', decided: '#8a6a2f', fault: '#a63a2b' },
  ...{ repaired: '#3d6b45', lost: '#a63a2b', tested: '#3d6b45', handedOver: '#2b3a4a' },
}
const KIND: Record<HistoryEntry['kind'], string> = {
  ...{ ordered: 'ordered', arrived: 'came in', decided: 'decided', fault: 'fault', repaired: 'repaired' },
  ...{ lost: 'lost', tested: 'tested', handedOver: 'out' },
}
const day = (on: string) => new Date(`${on}T00:00:00Z`)
const long = utcFormat('%-d %b %Y')

/** Every visit and what was done, on one line of time; each mark opens to its words. */
export function History() {
  const order = useOrder()
  const saber = useSaber()
  const light = useLight()
  const all = useMemo(() => historyOf(order, saber), [order, saber])
  if (all.length < 2) return null
  const [from, to] = [day(all[0]!.on), day(all.at(-1)!.on)]
  const x = scaleUtc([from, new Date(Math.max(to.getTime(), from.getTime() + 86_400_000))], [PAD, W - PAD])
  // What falls on one spot stands in rows above it.
  const spots = new Map<number, number>()
  const placed = all.map((h) => {
    const at = Math.round(x(day(h.on)) / 16) * 16
    const row = spots.get(at) ?? 0
    spots.set(at, row + 1)
    return { ...h, at: Math.min(W - PAD, Math.max(PAD, at)), row }
  })
  const height = (Math.max(...placed.map((p) => p.row)) + 1) * ROW + 26
  return (
    <details className="mt-3" open>
      <summary className="h2 cursor-pointer">What happened to it</summary>
      <svg viewBox={`0 0 ${W} ${height}`} className="w-full" role="img" aria-label="History of this saber">
        <title>History of this saber</title>
        <line x1={0} x2={W} y1={height - 18} y2={height - 18} stroke="#b8ab8c" />
        {x.ticks(6).flatMap((t) =>
          x(t) < 50 || x(t) > W - 50 ? (
            []
          ) : (
            <text key={t.getTime()} x={x(t)} y={height - 3} fontSize={13} textAnchor="middle" fill="#6b6556">
              {long(t)}
            </text>
          ),
        )}
        {placed.map((h, i) => (
          <circle
            key={`${h.on}${h.kind}${i}`}
            cx={h.at}
            cy={height - 18 - ROW / 2 - h.row * ROW}
            r={7}
            fill={COLOUR[h.kind]}
          >
            <title>{`${long(day(h.on))}, ${KIND[h.kind]}: ${h.text}`}</title>
          </circle>
        ))}
      </svg>
      <ol className="columns-2 gap-6 text-[0.92rem] leading-snug">
        {all.map((h, i) => (
          <li key={`${h.on}${h.kind}${i}`} className="break-inside-avoid">
            <span className="text-quiet">{dayText(h.on)}</span>{' '}
            <span style={{ color: COLOUR[h.kind] }} className="font-medium">
              {KIND[h.kind]}
            </span>{' '}
            {h.ref ? (
              <button type="button" className="text-left underline decoration-dotted" onClick={() => light(h.ref)}>
                {h.text}
              </button>
            ) : (
              h.text
            )}
          </li>
        ))}
      </ol>
    </details>
  )
}
