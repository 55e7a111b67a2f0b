import { type Commission, nameIn, type Ref, refTo, WORK_KINDS, WORK_OF_ALL, type WorkKind } from '@nubrin/core/record'
import { workName } from '@nubrin/core/schedule'
import { X } from 'lucide-react'
import { freshId } from '../data'
import { GroupedSelect } from '../kit'
import { useEdit, useOrder } from '../store/commission'

type Waited = NonNullable<Commission['toDos'][number]['after']>[number]
interface Props<T extends { after?: Waited[] }> {
  of: T
  /** The reference to itself: nothing waits for itself. */
  own: Ref | undefined
  what: string
  onEdit: (run: (x: T) => void) => void
}
/** Work that nobody has said anything of yet has no identity: it gets one when something waits for it. */
const NEW = 'new:'

/** What something waits for in words. */
function waitText(c: Commission, ref: Ref): string {
  const [kind, id] = ref.split(':') as [string, string]
  if (kind === 'work') {
    const w = c.work?.find((x) => x.id === id)
    const saber = c.sabers.length > 1 ? c.sabers.find((s) => s.id === w?.saber)?.name : undefined
    return w ? [workName(w.kind), saber].filter(Boolean).join(', ') : ref
  }
  if (kind === 'toDo') return c.toDos.find((t) => t.id === id)?.text ?? ref
  if (kind === 'question') return c.questions.find((q) => q.id === id)?.text ?? ref
  return nameIn(c, ref) ?? ref
}

function choices(c: Commission, own: Ref | undefined) {
  const several = c.sabers.length > 1
  const kinds = c.sabers.flatMap((s) =>
    WORK_KINDS.filter((k) => !(WORK_OF_ALL as readonly WorkKind[]).includes(k)).map((k) => ({ k, s })),
  )
  const work = [
    ...kinds.map(({ k, s }) => ({
      kind: k,
      saber: s.id,
      words: [workName(k), several && s.name].filter(Boolean).join(', '),
    })),
    ...WORK_OF_ALL.map((k) => ({ kind: k, saber: undefined, words: workName(k) })),
  ].map(({ kind, saber, words }) => {
    const there = c.work?.find((w) => w.kind === kind && w.saber === saber)
    return { value: there ? refTo('work', there.id) : `${NEW}${kind} ${saber ?? ''}`, words }
  })
  const all = [
    { title: 'work', choices: work },
    { title: 'left to do', choices: c.toDos.map((t) => ({ value: refTo('toDo', t.id), words: t.text })) },
    { title: 'questions', choices: c.questions.map((q) => ({ value: refTo('question', q.id), words: q.text })) },
    {
      title: 'parts',
      choices: c.sabers.flatMap((s) => s.parts.map((p) => ({ value: refTo('part', p.id), words: p.name }))),
    },
  ]
  return all.map((g) => ({ ...g, choices: g.choices.filter((x) => x.value !== own) })).filter((g) => g.choices.length)
}

/** What something waits for: other work, things left to do, answers and parts. */
export function WaitsFor<T extends { after?: Waited[] }>({ of, own, what, onEdit }: Props<T>) {
  const order = useOrder()
  const edit = useEdit()
  const add = (value: string) => {
    if (!value) return
    let ref = value as Waited
    if (value.startsWith(NEW)) {
      const [kind, saber] = value.slice(NEW.length).split(' ') as [WorkKind, string]
      const id = freshId()
      ref = refTo('work', id)
      edit('work', (d) => {
        d.work ??= []
        d.work.push({ id, kind, ...(saber ? { saber } : {}) })
      })
    }
    onEdit((x) => {
      x.after = [...new Set([...(x.after ?? []), ref])]
    })
  }
  const drop = (ref: Waited) =>
    onEdit((x) => {
      const rest = x.after?.filter((r) => r !== ref)
      if (rest?.length) x.after = rest
      else delete x.after
    })
  return (
    <div className="min-w-0">
      <GroupedSelect
        title="waits for"
        label={`What ${what} waits for`}
        value=""
        groups={[{ title: '', choices: [{ value: '', words: 'as usual; add…' }] }, ...choices(order, own)]}
        onCommit={add}
      />
      {of.after?.length ? (
        <ul className="leading-tight">
          {of.after.map((r) => (
            <li key={r} className="flex items-center gap-1">
              <span className="truncate">{waitText(order, r)}</span>
              <button
                type="button"
                className="text-quiet"
                aria-label={`${what} does not wait for ${waitText(order, r)}`}
                onClick={() => drop(r)}
              >
                <X size={14} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  )
}
