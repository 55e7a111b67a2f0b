import { moneyText, QUOTE_STATES } from '@nubrin/core/quote'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useState } from 'react'
import { type Actual, type KeptQuote, todayIso, urlOf, useQuotes } from '../../data'
import { Empty, Refused, SelectCell, Tabs } from '../../kit'
import { useOrder } from '../../store/commission'
import { Agreed } from './Agreed'
import { Lines } from './Lines'

/** What is offered, at what price, what was agreed, and what it really takes: for whom the owner has opened prices. */
export function QuoteDesk() {
  const order = useOrder()
  const { list, begin, keep, drop } = useQuotes(order.id)
  const [chosen, setChosen] = useState<number>()
  const quotes = list.data?.quotes ?? []
  const shown = quotes.find((q) => q.quote.number === chosen) ?? quotes[0]
  const failed = [list, begin, keep, drop].find((q) => q.error)?.error
  const drafting = quotes.some((q) => q.quote.state === 'draft')
  return (
    <div className="max-w-[860px] space-y-4">
      <Refused why={failed?.message} />
      {list.data && !quotes.length ? (
        <Empty title="No quote yet">
          A quote starts from the chosen parts, the estimated hours and the offered wishes.
        </Empty>
      ) : null}
      <div className="flex flex-wrap items-center gap-3">
        {quotes.length > 1 ? (
          <Tabs
            label="Versions of the quote"
            tabs={quotes.map((q) => `version ${q.quote.number}`)}
            at={shown ? quotes.indexOf(shown) : 0}
            onChange={(i) => setChosen(quotes[i]!.quote.number)}
          />
        ) : null}
        {list.data && !drafting ? (
          <>
            <button type="button" className="btn" onClick={() => begin.mutate('record')}>
              {quotes.length ? 'a new version from the record' : 'start a quote'}
            </button>
            {quotes.length ? (
              <button type="button" className="btn" onClick={() => begin.mutate('last')}>
                a new version from this one
              </button>
            ) : null}
          </>
        ) : null}
      </div>
      {shown ? (
        <Version
          key={shown.quote.number}
          kept={shown}
          onKeep={(quote) => keep.mutate({ quote, base: shown.revision })}
          onDrop={() => drop.mutate(shown.quote.number)}
        />
      ) : null}
      {shown && list.data?.actual && shown.quote.state !== 'draft' ? (
        <AgainstActual actual={list.data.actual} currency={shown.quote.currency} />
      ) : null}
    </div>
  )
}

type Quote = KeptQuote['quote']
const STATE: Record<Quote['state'], string> = {
  ...{ draft: 'draft', sent: 'sent', accepted: 'accepted', declined: 'declined', replaced: 'replaced by a later one' },
}

function Version({ kept, onKeep, onDrop }: { kept: KeptQuote; onKeep: (q: Quote) => void; onDrop: () => void }) {
  const { quote: q, sums } = kept
  const order = useOrder()
  const money = (n: number) => moneyText(MAKER, n, q.currency)
  const params = { id: order.id, number: String(q.number) }
  const next = QUOTE_STATES.filter(
    (s) => s === q.state || (q.state === 'draft' ? s === 'sent' : s !== 'draft' && s !== 'replaced'),
  )
  const toState = (state: Quote['state']) =>
    onKeep({
      ...q,
      state,
      // When and how it was accepted is written below; the day is today until somebody says otherwise.
      ...(state === 'accepted' && !q.accepted ? { accepted: { on: todayIso(), by: 'not said' } } : {}),
    })
  return (
    <section aria-label={`Version ${q.number}`} className="space-y-4">
      <div className="flex flex-wrap items-end gap-4">
        <SelectCell
          title="state"
          label="State of the quote"
          className="w-44!"
          value={q.state}
          options={next}
          words={(s) => STATE[s]}
          onCommit={toState}
        />
        <a className="btn" href={urlOf('quotePdf', { params })}>
          PDF
        </a>
        <a className="btn" href={urlOf('quotePage', { params })}>
          page
        </a>
        {q.state === 'draft' ? (
          <button type="button" className="btn-plain btn" onClick={onDrop}>
            discard the draft
          </button>
        ) : null}
        <p className="ml-auto text-right text-[1.2rem]">
          <strong>{money(sums.total)}</strong>
          {sums.paid ? (
            <span className="text-quiet block text-[0.95rem]">{money(sums.balance)} left to pay</span>
          ) : null}
          {sums.open ? (
            <span className="text-quiet block text-[0.95rem]">{money(sums.open)} more if all is wished</span>
          ) : null}
        </p>
      </div>
      <Lines quote={q} onKeep={onKeep} />
      <Agreed quote={q} onKeep={onKeep} />
    </section>
  )
}

/** Quoted against what it really takes. */
function AgainstActual({ actual: a, currency }: { actual: Actual; currency: string }) {
  const money = (n: number) => moneyText(MAKER, n, currency)
  const hours = (h: number) => `${formatNumber(MAKER, h, 1)} h`
  return (
    <section aria-label="Quoted against actual">
      <h2 className="h2">Quoted against actual</h2>
      <dl className="grid grid-cols-[160px_1fr_1fr] gap-x-6 gap-y-1">
        <dt className="text-quiet" />
        <dd className="text-quiet">quoted</dd>
        <dd className="text-quiet">so far</dd>
        <dt>work</dt>
        <dd>
          {hours(a.work.quotedHours)}, {money(a.work.quoted)}
        </dd>
        <dd className={a.work.hours > a.work.quotedHours ? 'text-stop font-medium' : ''}>
          {hours(a.work.hours)}, {money(a.work.atRate)} at the hourly rate
        </dd>
        <dt>parts</dt>
        <dd>{money(a.parts.quoted)}</dd>
        <dd className={a.parts.cost > a.parts.quoted ? 'text-stop font-medium' : ''}>{money(a.parts.cost)} at cost</dd>
      </dl>
    </section>
  )
}
