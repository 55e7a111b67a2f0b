import { DELAY_REASONS, keyWords, LOG_KINDS, type LogEntry, WORK_KINDS } from '@nubrin/core/record'
import { correctHours, workName } from '@nubrin/core/schedule'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { freshId, todayIso } from '../../data'
import {
  AddLine,
  bound,
  ComboCell,
  DateCell,
  dayText,
  NumberCell,
  RemoveButton,
  SelectCell,
  setText,
  TextCell,
} from '../../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../../store/commission'
import { useSession } from '../../store/session'

/** What happened on the way, day by day: the shop's own, never printed. */
export function Log() {
  const order = useOrder()
  const edit = useEdit()
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
          <Entry key={x.id} entry={x} names={names} />
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

/** What the clock or a hand wrote down has no words of its own: then it is what the hours went into. */
const titleOf = (x: LogEntry) => x.text || (x.work ? workName(x.work) : x.kind)

function Entry({ entry: x, names }: { entry: LogEntry; names: readonly string[] }) {
  const set = useEditEntry('log')
  const remove = useRemove()
  const me = useSession((s) => s.person?.name ?? 'the shop')
  const of = `the entry of ${x.on}`
  return (
    <div className="border-rule border-b pb-1">
      <div className="flex items-center gap-1">
        <TextCell
          label={`Entry of ${x.on}`}
          className="font-medium"
          placeholder={titleOf(x)}
          value={x.text}
          onCommit={(v) => set('log', x.id, (y) => void (y.text = v))}
        />
        <RemoveButton what={of} onClick={() => remove(`entry:${x.id}`)} />
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_96px_64px_minmax(0,1fr)] items-center gap-2 pr-8">
        <DateCell
          label={`Day of ${of}`}
          value={x.on}
          onCommit={(v) => set('log', x.id, (y) => void (y.on = v ?? y.on))}
        />
        <SelectCell
          label={`Kind of ${of}`}
          value={x.kind}
          options={LOG_KINDS}
          onCommit={(v) => set('log', x.id, (y) => void (y.kind = v))}
        />
        <NumberCell
          label={`Hours of ${of}`}
          placeholder="hours"
          max={200}
          value={x.hours}
          onCommit={(v) => set('log', x.id, (y) => correctHours(y, v, me, todayIso()))}
        />
        <ComboCell
          label={`Who did ${of}`}
          value={x.by ?? ''}
          suggestions={[...names]}
          onCommit={(v) => set('log', x.id, (y) => setText(y, 'by', v))}
        />
      </div>
      {x.was?.length ? (
        <p className="text-quiet text-[0.87rem]">
          {x.was.map((w) => `was ${formatNumber(MAKER, w.hours, 2)} h until ${dayText(w.on)}, ${w.by}`).join('; ')}
        </p>
      ) : null}
      {x.kind === 'delay' ? <Delay entry={x} of={of} /> : x.kind === 'work' ? <SpentOn entry={x} of={of} /> : null}
    </div>
  )
}

/** What the hours went into. */
function SpentOn({ entry: x, of }: { entry: LogEntry; of: string }) {
  const order = useOrder()
  const set = useEditEntry('log')
  const { maybe } = bound(x, (run) => set('log', x.id, run))
  return (
    <div className="grid grid-cols-3 gap-2 pr-8">
      <SelectCell
        label={`Work of ${of}`}
        options={['', ...WORK_KINDS]}
        words={(k) => (k ? workName(k) : 'no kind of work')}
        {...maybe('work')}
      />
      <SelectCell
        label={`Saber of ${of}`}
        options={['', ...order.sabers.map((s) => s.id)]}
        words={(v) => order.sabers.find((s) => s.id === v)?.name ?? 'the whole order'}
        {...maybe('saber')}
      />
      <SelectCell
        label={`Thing left to do of ${of}`}
        options={['', ...order.toDos.map((t) => t.id)]}
        words={(v) => order.toDos.find((t) => t.id === v)?.text ?? 'nothing left to do'}
        {...maybe('toDo')}
      />
    </div>
  )
}

/** Why it is late, and which promise gave way to which. */
function Delay({ entry: x, of }: { entry: LogEntry; of: string }) {
  const set = useEditEntry('log')
  const { day, maybe } = bound(x, (run) => set('log', x.id, run))
  return (
    <div className="grid grid-cols-3 gap-2 pr-8">
      <SelectCell
        label={`Reason of ${of}`}
        options={['', ...DELAY_REASONS]}
        words={(r) => (r ? keyWords(r) : 'no reason said')}
        {...maybe('reason')}
      />
      <DateCell title="promised" label={`Promise before ${of}`} {...day('promised')} />
      <DateCell title="now" label={`Promise after ${of}`} {...day('newly')} />
    </div>
  )
}
