import { Link } from 'react-router'
import { Refused } from '../../kit'
import { useBench } from '../../store/commission'
import type { Search } from './useLayouts'

/** How far a search is, with a way to stop it, and why it was refused. */
export function Searching({ search }: { search: Search }) {
  return (
    <>
      {search.searching ? (
        <p
          role="status"
          className={`later text-quiet flex items-center gap-3 ${search.found ? 'h-0 justify-end' : 'py-16'}`}
        >
          <progress max={1} value={search.progress} className="accent-[#8a5f17]" aria-label="Share searched" />
          {Math.round((search.progress ?? 0) * 100)} % searched
          <button type="button" className="btn" onClick={search.cancel}>
            stop
          </button>
        </p>
      ) : null}
      <Refused why={search.refused} />
    </>
  )
}

/** What has to be known before anything can be searched; each leads to its place. */
export function Missing({ needs }: { needs: readonly { name: string; ref?: string | undefined }[] }) {
  const light = useBench((b) => b.light)
  const order = useBench((b) => b.id)
  if (!needs.length) return null
  return (
    <>
      <p className="text-quiet mt-2">The search begins when these are known:</p>
      <ul>
        {needs.map((n) => (
          <li key={n.name} className="border-rule border-b py-1.5">
            {n.ref ? (
              <Link
                className="text-brass font-medium underline decoration-dotted"
                to={`/commission/${order}/hilt`}
                onClick={() => light(n.ref)}
              >
                {n.name}
              </Link>
            ) : (
              <span className="font-medium">{n.name}</span>
            )}
          </li>
        ))}
      </ul>
    </>
  )
}
