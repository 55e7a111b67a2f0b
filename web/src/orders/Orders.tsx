import { dayAfter } from '@nubrin/core/units'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { freshId, type Orders as OrdersSaid, todayIso, urlOf, useOrders } from '../data'
import { AddLine, ComboCell, DateCell, Empty, NumberCell, Refused, TextCell, tell } from '../kit'
import { Coming } from './Coming'
import { InHand } from './InHand'
import { Substitutes } from './Substitutes'

/** Parts on order: what is to be ordered, what is on its way, what came, and what is in hand for whom. */
export default function Orders() {
  const { list, order, arrive, drop, reserve } = useOrders()
  const [looked, setLooked] = useState<{ commission: string; part: string }>()
  useEffect(() => {
    document.title = 'Parts on order · Nubrin'
  }, [])
  const data = list.data
  const failed = [list, order, arrive, drop, reserve].find((q) => q.error)?.error
  const pieces = data?.toOrder.reduce((n, t) => n + t.toOrder, 0) ?? 0
  const late = data?.coming.filter((l) => l.expectedOn && l.expectedOn < todayIso()).length ?? 0
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <Link to="/" aria-label="back to the rack" className="text-brass text-[1.3rem]">
          ←
        </Link>
        <h1 className="shrink-0 text-[1.4rem]">Parts on order</h1>
        <p className="text-quiet truncate">
          {data
            ? [`${pieces || 'nothing'} to order`, `${data.coming.length} on order`, late ? `${late} late` : '']
                .filter(Boolean)
                .join(' · ')
            : ''}
        </p>
        <div className="ml-auto flex shrink-0 items-center gap-3">
          <Link to="/shelf" className="btn">
            the shelf
          </Link>
          <a className="btn" href={urlOf('orderList', {})}>
            order list (CSV)
          </a>
        </div>
      </header>
      <main className="grid gap-x-8 gap-y-4 px-5 py-3 min-[1000px]:grid-cols-2">
        <div className="space-y-5">
          <Refused why={failed?.message} />
          {data?.twice.map((t) => (
            <p key={t.row.id} role="alert" className="text-stop font-medium">
              {t.row.name}: {t.reserved.length} reserved, {t.row.stock} in stock. None left for{' '}
              {t.without.map((c) => c.title).join(', ')}.
            </p>
          ))}
          {data ? (
            <ToOrderList
              said={data}
              onOrder={(lines) => order.mutate(lines, { onSuccess: () => tell('Order booked.') })}
              onLook={setLooked}
            />
          ) : null}
          {looked ? <Substitutes of={looked} close={() => setLooked(undefined)} /> : null}
          {data?.low.length ? (
            <section aria-label="Running low">
              <h2 className="h2">Running low</h2>
              {data.low.map((l) => (
                <p key={l.row.id} className="border-rule border-b py-1">
                  <span className="font-medium">{l.row.name}</span>{' '}
                  <span className="text-quiet">
                    {l.free} free; {l.used} used in 90 days, {l.needed} needed until the next delivery
                  </span>
                </p>
              ))}
            </section>
          ) : null}
        </div>
        <div className="space-y-5">
          {data ? (
            <Coming
              said={data}
              onArrive={(came) =>
                arrive.mutate(came, {
                  onSuccess: () =>
                    tell(came.fault ? 'Booked; sending it back is on the to-do list.' : 'It is on the shelf.'),
                })
              }
              onDrop={(id) => drop.mutate(id)}
            />
          ) : null}
          {data ? <InHand free={data.free} onReserve={(x) => reserve.mutate({ ...x, on: todayIso() })} /> : null}
        </div>
      </main>
    </div>
  )
}

type Line = Parameters<ReturnType<typeof useOrders>['order']['mutate']>[0][number]
interface ToOrderProps {
  said: OrdersSaid
  onOrder: (lines: Line[]) => void
  onLook: (of: { commission: string; part: string }) => void
}
/** What is to be ordered, by supplier: chosen, less what is in hand and free, less what is on its way. */
function ToOrderList({ said, onOrder, onLook }: ToOrderProps) {
  const suppliers = [...new Set(said.toOrder.map((t) => t.row.supplier ?? ''))].toSorted()
  return (
    <section aria-label="To order">
      <h2 className="h2">To order</h2>
      {suppliers.length ? null : <Empty title="Nothing to order">Every chosen part is in stock or on order.</Empty>}
      {suppliers.map((s) => (
        <Supplier
          key={s}
          name={s}
          rows={said.toOrder.filter((t) => (t.row.supplier ?? '') === s)}
          onOrder={onOrder}
          onLook={onLook}
        />
      ))}
      <Other onOrder={onOrder} said={said} />
    </section>
  )
}

function Supplier({
  name,
  rows,
  onOrder,
  onLook,
}: { name: string; rows: OrdersSaid['toOrder'] } & Pick<ToOrderProps, 'onOrder' | 'onLook'>) {
  const [by, setBy] = useState<string>()
  const cost = rows.reduce((sum, t) => sum + t.toOrder * (t.row.cost ?? 0), 0)
  const send = () =>
    onOrder(
      rows.map((t) => ({
        ...{ id: freshId(), catalogue: t.row.id, name: t.row.name, supplier: name || 'not said', quantity: t.toOrder },
        orderedOn: todayIso(),
        ...(by ? { expectedOn: by } : {}),
      })),
    )
  return (
    <div className="mb-3">
      <div className="flex items-center gap-3">
        <h3 className="font-semibold">{name || 'no supplier said'}</h3>
        {cost ? <span className="text-quiet">about {cost.toFixed(2)}</span> : null}
        <span className="ml-auto">due</span>
        <DateCell label={`Day named by ${name}`} value={by} onCommit={setBy} />
        <button type="button" className="btn min-h-8! py-0!" onClick={send}>
          ordered
        </button>
        <a className="text-brass" href={urlOf('orderList', { query: { supplier: name } })}>
          CSV
        </a>
      </div>
      {rows.map((t) => (
        <div key={t.row.id} className="border-rule border-b py-1">
          <div className="flex items-baseline gap-2">
            <strong className="tabular-nums">{t.toOrder} ×</strong>
            <span className="font-medium">{t.row.name}</span>
            <span className="text-quiet ml-auto shrink-0">
              {t.chosen} chosen, {t.free} free, {t.onOrder} on order
            </span>
          </div>
          <p className="text-quiet flex flex-wrap gap-x-3">
            {t.for.map((c) => (
              <span key={`${c.commission}${c.part}`}>
                <Link to={`/commission/${c.commission}/fit`} className="underline decoration-dotted">
                  {c.title}
                </Link>{' '}
                <button
                  type="button"
                  className="text-brass"
                  aria-label={`What else fits for ${c.title}`}
                  onClick={() => onLook({ commission: c.commission, part: c.part })}
                >
                  what else fits?
                </button>
              </span>
            ))}
          </p>
        </div>
      ))}
    </div>
  )
}

/** Something that the shelf has no row of, or more than is chosen. */
function Other({ said, onOrder }: { said: OrdersSaid; onOrder: (lines: Line[]) => void }) {
  const [name, setName] = useState<string>()
  const [supplier, setSupplier] = useState('')
  const [quantity, setQuantity] = useState(1)
  const [by, setBy] = useState<string | undefined>(dayAfter(todayIso(), 7))
  const known = [...new Set([...said.coming, ...said.arrived].map((l) => l.supplier))].toSorted()
  if (name === undefined) return <AddLine label="something else that was ordered" onAdd={setName} />
  return (
    <div className="bg-card border-brassline grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_60px_auto] items-end gap-3 border-t-2 p-3">
      <TextCell title="what" label="What was ordered" value={name} onCommit={setName} />
      <ComboCell title="from" label="Supplier of it" suggestions={known} value={supplier} onCommit={setSupplier} />
      <NumberCell
        title="how many"
        label="How many of it"
        max={9999}
        value={quantity}
        onCommit={(v) => setQuantity(v ?? 1)}
      />
      <DateCell title="due" label="Day named for it" value={by} onCommit={setBy} />
      <div className="col-span-4 flex gap-3">
        <button
          type="button"
          className="btn"
          disabled={!name.trim() || !supplier.trim() || quantity < 1}
          onClick={() => {
            onOrder([
              {
                ...{ id: freshId(), name, supplier, quantity: Math.round(quantity), orderedOn: todayIso() },
                ...(by ? { expectedOn: by } : {}),
              },
            ])
            setName(undefined)
          }}
        >
          ordered
        </button>
        <button type="button" className="btn-plain btn" onClick={() => setName(undefined)}>
          cancel
        </button>
      </div>
    </div>
  )
}
