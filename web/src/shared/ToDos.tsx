import { type Ref, TODO_BLOCKS, TODO_WHO, type ToDo, WORK_KINDS } from '@nubrin/core/record'
import { workName } from '@nubrin/core/schedule'
import { freshId, todayIso } from '../data'
import {
  AddLine,
  bound,
  CheckBox,
  DateCell,
  dayText,
  NumberCell,
  RemoveButton,
  SelectCell,
  setText,
  TextCell,
} from '../kit'
import { useEdit, useEditEntry, useOrder, useRemove } from '../store/commission'
import { useSession } from '../store/session'
import { Notes } from './Notes'
import { WaitsFor } from './WaitsFor'

const WHO = { shop: 'the shop', client: 'the client' }
const BLOCKS = { '': 'blocks nothing', filming: 'before filming', shipping: 'before it ships' }

/** One piece of work that is left: ticked off, for whom, by when, and what waits for it. */
export function ToDoRow({ toDo: t, about }: { toDo: ToDo; about?: string | undefined }) {
  const set = useEditEntry('toDos')
  const remove = useRemove()
  const me = useSession((s) => s.person?.name)
  const tick = (on: boolean) =>
    set(on ? 'done' : 'not done', t.id, (x) => {
      x.done = on
      setText(x, 'doneOn', on ? todayIso() : '')
      setText(x, 'doneBy', on ? (me ?? '') : '')
    })
  return (
    <div className="border-rule border-b pb-1">
      <div className="flex items-center gap-2">
        <CheckBox checked={t.done} onChange={tick}>
          <span className="sr-only">done: {t.text}</span>
        </CheckBox>
        {about ? <span className="text-quiet shrink-0">{about}:</span> : null}
        <TextCell
          label={`To-do ${t.text}`}
          className={t.done ? 'text-quiet line-through' : 'font-medium'}
          value={t.text}
          onCommit={(v) => set('to-do', t.id, (x) => void (x.text = v || x.text))}
        />
        <RemoveButton what={t.text} onClick={() => remove(`toDo:${t.id}`)} />
      </div>
      {t.done ? (
        <p className="text-quiet pl-7 text-[0.87rem]">
          {['done', t.doneOn && dayText(t.doneOn), t.doneBy && `by ${t.doneBy}`].filter(Boolean).join(' ')}
        </p>
      ) : (
        <div className="grid grid-cols-[90px_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.4fr)] gap-2 pr-8 pl-7">
          <SelectCell
            label={`Who does ${t.text}`}
            value={t.who}
            options={TODO_WHO}
            words={(v) => WHO[v]}
            onCommit={(v) => set('who', t.id, (x) => void (x.who = v))}
          />
          <TextCell
            label={`Person for ${t.text}`}
            placeholder="who of them"
            value={t.person ?? ''}
            onCommit={(v) => set('person', t.id, (x) => setText(x, 'person', v))}
          />
          <DateCell
            label={`Due day of ${t.text}`}
            value={t.due}
            onCommit={(v) => set('due', t.id, (x) => setText(x, 'due', v ?? ''))}
          />
          <SelectCell
            label={`What waits for ${t.text}`}
            value={t.blocks ?? ''}
            options={['', ...TODO_BLOCKS]}
            words={(v) => BLOCKS[v]}
            onCommit={(v) => set('blocks', t.id, (x) => void (v ? (x.blocks = v) : delete x.blocks))}
          />
        </div>
      )}
      {t.who === 'shop' && !t.done ? (
        <CheckBox
          className="pl-7"
          checked={!!t.promised}
          onChange={(on) => set('promised', t.id, (x) => void (on ? (x.promised = true) : delete x.promised))}
        >
          promised: the client is told it is still owed<span className="sr-only">: {t.text}</span>
        </CheckBox>
      ) : null}
      <details className="pr-8 pl-7 text-[0.93rem]">
        <summary className="text-brass cursor-pointer">{summaryOf(t)}</summary>
        {t.who === 'shop' ? <Planned toDo={t} onEdit={(run) => set('work', t.id, run)} /> : null}
        <Notes of={t} what={t.text} onEdit={(run) => set('note', t.id, run)} />
      </details>
    </div>
  )
}

/** What is folded away of it, in a few words. */
function summaryOf(t: ToDo): string {
  const hours = t.hours === undefined ? '' : `${t.hours} h`
  const waits = t.after?.length ? `waits for ${t.after.length}` : ''
  const notes = t.note || t.shopNote ? 'notes' : ''
  return [hours, waits, notes].filter(Boolean).join(', ') || 'hours, waits, a note'
}

/** How long it takes, whose kind of work it is, and what it waits for. */
function Planned({ toDo: t, onEdit }: { toDo: ToDo; onEdit: (run: (x: ToDo) => void) => void }) {
  const { maybe, number } = bound(t, onEdit)
  return (
    <div className="grid grid-cols-[90px_150px_110px_minmax(0,1fr)] gap-2">
      <NumberCell title="hours" label={`Hours of ${t.text}`} max={200} {...number('hours')} />
      <SelectCell
        title="kind of work"
        label={`Kind of work of ${t.text}`}
        options={['', ...WORK_KINDS]}
        words={(k) => (k ? workName(k) : 'anybody’s')}
        {...maybe('kind')}
      />
      <NumberCell title="cures, hours" label={`Hours that ${t.text} cures`} max={720} {...number('cures')} />
      <WaitsFor of={t} own={`toDo:${t.id}`} what={t.text} onEdit={onEdit} />
    </div>
  )
}

/** The work that is left on one thing, and a line to add to it. */
export function ToDosOf({ about, label = 'what is left to do on it' }: { about: Ref; label?: string }) {
  const order = useOrder()
  const edit = useEdit()
  return (
    <section aria-label="Left to do on it">
      {order.toDos
        .filter((t) => t.about === about)
        .map((t) => (
          <ToDoRow key={t.id} toDo={t} />
        ))}
      <AddLine
        label={label}
        onAdd={(text) =>
          edit(
            'to-do',
            (d) => void d.toDos.push({ id: freshId(), text, about, who: 'shop', blocks: 'shipping', done: false }),
          )
        }
      />
    </section>
  )
}
