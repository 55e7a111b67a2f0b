import { type Commission, nameIn, type Request } from '@nubrin/core/record'
import { Link } from 'react-router'
import { NumberCell, setText, TextCell } from '../../kit'
import { MoneyCell } from '../../shared/Money'
import { useEditEntry, useOrder } from '../../store/commission'

const STATUS = { open: 'open', met: 'met', changed: 'changed', declined: 'declined' }

/** The beats of any saber that tell of a wish, by number. */
const toldIn = (c: Commission, id: string) =>
  c.sabers.flatMap((s) =>
    s.beats.flatMap((b, i) =>
      b.covers.includes(`request:${id}`) ? [c.sabers.length > 1 ? `${s.name} ${i + 1}` : `${i + 1}`] : [],
    ),
  )

/** Every wish on one line: how much it matters, what became of it, where in the saber it is, in which beat it is told. */
export function Wishes() {
  const order = useOrder()
  const usual = order.requests.find((r) => r.price)?.price?.currency ?? 'EUR'
  const ranked = order.requests.toSorted((a, b) => (a.rank ?? 99) - (b.rank ?? 99))
  return (
    <section aria-label="Requests">
      <h2 className="h2 mb-1">Requests</h2>
      {order.requests.length ? (
        <table className="w-full table-fixed text-left">
          <thead className="label">
            <tr>
              <th className="w-12 font-normal">rank</th>
              <th className="font-normal">wish</th>
              <th className="w-20 font-normal">became</th>
              <th className="w-36 font-normal">is in</th>
              <th className="w-28 font-normal">client told</th>
              <th className="w-20 font-normal">told in beat</th>
              <th className="w-32 font-normal">price</th>
              <th className="w-44 font-normal">for the shop only</th>
            </tr>
          </thead>
          <tbody>
            {ranked.map((r) => (
              <Wish key={r.id} wish={r} beats={toldIn(order, r.id)} usual={usual} />
            ))}
          </tbody>
        </table>
      ) : (
        <p className="text-quiet">
          No wishes yet. Record them under{' '}
          <Link className="underline" to={`/commission/${order.id}/brief`}>
            Brief
          </Link>
          .
        </p>
      )}
    </section>
  )
}

function Wish({ wish: r, beats, usual }: { wish: Request; beats: string[]; usual: string }) {
  const order = useOrder()
  const set = useEditEntry('requests')
  return (
    <tr className="border-rule border-b align-top">
      <td>
        <NumberCell
          label={`Rank of ${r.text}`}
          max={99}
          placeholder="–"
          value={r.rank}
          onCommit={(v) =>
            set('rank', r.id, (x) => void (v === undefined || v < 1 ? delete x.rank : (x.rank = Math.round(v))))
          }
        />
      </td>
      <td className="py-1 pr-3 font-medium">{r.text}</td>
      <td className="py-1">{r.shape === 'offered' && !r.acceptedOn ? 'offered' : STATUS[r.status]}</td>
      <td className="truncate py-1 pr-2">{nameIn(order, r.where) ?? '–'}</td>
      <td className="py-1">{r.toldOn ?? '–'}</td>
      <td className="py-1">{beats.length ? beats.join(', ') : '–'}</td>
      <td>
        {r.shape === 'offered' || r.price ? (
          <MoneyCell
            label={`Price of ${r.text}`}
            value={r.price}
            usual={usual}
            onCommit={(v) => set('price', r.id, (x) => void (v ? (x.price = v) : delete x.price))}
          />
        ) : (
          <span className="text-quiet block py-1">–</span>
        )}
      </td>
      <td>
        <TextCell
          label={`Shop note on ${r.text}`}
          value={r.shopNote ?? ''}
          onCommit={(v) => set('shop note', r.id, (x) => setText(x, 'shopNote', v))}
        />
      </td>
    </tr>
  )
}
