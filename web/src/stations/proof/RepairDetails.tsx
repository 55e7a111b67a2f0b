import type { Fix } from '@nubrin/core/record'
import { DateCell, Labelled, NumberCell, RefPicker, setText, TextCell, TextFactField } from '../../kit'
import { useEditThing, useSaber } from '../../store/commission'
import { MoneyCell } from '../../things/Money'
import { Notes } from '../../things/Notes'

/** A repair in full: the fault as it was reported, where it was, the proof in cycles, and what it cost. */
export function RepairDetails({ fix: f }: { fix: Fix }) {
  const saber = useSaber()
  const edit = useEditThing('fixes')
  const set = (run: (x: Fix) => void) => edit('repair', f.id, run)
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1">
      <TextFactField
        label={`fault as reported, ${f.on}`}
        source="client"
        value={f.fault}
        onCommit={(v) => set((x) => void (x.fault = v))}
      />
      <Labelled label="reported on">
        <DateCell
          label={`Repair of ${f.on} reported on`}
          value={f.reportedOn}
          onCommit={(v) => set((x) => setText(x, 'reportedOn', v ?? ''))}
        />
      </Labelled>
      <Labelled label="mended on">
        <DateCell
          label={`Repair of ${f.on} done on`}
          value={f.on}
          onCommit={(v) => set((x) => void (x.on = v ?? x.on))}
        />
      </Labelled>
      <Labelled label="where">
        <RefPicker
          label={`Where the repair of ${f.on} is`}
          saber={saber}
          value={f.place}
          onCommit={(v) => set((x) => setText(x, 'place', v ?? ''))}
        />
      </Labelled>
      <Labelled label="cause">
        <TextCell label={`Cause of ${f.on}`} value={f.cause} onCommit={(v) => set((x) => void (x.cause = v))} />
      </Labelled>
      <Labelled label="what was done">
        <TextCell label={`Fix of ${f.on}`} value={f.fix} onCommit={(v) => set((x) => void (x.fix = v || x.fix))} />
      </Labelled>
      <Labelled label="proved by cycles">
        <NumberCell
          label={`Cycles of ${f.on}`}
          max={100_000}
          value={f.cycles}
          onCommit={(v) => set((x) => void (v === undefined ? delete x.cycles : (x.cycles = Math.round(v))))}
        />
      </Labelled>
      <Labelled label="charged">
        <MoneyCell
          label={`Charge of ${f.on}`}
          value={f.charge}
          usual={saber.fixes.find((x) => x.charge)?.charge?.currency ?? 'EUR'}
          onCommit={(v) => set((x) => void (v ? (x.charge = v) : delete x.charge))}
        />
      </Labelled>
      <Notes of={f} what={`the repair of ${f.on}`} onEdit={set} />
    </div>
  )
}
