import { type ControlRow, CUE_AS, CUE_AT, keyWords as words } from '@nubrin/core/record'
import { RemoveButton, SelectCell, setText, TextCell } from '../../kit'

const AT = { start: 'when it begins', step: 'at each step', end: 'when it is done' } as const

/** How a control is noticed: a beep, a voice, a sign on the blade; when, and what it says. */
export function Cues({ row, onEdit }: { row: ControlRow; onEdit: (run: (r: ControlRow) => void) => void }) {
  const cues = row.cues ?? []
  const at = (i: number, run: (c: NonNullable<ControlRow['cues']>[number]) => void) =>
    onEdit((r) => {
      const c = r.cues?.[i]
      if (c) run(c)
    })
  return (
    <div className="mt-2">
      <p className="label">cues</p>
      {cues.map((c, i) => (
        <div key={i} className="grid grid-cols-[130px_110px_1fr_auto] items-center gap-3">
          <SelectCell
            label={`Cue ${i + 1}, when`}
            value={c.at}
            options={CUE_AT}
            words={(v) => AT[v]}
            onCommit={(v) => at(i, (x) => void (x.at = v))}
          />
          <SelectCell
            label={`Cue ${i + 1}, how`}
            value={c.as}
            options={CUE_AS}
            words={words}
            onCommit={(v) => at(i, (x) => void (x.as = v))}
          />
          <TextCell
            label={`Cue ${i + 1}, what it says`}
            placeholder="what it says"
            value={c.says ?? ''}
            onCommit={(v) => at(i, (x) => setText(x, 'says', v))}
          />
          <RemoveButton
            what={`cue ${i + 1}`}
            onClick={() =>
              onEdit((r) => {
                r.cues?.splice(i, 1)
                if (!r.cues?.length) delete r.cues
              })
            }
          />
        </div>
      ))}
      {cues.length < 6 ? (
        <button
          type="button"
          className="btn-plain btn"
          onClick={() =>
            onEdit((r) => {
              r.cues ??= []
              r.cues.push({ at: 'end', as: 'beep' })
            })
          }
        >
          + cue
        </button>
      ) : null}
    </div>
  )
}
