import { WAS_KINDS, type Was } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, bound, CheckBox, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'

/** What an older saber could do before the work; for each that goes, what takes its place. */
export function Before() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const edit = useEditThing('before')
  const remove = useRemove()
  return (
    <section aria-label="What it could do before">
      <h2 className="h2">What it could do before</h2>
      {saber.before.map((x) => {
        const set = (run: (y: Was) => void) => edit('before the work', x.id, run)
        const { choice, text } = bound(x, set)
        return (
          <div key={x.id} className="border-rule border-b pb-1">
            <div className="flex gap-2">
              <TextCell
                label={`It could ${x.what}`}
                className="font-medium"
                value={x.what}
                onCommit={(v) => set((y) => void (y.what = v || y.what))}
              />
              <RemoveButton what={x.what} onClick={() => remove(`ability:${x.id}`)} />
            </div>
            <div className="grid grid-cols-[90px_auto_minmax(0,1fr)] items-center gap-2">
              <SelectCell label={`Kind of ${x.what}`} options={WAS_KINDS} {...choice('kind')} />
              <CheckBox checked={x.stays} onChange={(on) => set((y) => void (y.stays = on))}>
                stays<span className="sr-only">: {x.what}</span>
              </CheckBox>
              {x.stays ? (
                <span />
              ) : (
                <TextCell label={`Instead of ${x.what}`} placeholder="what takes its place" {...text('insteadBy')} />
              )}
            </div>
            <Notes of={x} what={x.what} onEdit={set} />
          </div>
        )
      })}
      <AddLine
        label="charge by cable, show a clock…"
        onAdd={(what) =>
          editSaber('before the work', (s) => void s.before.push({ id: freshId(), what, kind: 'feature', stays: true }))
        }
      />
    </section>
  )
}
