import { nameIn, type Ref } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId } from '../../data'
import { AddLine, CheckBox, Empty, GroupedSelect, SelectCell } from '../../kit'
import { placesOfOrder } from '../../shared/places'
import { ToDoRow } from '../../shared/ToDos'
import { WAITS } from '../../shared/waits'
import { useEdit, useOrder } from '../../store/commission'
import { WorkList } from './WorkList'

/** All the work that is left on a commission, by what waits for it. */
export function ToDoDesk() {
  const order = useOrder()
  const edit = useEdit()
  const [person, setPerson] = useState('')
  const [done, setDone] = useState(false)
  const [about, setAbout] = useState('')
  const people = [...new Set(order.toDos.flatMap((t) => (t.person ? [t.person] : [])))].toSorted()
  const mine = order.toDos.filter((t) => (!person || t.person === person) && (done || !t.done))
  const about_ = (about || undefined) as Ref | undefined
  return (
    <div className="max-w-[820px] space-y-4">
      <WorkList />
      <div className="flex items-center gap-5">
        {people.length ? (
          <SelectCell
            label="Whose work"
            className="w-44!"
            value={person}
            options={['', ...people]}
            words={(v) => v || 'everybody’s'}
            onCommit={setPerson}
          />
        ) : null}
        <CheckBox checked={done} onChange={setDone}>
          show done
        </CheckBox>
      </div>
      {mine.length ? null : <Empty title="Nothing is left to do">Add work on anything below.</Empty>}
      {WAITS.map(([blocks, title]) => {
        const here = mine
          .filter((t) => t.blocks === blocks)
          .toSorted((a, b) => (a.due ?? '9').localeCompare(b.due ?? '9'))
        return here.length ? (
          <section key={title} aria-label={title}>
            <h2 className="h2">{title}</h2>
            {here.map((t) => (
              <ToDoRow key={t.id} toDo={t} about={nameIn(order, t.about)} />
            ))}
          </section>
        ) : null
      })}
      <div className="grid grid-cols-[220px_minmax(0,1fr)] gap-3">
        <GroupedSelect
          label="On what"
          value={about}
          groups={[{ title: '', choices: [{ value: '', words: 'on the whole' }] }, ...placesOfOrder(order)]}
          onCommit={setAbout}
        />
        <AddLine
          label="grease the thread, polish the plug, edit the swing…"
          onAdd={(text) =>
            edit(
              'to-do',
              (d) =>
                void d.toDos.push({
                  ...{ id: freshId(), text, who: 'shop', blocks: 'shipping', done: false },
                  ...(about_ ? { about: about_ } : {}),
                }),
            )
          }
        />
      </div>
    </div>
  )
}
