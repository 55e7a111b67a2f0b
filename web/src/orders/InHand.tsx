import { Link } from 'react-router'
import type { Orders } from '../data'

interface Props {
  free: Orders['free']
  onReserve: (x: { commission: string; parts: string[] }) => void
}

/** What is in hand for a commission and not laid aside for it yet: another one could take it. */
export function InHand({ free, onReserve }: Props) {
  if (!free.length) return null
  const open = [...new Map(free.map((c) => [c.commission, c.title]))]
  return (
    <section aria-label="In stock, not reserved">
      <h2 className="h2">In stock, not reserved</h2>
      {open.map(([id, title]) => {
        const mine = free.filter((c) => c.commission === id)
        const names = [...new Set(mine.map((c) => c.name))].map((name) => {
          const n = mine.filter((c) => c.name === name).length
          return n > 1 ? `${n} × ${name}` : name
        })
        return (
          <div key={id} className="border-rule flex items-center gap-3 border-b py-1">
            <div className="min-w-0">
              <Link to={`/commission/${id}/fit`} className="font-medium underline decoration-dotted">
                {title}
              </Link>
              <p className="text-quiet leading-tight">{names.join(', ')}</p>
            </div>
            <button
              type="button"
              className="btn ml-auto min-h-8! shrink-0 py-0!"
              aria-label={`Reserve the parts for ${title}`}
              onClick={() => onReserve({ commission: id, parts: mine.map((c) => c.part) })}
            >
              reserve
            </button>
          </div>
        )
      })}
    </section>
  )
}
