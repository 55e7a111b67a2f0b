import { ITEM_ROLES, type Item, KINDS, kindRule, type PartKind } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, CheckBox, CountCell, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'
import { Notes } from '../../things/Notes'
import { PlaceCell } from '../../things/PlaceCell'
import { SuppliedCell } from '../../things/Supplied'

const ROLE_WORDS = { accessory: 'goes with', alternative: 'stands in for', spare: 'spare of' }
const KIND_KEYS = Object.keys(KINDS) as PartKind[]

/** What a saber needs beside what is built in: chargers, adapters, a second pommel, spare screws; who brings each. */
export function Items() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  return (
    <section aria-label="What goes with it">
      <h2 className="h2">What goes with it</h2>
      {saber.items.map((x) => (
        <ItemRow key={x.id} item={x} />
      ))}
      <AddLine
        label="charger, adapter, second pommel, spare screw…"
        onAdd={(what) =>
          editSaber(
            'what goes with it',
            (s) => void s.items.push({ id: freshId(), what, role: 'accessory', quantity: 1, supplied: 'shop' }),
          )
        }
      />
    </section>
  )
}

function ItemRow({ item: x }: { item: Item }) {
  const edit = useEditThing('items')
  const remove = useRemove()
  const set = (run: (y: Item) => void) => edit('what goes with it', x.id, run)
  return (
    <div className="border-rule border-b py-1">
      <div className="grid grid-cols-[minmax(0,2fr)_3rem_8.5rem_minmax(0,1.5fr)_9rem_1.75rem] items-center gap-3">
        <TextCell
          label={`Item ${x.what}`}
          className="font-medium"
          value={x.what}
          onCommit={(v) => set((y) => void (y.what = v || y.what))}
        />
        <CountCell
          label={`How many of ${x.what}`}
          max={999}
          value={x.quantity}
          onCommit={(v) => set((y) => void (y.quantity = v))}
        />
        <SelectCell
          label={`Role of ${x.what}`}
          value={x.role}
          options={ITEM_ROLES}
          words={(v) => ROLE_WORDS[v]}
          onCommit={(v) => set((y) => void (y.role = v))}
        />
        <PlaceCell
          label={`What ${x.what} goes with`}
          value={x.of}
          none="the whole saber"
          onCommit={(v) => set((y) => void (v ? (y.of = v) : delete y.of))}
        />
        <SuppliedCell
          of={x as { supplied?: Item['supplied'] }}
          what={x.what}
          onEdit={(run) =>
            set((y) => {
              const z: { supplied?: Item['supplied'] } = { supplied: y.supplied }
              run(z)
              y.supplied = z.supplied ?? 'shop'
            })
          }
        />
        <RemoveButton what={x.what} onClick={() => remove(`item:${x.id}`)} />
      </div>
      <div className="grid grid-cols-[9rem_minmax(0,1fr)_minmax(0,1fr)_auto_auto] items-end gap-3 pr-8">
        <Labelled label="kind">
          <SelectCell
            label={`Kind of ${x.what}`}
            value={x.kind ?? ''}
            options={['', ...KIND_KEYS]}
            words={(v) => (v ? kindRule(v).label : 'not said')}
            onCommit={(v) => set((y) => void (v ? (y.kind = v) : delete y.kind))}
          />
        </Labelled>
        <Labelled label="type to ask for">
          <TextCell
            label={`Type of ${x.what}`}
            value={x.type ?? ''}
            onCommit={(v) => set((y) => setText(y, 'type', v))}
          />
        </Labelled>
        <Labelled label="size">
          <TextCell
            label={`Size of ${x.what}`}
            value={x.size ?? ''}
            onCommit={(v) => set((y) => setText(y, 'size', v))}
          />
        </Labelled>
        <CheckBox
          checked={!!x.protected}
          onChange={(on) => set((y) => void (on ? (y.protected = true) : delete y.protected))}
        >
          protected<span className="sr-only">: {x.what}</span>
        </CheckBox>
        <CheckBox checked={!!x.shown} onChange={(on) => set((y) => void (on ? (y.shown = true) : delete y.shown))}>
          in the film<span className="sr-only">: {x.what}</span>
        </CheckBox>
      </div>
      <Notes of={x} what={x.what} onEdit={set} className="pr-8" />
    </div>
  )
}
