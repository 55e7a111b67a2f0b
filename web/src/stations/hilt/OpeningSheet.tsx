import { FACES, OPENINGS, Opening, keyWords as words } from '@nubrin/core/record'
import { bound, ColourCell, FactField, Labelled, SelectCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditHilt, useRemove } from '../../store/commission'
import { Sheet } from './Sheet'

const LENGTHS = {
  side: [
    ['at', 'middle, from pommel'],
    ['length', 'length'],
    ['width', 'width'],
  ],
  rear: [
    ['fromAxis', 'middle, from the axis'],
    ['length', 'length outwards'],
    ['width', 'width'],
  ],
} as const

export function OpeningSheet({ opening: x }: { opening: Opening }) {
  const edit = useEditHilt('openings')
  const remove = useRemove()
  const set = (run: (y: Opening) => void) => edit('opening', x.id, run)
  const { choice, given } = bound(x, set)
  return (
    <Sheet
      what="Opening"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() => remove(`opening:${x.id}`)}
    >
      <div className="grid grid-cols-2 gap-2">
        <SelectCell label="Kind of opening" options={OPENINGS} words={words} {...choice('kind')} />
        <SelectCell
          label="Where the opening is"
          value={x.face ?? 'side'}
          options={FACES}
          words={(v) => ({ side: 'in the side', rear: 'in the rear face' })[v]}
          onCommit={(v) => set((y) => void (y.face = v))}
        />
      </div>
      <div className="grid grid-cols-2 gap-2">
        {LENGTHS[x.face ?? 'side'].map(([key, label]) => (
          <FactField
            key={key}
            field={key}
            label={label}
            value={x[key]}
            of={Opening.properties[key]}
            onCommit={(v) => set((y) => void (y[key] = v))}
          />
        ))}
        <FactField label="clock angle" of={Opening.properties.clock} {...given('clock')} />
      </div>
      {x.kind === 'window' ? (
        <div className="flex items-end gap-3">
          <Labelled label="tint of its glass">
            <ColourCell
              label={`Tint of ${x.name}`}
              value={x.tint ?? '#ffffff'}
              onCommit={(hex) => set((y) => void (y.tint = hex))}
            />
          </Labelled>
          {x.tint ? (
            <button type="button" className="text-brass pb-1" onClick={() => set((y) => void delete y.tint)}>
              clear, not tinted
            </button>
          ) : (
            <span className="text-quiet pb-1">clear</span>
          )}
        </div>
      ) : null}
      <Notes of={x} what={x.name} onEdit={set} />
    </Sheet>
  )
}
