import { fact, known } from '@nubrin/core/facts'
import { adapterFor } from '@nubrin/core/fit'
import { Blade, type Saber } from '@nubrin/core/record'
import { bound, FactField, type FactSchema, Labelled, RemoveButton, TextCell } from '../../kit'
import { SuppliedCell } from '../../shared/Supplied'

const SIZES = [
  ['outside', 'its outside'],
  ['bore', 'its bore'],
  ['length', 'how far it reaches in'],
] as const
type Adapter = NonNullable<Blade['adapter']>

/** The sleeve between a tube and a wider socket: recorded where there is one, offered where one would help. */
export function AdapterFields({
  saber,
  blade: b,
  onEdit,
}: {
  saber: Saber
  blade: Blade
  onEdit: (run: (x: Blade) => void) => void
}) {
  const { adapter } = b
  if (!adapter) {
    const wanted = adapterFor(saber, b)
    return (
      <button
        type="button"
        className="text-brass self-end text-left"
        onClick={() =>
          onEdit((x) => {
            const size = (v: number | undefined) =>
              fact(v === undefined ? null : Number(v.toFixed(2)), 'mm', 'computed')
            x.adapter = { name: 'adapter', outside: size(wanted?.outsideMm), bore: size(wanted?.insideMm) }
          })
        }
      >
        + an adapter in the socket
      </button>
    )
  }
  const set = (run: (a: Adapter) => void) => onEdit((x) => void (x.adapter && run(x.adapter)))
  return (
    <fieldset
      aria-label={`Adapter of ${b.name}`}
      className="border-rule col-span-5 grid grid-cols-6 items-end gap-x-3 border-t pt-1"
    >
      <TextCell
        title="adapter"
        label={`Adapter of ${b.name}`}
        value={adapter.name}
        onCommit={(v) => set((a) => void (a.name = v || a.name))}
      />
      {SIZES.map(([key, label]) => (
        <FactField<'mm'>
          key={key}
          label={label}
          value={adapter[key]}
          of={ADAPTER[key] as FactSchema<'mm'>}
          onCommit={(v) =>
            set((a) => {
              // A length that is taken back is none; a size stays unknown.
              if (key === 'length' && known(v) === undefined && !v.trail) delete a.length
              else a[key] = v
            })
          }
        />
      ))}
      <Labelled label="comes from">
        <SuppliedCell of={adapter} what={`the adapter of ${b.name}`} onEdit={set} />
      </Labelled>
      <RemoveButton what={`the adapter of ${b.name}`} onClick={() => bound(b, onEdit).put('adapter', undefined)} />
    </fieldset>
  )
}
const ADAPTER = Blade.properties.adapter.properties
