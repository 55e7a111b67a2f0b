import { LOG_KINDS } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { freshId, todayIso } from '../../data'
import { AddLine, ComboCell, DateCell, NumberCell, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'
import { useSession } from '../../store/session'

/** What happened on the way, day by day: the shop's own, never printed. */
export function Log() {
  const order = useOrder()
  const edit = useEdit()
  const set = useEditEntry('log')
  const remove = useRemove()
  const me = useSession((s) => s.person?.name)
  const hours = order.log.reduce((n, x) => n + (x.hours ?? 0), 0)
  const names = [...new Set([...order.people.map((p) => p.name), ...order.log.flatMap((x) => (x.by ? [x.by] : []))])]
  return (
    <section aria-label="The shop’s log">
      <h2 className="h2">
        What happened on the way{' '}
        {hours ? (
          <span className="text-quiet font-normal">
            {formatNumber(MAKER, hours, 1)} {hours === 1 ? 'hour' : 'hours'} in all
          </span>
        ) : null}
      </h2>
      {order.log
        .toSorted((a, b) => b.on.localeCompare(a.on))
        .map((x) => (
          <div key={x.id} className="border-rule border-b pb-1">
            <div className="flex items-center gap-1">
              <TextCell
                label={`Entry of ${x.on}`}
                className="font-medium"
                value={x.text}
                onCommit={(v) => set('log', x.id, (y) => void (y.text = v))}
              />
              <RemoveButton what={`the entry of ${x.on}`} onClick={() => remove(`entry:${x.id}`)} />
            </div>
            <div className="grid grid-cols-[minmax(0,1fr)_96px_64px_minmax(0,1fr)] items-center gap-2 pr-8">
              <DateCell
                label={`Day of the entry of ${x.on}`}
                value={x.on}
                onCommit={(v) => set('log', x.id, (y) => void (y.on = v ?? y.on))}
              />
              <SelectCell
                label={`Kind of the entry of ${x.on}`}
                value={x.kind}
                options={LOG_KINDS}
                onCommit={(v) => set('log', x.id, (y) => void (y.kind = v))}
              />
              <NumberCell
                label={`Hours of the entry of ${x.on}`}
                placeholder="hours"
                max={200}
                value={x.hours}
                onCommit={(v) => set('log', x.id, (y) => void (v === undefined ? delete y.hours : (y.hours = v)))}
              />
              <ComboCell
                label={`Who did the entry of ${x.on}`}
                value={x.by ?? ''}
                suggestions={names}
                onCommit={(v) => set('log', x.id, (y) => setText(y, 'by', v))}
              />
            </div>
          </div>
        ))}
      <AddLine
        label="what happened"
        onAdd={(text) =>
          edit(
            'log',
            (d) => void d.log.push({ id: freshId(), on: todayIso(), text, kind: 'work', ...(me ? { by: me } : {}) }),
          )
        }
      />
    </section>
  )
}
