import { anotherLike, JOBS, keyWords, type Saber } from '@nubrin/core/record'
import { freshId } from '../../data'
import { RemoveButton, SelectCell, TextCell } from '../../kit'
import { useBench, useEdit, useOrder, useRemove } from '../../store/commission'

const MOST = 12

/** The sabers of the order: called, ordered, copied, taken out, each with its own job. */
export function Sabers() {
  const order = useOrder()
  const edit = useEdit()
  const remove = useRemove()
  const at = useBench((b) => b.saberId)
  const choose = useBench((b) => b.chooseSaber)
  const move = (i: number, by: number) =>
    edit('order of the sabers', (d) => {
      const [s] = d.sabers.splice(i, 1)
      d.sabers.splice(i + by, 0, s!)
    })
  const copy = (s: Saber) =>
    edit('copy a saber', (d) => {
      if (d.sabers.length < MOST) d.sabers.push(anotherLike(order, s.id, `${s.name}, copy`, freshId))
    })
  return (
    <section aria-label="The sabers of this order">
      <h2 className="h2">The sabers of this order</h2>
      {order.sabers.map((s, i) => (
        <div
          key={s.id}
          className={`border-rule grid grid-cols-[minmax(0,2fr)_130px_auto_auto_auto_1.75rem] items-center gap-3 border-b ${s.id === at ? 'bg-card' : ''}`}
        >
          <TextCell
            label={`Name of saber ${i + 1}`}
            className="font-semibold"
            value={s.name}
            onCommit={(v) => edit('name', (d) => void (d.sabers.find((x) => x.id === s.id)!.name = v || s.name))}
          />
          <SelectCell
            label={`Job of ${s.name}`}
            value={s.job}
            options={JOBS}
            words={keyWords}
            onCommit={(v) => edit('job', (d) => void (d.sabers.find((x) => x.id === s.id)!.job = v))}
          />
          {s.id === at ? (
            <span className="text-quiet px-2">on the bench</span>
          ) : (
            <button type="button" className="text-brass px-2" onClick={() => choose(s.id)}>
              to the bench
            </button>
          )}
          <button
            type="button"
            className="text-brass px-2 disabled:opacity-40"
            disabled={order.sabers.length >= MOST}
            onClick={() => copy(s)}
          >
            copy
          </button>
          <span className="flex">
            <button
              type="button"
              className="text-brass px-1.5 disabled:opacity-40"
              aria-label={`${s.name} earlier`}
              disabled={i === 0}
              onClick={() => move(i, -1)}
            >
              ↑
            </button>
            <button
              type="button"
              className="text-brass px-1.5 disabled:opacity-40"
              aria-label={`${s.name} later`}
              disabled={i === order.sabers.length - 1}
              onClick={() => move(i, 1)}
            >
              ↓
            </button>
          </span>
          {order.sabers.length > 1 ? <RemoveButton what={s.name} onClick={() => remove(`saber:${s.id}`)} /> : <span />}
        </div>
      ))}
    </section>
  )
}
