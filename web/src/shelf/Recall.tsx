import type { CataloguePart } from '@nubrin/core/parts'
import { useState } from 'react'
import { Link } from 'react-router'
import { later } from '../base/later'
import { refusalText, useRecall } from '../data'
import { dayText, Refused } from '../kit'

const RecallLetters = later(() => import('./RecallLetters').then((m) => m.RecallLetters))

/** Which sabers carry this part, or a lot: the answer a recall needs. */
export function Recall({ part }: { part: CataloguePart }) {
  const [asked, setAsked] = useState(part.id)
  const { data: list, error } = useRecall(asked)
  const lots = [...new Set((list ?? []).flatMap((c) => (c.lot ? [c.lot] : [])))]
  return (
    <section aria-label="Which sabers carry it" className="mt-3">
      <div className="flex items-baseline gap-2">
        <h2 className="h2">Which sabers carry {asked === part.id ? 'it' : `lot ${asked}`}?</h2>
        {asked !== part.id ? (
          <button type="button" className="text-brass" onClick={() => setAsked(part.id)}>
            all lots
          </button>
        ) : null}
      </div>
      <Refused why={error ? refusalText(error) : ''} />
      {list && !list.length ? <p className="text-quiet">None on record.</p> : null}
      <ul>
        {list?.map((c) => (
          <li key={`${c.commission}${c.saberId}${c.part}${c.lot}`} className="border-rule border-b py-1 leading-tight">
            <Link className="font-medium underline decoration-dotted" to={`/commission/${c.commission}/fit`}>
              {c.saber}
            </Link>
            <span className="text-quiet">
              {c.client ? `, ${c.client}` : ''}
              {c.shipped ? `, shipped ${dayText(c.shipped)}` : ', on the rack'}
              {c.lot ? `, lot ${c.lot}` : ''}
            </span>
          </li>
        ))}
      </ul>
      {list?.length ? <RecallLetters key={asked} asked={asked} /> : null}
      {asked === part.id && lots.length ? (
        <p className="mt-1 flex flex-wrap gap-2">
          {lots.map((l) => (
            <button key={l} type="button" className="btn" onClick={() => setAsked(l)}>
              recall lot {l}
            </button>
          ))}
        </p>
      ) : null}
    </section>
  )
}
