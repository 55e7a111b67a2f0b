import type { Finding } from '@nubrin/core/judge'
import type { ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { useBench, useOrder } from '../store/commission'
import { ruleOf } from '../store/judging'
import { focusField } from './focus-field'
import { LEVEL_WORD, Mark } from './marks'

/** In place of a verdict while there is none. */
export function NotJudged() {
  const judged = useBench((b) => b.judged)
  return judged === 'failed' ? 'The checks could not be loaded; reload once you are online' : 'Checking…'
}

/** The judgements that concern a station, stops first; each lights its place and can be asked for its rule. */
export function FindingsPanel({
  list,
  elsewhere,
  quiet,
}: {
  list: Finding[]
  elsewhere: Finding[]
  /** Shown in its place while nothing stands against this station. */
  quiet?: ReactNode
}) {
  const light = useBench((b) => b.light)
  const seek = useBench((b) => b.seek)
  const lit = useBench((b) => b.lit)
  const judged = useBench((b) => b.judged)
  const order = useOrder()
  const navigate = useNavigate()
  /** Where it is put right: the desk or station, the thing, and its very field. */
  const goTo = (f: Finding) => {
    const way = `/commission/${order.id}/${f.at ?? f.station}`
    if (!location.pathname.endsWith(way)) navigate(way)
    light(f.refs[0])
    seek(f.refs[0])
    if (f.field) void focusField(f.field, f.refs[0])
  }
  return (
    <section aria-label="Open issues" className="flex h-full min-h-0 flex-col">
      <h2 className="h2 mb-1">
        {judged === 'yes' ? list.length ? 'Open issues' : 'No open issues here' : <NotJudged />}
      </h2>
      <div className="relative min-h-0 flex-1 overflow-y-auto pr-1" tabIndex={-1}>
        <ol>
          {list.map((f, i) => (
            <li key={f.key} className={`border-rule border-b py-2 ${lit && f.refs.includes(lit) ? 'bg-card' : ''}`}>
              <button
                type="button"
                className="flex w-full items-start gap-2 text-left"
                onClick={() => light(f.refs[0])}
              >
                <span className="mt-0.5">
                  <Mark level={f.level} />
                </span>
                <span className="min-w-0 flex-1">
                  <span className="sr-only">{LEVEL_WORD[f.level]}: </span>
                  <span className="font-semibold">{f.title}</span>
                </span>
                {f.refs.length ? (
                  <span className="border-ink bg-card grid h-6 w-6 shrink-0 place-items-center rounded-full border text-[0.82rem] font-semibold">
                    {i + 1}
                  </span>
                ) : null}
              </button>
              <p className="pl-[26px] leading-snug">{f.detail}</p>
              <button
                type="button"
                className="text-brass block w-full pl-[26px] text-left leading-snug font-medium hover:underline"
                onClick={() => goTo(f)}
              >
                {f.remedy}
              </button>
              <details className="pl-[26px] text-[0.82rem]">
                <summary className="text-quiet cursor-pointer">why</summary>
                <p className="text-quiet">{ruleOf(f.check)}</p>
              </details>
            </li>
          ))}
        </ol>
        {judged === 'yes' && !list.length ? quiet : null}
        {elsewhere.length ? (
          <div className="mt-2">
            <h3 className="label">elsewhere</h3>
            {elsewhere.slice(0, 5).map((f) => (
              <button
                type="button"
                key={f.key}
                className="text-quiet hover:text-ink flex w-full items-center gap-2 py-0.5 text-left text-[0.9rem]"
                onClick={() => navigate(`/commission/${order.id}/${f.station}`)}
              >
                <Mark level={f.level} size={13} />
                <span className="truncate">
                  {f.saber && order.sabers.length > 1 ? `${order.sabers.find((s) => s.id === f.saber)?.name}: ` : ''}
                  {f.title}
                </span>
              </button>
            ))}
            {elsewhere.length > 5 ? <p className="text-quiet text-[0.85rem]">and {elsewhere.length - 5} more</p> : null}
          </div>
        ) : null}
      </div>
    </section>
  )
}
