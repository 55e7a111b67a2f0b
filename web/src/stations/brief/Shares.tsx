import { type Arrival, FATES, findThing, shared, keyWords as words } from '@nubrin/core/record'
import { freshId } from '../../data'
import { CountCell, GroupedSelect, RemoveButton, SelectCell } from '../../kit'
import { useOrder } from '../../store/commission'
import { placesOfOrder } from '../../things/places'

/** What became of all that came under one name, in shares that add up to it, each with its saber and where it is now. */
export function Shares({ arrival: a, onEdit }: { arrival: Arrival; onEdit: (run: (x: Arrival) => void) => void }) {
  const order = useOrder()
  const sum = shared(a.shares)
  const share = (id: string, run: (x: Arrival['shares'][number]) => void) =>
    onEdit((x) => {
      const y = x.shares.find((q) => q.id === id)
      if (y) run(y)
    })
  return (
    <>
      {a.shares.map((x, i) => (
        <div key={x.id} className="grid grid-cols-[2rem_6rem_minmax(0,1fr)_1.5rem] items-center gap-2 pl-3">
          {a.shares.length > 1 ? (
            <CountCell
              label={`Share ${i + 1} of ${a.what}, how many`}
              max={999}
              value={x.count}
              onCommit={(v) => share(x.id, (y) => void (y.count = v))}
            />
          ) : (
            <span className="text-quiet text-right">all</span>
          )}
          <SelectCell
            label={a.shares.length > 1 ? `Share ${i + 1} of ${a.what}, what became of it` : `What became of ${a.what}`}
            value={x.fate}
            options={FATES}
            words={words}
            onCommit={(v) => share(x.id, (y) => void (y.fate = v))}
          />
          <GroupedSelect
            label={`Share ${i + 1} of ${a.what}, where it is now`}
            value={x.now ?? ''}
            groups={[{ title: '', choices: [{ value: '', words: 'where it is now' }] }, ...placesOfOrder(order)]}
            onCommit={(v) =>
              share(x.id, (y) => {
                if (!v) {
                  delete y.now
                  delete y.saber
                  return
                }
                y.now = v as NonNullable<typeof y.now>
                const home = findThing(order, v)?.saber
                if (home) y.saber = home
              })
            }
          />
          {a.shares.length > 1 ? (
            <RemoveButton
              what={`share ${i + 1} of ${a.what}`}
              onClick={() => onEdit((y) => void (y.shares = y.shares.filter((q) => q.id !== x.id)))}
            />
          ) : (
            <span />
          )}
        </div>
      ))}
      {a.quantity > 1 || sum !== a.quantity ? (
        <p className="flex items-baseline gap-3 pl-3 text-[0.87rem]">
          <button
            type="button"
            className="text-brass"
            onClick={() =>
              onEdit(
                (y) =>
                  void y.shares.push({
                    ...{ id: freshId(), fate: 'undecided' as const },
                    count: Math.max(1, y.quantity - shared(y.shares)),
                  }),
              )
            }
          >
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
