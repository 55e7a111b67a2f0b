import { LOSS_KINDS, type Loss } from '@nubrin/core/record'
import { freshId, todayIso } from '../../data'
import { AddLine, bound, DateCell, RemoveButton, SelectCell, TextCell } from '../../kit'
import { MoneyCell } from '../../shared/Money'
import { Notes } from '../../shared/Notes'
import { PlaceCell } from '../../shared/PlaceCell'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'

/** Parts that were spoilt, made again or replaced: why, by whom, at what cost, and whether the client knows. */
export function Losses() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  return (
    <section aria-label="Spoilt, remade, replaced">
      <h2 className="h2">Spoilt, remade, replaced</h2>
      {saber.losses.map((x) => (
        <LossRow key={x.id} loss={x} />
      ))}
      <AddLine
        label="what was lost"
        onAdd={(what) =>
          editSaber(
            'loss',
            (s) => void s.losses.push({ id: freshId(), on: todayIso(), what, how: 'spoilt', cause: '' }),
          )
        }
      />
    </section>
  )
}

function LossRow({ loss: x }: { loss: Loss }) {
  const saber = useSaber()
  const edit = useEditThing('losses')
  const remove = useRemove()
  const set = (run: (y: Loss) => void) => edit('loss', x.id, run)
  const { choice, day, text } = bound(x, set)
  return (
    <div className="border-rule border-b pb-1">
      <div className="flex items-center gap-2">
        <TextCell
          label={`Loss ${x.what}`}
          className="font-medium"
          value={x.what}
          onCommit={(v) => set((y) => void (y.what = v || y.what))}
        />
        <RemoveButton what={x.what} onClick={() => remove(`loss:${x.id}`)} />
      </div>
      <div className="grid grid-cols-2 gap-x-2 pr-8">
        <SelectCell label={`How ${x.what} was lost`} options={LOSS_KINDS} {...choice('how')} />
        <DateCell label={`Day of ${x.what}`} value={x.on} onCommit={(v) => set((y) => void (y.on = v ?? y.on))} />
        <TextCell label={`Cause of ${x.what}`} placeholder="cause" {...choice('cause')} />
        <TextCell label={`Maker of ${x.what}`} placeholder="made by" {...text('maker')} />
        <MoneyCell
          label={`Cost of ${x.what}`}
          value={x.cost}
          usual={saber.losses.find((y) => y.cost)?.cost?.currency ?? 'EUR'}
          onCommit={(v) => set((y) => void (v ? (y.cost = v) : delete y.cost))}
        />
        <DateCell label={`Client told of ${x.what} on`} {...day('toldOn')} />
        <PlaceCell
          label={`What ${x.what} belongs to`}
          value={x.about}
          none="of which thing"
          onCommit={(v) => set((y) => void (v ? (y.about = v) : delete y.about))}
        />
      </div>
      <Notes of={x} what={x.what} onEdit={set} />
    </div>
  )
}
