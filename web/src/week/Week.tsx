import type { Question } from '@nubrin/core/schedule'
import { dayAfter } from '@nubrin/core/units'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { urlOf } from '../data'
import { dayOfWeeks, Empty, Refused } from '../kit'
import { useForecast } from '../shared/plan'
import { BenchDays } from './BenchDays'
import { Turn } from './Turn'
import { inksOf } from './tints'
import { WhatIf } from './WhatIf'

const WEEK = 7
/** So far ahead one may leaf. */
const MOST_WEEKS = 26

/** The week on the bench: the order in which commissions are worked on, who does what when, and what would change it. */
export default function Week() {
  const [weeks, setWeeks] = useState(0)
  const [lit, setLit] = useState<string>()
  const [question, setQuestion] = useState<Question>()
  const { plan, said } = useForecast()
  const asked = useForecast(question ?? {})
  const shown = question ? (asked.said.data ?? said.data) : said.data
  const ids = plan.data?.open.map((o) => o.id).join(' ') ?? ''
  const ink = useMemo(() => inksOf(ids.split(' ').filter(Boolean)), [ids])
  useEffect(() => {
    document.title = 'The week · Nubrin'
  }, [])
  const leaf = useCallback((by: number) => setWeeks((w) => Math.min(MOST_WEEKS, Math.max(0, w + by))), [])
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.target as Element).closest('input,button[aria-roledescription],[role=listbox],[role=dialog]')) return
      if (e.key === 'ArrowRight') leaf(1)
      if (e.key === 'ArrowLeft') leaf(-1)
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [leaf])
  const first = plan.data && dayAfter(plan.data.today, weeks * WEEK)
  const busy = said.data?.busy.map((b) => `${b.person} ${Math.round(b.share * 100)} % booked for two weeks`).join(', ')
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <Link to="/" aria-label="back to the rack" className="text-brass text-[1.3rem]">
          ←
        </Link>
        <h1 className="shrink-0 text-[1.4rem]">The week on the bench</h1>
        <p className="text-quiet truncate">{[said.data?.whole, busy].filter(Boolean).join(' · ')}</p>
        <div className="ml-auto flex shrink-0 items-center gap-3">
          <button type="button" className="btn" disabled={!weeks} onClick={() => leaf(-1)}>
            <span className="key">←</span> earlier
          </button>
          <button type="button" className="btn" onClick={() => leaf(1)}>
            later <span className="key">→</span>
          </button>
          <Link className="btn" to="/learning">
            what we know
          </Link>
          <a className="btn" href={urlOf('planDays', {})}>
            calendar (ICS)
          </a>
        </div>
      </header>
      <main className="px-5 py-3">
        <Refused why={plan.error?.message ?? said.error?.message} />
        {shown?.unplanned.map((u) => (
          <p key={u.text} role="alert" className="text-stop font-medium">
            <Link to={`/commission/${u.commission}/to-do`} className="underline decoration-dotted">
              {u.text}
            </Link>
          </p>
        ))}
        {plan.data && !plan.data.open.length ? (
          <Empty title="Nothing is under way">A commission comes onto the bench when it hangs on the rack.</Empty>
        ) : null}
        {plan.data?.open.length ? (
          <div className="grid gap-5 min-[1000px]:grid-cols-[330px_minmax(0,1fr)]">
            <section aria-label="Order of work">
              <h2 className="h2">Order of work</h2>
              <Turn plan={plan.data} said={shown} ink={ink} lit={lit} onLit={setLit} />
              {plan.data.beyond ? (
                <p className="text-quiet">{plan.data.beyond} promised later are not planned yet.</p>
              ) : null}
            </section>
            <section aria-label={`Seven days from ${first ? dayOfWeeks(first, true) : ''}`}>
              {shown ? (
                <>
                  <BenchDays plan={plan.data} said={shown} from={weeks * WEEK} ink={ink} lit={lit} onLit={setLit} />
                  <Coming plan={plan.data} />
                  <WhatIf
                    plan={plan.data}
                    now={said.data ?? shown}
                    then={question ? asked.said.data : undefined}
                    question={question}
                    onAsk={setQuestion}
                  />
                </>
              ) : (
                <p className="text-quiet">Working out the forecast…</p>
              )}
            </section>
          </div>
        ) : null}
      </main>
    </div>
  )
}

/** Parts that are waited for, the latest first. */
function Coming({ plan }: { plan: NonNullable<ReturnType<typeof useForecast>['plan']['data']> }) {
  if (!plan.coming.length) return null
  return (
    <section aria-label="Waiting for" className="mt-1">
      <h2 className="h2">Waiting for</h2>
      <ul className="leading-snug">
        {plan.coming.slice(0, 6).map((c) => {
          const open = plan.open.find((o) => o.id === c.commission)
          const what = open?.work.flatMap((w) => w.waits).find((w) => w.id === c.part)?.what ?? c.part
          const late = c.expected !== undefined && c.expected < plan.today
          return (
            <li key={`${c.commission} ${c.part}`}>
              <span className="font-medium">{what}</span> for {open?.title}
              <span className={late ? 'text-stop font-medium' : 'text-quiet'}>
                {c.orderedOn
                  ? `, ordered ${dayOfWeeks(c.orderedOn)} from ${c.supplier}${c.expected ? `, ${late ? 'was due' : 'due'} ${dayOfWeeks(c.expected, true)}` : ''}`
                  : ', not ordered yet'}
              </span>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
