import type { Layout, LayoutProblem, LayoutResult } from '@nubrin/core/fit'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { axisBottom, axisLeft, extent, scaleLinear, select } from 'd3'
import { useEffect, useMemo, useRef } from 'react'

export const MEASURES = {
  chamber: { label: 'chamber, mm', of: (_p: LayoutProblem, l: Layout) => l.chamber },
  speaker: { label: 'speaker Ø, mm', of: (p: LayoutProblem, l: Layout) => p.speakers[l.speaker]!.d! },
  slack: { label: 'slack, mm', of: (_p: LayoutProblem, l: Layout) => l.slack },
  balance: { label: 'balance from the pommel, mm', of: (_p: LayoutProblem, l: Layout) => l.balance },
} as const
export type Measure = keyof typeof MEASURES

const [W, H] = [430, 262]
const BOX = { left: 40, right: 10, top: 22, bottom: 34 }

interface Shown {
  problem: LayoutProblem
  result: LayoutResult
  measure: Measure
  unit: 'min' | 'mAh'
  picked: number
  /** Cells that go in nowhere, by their place on the x axis. */
  refused: { x: number; name: string; why: string }[]
  /** Cells, by id, that give less than full white draws. */
  weak: ReadonlySet<string>
  onPick: (index: number) => void
}

/** What each layout is worth along the two axes, and how it is said. */
function useScales({ problem, result: { best }, measure, unit, refused }: Shown) {
  return useMemo(() => {
    const pad = (d: [number, number] | [undefined, undefined], least: number): [number, number] => {
      const [a, b] = [d[0] ?? 0, d[1] ?? 1]
      const m = Math.max((b - a) * 0.08, least)
      return [a - m, b + m]
    }
    const value = (l: Layout) => MEASURES[measure].of(problem, l)
    const runtime = (l: Layout) => problem.cells[l.cell]!.score
    const speaker = (l: Layout) => problem.speakers[l.speaker]!
    const widest = Math.max(...problem.speakers.map((s) => s.d!))
    return {
      x: scaleLinear(pad(extent([...best.map(runtime), ...refused.map((r) => r.x)]), 2), [BOX.left, W - BOX.right]),
      y: scaleLinear(pad(extent(best.map(value)), 0.6), [H - BOX.bottom, BOX.top]),
      ...{ value, runtime, speaker },
      radius: (l: Layout) => 3 + 6 * (speaker(l).d! / widest) ** 2,
      words: (l: Layout) =>
        `${formatNumber(MAKER, runtime(l), 0)} ${unit}, ${speaker(l).name}, ${MEASURES[measure].label} ${formatNumber(MAKER, value(l), 1)}`,
    }
  }, [best, measure, problem, refused, unit])
}
type Scales = ReturnType<typeof useScales>

/** The best layouts as points, runtime across and a chosen measure up; the size of a point is the speaker's. Arrow keys walk them. */
export function TradeOff(shown: Shown) {
  const { problem, result, measure, unit, picked, refused, weak, onPick } = shown
  const { best } = result
  const scales = useScales(shown)
  const order = best.map((_, i) => i).sort((a, b) => scales.runtime(best[a]!) - scales.runtime(best[b]!) || a - b)
  const one = best[picked]
  return (
    <>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full"
        role="img"
        aria-label={`${best.length} best layouts, runtime across, ${MEASURES[measure].label} up`}
      >
        <Axes {...scales} />
        <text x={W - BOX.right} y={H - 4} textAnchor="end" fontSize="12" fill="#1e2a2b">
          {unit === 'min' ? 'runtime in this use, min →' : 'capacity, mAh →'}
        </text>
        <text x={2} y={12} fontSize="12" fill="#1e2a2b">
          ↑ {MEASURES[measure].label}
        </text>
        {refused.map((r) => (
          <g key={r.name}>
            <title>{`${r.name}: ${r.why}`}</title>
            <path
              d={`M${scales.x(r.x) - 4} ${H - BOX.bottom - 10}l8 8m0 -8l-8 8`}
              stroke="#a63a2b"
              strokeWidth="1.8"
              fill="none"
            />
          </g>
        ))}
        {order
          .filter((i) => i !== picked)
          .concat(one ? [picked] : [])
          .map((i) => (
            <Point
              key={keyOf(best[i]!)}
              layout={best[i]!}
              scales={scales}
              on={i === picked}
              weak={weak.has(problem.cells[best[i]!.cell]!.id)}
              onPick={() => onPick(i)}
            />
          ))}
        {one ? <PickedWords layout={one} scales={scales} unit={unit} /> : null}
      </svg>
      {best.some((l) => weak.has(problem.cells[l.cell]!.id)) ? (
        <p className="text-quiet text-right text-[0.87rem]">dashed: the cell gives less than full white draws</p>
      ) : null}
      <input
        type="range"
        className="block w-full accent-[#1e2a2b]"
        aria-label="Walk the layouts by runtime"
        aria-valuetext={one ? scales.words(one) : 'none'}
        min={0}
        max={best.length - 1}
        value={Math.max(0, order.indexOf(picked))}
        onChange={(e) => onPick(order[Number(e.target.value)]!)}
      />
    </>
  )
}

const keyOf = (l: Layout) => `${l.arrangement}-${l.speaker}-${l.cell}-${l.board}-${l.connector}`

function Axes({ x, y }: Pick<Scales, 'x' | 'y'>) {
  const axes = useRef<SVGGElement>(null)
  useEffect(() => {
    const g = select(axes.current!)
    g.selectAll('*').remove()
    g.append('g')
      .attr('transform', `translate(0,${H - BOX.bottom})`)
      .call(axisBottom(x).ticks(6).tickSizeOuter(0))
    g.append('g').attr('transform', `translate(${BOX.left},0)`).call(axisLeft(y).ticks(5).tickSizeOuter(0))
    g.selectAll('.tick text').attr('font-size', 11.5).attr('fill', '#5f594b').style('font-family', 'inherit')
  }, [x, y])
  return <g ref={axes} />
}

const Point = ({
  layout: l,
  scales,
  on,
  weak,
  onPick,
}: {
  layout: Layout
  scales: Scales
  on: boolean
  weak: boolean
  onPick: () => void
}) => (
  // biome-ignore lint/a11y/noStaticElementInteractions: the slider below walks the same points
  <g className="cursor-pointer" onClick={onPick}>
    <title>{scales.words(l)}</title>
    <circle
      cx={scales.x(scales.runtime(l))}
      cy={scales.y(scales.value(l))}
      r={scales.radius(l) + (on ? 1.5 : 0)}
      fill={on ? '#1e2a2b' : '#fbf8f1'}
      stroke="#1e2a2b"
      strokeWidth="1.5"
      strokeDasharray={weak ? '2.5 2.5' : undefined}
    />
  </g>
)

/** Speaker and runtime of the picked one, on the side where there is room. */
function PickedWords({ layout: l, scales, unit }: { layout: Layout; scales: Scales; unit: string }) {
  const x = scales.x(scales.runtime(l))
  const left = x > W - 120
  return (
    <text
      x={x + (left ? -14 : 14)}
      y={scales.y(scales.value(l)) - 9}
      textAnchor={left ? 'end' : 'start'}
      fontSize="12.5"
      fontWeight="650"
      fill="#1e2a2b"
      style={{ paintOrder: 'stroke', stroke: '#f4efe4', strokeWidth: 4 }}
    >
      {formatNumber(MAKER, scales.speaker(l).d!, 1)} mm · {formatNumber(MAKER, scales.runtime(l), 0)} {unit}
    </text>
  )
}
