import { OPENINGS, type Opening, words } from '@nubrin/core/record'
import type { Unit } from '@nubrin/core/units'
import { useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { Labelled, SelectCell, setText, TextCell } from '../../ui/fields'
import { Sheet } from './Sheet'

const SIZES = [
  ['at', 'middle, from pommel', 'mm'],
  ['clock', 'clock angle', 'deg'],
  ['length', 'length', 'mm'],
  ['width', 'width', 'mm'],
] as const satisfies readonly (readonly [keyof Opening, string, Unit])[]

export function OpeningSheet({ opening: x }: { opening: Opening }) {
  const editSaber = useEditSaber()
  const set = (run: (y: Opening) => void) =>
    editSaber('opening', (s) => {
      const y = s.hilt.openings.find((q) => q.id === x.id)
      if (y) run(y)
    })
  return (
    <Sheet
      what="Opening"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() =>
        editSaber('remove opening', (s) => void (s.hilt.openings = s.hilt.openings.filter((q) => q.id !== x.id)))
      }
    >
      <SelectCell
        label="Kind of opening"
        value={x.kind}
        options={OPENINGS}
        words={words}
        onCommit={(v) => set((y) => void (y.kind = v))}
      />
      <div className="grid grid-cols-2 gap-2">
        {SIZES.map(([key, label, unit]) => (
          <FactField
            key={key}
            label={label}
            value={x[key]}
            unit={unit}
            quantity={unit === 'deg' ? 'angle' : 'length'}
            onCommit={(v) => set((y) => void (y[key] = v))}
          />
        ))}
      </div>
      <Labelled label="note">
        <TextCell label="Opening note" value={x.note ?? ''} onCommit={(v) => set((y) => setText(y, 'note', v))} />
      </Labelled>
    </Sheet>
  )
}
