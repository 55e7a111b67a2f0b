import type { Balance } from '@nubrin/core/fit'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { axisBottom, scaleLinear, select } from 'd3'
import { useEffect, useMemo, useRef } from 'react'
import { useBench } from '../../store/commission'

const [W, H] = [600, 178]
const BOX = { left: 10, right: 12, top: 20, bottom: 34 }

/** Names where there is room for them: heaviest first, none over another. */
function namesOf(loads: Balance['loads'], x: (mm: number) => number, y: (g: number) => number) {
  const named: { ref: string; x: number; y: number; half: number; text: string }[] = []
  for (const l of loads) {
    const text = `${l.name.split(',')[0]}, ${formatNumber(MAKER, l.mass, 0)} g`
    const half = text.length * 2.9 + 4
    const at = Math.min(Math.max(x(l.x), half), W - half)
    const free = named.every((d) => Math.abs(d.y - y(l.mass)) > 14 || Math.abs(d.x - at) > d.half + half)
    const clear = loads.every((o) => o === l || Math.abs(x(o.x) - at) > half || y(o.mass) > y(l.mass) - 3)
    if (free && clear && named.length < 7) named.push({ ref: l.ref, x: at, y: y(l.mass), half, text })
  }
  return named
}

/** What the balance is made of: a stroke for each thing, as high as it is heavy, where its middle lies. Touch one to light it. */
export function Weights({ of, grip, hilt }: { of: Balance; grip: number; hilt: number }) {
  const axis = useRef<SVGGElement>(null)
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const { x, y } = useMemo(
    () => ({
      x: scaleLinear(
        [0, Math.max(hilt, ...of.loads.map((l) => l.x), of.centre.ok ? of.centre.value : 0)],
        [BOX.left, W - BOX.right],
      ),
      y: scaleLinear([0, Math.max(20, of.loads[0]?.mass ?? 0)], [H - BOX.bottom, BOX.top]),
    }),
    [of, hilt],
  )
  useEffect(() => {
    const g = select(axis.current!)
    g.selectAll('*').remove()
    g.attr('transform', `translate(0,${H - BOX.bottom})`).call(axisBottom(x).ticks(8).tickSizeOuter(0))
    g.selectAll('.tick text').attr('font-size', 11.5).attr('fill', '#5f594b').style('font-family', 'inherit')
  }, [x])
  const named = namesOf(of.loads, x, y)
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="img"
      aria-label={`What weighs where: ${of.loads
        .slice(0, 6)
        .map((l) => `${l.name} ${formatNumber(MAKER, l.mass, 0)} g at ${formatNumber(MAKER, l.x, 0)} mm`)
        .join(', ')}`}
    >
      <g ref={axis} />
      <text x={W - BOX.right} y={H - 2} textAnchor="end" fontSize="12" fill="#5f594b">
        mm from the pommel →
      </text>
      <path d={`M${x(grip)} ${BOX.top}V${H - BOX.bottom}`} stroke="#8a5f17" strokeDasharray="3 3" />
      {of.loads.map((l) => (
        // biome-ignore lint/a11y/noStaticElementInteractions: the same things are reached by keyboard in their lists
        <g key={l.ref} className="cursor-pointer" onClick={() => light(l.ref)}>
          <title>{`${l.name}: ${l.about ? 'about ' : ''}${formatNumber(MAKER, l.mass, 0)} g at ${formatNumber(MAKER, l.x, 0)} mm`}</title>
          <path
            d={`M${x(l.x)} ${H - BOX.bottom}V${y(l.mass)}`}
            stroke={lit === l.ref ? '#8a5f17' : '#1e2a2b'}
            strokeWidth={lit === l.ref ? 9 : 6}
            opacity={l.about ? 0.45 : 1}
          />
        </g>
      ))}
      {named.map((n) => (
        <text
          key={n.ref}
          x={n.x}
          y={n.y - 5}
          textAnchor="middle"
          fontSize="11.5"
          fill="#1e2a2b"
          style={{ paintOrder: 'stroke', stroke: '#f4efe4', strokeWidth: 3 }}
        >
          {n.text}
        </text>
      ))}
      {of.centre.ok ? (
        <path
          d={`M${x(of.centre.value)} ${H - BOX.bottom}l8 13h-16z`}
          fill="#1e2a2b"
          stroke="#f4efe4"
          strokeWidth="1"
        />
      ) : null}
    </svg>
  )
}
