import { isForeign, openFacts, readerOf } from '@nubrin/core/record'
import { type ComponentType, useMemo } from 'react'
import { Link } from 'react-router'
import { lazyView } from '../base/lazy'
import { useOrder } from '../store/commission'

/** Pages that go across the stations: what is not settled, what is left to do, what was written, how it went, what a saber is beside its parts, and its words in another language. */
export const DESKS = ['facts', 'to-do', 'letters', 'quote', 'ledger', 'saber', 'translation'] as const
export type Desk = (typeof DESKS)[number]
export const DESK_NAME: Record<Desk, string> = {
  ...{ facts: 'Facts', 'to-do': 'To-do', letters: 'Letters', quote: 'Quote', ledger: 'Ledger', saber: 'Saber' },
  translation: 'Translation',
}
export const isDesk = (name: string | undefined): name is Desk => (DESKS as readonly string[]).includes(name ?? '')

export const DESK_VIEW: Record<Desk, ComponentType> = {
  facts: lazyView(() => import('./facts').then((m) => m.FactsDesk)),
  'to-do': lazyView(() => import('./to-do').then((m) => m.ToDoDesk)),
  letters: lazyView(() => import('./letters').then((m) => m.LettersDesk)),
  quote: lazyView(() => import('./quote').then((m) => m.QuoteDesk)),
  ledger: lazyView(() => import('./ledger').then((m) => m.LedgerDesk)),
  saber: lazyView(() => import('./saber').then((m) => m.SaberDesk)),
  translation: lazyView(() => import('./translation').then((m) => m.TranslationDesk)),
}

/** The way to the desks, with how much lies on each. */
export function DeskLinks({ at }: { at: Desk | undefined }) {
  const order = useOrder()
  const count: Partial<Record<Desk, number>> = {
    facts: useMemo(() => openFacts(order).filter((f) => f.because !== 'unknown').length, [order]),
    'to-do': order.toDos.filter((t) => !t.done).length,
    // What the client asked and nobody has answered.
    letters: order.questions.filter((q) => q.askedBy === 'client' && !q.answer).length,
  }
  return (
    <nav aria-label="Desks" className="flex shrink-0 gap-1">
      {DESKS.filter((d) => d !== 'translation' || isForeign(readerOf(order))).map((d) => (
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
