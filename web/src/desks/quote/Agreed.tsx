import { moneyText, PAYMENT_KINDS } from '@nubrin/core/quote'
import { MAKER } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId, type KeptQuote, todayIso } from '../../data'
import { AddLine, CheckBox, DateCell, dayText, RemoveButton, SelectCell, TextCell } from '../../kit'
import { MoneyCell } from './MoneyCell'

type Quote = KeptQuote['quote']
interface Props {
  quote: Quote
  onKeep: (q: Quote) => void
}

/** What was agreed: options, the whole, what changed since, and what was paid. */
export function Agreed({ quote: q, onKeep }: Props) {
  return (
    <>
      <Options quote={q} onKeep={onKeep} />
      {q.state === 'accepted' && q.accepted ? (
        <section aria-label="Accepted">
          <h2 className="h2">Accepted</h2>
          <div className="grid grid-cols-[170px_minmax(0,1fr)] gap-3">
            <DateCell
              label="Day on which the quote was accepted"
              value={q.accepted.on}
              onCommit={(on) => on && onKeep({ ...q, accepted: { ...q.accepted!, on } })}
            />
            <TextCell
              label="By what message the quote was accepted"
              value={q.accepted.by}
              onCommit={(by) => by.trim() && onKeep({ ...q, accepted: { ...q.accepted!, by } })}
            />
          </div>
        </section>
      ) : null}
      {q.state === 'draft' ? null : <Changes quote={q} onKeep={onKeep} />}
      {q.state === 'draft' ? null : <Payments quote={q} onKeep={onKeep} />}
    </>
  )
}

/** What may come on top: held out of the total until it is accepted. */
function Options({ quote: q, onKeep }: Props) {
  const draft = q.state === 'draft'
  const set = (id: string, more: Partial<Quote['options'][number]>) =>
    onKeep({ ...q, options: q.options.map((o) => (o.id === id ? { ...o, ...more } : o)) })
  const accept = (id: string, on: boolean) =>
    onKeep({
      ...q,
      options: q.options.map(({ accepted, ...o }) =>
        o.id !== id
          ? { ...o, ...(accepted ? { accepted } : {}) }
          : on
            ? { ...o, accepted: { on: todayIso(), by: 'not said' } }
            : o,
      ),
    })
  if (!draft && !q.options.length) return null
  return (
    <section aria-label="Options">
      <h2 className="h2">Options</h2>
      {q.options.map((o) => (
        <div key={o.id} className="border-rule border-b">
          <div className="grid grid-cols-[minmax(0,1fr)_110px_auto] items-center gap-3">
            {draft ? (
              <TextCell
                label={`What the option ${o.what} is`}
                value={o.what}
                onCommit={(what) => set(o.id, { what: what.trim() || o.what })}
              />
            ) : (
              <CheckBox checked={!!o.accepted} onChange={(on) => accept(o.id, on)}>
                {o.what}
              </CheckBox>
            )}
            {draft ? (
              <MoneyCell
                label={`Price of the option ${o.what}`}
                value={o.price}
                currency={q.currency}
                onCommit={(price) => set(o.id, { price })}
              />
            ) : (
              <span className="text-right tabular-nums">{moneyText(MAKER, o.price, q.currency)}</span>
            )}
            {draft ? (
              <RemoveButton what={o.what} onClick={() => onKeep({ ...q, options: q.options.filter((x) => x !== o) })} />
            ) : null}
          </div>
          {o.accepted ? (
            <div className="grid grid-cols-[170px_minmax(0,1fr)] gap-3 pb-1 pl-7">
              <DateCell
                label={`Day on which ${o.what} was accepted`}
                value={o.accepted.on}
                onCommit={(on) => on && set(o.id, { accepted: { ...o.accepted!, on } })}
              />
              <TextCell
                label={`By what message ${o.what} was accepted`}
                value={o.accepted.by}
                onCommit={(by) => by.trim() && set(o.id, { accepted: { ...o.accepted!, by } })}
              />
            </div>
          ) : null}
        </div>
      ))}
      {draft ? (
        <AddLine
          label="an option"
          onAdd={(what) => onKeep({ ...q, options: [...q.options, { id: freshId(), what, price: 0 }] })}
        />
      ) : null}
    </section>
  )
}

/** What became different afterwards: with the client’s consent, dearer or cheaper. */
function Changes({ quote: q, onKeep }: Props) {
  const [what, setWhat] = useState<string>()
  const [price, setPrice] = useState(0)
  const [consent, setConsent] = useState('')
  return (
    <section aria-label="Changed since">
      <h2 className="h2">Changed since</h2>
      {q.changes.map((c) => (
        <p key={c.id} className="border-rule flex gap-3 border-b py-1">
          <span>{c.what}</span>
          <span className="text-quiet">
            {dayText(c.on)}: {c.consent}
          </span>
          <span className="ml-auto tabular-nums">{moneyText(MAKER, c.price, q.currency)}</span>
        </p>
      ))}
      {what === undefined ? (
        <AddLine label="a change that the client agreed to" onAdd={setWhat} />
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_110px_auto] items-end gap-3">
          <TextCell title="what" label="What changed" value={what} onCommit={setWhat} />
          <TextCell title="how the client agreed" label="How the client agreed" value={consent} onCommit={setConsent} />
          <MoneyCell
            title="price"
            label="Price of the change"
            value={price}
            currency={q.currency}
            signed
            onCommit={setPrice}
          />
          <button
            type="button"
            className="btn"
            disabled={!what.trim() || !consent.trim()}
            onClick={() =>
              onKeep({ ...q, changes: [...q.changes, { id: freshId(), on: todayIso(), what, price, consent }] })
            }
          >
            add
          </button>
        </div>
      )}
    </section>
  )
}

/** Deposit and balance, as notes: no book is kept here. */
function Payments({ quote: q, onKeep }: Props) {
  const [kind, setKind] = useState<Quote['payments'][number]['kind']>('deposit')
  const [on, setOn] = useState(todayIso())
  const [amount, setAmount] = useState(0)
  return (
    <section aria-label="Paid">
      <h2 className="h2">Paid</h2>
      {q.payments.map((p) => (
        <div key={p.id} className="border-rule flex items-center gap-3 border-b py-1">
          <span>
            {p.kind}, {dayText(p.on)}
          </span>
          <span className="ml-auto tabular-nums">{moneyText(MAKER, p.amount, q.currency)}</span>
          <RemoveButton
            what={`the ${p.kind} of ${p.on}`}
            onClick={() => onKeep({ ...q, payments: q.payments.filter((x) => x !== p) })}
          />
        </div>
      ))}
      <div className="flex items-end gap-3">
        <SelectCell label="What was paid" className="w-32!" value={kind} options={PAYMENT_KINDS} onCommit={setKind} />
        <DateCell label="Day of the payment" value={on} onCommit={(d) => setOn(d ?? on)} />
        <div className="w-28">
          <MoneyCell label="Amount paid" value={amount} currency={q.currency} onCommit={setAmount} />
        </div>
        <button
          type="button"
          className="btn"
          disabled={!amount}
          onClick={() => onKeep({ ...q, payments: [...q.payments, { id: freshId(), on, kind, amount }] })}
        >
          paid
        </button>
      </div>
    </section>
  )
}
