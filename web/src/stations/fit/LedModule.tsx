import { fact, stated } from '@nubrin/core/facts'
import { Die, FEEDS, type FittedPart, JOININGS, type Saber } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, bound, ColourFactField, FactField, Labelled, RemoveButton, SelectCell, TextCell } from '../../kit'

const FED_WORDS = { resistor: 'a resistor', driver: 'a driver', addressable: 'its own chip' } as const
const JOINED_WORDS = { parallel: 'side by side', series: 'one after the other' } as const

interface Props {
  saber: Saber
  part: FittedPart
  onEdit: (run: (p: FittedPart) => void) => void
}

/** The resistors of a saber, to be named as what an LED stands behind. */
function Through<T extends { through?: string }>({
  saber,
  of,
  label,
  onEdit,
}: {
  saber: Saber
  of: T
  label: string
  onEdit: (run: (x: T) => void) => void
}) {
  const resistors = saber.parts.filter((p) => p.kind === 'resistor')
  return (
    <SelectCell
      title="behind"
      label={label}
      value={of.through ?? ''}
      options={['', ...resistors.map((r) => r.id as string)]}
      words={(v) => resistors.find((r) => r.id === v)?.name ?? 'none'}
      onCommit={(v) =>
        onEdit((x) => {
          if (v) x.through = v
          else delete x.through
        })
      }
    />
  )
}

/** What sets the current of an LED that is no pixel, and each of its dies: they differ in voltage, rating and colour. */
export function LedModule({ saber, part: p, onEdit }: Props) {
  const dies = p.dies ?? []
  const edit = (id: string) => (run: (d: Die) => void) =>
    onEdit((x) => {
      const d = x.dies?.find((y) => y.id === id)
      if (d) run(d)
    })
  return (
    <>
      <SelectCell
        title="its current is set by"
        label="Fed by"
        options={['', ...FEEDS]}
        words={(v) => (v ? FED_WORDS[v] : 'not said')}
        {...bound(p, onEdit).maybe('fed')}
      />
      {p.fed === 'driver' || p.fed === 'addressable' ? null : (
        <Through saber={saber} of={p} label={`Resistor of ${p.name}`} onEdit={onEdit} />
      )}
      {dies.length > 1 ? (
        <SelectCell
          title="its dies are joined"
          label="Dies joined"
          options={['', ...JOININGS]}
          words={(v) => (v ? JOINED_WORDS[v] : 'not said')}
          {...bound(p, onEdit).maybe('joined')}
        />
      ) : null}
      <div className="col-span-4">
        {dies.map((d) => (
          <fieldset
            key={d.id}
            aria-label={`Die ${d.name}`}
            className="border-rule grid grid-cols-6 items-end gap-x-3 border-t py-1"
          >
            <TextCell
              title="die"
              label={`Name of the die ${d.name}`}
              value={d.name}
              onCommit={(v) => edit(d.id)((x) => void (x.name = v || x.name))}
            />
            <Labelled label="colour">
              <ColourFactField label={`Colour of ${d.name}`} {...bound(d, edit(d.id)).given('colour')} />
            </Labelled>
            <FactField
              label="forward"
              of={Die.properties.forwardVolts}
              source="datasheet"
              {...bound(d, edit(d.id)).given('forwardVolts')}
            />
            <FactField
              label="rated"
              of={Die.properties.current}
              source="datasheet"
              {...bound(d, edit(d.id)).given('current')}
            />
            {p.fed === 'driver' || p.fed === 'addressable' ? (
              <span />
            ) : (
              <Through saber={saber} of={d} label={`Resistor of ${d.name}`} onEdit={edit(d.id)} />
            )}
            <RemoveButton
              what={`the die ${d.name}`}
              onClick={() =>
                onEdit((x) => {
                  const left = x.dies?.filter((y) => y.id !== d.id)
                  if (left?.length) x.dies = left
                  else delete x.dies
                })
              }
            />
          </fieldset>
        ))}
        <AddLine
          label="a die: red, royal blue, …"
          onAdd={(name) =>
            onEdit((x) => {
              const bare = {
                colour: stated('#ffffff', 'assumed'),
                forwardVolts: fact(null, 'V'),
                current: fact(null, 'mA'),
              }
              x.dies = [...(x.dies ?? []), { id: freshId(), name, ...bare }]
            })
          }
        />
      </div>
    </>
  )
}
