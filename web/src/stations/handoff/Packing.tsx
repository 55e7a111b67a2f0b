import { Packed, SUPPLIES } from '@nubrin/core/record'
import { isPacked, parcelOf, proposePacking } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId } from '../../data'
import {
  AddLine,
  bound,
  CheckBox,
  CountCell,
  FactField,
  type FactSchema,
  RemoveButton,
  SelectCell,
  setText,
} from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

type Line = ReturnType<typeof useOrder>['packing'][number]
const SUPPLY_WORDS = { packed: 'in a parcel', hasAlready: 'the client has it', toBuy: 'the client buys it' } as const
const OWNER_WORDS = { '': 'sold with it', client: 'the client’s own', shop: 'ours, comes back' } as const

/** What the client is to have beside him: ticked off when it is in, by parcel; what he has already and what he buys stands apart. */
export function Packing() {
  const order = useOrder()
  const edit = useEdit()
  // A line that moves to another parcel stays open.
  const [open, setOpen] = useState('')
  const proposed = proposePacking(MAKER, order)
  const draft = () =>
    edit('draft the packing list', (d) => {
      d.packing.push(...proposed.map((p) => ({ id: freshId(), ...p, packed: false })))
    })
  const packed = order.packing.filter(isPacked)
  const rest = order.packing.filter((p) => !isPacked(p))
  const groups = order.parcels.length
    ? order.parcels.map((k) => ({
        id: k.id as string,
        title: `to ${k.to}`,
        lines: packed.filter((p) => parcelOf(order, p) === k.id),
      }))
    : [{ id: '', title: '', lines: packed }]
  const done = packed.filter((p) => p.packed).length
  return (
    <section aria-label="Packing list">
      <div className="flex items-baseline">
        <h2 className="h2 flex-1">
          In the box
          {packed.length ? (
            <span className="text-quiet font-normal">
              {' '}
              · {done} of {packed.length}
            </span>
          ) : null}
        </h2>
        {proposed.length ? (
          <button type="button" className="btn-plain btn" onClick={draft}>
            draft {proposed.length} from the record
          </button>
        ) : null}
      </div>
      {groups.map((g) => (
        <div key={g.id}>
          {g.title ? <h3 className="label mt-2">{g.title}</h3> : null}
          {g.lines.map((p) => (
            <PackedLine key={p.id} line={p} open={open === p.id} onOpen={() => setOpen(open === p.id ? '' : p.id)} />
          ))}
        </div>
      ))}
      {rest.length ? <h3 className="label mt-3">not in a parcel</h3> : null}
      {rest.map((p) => (
        <PackedLine key={p.id} line={p} open={open === p.id} onOpen={() => setOpen(open === p.id ? '' : p.id)} />
      ))}
      <AddLine
        label="something else in the box"
        onAdd={(what) => edit('pack', (d) => void d.packing.push({ id: freshId(), what, quantity: 1, packed: false }))}
      />
    </section>
  )
}

function PackedLine({ line: p, open, onOpen }: { line: Line; open: boolean; onOpen: () => void }) {
  const order = useOrder()
  const edit = useEditEntry('packing')
  const remove = useRemove()
  const set = (run: (x: Line) => void) => edit('packing', p.id, run)
  const { choice, given, maybe, text } = bound(p, set)
  const marks = [p.owner && OWNER_WORDS[p.owner], !isPacked(p) && SUPPLY_WORDS[p.supply!]].filter(Boolean)
  return (
    <div className="border-rule border-b">
      <div className="flex items-center gap-2">
        {isPacked(p) ? (
          <CheckBox className="flex-1 py-1" checked={p.packed} onChange={(on) => set((x) => void (x.packed = on))}>
            {p.what}
            {marks.length ? <span className="text-quiet"> · {marks.join(', ')}</span> : null}
          </CheckBox>
        ) : (
          <span className="flex-1 py-1">
            {p.what} <span className="text-quiet">· {marks.join(', ')}</span>
          </span>
        )}
        <CountCell label={`How many: ${p.what}`} className="w-10 shrink-0" max={999} {...choice('quantity')} />
        <button
          type="button"
          className="text-brass"
          aria-expanded={open}
          aria-label={`${open ? 'Less' : 'More'} on ${p.what}`}
          onClick={onOpen}
        >
          {open ? 'less' : 'more'}
        </button>
        <RemoveButton what={p.what} onClick={() => remove(`packed:${p.id}`)} />
      </div>
      {open ? (
        <div className="bg-card mb-2 grid grid-cols-4 gap-x-3 gap-y-1 p-2">
          <SelectCell
            title="parcel"
            label={`Parcel of ${p.what}`}
            options={['', ...order.parcels.map((k) => k.id)]}
            words={(v) => order.parcels.find((k) => k.id === v)?.to ?? 'the first'}
            {...text('parcel')}
          />
          <SelectCell
            title="how the client gets it"
            label={`How the client gets ${p.what}`}
            value={p.supply ?? 'packed'}
            options={SUPPLIES}
            words={(v) => SUPPLY_WORDS[v]}
            onCommit={(v) => set((x) => setText(x, 'supply', v === 'packed' ? '' : v))}
          />
          <SelectCell
            title="goes with"
            label={`Saber ${p.what} goes with`}
            options={['', ...order.sabers.map((s) => s.id)]}
            words={(v) => order.sabers.find((s) => s.id === v)?.name ?? 'all'}
            {...text('saber')}
          />
          <SelectCell
            title="whose it is"
            label={`Whose ${p.what} is`}
            options={['', 'client', 'shop'] as const}
            words={(v) => OWNER_WORDS[v]}
            {...maybe('owner')}
          />
          <FactField label={`mass of ${p.what}`} of={Packed.properties.mass as FactSchema<'g'>} {...given('mass')} />
          <Notes of={p} what={p.what} onEdit={set} className="col-span-3" />
        </div>
      ) : null}
    </div>
  )
}
