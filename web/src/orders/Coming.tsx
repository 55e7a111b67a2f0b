import { useState } from 'react'
import { Link } from 'react-router'
import { type OrderLine, type Orders, todayIso, type useOrders } from '../data'
import { DateCell, dayOfWeeks, NumberCell, RemoveButton, SelectCell, TextCell } from '../kit'

type Came = Parameters<ReturnType<typeof useOrders>['arrive']['mutate']>[0]
interface Props {
  said: Orders
  onArrive: (came: Came) => void
  onDrop: (id: string) => void
}
const HOW = { good: 'as ordered', wrong: 'the wrong part', damaged: 'damaged' } as const
type How = keyof typeof HOW

/** What is on its way, the longest overdue first, with the last arrivals. */
export function Coming({ said, onArrive, onDrop }: Props) {
  const [open, setOpen] = useState<string>()
  const [past, setPast] = useState(false)
  const today = todayIso()
  return (
    <section aria-label="On order">
      <h2 className="h2">On order</h2>
      {said.coming.length ? null : <p className="text-quiet">Nothing is on order.</p>}
      {said.coming.map((l) => {
        const late = l.expectedOn !== undefined && l.expectedOn < today
        return (
          <div key={l.id} className="border-rule border-b py-1">
            <div className="flex items-center gap-2">
              <strong className="tabular-nums">{l.quantity} ×</strong>
              <span className="truncate font-medium">{l.name}</span>
              <span className={`ml-auto shrink-0 ${late ? 'text-stop font-semibold' : ''}`}>
                {l.expectedOn ? `${late ? 'was due' : 'due'} ${dayOfWeeks(l.expectedOn, true)}` : 'no day named'}
              </span>
              <button
                type="button"
                className="btn min-h-8! py-0!"
                aria-label={`${l.name} arrived`}
                onClick={() => setOpen(open === l.id ? undefined : l.id)}
              >
                arrived
              </button>
              <RemoveButton what={`the order of ${l.name}`} onClick={() => onDrop(l.id)} />
            </div>
            <p className="text-quiet">
              {l.supplier}, ordered {dayOfWeeks(l.orderedOn)} by {l.by}
              {l.commission ? (
                <>
                  {' for '}
                  <Link to={`/commission/${l.commission}/fit`} className="underline decoration-dotted">
                    {l.title ?? l.commission}
                  </Link>
                </>
              ) : null}
            </p>
            {open === l.id ? (
              <Arrival
                line={l}
                onArrive={(c) => {
                  onArrive(c)
                  setOpen(undefined)
                }}
              />
            ) : null}
          </div>
        )
      })}
      {said.arrived.length ? (
        <button type="button" className="btn-plain btn" aria-expanded={past} onClick={() => setPast(!past)}>
          {past ? 'hide' : 'show'} the last arrivals
        </button>
      ) : null}
      {past
        ? said.arrived.map((l) => (
            <p key={l.id} className="border-rule border-b py-0.5">
              {l.quantity} × {l.name}{' '}
              <span className="text-quiet">
                {dayOfWeeks(l.arrivedOn!)} from {l.supplier}
                {l.lot ? `, lot ${l.lot}` : ''}
              </span>
              {l.fault ? <span className="text-stop"> {HOW[l.fault]}</span> : null}
            </p>
          ))
        : null}
    </section>
  )
}

/** How many came, of which lot, and whether it is what was ordered. */
function Arrival({ line: l, onArrive }: { line: OrderLine; onArrive: (came: Came) => void }) {
  const [quantity, setQuantity] = useState(l.quantity)
  const [lot, setLot] = useState('')
  const [on, setOn] = useState(todayIso())
  const [how, setHow] = useState<How>('good')
  const [note, setNote] = useState('')
  const fault = how === 'good' ? undefined : how
  return (
    <div className="bg-card border-brassline grid grid-cols-[60px_minmax(0,1fr)_130px_150px] items-end gap-3 border-t-2 p-3">
      <NumberCell
        title="how many"
        label={`How many of ${l.name} arrived`}
        max={9999}
        value={quantity}
        onCommit={(v) => setQuantity(v ?? l.quantity)}
      />
      <TextCell title="lot" label={`Lot of ${l.name}`} value={lot} onCommit={setLot} />
      <DateCell
        title="arrived on"
        label={`Day on which ${l.name} arrived`}
        value={on}
        onCommit={(d) => setOn(d ?? on)}
      />
      <SelectCell
        title="condition"
        label={`Condition of ${l.name}`}
        value={how}
        options={Object.keys(HOW) as How[]}
        words={(h) => HOW[h]}
        onCommit={setHow}
      />
      {fault ? (
        <TextCell
          title="what is wrong"
          span="col-span-3"
          label={`What is wrong with ${l.name}`}
          value={note}
          onCommit={setNote}
        />
      ) : null}
      <button
        type="button"
        className="btn col-span-4 justify-self-start"
        disabled={quantity < 1}
        onClick={() =>
          onArrive({
            ...{ id: l.id, on, quantity: Math.round(quantity) },
            ...(lot.trim() ? { lot } : {}),
            ...(fault ? { fault } : {}),
            ...(note.trim() ? { note } : {}),
          })
        }
      >
        {fault ? 'book it' : 'put it on the shelf'}
      </button>
    </div>
  )
}
