import { type Bar, type Block, barShares } from '@nubrin/core/handoff'
import { formatNumber } from '@nubrin/core/units'
import { say, whether } from '@nubrin/core/words'
import { useReader } from '../base/reader'

/** A table of the record; a row of presets shows its colour. */
export function TableView({ block: b }: { block: Extract<Block, { kind: 'table' }> }) {
  // What has many columns is read a row below the other on a phone, each cell by its name.
  const wide = b.head.length > 2
  return (
    <section className="mt-3 overflow-x-auto" tabIndex={0} aria-label={b.head.join(', ')}>
      <table className="w-full text-left">
        <thead className={`text-quiet text-[0.92rem] ${wide ? 'max-sm:sr-only' : ''}`}>
          <tr>
            {b.head.map((h) => (
              <th key={h} className="pr-3 font-medium">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {b.rows.map((row, r) => (
            <tr
              key={row.join('|')}
              className={`border-rule border-b align-top ${wide ? 'max-sm:block max-sm:py-1.5' : ''}`}
            >
              {row.map((cell, i) => (
                <td
                  key={i}
                  className={`py-1 pr-3 ${wide ? `max-sm:block max-sm:py-0 ${i ? '' : 'max-sm:font-semibold'}` : ''}`}
                >
                  {wide && i ? (
                    <span className="text-quiet sm:hidden" aria-hidden>
                      {b.head[i]}:{' '}
                    </span>
                  ) : null}
                  {b.swatch?.[r] && i === 2 ? (
                    <span
                      className="border-ink mr-1.5 inline-block h-3 w-3 border"
                      style={{ background: b.swatch[r] }}
                    />
                  ) : null}
                  {cell}
                  {i === row.length - 1 && b.bars?.[r]?.found !== undefined ? <BarView bar={b.bars[r]} /> : null}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

const [W, H] = [110, 14]
/** What was wanted as a band, what is computed as a diamond, what was found as a line. */
function BarView({ bar: b }: { bar: Bar }) {
  const reader = useReader()
  const { from, to, computed, found, good } = barShares(b)
  const number = (v: number | undefined) => (v === undefined ? '' : formatNumber(reader, v))
  const words = say(reader, 'tests.bar', {
    ...{ wanted: [number(b.min), number(b.max)].filter(Boolean).join('–'), found: number(b.found) },
    ...{ computed: number(b.computed), reckoned: whether(b.computed !== undefined) },
  })
  return (
    <svg width={W} height={H} role="img" aria-label={words} className="mt-1 block">
      <title>{words}</title>
      <rect x={from * W} y={H / 2 - 3} width={Math.max(1, (to - from) * W)} height={6} fill="#d8cfbb" />
      {computed === undefined ? null : (
        <path d={`M${computed * W},${H / 2 - 4}l4,4l-4,4l-4,-4z`} fill="#fbf8f1" stroke="#8a6a2f" strokeWidth={1.3} />
      )}
      <line x1={found! * W} x2={found! * W} y1={1} y2={H - 1} stroke={good ? '#3d6b45' : '#a63a2b'} strokeWidth={2.5} />
    </svg>
  )
}
