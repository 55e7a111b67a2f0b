import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { call, refusalText, useIssued } from '../../data'
import { dayText, Refused, SelectCell } from '../../kit'
import { useBench, useOrder } from '../../store/commission'

/** What a handoff says otherwise than an earlier one, or the record as it stands than what the client has. */
export function Compared() {
  const order = useOrder()
  const revision = useBench((b) => b.revision)
  const { data: issued = [] } = useIssued(order.id)
  const [chosen, setChosen] = useState<{ now?: string; earlier?: string }>({})
  const numbers = issued.map((h) => String(h.number))
  const then = chosen.earlier ?? numbers[0] ?? ''
  const now = chosen.now ?? 'now'
  const { data, error } = useQuery({
    queryKey: ['differs', order.id, now, then, now === 'now' ? revision : 0],
    enabled: then !== '' && now !== then,
    queryFn: () => call('differs', { params: { id: order.id, number: now, other: then } }),
  })
  const named = (v: string) => {
    const h = issued.find((x) => String(x.number) === v)
    return h ? `no. ${v}, ${dayText(h.issuedAt)}` : 'as it stands'
  }
  if (!numbers.length) return null
  return (
    <section aria-label="Compared">
      <h2 className="h2">What has changed</h2>
      <div className="flex items-center gap-2">
        <SelectCell
          label="The later one"
          value={now}
          options={['now', ...numbers]}
          words={named}
          onCommit={(v) => setChosen({ ...chosen, now: v })}
        />
        <span className="text-quiet shrink-0">against</span>
        <SelectCell
          label="The earlier one"
          value={then}
          options={numbers}
          words={named}
          onCommit={(v) => setChosen({ ...chosen, earlier: v })}
        />
      </div>
      <Refused why={error ? refusalText(error) : ''} />
      {data && !data.length ? <p className="text-fine mt-1">Both say the same.</p> : null}
      {data?.map((d) => (
        <div key={d.chapter} className="border-rule border-b py-1.5">
          <h3 className="font-semibold">{d.title}</h3>
          {d.gone.map((l, i) => (
            <p key={`g${i}`} className="text-quiet leading-tight">
              <span className="sr-only">removed: </span>
              <s>{l}</s>
            </p>
          ))}
          {d.come.map((l, i) => (
            <p key={`c${i}`} className="leading-tight">
              <span className="text-brass font-semibold">now </span>
              {l}
            </p>
          ))}
        </div>
      ))}
    </section>
  )
}
