import { refTo } from '@nubrin/core/record'
import { freshId, todayIso } from '../../data'
import { AddLine, bound, CheckBox, DateCell, dayText, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'
import { useSession } from '../../store/session'

type V = ReturnType<typeof useOrder>['visits'][number]

/** Each time a saber was back after it was handed over: what was said, found and done, and with which repairs. */
export function Visits() {
  const order = useOrder()
  const edit = useEdit()
  const me = useSession((s) => s.person?.name ?? '')
  return (
    <section aria-label="Service visits">
      <h2 className="h2">It came back</h2>
      {order.visits.length ? null : (
        <p className="text-quiet">
          Not yet. When it does, what you enter here continues its record and goes into the next handoff.
        </p>
      )}
      {order.visits.map((v) => (
        <Visit key={v.id} visit={v} />
      ))}
      <AddLine
        label="it is back: what the client says"
        onAdd={(said) =>
          edit('it came back', (d) => {
            const by = me ? { by: me } : {}
            d.visits.push({ id: freshId(), cameOn: todayIso(), said, repairs: [], ...by })
          })
        }
      />
    </section>
  )
}

function Visit({ visit: v }: { visit: V }) {
  const order = useOrder()
  const edit = useEditEntry('visits')
  const remove = useRemove()
  const set = (run: (x: V) => void) => edit('visit', v.id, run)
  const { day, text } = bound(v, set)
  const sabers = v.saber ? order.sabers.filter((s) => s.id === v.saber) : order.sabers
  const repairs = sabers.flatMap((s) => s.repairs)
  return (
    <article aria-label={`Visit of ${v.cameOn}`} className="bg-card border-rule mb-3 border p-3">
      <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
        <DateCell
          title="came on"
          label={`Came on, ${v.cameOn}`}
          value={v.cameOn}
          onCommit={(d) => set((x) => void (x.cameOn = d ?? x.cameOn))}
        />
        <DateCell title="sent back on" label={`Sent back on, ${v.cameOn}`} {...day('backOn')} />
        <RemoveButton what={`the visit of ${v.cameOn}`} onClick={() => remove(`visit:${v.id}`)} />
      </div>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1">
        <SelectCell
          title="which"
          label={`Saber of the visit, ${v.cameOn}`}
          options={['', ...order.sabers.map((s) => s.id)]}
          words={(id) => order.sabers.find((s) => s.id === id)?.name ?? 'all of them'}
          {...text('saber')}
        />
        <TextCell title="looked after by" label={`Who looked after it, ${v.cameOn}`} {...text('by')} />
        <TextCell title="what the client says" label={`What the client said, ${v.cameOn}`} {...text('said')} />
        <TextCell title="what was found" label={`What was found, ${v.cameOn}`} {...text('found')} />
        <TextCell title="what was done" label={`What was done, ${v.cameOn}`} {...text('did')} />
      </div>
      {repairs.length ? <p className="label mt-1">repairs made at this visit (written at Proof)</p> : null}
      {repairs.map((f) => {
        const ref = refTo('repair', f.id)
        return (
          <CheckBox
            key={f.id}
            checked={v.repairs.includes(ref)}
            onChange={(on) =>
              set((x) => void (x.repairs = on ? [...x.repairs, ref] : x.repairs.filter((y) => y !== ref)))
            }
          >
            {dayText(f.on)}: {f.fix}
          </CheckBox>
        )
      })}
      <Notes of={v} what={`the visit of ${v.cameOn}`} onEdit={set} />
    </article>
  )
}
