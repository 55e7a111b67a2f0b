import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { call } from '../data'
import { dayText } from '../kit'
import { useSession } from '../store/session'
import { Block, Sure, useDeed, Why } from './parts'

/** What was taken off the rack: hung up again, or erased for good where somebody asks for it. */
export function Archive() {
  const person = useSession((s) => s.person)
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['archived'], queryFn: () => call('archived', {}) })
  const { run, why } = useDeed()
  const [erasing, setErasing] = useState<{ id: string; title: string }>()
  const again = () => client.invalidateQueries({ queryKey: ['archived'] })
  return (
    <Block title="Off the rack">
      {list.data?.length === 0 ? <p className="text-quiet">Nothing has been taken off the rack.</p> : null}
      <ul>
        {list.data?.map((c) => (
          <li key={c.id} className="border-rule flex items-center gap-3 border-b py-1.5">
            <span className="min-w-0 flex-1 truncate font-semibold">{c.title}</span>
            <span className="text-quiet">{dayText(c.archivedAt.slice(0, 10))}</span>
            <button
              type="button"
              className="btn"
              onClick={() =>
                void run(() => call('unarchive', { params: { id: c.id } }), 'It is back on the rack.').then(again)
              }
            >
              put it back on the rack
            </button>
            {person?.role === 'owner' ? (
              <button type="button" className="btn" onClick={() => setErasing(c)}>
                erase
              </button>
            ) : null}
          </li>
        ))}
      </ul>
      <Why why={why} />
      {erasing ? (
        <Sure
          title={`Erase ${erasing.title} for good`}
          words="Its content goes from the record, its history, its handoffs and its files, and from every backup that is restored later. Only lots of parts stay, without a name, for a recall. This cannot be undone."
          close={() => setErasing(undefined)}
          yes={() => {
            const { id } = erasing
            setErasing(undefined)
            void run(() => call('erase', { params: { id }, body: { why: 'requested by the person' } }), 'Erased.').then(
              again,
            )
          }}
        />
      ) : null}
    </Block>
  )
}
