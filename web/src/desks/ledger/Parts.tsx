import { type Arrival, FATES, nameIn, shared } from '@nubrin/core/record'
import { Link } from 'react-router'
import { Mark } from '../../kit'
import { useOrder } from '../../store/commission'

const FATE: Record<(typeof FATES)[number], string> = {
  ...{ used: 'used', altered: 'altered', leftOver: 'left over', returned: 'returned', undecided: 'undecided' },
}

/** What the client sent, each by what became of it: every line and every column has to come out even. */
export function Parts() {
  const { arrivals, id } = useOrder()
  const all = arrivals.flatMap((a) => a.shares)
  const came = arrivals.reduce((n, a) => n + a.quantity, 0)
  return (
    <section aria-label="The client’s parts, by what became of them">
      <h2 className="h2 mb-1">The client’s parts, by what became of them</h2>
      {arrivals.length ? (
        <table className="w-full table-fixed text-left">
          <thead className="label">
            <tr>
              <th className="font-normal">part</th>
              <th className="w-16 text-right font-normal">came</th>
              {FATES.map((f) => (
                <th key={f} className="w-20 text-right font-normal">
                  {FATE[f]}
                </th>
              ))}
              <th className="w-32 pl-4 font-normal">comes out</th>
              <th className="font-normal">is now in</th>
            </tr>
          </thead>
          <tbody>
            {arrivals.map((a) => (
              <Line key={a.id} arrival={a} />
            ))}
          </tbody>
          <tfoot className="font-semibold">
            <tr>
              <td>all</td>
              <td className="text-right">{came}</td>
              {FATES.map((f) => (
                <td key={f} className="text-right">
                  {shared(all, f) || ''}
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      ) : (
        <p className="text-quiet">
          The client sent nothing. Record what arrives under{' '}
          <Link className="underline" to={`/commission/${id}/brief`}>
            Brief
          </Link>
          .
        </p>
      )}
    </section>
  )
}

function Line({ arrival: a }: { arrival: Arrival }) {
  const order = useOrder()
  const left = a.quantity - shared(a.shares)
  const open = shared(a.shares, 'undecided')
  const places = [...new Set(a.shares.flatMap((x) => nameIn(order, x.now) ?? []))].join(', ')
  const says = left > 0 ? `${left} missing` : left < 0 ? `${-left} too many` : open ? `${open} undecided` : 'even'
  return (
    <tr className="border-rule border-b">
      <td className="py-1">
        <Link className="underline decoration-dotted" to={`/commission/${order.id}/brief`}>
          {a.what}
        </Link>
        {a.condition ? <span className="text-quiet"> · {a.condition}</span> : null}
      </td>
      <td className="text-right">{a.quantity}</td>
      {FATES.map((f) => (
        <td key={f} className="text-right">
          {shared(a.shares, f) || ''}
        </td>
      ))}
      <td className={`pl-4 ${says === 'even' ? 'text-quiet' : 'text-stop font-semibold'}`}>
        <span className="flex items-center gap-1.5">
          <Mark level={says === 'even' ? 'fine' : 'caution'} size={15} />
          {says}
        </span>
      </td>
      <td className="text-quiet">{places || '–'}</td>
    </tr>
  )
}
