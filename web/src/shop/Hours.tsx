import { WORK_KINDS } from '@nubrin/core/record'
import { workName } from '@nubrin/core/schedule'
import { todayIso, useSetWorks, useWorks, type Works } from '../data'
import { CheckBox, DateCell, NumberCell, Refused, RemoveButton } from '../kit'
import { useSession } from '../store/session'

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

/** When everybody works, what they can do, and when they are away: what the week is planned from. */
export function Hours() {
  const works = useWorks()
  const me = useSession((s) => s.person)
  const save = useSetWorks()
  return (
    <section aria-label="Working hours">
      <h2 className="h2">Working hours</h2>
      <Refused why={works.error?.message ?? save.error?.message} />
      {works.data?.map((p) => (
        <Person
          key={p.id}
          works={p}
          may={me?.role === 'owner' || me?.id === p.id}
          onSave={(next) => save.mutate(next)}
        />
      ))}
    </section>
  )
}

function Person({ works: p, may, onSave }: { works: Works; may: boolean; onSave: (next: Works) => void }) {
  const week = p.week.reduce((n, h) => n + h, 0)
  const can = p.skills.length ? p.skills.map(workName).join(', ') : 'does everything'
  if (!may)
    return (
      <p className="border-rule border-b py-1">
        <span className="font-medium">{p.name}</span> {week} h a week, {can}
      </p>
    )
  const hours = (i: number, v: number | undefined) =>
    onSave({ ...p, week: p.week.map((h, k) => (k === i ? (v ?? 0) : h)) })
  return (
    <div className="border-rule space-y-1 border-b py-2">
      <p>
        <span className="font-medium">{p.name}</span>{' '}
        <span className="text-quiet">
          {week} h a week, {can}
        </span>
      </p>
      <div className="grid grid-cols-7 gap-2">
        {DAYS.map((d, i) => (
          <NumberCell
            key={d}
            title={d}
            label={`Hours of ${p.name} on ${d}`}
            max={15}
            value={p.week[i]}
            onCommit={(v) => hours(i, v)}
          />
        ))}
      </div>
      <details>
        <summary className="text-brass cursor-pointer">what {p.name} can do</summary>
        <div className="grid grid-cols-4 gap-x-3">
          {WORK_KINDS.map((k) => (
            <CheckBox
              key={k}
              checked={!p.skills.length || p.skills.includes(k)}
              onChange={(on) => onSave({ ...p, skills: skillsWith(p.skills, k, on) })}
            >
              {workName(k)}
            </CheckBox>
          ))}
        </div>
      </details>
      {p.off.map((o, i) => (
        <div key={`${o.from}${o.to}`} className="flex items-center gap-2">
          <span>away from</span>
          <DateCell
            label={`${p.name} away from`}
            value={o.from}
            onCommit={(v) =>
              v && onSave({ ...p, off: p.off.map((x, k) => (k === i ? { from: v, to: [v, x.to].toSorted()[1]! } : x)) })
            }
          />
          <span>to</span>
          <DateCell
            label={`${p.name} away to`}
            value={o.to}
            onCommit={(v) => v && onSave({ ...p, off: p.off.map((x, k) => (k === i ? { ...x, to: v } : x)) })}
          />
          <RemoveButton
            what={`${p.name}’s days away`}
            onClick={() => onSave({ ...p, off: p.off.filter((_, k) => k !== i) })}
          />
        </div>
      ))}
      <button
        type="button"
        className="btn-plain btn"
        onClick={() => onSave({ ...p, off: [...p.off, { from: todayIso(), to: todayIso() }] })}
      >
        add days away
      </button>
    </div>
  )
}

/** All of them is the same as nothing said; none at all is nobody. */
function skillsWith(skills: Works['skills'], k: Works['skills'][number], on: boolean): Works['skills'] {
  const now = skills.length ? skills : [...WORK_KINDS]
  const next = WORK_KINDS.filter((x) => (x === k ? on : now.includes(x)))
  return next.length === WORK_KINDS.length ? [] : next.length ? next : [k]
}
