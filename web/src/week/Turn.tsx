import { Link } from 'react-router'
import type { ShopPlan } from '../data'
import { useTurn } from '../data'
import { SortableList, tell } from '../kit'
import type { ForecastSaid } from '../workers/forecast.worker'

interface Props {
  plan: ShopPlan
  said: ForecastSaid | undefined
  ink: ReadonlyMap<string, string>
  lit: string | undefined
  onLit: (id: string | undefined) => void
}

/** The open commissions in the order in which they are worked on: dragged, or moved with space and the arrows. */
export function Turn({ plan, said, ink, lit, onLit }: Props) {
  const turn = useTurn()
  const move = (next: ShopPlan['open']) => {
    const i = next.findIndex((o, k) => o.id !== plan.open[k]?.id)
    if (i < 0) return
    // The one that was moved is the one without which both are the same.
    const up = next[i]!
    const down = plan.open[i]!
    const without = (list: readonly { id: string }[], id: string) => list.filter((o) => o.id !== id).map((o) => o.id)
    const moved = without(next, up.id).join() === without(plan.open, up.id).join() ? up : down
    const at = next.findIndex((o) => o.id === moved.id)
    turn.mutate({ id: moved.id, before: next[at + 1]?.id ?? null }, { onError: (e) => tell(e.message) })
  }
  return (
    <SortableList items={plan.open} onMove={move} name={(o) => o.title}>
      {(o) => {
        const mine = said?.outlooks.find((s) => s.id === o.id)?.said
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: what is pointed at is lit on the bench; the link does the same
          <div
            className={`min-w-0 py-1 leading-tight ${lit === o.id ? 'bg-card' : ''}`}
            onMouseEnter={() => onLit(o.id)}
            onMouseLeave={() => onLit(undefined)}
          >
            <div className="flex items-baseline gap-2">
              <span aria-hidden className="h-3 w-1.5 shrink-0 self-center" style={{ background: ink.get(o.id) }} />
              <Link
                to={`/commission/${o.id}/to-do`}
                className="truncate font-semibold"
                onFocus={() => onLit(o.id)}
                onBlur={() => onLit(undefined)}
              >
                {o.title}
              </Link>
              <span className={`ml-auto shrink-0 ${mine?.risky ? 'text-stop font-semibold' : ''}`}>{mine?.likely}</span>
            </div>
            <div className="text-quiet flex gap-2 pl-3.5 text-[0.9rem]">
              <span className="truncate" title={mine?.held}>
                {mine?.held}
              </span>
              <span className={`ml-auto shrink-0 ${mine?.risky ? 'text-stop' : ''}`}>
                {[mine?.promised, mine?.chance].filter(Boolean).join(', ')}
              </span>
            </div>
          </div>
        )
      }}
    </SortableList>
  )
}
