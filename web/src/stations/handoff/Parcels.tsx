import { CARRIERS, carrierOf, expectedMass, lithiumOf, refusalWords } from '@nubrin/core/box'
import { Parcel } from '@nubrin/core/record'
import { freshId, urlOf } from '../../data'
import {
  AddLine,
  CheckBox,
  DateCell,
  FactField,
  type FactSchema,
  FigureView,
  Labelled,
  Mark,
  RemoveButton,
  SelectCell,
  setText,
  TextCell,
} from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'
import { Notes } from '../../things/Notes'

type K = ReturnType<typeof useOrder>['parcels'][number]
const MARK = { taken: 'fine', confirm: 'caution', refused: 'stop', unknown: 'caution' } as const

/** Where it goes: to whom, by whom, what it weighs against what it should, and what the carrier says of its cells. */
export function Parcels() {
  const order = useOrder()
  const edit = useEdit()
  return (
    <section aria-label="Parcels">
      <h2 className="h2">Parcels</h2>
      {order.parcels.length ? null : (
        <p className="text-quiet">
          All of it goes to {order.client.name || 'the client'}. Name a parcel to weigh it, to print its label, and to
          see what its carrier says of the cells.
        </p>
      )}
      {order.parcels.map((k) => (
        <ParcelSheet key={k.id} parcel={k} />
      ))}
      <AddLine
        label="a parcel to …"
        onAdd={(to) => edit('parcel', (d) => void d.parcels.push({ id: freshId(), to, abroad: false }))}
      />
    </section>
  )
}

function ParcelSheet({ parcel: k }: { parcel: K }) {
  const order = useOrder()
  const edit = useEditEntry('parcels')
  const remove = useRemove()
  const set = (run: (x: K) => void) => edit('parcel', k.id, run)
  const text = (key: 'to' | 'size' | 'tracking' | 'confirmedBy', label: string, name: string) => (
    <Labelled label={label}>
      <TextCell
        label={`${name} to ${k.to}`}
        value={k[key] ?? ''}
        onCommit={(v) => set((x) => (key === 'to' ? void (x.to = v || x.to) : setText(x, key, v)))}
      />
    </Labelled>
  )
  const day = (key: 'sentOn' | 'confirmedOn', label: string, name: string) => (
    <Labelled label={label}>
      <DateCell label={`${name} to ${k.to}`} value={k[key]} onCommit={(v) => set((x) => setText(x, key, v ?? ''))} />
    </Labelled>
  )
  const says = lithiumOf(order, k)
  return (
    <article aria-label={`Parcel to ${k.to}`} className="bg-card border-ink mb-3 border p-3">
      <div className="flex items-center gap-2">
        <h3 className="flex-1 text-[1.1rem] font-semibold">to {k.to}</h3>
        <a
          className="btn"
          href={urlOf('parcelLabel', { params: { id: order.id, parcel: k.id } })}
          target="_blank"
          rel="noreferrer"
        >
          its label
        </a>
        <RemoveButton what={`the parcel to ${k.to}`} onClick={() => remove(`parcel:${k.id}`)} />
      </div>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-1">
        {text('to', 'to', 'Name of the parcel')}
        <Labelled label="carrier">
          <SelectCell
            label={`Carrier of the parcel to ${k.to}`}
            value={k.carrier ?? ''}
            options={['', ...CARRIERS.map((c) => c.id)]}
            words={(v) => carrierOf(v)?.name ?? 'not chosen'}
            onCommit={(v) => set((x) => setText(x, 'carrier', v))}
          />
        </Labelled>
        <Labelled label="address">
          <TextCell
            label={`Address of the parcel to ${k.to}`}
            lines={2}
            value={k.address ?? ''}
            onCommit={(v) => set((x) => setText(x, 'address', v))}
          />
        </Labelled>
        <CheckBox className="self-center" checked={k.abroad} onChange={(on) => set((x) => void (x.abroad = on))}>
          crosses a border
        </CheckBox>
        <FactField
          label="the empty box"
          of={Parcel.properties.boxMass as FactSchema<'g'>}
          value={k.boxMass}
          onCommit={(f) => set((x) => void (x.boxMass = f))}
        />
        <FactField
          label="on the scale"
          of={Parcel.properties.mass as FactSchema<'g'>}
          value={k.mass}
          onCommit={(f) => set((x) => void (x.mass = f))}
        />
      </div>
      <FigureView name="should weigh" figure={expectedMass(order, k)} digits={0} />
      {says.map((x) => (
        <p key={`${x.cells.name}${x.cells.are}`} className="mt-1 flex items-start gap-2 leading-tight">
          <span className="mt-0.5">
            <Mark level={x.answer === 'confirm' && k.confirmedBy ? 'fine' : MARK[x.answer]} size={16} />
          </span>
          <span>
            {x.cells.count} × {x.cells.name}
            {x.cells.wattHours === undefined ? '' : `, ${x.cells.wattHours.toFixed(1)} Wh`}: {answer(x, k)}
          </span>
        </p>
      ))}
      <details className="mt-1" open={says.some((x) => x.answer === 'confirm')}>
        <summary className="text-brass cursor-pointer">confirmed, sent, tracking</summary>
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          {text('confirmedBy', 'confirmed by', 'Who confirmed the parcel')}
          {day('confirmedOn', 'confirmed on', 'Confirmed for the parcel')}
          {day('sentOn', 'sent on', 'Sent the parcel')}
          {text('tracking', 'tracking number', 'Tracking number of the parcel')}
          {text('size', 'size', 'Size of the parcel')}
          <Notes of={k} what={`the parcel to ${k.to}`} onEdit={set} />
        </div>
      </details>
    </article>
  )
}

function answer(x: ReturnType<typeof lithiumOf>[number], k: K): string {
  const carrier = carrierOf(k.carrier)?.name ?? 'the carrier'
  switch (x.answer) {
    case 'taken':
      return `${carrier} takes it so; its own rules and the country’s decide`
    case 'confirm':
      return k.confirmedBy ? `confirmed by ${k.confirmedBy}` : `to be confirmed by ${x.by}`
    case 'refused':
      return `${carrier} does not take it: ${refusalWords(x.why)}`
    case 'unknown':
      return 'not to be judged: voltage or capacity is not recorded'
  }
}
