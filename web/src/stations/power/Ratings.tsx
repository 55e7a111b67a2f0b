import { missingText } from '@nubrin/core/facts'
import { litCurrent, type Rating, ratings, WHITE, type WorstRating, worstRatings } from '@nubrin/core/power'
import { colourOf, type Preset, type Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { useLight } from '../../store/commission'

/** Everything the current passes against its rating, in the worst look that lasts and in a preset. */
export function Ratings({ saber, preset }: { saber: Saber; preset: Preset | undefined }) {
  const worst = useMemo(() => worstRatings(saber), [saber])
  const usual = useMemo(() => (preset ? ratings(saber, colourOf(preset)).list : []), [saber, preset])
  const load = useMemo(() => litCurrent(saber, WHITE), [saber])
  const needs = [...(load.ok ? [] : load.needs), ...worst.needs]
  return (
    <>
      <h2 className="h2">Current path, worst first</h2>
      {worst.list.length ? (
        <>
          <ul className="mt-1">
            {worst.list.map((r) => (
              <RatingRow
                key={r.ref + r.name}
                rating={r}
                now={usual.find((u) => u.ref === r.ref && u.name === r.name)}
              />
            ))}
          </ul>
          <p className="text-quiet mt-0.5 text-[0.87rem]">
            Tick: the rating. Bar: {worst.list[0]!.by ? 'the look that draws most' : 'full white'}
            {preset ? `; dark: ${preset.name}` : ''}.
          </p>
        </>
      ) : (
        <p className="text-quiet mt-1">
          {needs.length
            ? missingText({ ok: false, needs })
            : 'Nothing that carries the current is fitted yet: a cell, a board, a wire, a connector.'}
        </p>
      )}
    </>
  )
}

function RatingRow({ rating: r, now }: { rating: WorstRating; now: Rating | undefined }) {
  const light = useLight()
  const over = r.share > 1
  return (
    <li className="border-rule border-b py-0.5">
      <button type="button" className="w-full text-left leading-tight" onClick={() => light(r.ref)}>
        <span className="flex justify-between gap-2">
          <span className="truncate font-medium">{r.name}</span>
          <span className={`whitespace-nowrap ${over ? 'text-stop font-semibold' : ''}`}>
            {over ? '✕ ' : '✓ '}
            {formatNumber(MAKER, r.share * r.ratedAmps, 1)} of {formatNumber(MAKER, r.ratedAmps, 1)} A
          </span>
        </span>
        <svg viewBox="0 0 400 12" className="h-3 w-full" preserveAspectRatio="none" aria-hidden="true">
          <rect x="0" y="3" width="400" height="6" fill="#e7dfcc" />
          <rect x="0" y="3" width={Math.min(400, r.share * 200)} height="6" fill={over ? '#a63a2b' : '#6d7f79'} />
          {now ? <rect x="0" y="3" width={Math.min(400, now.share * 200)} height="6" fill="#1e2a2b" /> : null}
          <path d="M200 0v12" stroke="#1e2a2b" strokeWidth="2" />
        </svg>
      </button>
    </li>
  )
}
