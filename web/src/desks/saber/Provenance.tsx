import type { Owner } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, bound, CheckBox, RemoveButton, TextCell, TextFactField } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'

/** Whose hands it went through before, and what each did to it as far as that is known. */
export function Provenance() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const edit = useEditThing('provenance')
  const remove = useRemove()
  return (
    <section aria-label="Provenance">
      <h2 className="h2">Provenance</h2>
      {saber.provenance.map((x) => {
        const set = (run: (y: Owner) => void) => edit('earlier hand', x.id, run)
        const { given, text, tick } = bound(x, set)
        return (
          <div key={x.id} className="border-rule border-b pb-1">
            <div className="flex gap-2">
              <TextCell
                label={`Earlier hand ${x.who}`}
                className="font-medium"
                value={x.who}
                onCommit={(v) => set((y) => void (y.who = v || y.who))}
              />
              <RemoveButton what={x.who} onClick={() => remove(`owner:${x.id}`)} />
            </div>
            <div className="grid grid-cols-[80px_minmax(0,1fr)] gap-2">
              <TextCell title="when" label={`When ${x.who}`} {...text('when')} />
              <TextFactField
                label={`what ${x.who} did`}
                source="client"
                placeholder="owned it, rewired it…"
                {...given('did')}
              />
            </div>
            <CheckBox {...tick('client')}>
              this client<span className="sr-only">: {x.who}</span>
            </CheckBox>
            <Notes of={x} what={x.who} onEdit={set} />
          </div>
        )
      })}
      <AddLine
        label="earlier owner or maker"
        onAdd={(who) => editSaber('earlier hand', (s) => void s.provenance.push({ id: freshId(), who }))}
      />
    </section>
  )
}
