import type { Repair } from '@nubrin/core/record'
import { bound, DateCell, dayText, Labelled, NumberCell, RefPicker, setText, TextCell, TextFactField } from '../../kit'
import { MoneyCell } from '../../shared/Money'
import { Notes } from '../../shared/Notes'
import { useEditThing, useSaber } from '../../store/commission'

/** A repair in full: the fault as it was reported, where it was, the proof in cycles, and what it cost. */
export function RepairDetails({ fix: f }: { fix: Repair }) {
  const saber = useSaber()
  const edit = useEditThing('repairs')
  const set = (run: (x: Repair) => void) => edit('repair', f.id, run)
  const { choice, day, given } = bound(f, set)
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1">
      <TextFactField label={`fault as reported, ${dayText(f.on)}`} source="client" {...given('fault')} />
      <DateCell title="reported on" label={`Repair of ${f.on} reported on`} {...day('reportedOn')} />
      <DateCell
        title="repaired on"
        label={`Repair of ${f.on} done on`}
        value={f.on}
        onCommit={(v) => set((x) => void (x.on = v ?? x.on))}
      />
      <RefPicker
        title="where"
        label={`Where the repair of ${f.on} is`}
        saber={saber}
        value={f.place}
        onCommit={(v) => set((x) => setText(x, 'place', v ?? ''))}
      />
      <TextCell title="cause" label={`Cause of ${f.on}`} {...choice('cause')} />
      <TextCell
        title="what was done"
        label={`Repair of ${f.on}`}
        value={f.fix}
        onCommit={(v) => set((x) => void (x.fix = v || x.fix))}
      />
      <NumberCell
        title="proved by cycles"
        label={`Cycles of ${f.on}`}
        max={100_000}
        value={f.cycles}
        onCommit={(v) => set((x) => void (v === undefined ? delete x.cycles : (x.cycles = Math.round(v))))}
      />
      <Labelled label="charged">
        <MoneyCell
          label={`Charge of ${f.on}`}
          value={f.charge}
          usual={saber.repairs.find((x) => x.charge)?.charge?.currency ?? 'EUR'}
          onCommit={(v) => set((x) => void (v ? (x.charge = v) : delete x.charge))}
        />
      </Labelled>
      <Notes of={f} what={`the repair of ${f.on}`} onEdit={set} />
    </div>
  )
}
