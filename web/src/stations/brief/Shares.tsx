import { type Arrival, FATES, findThing, shared, keyWords as words } from '@nubrin/core/record'
import { freshId } from '../../data'
import { bound, CountCell, GroupedSelect, RemoveButton, SelectCell } from '../../kit'
import { placesOfOrder } from '../../shared/places'
import { useOrder } from '../../store/commission'

type Share = Arrival['shares'][number]

/** What became of all that came under one name, in shares that add up to it, each with its saber and where it is now. */
export function Shares({ arrival: a, onEdit }: { arrival: Arrival; onEdit: (run: (x: Arrival) => void) => void }) {
  const sum = shared(a.shares)
  const split = () =>
    onEdit((y) => {
      const count = Math.max(1, y.quantity - shared(y.shares))
      y.shares.push({ id: freshId(), fate: 'undecided', count })
    })
  return (
    <>
      {a.shares.map((x, i) => (
        <ShareRow
          key={x.id}
          share={x}
          what={a.what}
          n={a.shares.length > 1 ? i + 1 : undefined}
          onEdit={(run) =>
            onEdit((y) => {
              const own = y.shares.find((q) => q.id === x.id)
              if (own) run(own)
            })
          }
          onRemove={() => onEdit((y) => void (y.shares = y.shares.filter((q) => q.id !== x.id)))}
        />
      ))}
      {a.quantity > 1 || sum !== a.quantity ? (
        <p className="flex items-baseline gap-3 pl-3 text-[0.87rem]">
          <button type="button" className="text-brass" onClick={split}>
            split it
          </button>
          <span className={sum === a.quantity ? 'text-quiet' : 'text-stop'}>
            {sum} of {a.quantity} accounted for
          </span>
        </p>
      ) : null}
    </>
  )
}

/** One share: how many, where there are several shares; what became of it, and where it is now. */
function ShareRow({
  share: x,
  what,
  n,
  onEdit,
  onRemove,
}: {
  share: Share
  what: string
  /** Which of several. */
  n: number | undefined
  onEdit: (run: (x: Share) => void) => void
  onRemove: () => void
}) {
  const order = useOrder()
  const { choice } = bound(x, onEdit)
  const place = (v: string) =>
    onEdit((y) => {
      if (!v) {
        delete y.now
        delete y.saber
        return
      }
      y.now = v as NonNullable<typeof y.now>
      const home = findThing(order, v)?.saber
      if (home) y.saber = home
    })
  return (
    <div className="grid grid-cols-[2rem_6rem_minmax(0,1fr)_1.5rem] items-center gap-2 pl-3">
      {n ? (
        <CountCell label={`Share ${n} of ${what}, how many`} max={999} {...choice('count')} />
      ) : (
        <span className="text-quiet text-right">all</span>
      )}
      <SelectCell
        label={n ? `Share ${n} of ${what}, what became of it` : `What became of ${what}`}
        options={FATES}
        words={words}
        {...choice('fate')}
      />
      <GroupedSelect
        label={`Share ${n ?? 1} of ${what}, where it is now`}
        value={x.now ?? ''}
        groups={[{ title: '', choices: [{ value: '', words: 'where it is now' }] }, ...placesOfOrder(order)]}
        onCommit={place}
      />
      {n ? <RemoveButton what={`share ${n} of ${what}`} onClick={onRemove} /> : <span />}
    </div>
  )
}
