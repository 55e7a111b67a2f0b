import { plusOf } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { useQuery } from '@tanstack/react-query'
import { call } from '../../data'
import { Mark } from '../../kit'
import { useOrder } from '../../store/commission'

/** Said before all else where a cell goes in another way round than a hand of this client, or of this shop, has learnt. */
export function Poles({ saber }: { saber: Saber }) {
  const order = useOrder()
  const here = plusOf(saber)
  const { data } = useQuery({
    queryKey: ['poles', order.id],
    queryFn: () => call('poles', { params: { id: order.id } }),
    enabled: here !== undefined,
    staleTime: 60_000,
  })
  if (!here || !data) return null
  const other = data.earlier.find((x) => x.end !== here)
  const there = here === 'emitter' ? 'pommel' : 'emitter'
  const unlike = data.habit[there] > data.habit[here] && data.habit[there] > 1
  if (!other && !unlike) return null
  return (
    <section aria-label="Which way round" className="border-brassline mb-3 border-l-3 pl-3">
      <p className="flex items-start gap-2 font-semibold">
        <Mark level="caution" size={16} /> Plus faces the {here} here
      </p>
      {other ? (
        <p>
          In {order.client.name ? `${order.client.name}’s` : 'the client’s'} {other.saber} it faces the {other.end}. Say
          it first, in the film and on paper.
        </p>
      ) : null}
      {unlike ? (
        <p>
          Of the shop’s last sabers, {data.habit[there]} have it the other way round, {data.habit[here]} like this one.
        </p>
      ) : null}
    </section>
  )
}
