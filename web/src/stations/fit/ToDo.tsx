import type { Blade } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, CheckBox, RemoveButton } from '../../kit'
import { useRemove } from '../../store/commission'

/** What is left to do on a blade. */
export function ToDo({ blade: b, onEdit }: { blade: Blade; onEdit: (run: (x: Blade) => void) => void }) {
  const remove = useRemove()
  return (
    <>
      <p className="font-semibold">Left to do on it</p>
      {(b.toDo ?? []).map((t) => (
        <div key={t.id} className="flex items-center gap-2">
          <CheckBox
            className="flex-1 py-0.5"
            checked={t.done}
            onChange={(on) =>
              onEdit((x) => {
                const y = x.toDo?.find((q) => q.id === t.id)
                if (y) y.done = on
              })
            }
          >
            <span className={t.done ? 'text-quiet line-through' : ''}>{t.text}</span>
          </CheckBox>
          <RemoveButton what={t.text} onClick={() => remove(`toDo:${t.id}`)} />
        </div>
      ))}
      <AddLine
        label="drill the tip, roll in the film…"
        onAdd={(text) =>
          onEdit((x) => {
            x.toDo = [...(x.toDo ?? []), { id: freshId(), text: text.slice(0, 240), done: false }]
          })
        }
      />
    </>
  )
}
