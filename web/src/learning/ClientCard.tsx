import { keyWords } from '@nubrin/core/record'
import { useEffect } from 'react'
import { Link, useParams } from 'react-router'
import { useClientCard } from '../data'
import { dayText, Empty, Refused, TextCell } from '../kit'

const HABIT = {
  ...{ inches: 'thinks in inches', ownCharger: 'has a charger already', reprograms: 'reprograms the sabers' },
  duels: 'duels with them',
} as const

/** A client in the shop: the sabers, how they are used, and what was asked. */
export default function ClientCard() {
  const { id } = useParams()
  const { card, keep } = useClientCard(id!)
  const c = card.data
  useEffect(() => {
    document.title = `${c?.name ?? 'A client'} · Nubrin`
  }, [c?.name])
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <Link to="/" aria-label="back to the rack" className="text-brass text-[1.3rem]">
          ←
        </Link>
        <h1 className="text-[1.4rem]">{c?.name ?? '…'}</h1>
        <p className="text-quiet truncate">{[c?.country, c?.contact].filter(Boolean).join(' · ')}</p>
      </header>
      <main className="grid gap-x-8 gap-y-5 px-5 py-3 min-[1000px]:grid-cols-2">
        <Refused why={(card.error ?? keep.error)?.message} className="col-span-full" />
        {c ? (
          <>
            <section aria-label="Commissions">
              <h2 className="h2">What we made</h2>
              {c.commissions.map((x) => (
                <p key={x.id} className="border-rule flex gap-3 border-b py-1">
                  <Link to={`/commission/${x.id}/handoff`} className="font-medium underline decoration-dotted">
                    {x.title}
                  </Link>
                  <span className="text-quiet">{keyWords(x.job)}</span>
                  <span className="ml-auto">
                    {x.shipped
                      ? `shipped ${dayText(x.shipped)}`
                      : x.deadline
                        ? `promised ${dayText(x.deadline)}`
                        : 'under way'}
                  </span>
                </p>
              ))}
            </section>
            <div className="space-y-5">
              <section aria-label="Habits">
                <h2 className="h2">How they use them</h2>
                {c.habits.map((h) => (
                  <p key={h} className="border-rule border-b py-0.5">
                    {HABIT[h]}
                  </p>
                ))}
                <TextCell
                  label="What we noticed"
                  lines={4}
                  placeholder="what we noticed"
                  value={c.note}
                  onCommit={(note) => keep.mutate(note.slice(0, 600))}
                />
              </section>
              <section aria-label="What was asked">
                <h2 className="h2">What they asked</h2>
                {c.asked.length ? null : (
                  <Empty title="Nothing was asked">Questions from a client’s page stand here.</Empty>
                )}
                {c.asked.map((q) => (
                  <p key={`${q.commission}${q.text}${q.on}`} className="border-rule flex gap-3 border-b py-1">
                    <Link to={`/commission/${q.commission}/letters`} className="underline decoration-dotted">
                      {q.text}
                    </Link>
                    <span className={`ml-auto shrink-0 ${q.answered ? 'text-quiet' : 'text-stop'}`}>
                      {[q.title, q.on && dayText(q.on), q.answered ? '' : 'not answered'].filter(Boolean).join(', ')}
                    </span>
                  </p>
                ))}
              </section>
            </div>
          </>
        ) : null}
      </main>
    </div>
  )
}
