import { freshId } from '../../data'
import { AddLine, RemoveButton, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'

/** What it is not made for, each with its reason; every client is told. */
export function NotFor() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const edit = useEditThing('notFor')
  const remove = useRemove()
  return (
    <section aria-label="What it is not made for">
      <h2 className="h2">What it is not made for</h2>
      {saber.notFor.map((x) => (
        <div key={x.id} className="border-rule border-b pb-1">
          <div className="flex gap-2">
            <TextCell
              label={`Not made for ${x.what}`}
              className="font-medium"
              value={x.what}
              onCommit={(v) => edit('limit', x.id, (y) => void (y.what = v || y.what))}
            />
            <RemoveButton what={x.what} onClick={() => remove(`limit:${x.id}`)} />
          </div>
          <TextCell
            label={`Why not ${x.what}`}
            placeholder="because…"
            value={x.why}
            onCommit={(v) => edit('limit', x.id, (y) => void (y.why = v))}
          />
        </div>
      ))}
      <AddLine
        label="full-contact duelling, rain…"
        onAdd={(what) => editSaber('limit', (s) => void s.notFor.push({ id: freshId(), what, why: '' }))}
      />
    </section>
  )
}
