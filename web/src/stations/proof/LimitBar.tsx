import { type Expected, judge } from '@nubrin/core/proof'
import type { Test } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { scaleLinear } from 'd3'
import { useMemo } from 'react'

const [W, H] = [150, 18]

/** What was wanted as a band, what is computed as a diamond, every reading as a mark, the last one full: predicted beside measured. */
export function LimitBar({ test: t, predicts }: { test: Test; predicts: (() => Expected | undefined) | undefined }) {
  const expected = useMemo(() => predicts?.(), [predicts])
  const values = t.readings.flatMap((r) => (r.value === undefined ? [] : [r.value]))
  const ends = [t.min, t.max, expected?.value, ...values].filter((v) => v !== undefined)
  if (ends.length < 2) return null
  const [lo, hi] = [Math.min(...ends), Math.max(...ends)]
  const room = (hi - lo) * 0.15 || Math.abs(hi) * 0.1 || 1
  const x = scaleLinear([lo - room, hi + room], [0, W])
  const last = values.at(-1)
  const good = last !== undefined && judge(t, last, true)
  const words = [
    last === undefined ? 'no reading' : `${formatNumber(MAKER, last)} ${t.unit ?? ''}`,
    `wanted ${t.min === undefined ? 'at most' : `from ${formatNumber(MAKER, t.min)}`} ${t.max === undefined ? 'on' : `to ${formatNumber(MAKER, t.max)}`}`,
    expected &&
      `computed ${formatNumber(MAKER, expected.value)} ± ${formatNumber(MAKER, expected.plusMinus)} ${expected.unit}`,
  ]
    .filter(Boolean)
    .join(', ')
  return (
    <svg width={W} height={H} role="img" aria-label={words} className="block">
      <title>{words}</title>
      <line x1={0} x2={W} y1={H / 2} y2={H / 2} stroke="#d8cfbb" />
      <rect
        x={t.min === undefined ? 0 : x(t.min)}
        width={Math.max(1, (t.max === undefined ? W : x(t.max)) - (t.min === undefined ? 0 : x(t.min)))}
        y={H / 2 - 3}
        height={6}
        fill="#d8cfbb"
      />
      {expected ? (
        <path
          d={`M${x(expected.value)},${H / 2 - 5}l5,5l-5,5l-5,-5z`}
          fill="#f7f2e6"
          stroke="#8a6a2f"
          strokeWidth={1.5}
        />
      ) : null}
      {t.readings.map((r, i) =>
        r.value === undefined ? null : (
          <line
            key={r.id}
            x1={x(r.value)}
            x2={x(r.value)}
            y1={2}
            y2={H - 2}
            stroke={i < t.readings.length - 1 ? '#6b6556' : good ? '#3d6b45' : '#a63a2b'}
            strokeWidth={i < t.readings.length - 1 ? 1 : 3}
          />
        ),
      )}
    </svg>
  )
}
