import type { Saber } from '@nubrin/core/record'
import { LANGUAGE_NAME, LANGUAGES } from '@nubrin/core/units'
import { freshId } from '../../data'
import { RefPicker, RemoveButton, SelectCell, TextCell } from '../../kit'
import { ArticleCell, callIt } from '../../shared/ArticleCell'
import { useEditSaber, useEditThing } from '../../store/commission'

const KINDS = ['section', 'fastener', 'opening', 'socket', 'part', 'blade', 'input'] as const

/** What things are called when one speaks of them; what has no name here goes by what it is. */
export function SpokenNames({ saber }: { saber: Saber }) {
  const edit = useEditThing('spoken')
  const editSaber = useEditSaber()
  const first = saber.inputs[0]
  return (
    <section aria-label="Spoken names" className="mt-5">
      <h2 className="h2">What things are called</h2>
      {saber.spoken.length ? null : (
        <p className="text-quiet">
          Each thing goes by its own name, or in another language by what it is, unless you name it here.
        </p>
      )}
      {saber.spoken.map((x, i) => (
        <div key={x.id} className="border-rule border-b py-1">
          <div className="flex items-center">
            <RefPicker
              label={`Of what, spoken name ${i + 1}`}
              saber={saber}
              kinds={KINDS}
              value={x.of}
              onCommit={(v) => v && edit('spoken name', x.id, (y) => void (y.of = v as typeof y.of))}
            />
            <RemoveButton
              what={`spoken name ${x.name}`}
              onClick={() =>
                editSaber('take out a spoken name', (s) => void (s.spoken = s.spoken.filter((y) => y.id !== x.id)))
              }
            />
          </div>
          <TextCell
            label={`Spoken name ${i + 1}`}
            value={x.name}
            placeholder="upper of the two screws"
            onCommit={(v) => edit('spoken name', x.id, (y) => callIt(y, v))}
          />
          <div className="flex items-center gap-2">
            <SelectCell
              label={`Language, spoken name ${i + 1}`}
              value={x.language}
              options={LANGUAGES}
              words={(l) => LANGUAGE_NAME[l]}
              onCommit={(v) => edit('language of a spoken name', x.id, (y) => void (y.language = v))}
            />
            <ArticleCell
              label={`Article, spoken name ${i + 1}`}
              of={x}
              onEdit={(run) => edit('article of a spoken name', x.id, run)}
            />
          </div>
        </div>
      ))}
      {first ? (
        <button
          type="button"
          className="btn-plain btn"
          onClick={() =>
            editSaber('a spoken name', (s, d) => {
              s.spoken.push({
                ...{ id: freshId(), of: `input:${first.id}`, language: d.client.language ?? 'en', name: first.name },
              })
            })
          }
        >
          + a spoken name
        </button>
      ) : null}
    </section>
  )
}
