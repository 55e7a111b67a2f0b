import type { Commission } from '@nubrin/core/record'
import { guessesFrom } from '@nubrin/core/schedule'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useCatalogue, useCommission, usePlan } from '../data'
import { Refused } from '../kit'
import { useWorker } from '../workers/useWorker'

const signed = (v: number, digits: number) =>
  `${v > 0 ? '+' : v < 0 ? '−' : '±'}${formatNumber(MAKER, Math.abs(v), digits)}`

/** What is in hand and would go in where a missing part is to go, and what it costs: room, runtime, slack, and the days that one would wait. */
export function Substitutes({ of, close }: { of: { commission: string; part: string }; close: () => void }) {
  const whole = useCommission(of.commission)
  const { data: shelf } = useCatalogue()
  const record = whole.data?.record as Commission | undefined
  const saber = record?.sabers.find((s) => s.parts.some((p) => p.id === of.part))
  const part = saber?.parts.find((p) => p.id === of.part)
  const ask = useMemo(
    () => (saber && shelf ? { kind: 'alternatives' as const, saber, shelf, part: of.part } : undefined),
    [saber, shelf, of.part],
  )
  const { result, error } = useWorker(ask)
  const { data: plan } = usePlan()
  const row = shelf?.find((r) => r.id === part?.catalogue)
  // So long one waits for an order of that supplier, half of the time.
  const days = plan && row ? guessesFrom(plan.log).leadOf(row.supplier).median : undefined
  const list = result?.list.filter((a) => a.row.id !== part?.catalogue && a.fits && (a.row.stock ?? 0) > 0) ?? []
  return (
    <section aria-label="What else fits" className="bg-card border-brassline border-t-2 p-3">
      <div className="flex items-baseline gap-3">
        <h3 className="font-semibold">
          In place of {part?.name ?? 'it'} in {record?.title ?? '…'}
          {days ? `, ${Math.round(days)} days sooner` : ''}
        </h3>
        <button type="button" className="btn-plain btn ml-auto" onClick={close}>
          close
        </button>
      </div>
      <Refused why={whole.error?.message ?? error} />
      {result && !list.length ? <p className="text-quiet">Nothing in stock fits in its place.</p> : null}
      {list.map((a) => (
        <p key={a.row.id} className="border-rule flex gap-3 border-b py-1">
          <span className="truncate font-medium">{a.row.name}</span>
          <span className="text-quiet ml-auto shrink-0">
            {[
              a.spareMm === undefined ? '' : `${formatNumber(MAKER, a.spareMm)} mm to spare`,
              a.runtimeMin === undefined ? '' : `${signed(a.runtimeMin, 0)} min runtime`,
              a.slackMm === undefined ? '' : `${formatNumber(MAKER, a.slackMm, 1)} mm slack`,
              `${a.row.stock} in stock`,
            ]
              .filter(Boolean)
              .join(', ')}
          </span>
        </p>
      ))}
      <Link to={`/commission/${of.commission}/fit`} className="text-brass">
        swap it at Fit
      </Link>
    </section>
  )
}
