import { ITEM_ROLES, type Item, KINDS, kindRule, type PartKind } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, bound, CheckBox, CountCell, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { PlaceCell } from '../../shared/PlaceCell'
import { SuppliedCell } from '../../shared/Supplied'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'

const ROLE_WORDS = { accessory: 'goes with', alternative: 'replaces', spare: 'spare of' }
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
  const { choice, maybe, text, tick } = bound(x, set)
  return (
    <div className="border-rule border-b py-1">
      <div className="grid grid-cols-[minmax(0,2fr)_3rem_8.5rem_minmax(0,1.5fr)_9rem_1.75rem] items-center gap-3">
        <TextCell
          label={`Item ${x.what}`}
          className="font-medium"
          value={x.what}
          onCommit={(v) => set((y) => void (y.what = v || y.what))}
        />
        <CountCell label={`How many of ${x.what}`} max={999} {...choice('quantity')} />
        <SelectCell label={`Role of ${x.what}`} options={ITEM_ROLES} words={(v) => ROLE_WORDS[v]} {...choice('role')} />
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
      <div className="grid grid-cols-[9rem_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_auto_auto] items-end gap-3 pr-8">
        <SelectCell
          title="kind"
          label={`Kind of ${x.what}`}
          options={['', ...KIND_KEYS]}
          words={(v) => (v ? kindRule(v).label : 'not said')}
          {...maybe('kind')}
        />
        <TextCell title="type to order" label={`Type of ${x.what}`} {...text('type')} />
        <TextCell title="size" label={`Size of ${x.what}`} {...text('size')} />
        <TextCell title="where to buy it" label={`Where ${x.what} is to be had`} {...text('from')} />
        <CheckBox {...tick('protected')}>
          protected<span className="sr-only">: {x.what}</span>
        </CheckBox>
        <CheckBox {...tick('shown')}>
          in the film<span className="sr-only">: {x.what}</span>
        </CheckBox>
      </div>
      <Notes of={x} what={x.what} onEdit={set} className="pr-8" />
    </div>
  )
}
