import { Parcel } from '@nubrin/core/record'
import {
  CARRIERS,
  carrierOf,
  cellsOf,
  confirmable,
  confirmation,
  expectedMass,
  lithiumOf,
  refusalWords,
} from '@nubrin/core/shipping'
import { freshId, todayIso, urlOf } from '../../data'
import {
  AddLine,
  bound,
  CheckBox,
  DateCell,
  FactField,
  type FactSchema,
  FigureView,
  Mark,
  RemoveButton,
  SelectCell,
  TextCell,
} from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'

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

type Set = (run: (x: K) => void) => void

/** What the carrier's rules say of each cell in it. */
const Lithium = ({ parcel: k, says, holds }: { parcel: K; says: ReturnType<typeof lithiumOf>; holds: boolean }) =>
  says.map((x) => (
    <p key={`${x.cells.name}${x.cells.are}`} className="mt-1 flex items-start gap-2 leading-tight">
      <span className="mt-0.5">
        <Mark level={x.answer === 'confirm' && holds ? 'fine' : MARK[x.answer]} size={16} />
      </span>
      <span>
        {x.cells.count} × {x.cells.name}
        {x.cells.wattHours === undefined ? '' : `, ${x.cells.wattHours.toFixed(1)} Wh`}: {answer(x, k, holds)}
      </span>
    </p>
  ))

/** Whoever confirms it confirms it as it is packed today, for as long as that stays so. */
function confirm(order: ReturnType<typeof useOrder>, x: K, by: string) {
  if (!by) {
    delete x.confirmedBy
    delete x.confirmedFor
    return
  }
  x.confirmedBy = by
  x.confirmedOn ??= todayIso()
  x.confirmedFor = confirmable(order, x)
}

/** Who confirmed it, when it left, and by what number it is found. */
function OnItsWay({ parcel: k, asked, set }: { parcel: K; asked: boolean; set: Set }) {
  const order = useOrder()
  const { day, text } = bound(k, set)
  return (
    <details className="mt-1" open={asked}>
      <summary className="text-brass cursor-pointer">confirmed, sent, tracking</summary>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        <TextCell
          title="confirmed by"
          field="confirmedBy"
          label={`Who confirmed the parcel to ${k.to}`}
          value={k.confirmedBy ?? ''}
          onCommit={(v) => set((x) => confirm(order, x, v.trim()))}
        />
        <DateCell title="confirmed on" label={`Confirmed for the parcel to ${k.to}`} {...day('confirmedOn')} />
        <DateCell title="sent on" label={`Sent the parcel to ${k.to}`} {...day('sentOn')} />
        <TextCell title="tracking number" label={`Tracking number of the parcel to ${k.to}`} {...text('tracking')} />
        <TextCell title="size" label={`Size of the parcel to ${k.to}`} {...text('size')} />
        <Notes of={k} what={`the parcel to ${k.to}`} onEdit={set} />
      </div>
    </details>
  )
}

function ParcelSheet({ parcel: k }: { parcel: K }) {
  const order = useOrder()
  const edit = useEditEntry('parcels')
  const remove = useRemove()
  const set: Set = (run) => edit('parcel', k.id, run)
  const { given, text } = bound(k, set)
  const says = lithiumOf(order, k)
  const holds = confirmation(order, k, todayIso()) === 'holds'
  const { tick } = bound(k, set)
  const loose = cellsOf(order, k)
  return (
    <article aria-label={`Parcel to ${k.to}`} data-of={`parcel:${k.id}`} className="bg-card border-ink mb-3 border p-3">
      <div className="flex items-center gap-2">
        <h3 className="flex-1 text-[1.1rem] font-semibold">to {k.to}</h3>
        <a
          className="btn"
          href={urlOf('parcelLabel', { params: { id: order.id, parcel: k.id } })}
          target="_blank"
          rel="noreferrer"
        >
          print its label
        </a>
        <RemoveButton what={`the parcel to ${k.to}`} onClick={() => remove(`parcel:${k.id}`)} />
      </div>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-1">
        <TextCell
          title="to"
          label={`Name of the parcel to ${k.to}`}
          value={k.to}
          onCommit={(v) => set((x) => void (x.to = v || x.to))}
        />
        <SelectCell
          title="carrier"
          label={`Carrier of the parcel to ${k.to}`}
          options={['', ...CARRIERS.map((c) => c.id)]}
          words={(v) => carrierOf(v)?.name ?? 'not chosen'}
          {...text('carrier')}
        />
        <TextCell title="address" label={`Address of the parcel to ${k.to}`} lines={2} {...text('address')} />
        <CheckBox className="self-center" checked={k.abroad} onChange={(on) => set((x) => void (x.abroad = on))}>
          crosses a border
        </CheckBox>
        <FactField label="the empty box" of={Parcel.properties.boxMass as FactSchema<'g'>} {...given('boxMass')} />
        <FactField label="on the scale" of={Parcel.properties.mass as FactSchema<'g'>} {...given('mass')} />
      </div>
      <FigureView name="should weigh" figure={expectedMass(order, k)} digits={0} />
      <Lithium parcel={k} says={says} holds={holds} />
      {loose.length || k.polesCovered || k.cannotWake ? (
        <div className="mt-1 flex flex-wrap gap-4">
          <CheckBox {...tick('polesCovered')}>poles of loose cells are covered</CheckBox>
          <CheckBox {...tick('cannotWake')}>it cannot wake on the way</CheckBox>
        </div>
      ) : null}
      <OnItsWay parcel={k} asked={says.some((x) => x.answer === 'confirm' && !holds)} set={set} />
    </article>
  )
}

function answer(x: ReturnType<typeof lithiumOf>[number], k: K, holds: boolean): string {
  const carrier = carrierOf(k.carrier)?.name ?? 'the carrier'
  switch (x.answer) {
    case 'taken':
      return `${carrier} takes it so; its own rules and the country’s decide`
    case 'confirm':
      return holds ? `confirmed by ${k.confirmedBy}` : `to be confirmed by ${x.by}`
    case 'refused':
      return `${carrier} does not take it: ${refusalWords(x.why)}`
    case 'unknown':
      return x.needs === 'charge'
        ? 'cannot be judged: its charge as shipped is not recorded'
        : 'cannot be judged: voltage or capacity is not recorded'
  }
}
