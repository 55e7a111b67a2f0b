import { LINE_KINDS, moneyText } from '@nubrin/core/quote'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { freshId, type KeptQuote } from '../../data'
import { AddLine, DateCell, NumberCell, RemoveButton, TextCell } from '../../kit'
import { MoneyCell } from './MoneyCell'

type Quote = KeptQuote['quote']
interface Props {
  quote: Quote
  onKeep: (q: Quote) => void
}
const KIND: Record<Quote['lines'][number]['kind'], string> = { part: 'Parts', work: 'Work', other: 'Other' }

/** What is offered: parts, work, other, options; to be changed until it is sent. */
export function Lines({ quote: q, onKeep }: Props) {
  const draft = q.state === 'draft'
  const money = (n: number) => moneyText(MAKER, n, q.currency)
  const set = (id: string, more: Partial<Quote['lines'][number]>) =>
    onKeep({ ...q, lines: q.lines.map((l) => (l.id === id ? { ...l, ...more } : l)) })
  return (
    <>
      {LINE_KINDS.map((kind) => {
        const mine = q.lines.filter((l) => l.kind === kind)
        if (!mine.length && !draft) return null
        return (
          <section key={kind} aria-label={KIND[kind]}>
            <h2 className="h2">
              {KIND[kind]}{' '}
              <span className="text-quiet font-normal">
                {money(mine.reduce((n, l) => n + l.quantity * l.price, 0))}
              </span>
            </h2>
            {mine.map((l) =>
              draft ? (
                <div
                  key={l.id}
                  className="border-rule grid grid-cols-[minmax(0,1fr)_60px_110px_150px_auto] items-center gap-3 border-b"
                >
                  <TextCell
                    label={`What ${l.what} is`}
                    value={l.what}
                    onCommit={(what) => set(l.id, { what: what.trim() || l.what })}
                  />
                  <NumberCell
                    label={`How many ${l.what}`}
                    max={9999}
                    value={l.quantity}
                    onCommit={(v) => set(l.id, { quantity: Math.max(1, Math.round(v ?? 1)) })}
                  />
                  <MoneyCell
                    label={`Price of ${l.what}`}
                    value={l.price}
                    currency={q.currency}
                    onCommit={(price) => set(l.id, { price })}
                  />
                  <span className={`text-[0.9rem] ${l.price ? 'text-quiet' : 'text-stop'}`}>
                    {l.cost === undefined && l.hours === undefined && !l.price ? 'no price yet' : ''}
                    {l.cost === undefined
                      ? l.hours === undefined
                        ? ''
                        : `${formatNumber(MAKER, l.hours, 2)} h`
                      : `costs ${money(l.cost)}`}
                  </span>
                  <RemoveButton what={l.what} onClick={() => onKeep({ ...q, lines: q.lines.filter((x) => x !== l) })} />
                </div>
              ) : (
                <p key={l.id} className="border-rule flex border-b py-1">
                  <span>{l.quantity > 1 ? `${l.quantity} × ${l.what}` : l.what}</span>
                  <span className="ml-auto tabular-nums">{money(l.quantity * l.price)}</span>
                </p>
              ),
            )}
            {draft ? (
              <AddLine
                label={kind === 'part' ? 'another part' : kind === 'work' ? 'other work' : 'postage, a box…'}
                onAdd={(what) =>
                  onKeep({ ...q, lines: [...q.lines, { id: freshId(), kind, what, quantity: 1, price: 0 }] })
                }
              />
            ) : null}
          </section>
        )
      })}
      {draft ? (
        <div className="grid grid-cols-[170px_minmax(0,1fr)] gap-3">
          <DateCell
            title="valid until"
            label="Day until which the quote is valid"
            value={q.validUntil}
            onCommit={(d) => onKeep(withDay(q, d))}
          />
          <TextCell
            title="note to the client"
            label="Note to the client on the quote"
            value={q.note ?? ''}
            onCommit={(note) => onKeep(withNote(q, note))}
          />
        </div>
      ) : null}
    </>
  )
}

const withDay = ({ validUntil: _was, ...q }: Quote, d: string | undefined): Quote => (d ? { ...q, validUntil: d } : q)
const withNote = ({ note: _was, ...q }: Quote, note: string): Quote => (note.trim() ? { ...q, note } : q)
