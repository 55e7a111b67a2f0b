import type { Arrival } from '@nubrin/core/record'
import { freshId, todayIso } from '../../data'
import { AddLine, bound, CheckBox, CountCell, DateCell, dayText, RemoveButton, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'
import { Faults } from './Faults'
import { Shares } from './Shares'

/** What the client sent, as it came, and what became of it. */
export function Arrivals() {
  const order = useOrder()
  const edit = useEdit()
  return (
    <section aria-label="Parts that arrived">
      <h2 className="h2">What they sent</h2>
      {order.arrivals.map((a, i) => (
        <ArrivalRow key={a.id} arrival={a} n={i + 1} />
      ))}
      <AddLine
        label="part, as it came"
        onAdd={(what) =>
          edit(
            'add arrival',
            (d) =>
              void d.arrivals.push({
                ...{ id: freshId(), what, quantity: 1, condition: '', conditionOn: todayIso(), faults: [] },
                shares: [{ id: freshId(), fate: 'undecided', count: 1 }],
              }),
          )
        }
      />
    </section>
  )
}

function ArrivalRow({ arrival: a, n }: { arrival: Arrival; n: number }) {
  const set = useEditEntry('arrivals')
  const remove = useRemove()
  const edit = (run: (x: Arrival) => void) => set('arrival', a.id, run)
  const { choice, day, text, tick } = bound(a, edit)
  /** One share follows the number; several are the maker's own sum. */
  const count = (v: number) =>
    edit((x) => {
      x.quantity = v
      if (x.shares.length === 1) x.shares[0]!.count = v
    })
  return (
    <div className="border-rule border-b pb-1.5">
      <div className="flex items-center gap-2">
        <TextCell label={`Part ${n}`} className="font-medium" {...choice('what')} />
        <CountCell
          label={`How many of ${a.what}`}
          className="w-9 shrink-0"
          max={999}
          value={a.quantity}
          onCommit={count}
        />
        <RemoveButton what={a.what} onClick={() => remove(`arrival:${a.id}`)} />
      </div>
      <Shares arrival={a} onEdit={edit} />
      <div className="pr-8">
        <TextCell label={`Condition of ${a.what}`} placeholder="condition on arrival" {...choice('condition')} />
      </div>
      {a.faults.length ? <Faults arrival={a} onEdit={edit} /> : null}
      <details className="text-[0.93rem]">
        <summary className="text-brass cursor-pointer pl-3">
          {[
            a.conditionOn ? `noted ${dayText(a.conditionOn)}` : 'no day',
            a.whole && 'whole saber',
            (a.note || a.shopNote) && 'notes',
          ]
            .filter(Boolean)
            .join(', ')}
        </summary>
        <div className="grid grid-cols-2 items-center gap-2 pr-8 pl-3">
          <DateCell label={`Condition of ${a.what} noted on`} {...day('conditionOn')} />
          <CheckBox {...tick('whole')}>
            whole saber<span className="sr-only">: {a.what}</span>
          </CheckBox>
          <TextCell label={`Note for the client on ${a.what}`} placeholder="note for the client" {...text('note')} />
          <TextCell label={`Shop note on ${a.what}`} placeholder="for the shop only" {...text('shopNote')} />
        </div>
        {a.faults.length ? null : <Faults arrival={a} onEdit={edit} />}
      </details>
    </div>
  )
}
