import type { Commission, WorkItem, WorkKind } from '@nubrin/core/record'
import { type Guess, guessesFrom, type Work, workName, workOf } from '@nubrin/core/schedule'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { Check, Play, Square } from 'lucide-react'
import { useMemo, useState } from 'react'
import { freshId, type ShopPlan, todayIso, usePlan, useTimer } from '../../data'
import { bound, CheckBox, ComboCell, DateCell, dayText, NumberCell, TextCell } from '../../kit'
import { WaitsFor } from '../../shared/WaitsFor'
import { startClock, stopClock } from '../../store/clock'
import { useEdit, useOrder } from '../../store/commission'
import { useSession } from '../../store/session'

/** What is said of a piece of work that follows from the record, made where there is none yet. */
function useNote() {
  const edit = useEdit()
  return (w: Work, run: (n: WorkItem) => void) =>
    edit('work', (d: Commission) => {
      d.work ??= []
      const kind = w.kind as WorkKind
      let note = d.work.find((n) => n.kind === kind && n.saber === w.saber)
      if (!note) {
        note = { id: freshId(), kind, ...(w.saber ? { saber: w.saber } : {}) }
        d.work.push(note)
      }
      run(note)
    })
}

const hoursText = (h: number) => `${formatNumber(MAKER, h, 1)} h`
/** How long it is guessed to take, and what the guess rests on. */
const guessText = (g: Guess) =>
  `about ${hoursText(g.median)}, ${g.from === 'said' ? 'as said' : g.from === 'log' ? `as ${g.n} times before` : 'a rule of thumb'}`

/** The work that follows from the record: how far it is, how long it takes, who does it, and the clock. */
export function WorkList() {
  const order = useOrder()
  const { data: plan } = usePlan()
  const work = useMemo(() => workOf(order).filter((w) => w.kind !== 'toDo'), [order])
  const guesses = useMemo(() => guessesFrom(plan?.log ?? {}), [plan?.log])
  if (!work.length) return null
  const spent = order.log.reduce((n, e) => n + (e.hours ?? 0), 0)
  const left = work.filter((w) => !w.done)
  return (
    <section aria-label="The work">
      <h2 className="h2">
        The work{' '}
        <span className="text-quiet font-normal">
          {left.length ? `${left.length} of ${work.length} left` : 'all done'}
          {spent ? `, ${hoursText(spent)} in the log` : ''}
        </span>
      </h2>
      {work.map((w) => (
        <WorkRow key={w.key} work={w} guess={guesses.hoursOf(w)} people={plan?.people ?? []} />
      ))}
    </section>
  )
}

const nameOf = (c: Commission, w: Work) => {
  const saber = c.sabers.length > 1 ? c.sabers.find((s) => s.id === w.saber)?.name : undefined
  return [workName(w.kind), saber].filter(Boolean).join(', ')
}

interface RowProps {
  work: Work
  guess: Guess
  people: ShopPlan['people']
}
function WorkRow({ work: w, guess, people }: RowProps) {
  const order = useOrder()
  const note = useNote()
  const me = useSession((s) => s.person?.name)
  const timer = useTimer()
  const [open, setOpen] = useState(false)
  const said = order.work?.find((n) => n.kind === w.kind && n.saber === w.saber)
  const name = nameOf(order, w)
  const runs = timer.data?.timer
  const running =
    runs?.commission === order.id && runs.work === w.kind && (runs.saber ?? w.saber) === w.saber ? runs : undefined
  const tick = (on: boolean) =>
    note(w, (n) => {
      if (on) Object.assign(n, { doneOn: todayIso(), ...(me ? { doneBy: me } : {}) })
      else {
        delete n.doneOn
        delete n.doneBy
      }
    })
  const standing =
    w.done === 'record'
      ? 'done, as the record shows'
      : w.done === 'leftOut'
        ? `not needed: ${said?.leftOut ?? ''}`
        : w.done
          ? ['done', said?.doneOn && dayText(said.doneOn), said?.doneBy && `by ${said.doneBy}`]
              .filter(Boolean)
              .join(' ')
          : guessText(guess)
  return (
    <div className="border-rule border-b py-0.5">
      <div className="grid grid-cols-[minmax(0,190px)_minmax(0,1fr)_84px_auto_auto] items-center gap-3">
        {w.done === 'record' || w.done === 'leftOut' ? (
          <span className="text-quiet flex items-center gap-2">
            <Check size={16} aria-hidden />
            {name}
          </span>
        ) : (
          <CheckBox checked={!!w.done} onChange={tick}>
            <span className={w.done ? 'text-quiet' : 'font-medium'}>{name}</span>
          </CheckBox>
        )}
        <span className="text-quiet truncate">
          {[standing, w.person && `for ${w.person}`, w.on && `scheduled for ${dayText(w.on)}`]
            .filter(Boolean)
            .join(', ')}
        </span>
        <span className="text-right">{w.spent ? `${hoursText(w.spent)} so far` : ''}</span>
        <button
          type="button"
          className="btn min-h-8! px-2! py-0!"
          aria-label={running ? `Stop the clock on ${name}` : `Start the clock on ${name}`}
          onClick={() => void (running ? stopClock(running.id) : startClock(order, w))}
        >
          {running ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
        </button>
        <button
          type="button"
          className="btn-plain btn min-h-8! px-1! py-0!"
          aria-expanded={open}
          aria-label={`More on ${name}`}
          onClick={() => setOpen(!open)}
        >
          plan
        </button>
      </div>
      {open ? (
        <Details
          said={said ?? { id: '', kind: w.kind as WorkKind }}
          name={name}
          people={people}
          onEdit={(run) => note(w, run)}
        />
      ) : null}
    </div>
  )
}

interface DetailProps {
  said: WorkItem
  name: string
  people: ShopPlan['people']
  onEdit: (run: (n: WorkItem) => void) => void
}
/** What the maker says of it: hours, who, for which day, what it waits for, what cures, that it is not needed. */
function Details({ said, name, people, onEdit }: DetailProps) {
  const { day, number, text } = bound(said, onEdit)
  return (
    <div className="grid grid-cols-[90px_150px_130px_110px_minmax(0,1fr)] gap-x-3 gap-y-1 pb-2 pl-7">
      <NumberCell title="hours" label={`Hours of ${name}`} max={200} {...number('hours')} />
      <ComboCell title="who" label={`Who does ${name}`} suggestions={people.map((p) => p.name)} {...text('person')} />
      <DateCell title="scheduled for" label={`Day set for ${name}`} {...day('on')} />
      <NumberCell title="cures, hours" label={`Hours that ${name} cures`} max={720} {...number('cures')} />
      <WaitsFor of={said} own={said.id ? `work:${said.id}` : undefined} what={name} onEdit={onEdit} />
      <TextCell
        title="not needed, because"
        label={`Why ${name} is not needed`}
        className="col-span-2"
        span="col-span-2"
        {...text('leftOut')}
      />
      <DateCell title="done on" label={`Day on which ${name} was done`} {...day('doneOn')} />
      <ComboCell
        title="done by"
        label={`Who did ${name}`}
        suggestions={people.map((p) => p.name)}
        {...text('doneBy')}
      />
      <TextCell title="shop note" label={`Shop’s note on ${name}`} {...text('shopNote')} />
    </div>
  )
}
