import { openFacts } from '@nubrin/core/record'
import { type ComponentType, useMemo } from 'react'
import { Link } from 'react-router'
import { later } from '../base/later'
import { useOrder } from '../store/commission'

/** Pages that go across the stations: what is not settled, what is left to do, how it went, and what a saber is beside its parts. */
export const DESKS = ['facts', 'to-do', 'ledger', 'saber'] as const
export type Desk = (typeof DESKS)[number]
export const DESK_NAME: Record<Desk, string> = { facts: 'Facts', 'to-do': 'To-do', ledger: 'Ledger', saber: 'Saber' }
export const isDesk = (name: string | undefined): name is Desk => (DESKS as readonly string[]).includes(name ?? '')

export const DESK_VIEW: Record<Desk, ComponentType> = {
  facts: later(() => import('./facts').then((m) => m.FactsDesk)),
  'to-do': later(() => import('./to-do').then((m) => m.ToDoDesk)),
  ledger: later(() => import('./ledger').then((m) => m.LedgerDesk)),
  saber: later(() => import('./saber').then((m) => m.SaberDesk)),
}

/** The way to the desks, with how much lies on each. */
export function DeskLinks({ at }: { at: Desk | undefined }) {
  const order = useOrder()
  const count: Partial<Record<Desk, number>> = {
    facts: useMemo(() => openFacts(order).filter((f) => f.because !== 'unknown').length, [order]),
    'to-do': order.toDos.filter((t) => !t.done).length,
  }
  return (
    <nav aria-label="Desks" className="flex shrink-0 gap-1">
      {DESKS.map((d) => (
        <Link
          key={d}
          to={`/commission/${order.id}/${d}`}
          aria-current={d === at ? 'page' : undefined}
          className={`px-2 py-1 ${d === at ? 'bg-ink text-paper' : 'hover:bg-card'}`}
        >
          {DESK_NAME[d]}
          {count[d] ? <span className={d === at ? 'ml-1.5' : 'text-brass ml-1.5'}>{count[d]}</span> : null}
        </Link>
      ))}
    </nav>
  )
}
