import { useQuery, useQueryClient } from '@tanstack/react-query'
import { call } from '../data'
import { timeText } from '../kit'
import { Block, useDeed, Why } from './parts'

/** A browser in a word or two, from what it says of itself. */
function browserOf(agent: string): string {
  const device = /iPhone|iPad|Android/.exec(agent)?.[0] ?? /Windows|Macintosh|Linux/.exec(agent)?.[0] ?? ''
  const kind = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0] ?? 'a program'
  return [kind.replace('Edg', 'Edge'), device].filter(Boolean).join(' on ')
}

/** Where one is signed in; an owner sees everybody. */
export function Sessions() {
  const client = useQueryClient()
  const list = useQuery({ queryKey: ['sessions'], queryFn: () => call('sessions', {}) })
  const { run, why } = useDeed()
  return (
    <Block title="Signed in">
      <ul>
        {list.data?.map((s) => (
          <li key={s.id} className="border-rule flex items-center gap-3 border-b py-1.5">
            <span className="min-w-0 flex-1 truncate">
              <span className="font-semibold">{s.person}</span>, {browserOf(s.agent)}
              {s.here ? ' (here)' : ''}
            </span>
            <span className="text-quiet">{s.seen ? timeText(s.seen) : ''}</span>
            <button
              type="button"
              className="btn"
              disabled={s.here}
              onClick={() =>
                void run(() => call('endSession', { params: { id: s.id } })).then(() =>
                  client.invalidateQueries({ queryKey: ['sessions'] }),
                )
              }
            >
              sign out
            </button>
          </li>
        ))}
      </ul>
      <Why why={why} />
    </Block>
  )
}
