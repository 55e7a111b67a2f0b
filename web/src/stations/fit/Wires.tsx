import { wireRoom } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { Opens, ToThing } from '../../kit'

const GOES = { one: 'in one bundle', two: 'in two bundles', singly: 'laid one by one', no: '✕ do not fit through' }

/** The leads that pass the cut, counted from what is connected, against the room for them. */
export function Wires({ saber, cut }: { saber: Saber; cut: number }) {
  const w = useMemo(() => wireRoom(saber, cut), [saber, cut])
  const count = w?.crossing.reduce((n, c) => n + c.count, 0) ?? 0
  if (!w) return null
  if (!count)
    return (
      <p className="text-quiet border-rule border-b py-1.5">
        {w.needs.length ? `wires: not counted, needs ${w.needs[0]}` : 'no wire passes here'}
      </p>
    )
  return (
    <Opens
      name={`${count} wires`}
      shows={
        <span
          className={`ml-auto font-semibold whitespace-nowrap ${w.goes === 'no' && w.gauges.length ? 'text-stop' : ''}`}
        >
          {w.gauges.length ? GOES[w.goes] : 'no wire chosen'}
        </span>
      }
    >
      <ul>
        {w.crossing.map((c) => (
          <li key={`${c.ref}${c.why}`} className="flex justify-between gap-3">
            <ToThing to={c.ref}>{c.name}</ToThing>
            <span className="text-right">
              {c.count} {c.carries}: {c.why}
            </span>
          </li>
        ))}
      </ul>
      {w.gauges.map((g) => (
        <p key={g.carries} className="mt-1">
          {g.count} × AWG {g.awg} ({formatNumber(MAKER, g.wireMm)} mm): bundle {formatNumber(MAKER, g.bundleMm)} mm
        </p>
      ))}
      <p className="mt-1 font-medium">
        together {formatNumber(MAKER, w.bundleMm)} mm against a free circle of {formatNumber(MAKER, w.circle.r * 2)} mm
      </p>
      {w.needs.length ? <p className="text-brass mt-1">not counted: {w.needs.join(', ')}</p> : null}
      <p className="text-quiet mt-1">circle packing for up to ten wires; leads counted from what is connected</p>
    </Opens>
  )
}
