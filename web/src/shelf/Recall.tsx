import type { Api, GoodOf } from '@nubrin/core/api'
import type { CataloguePart } from '@nubrin/core/parts'
import { useState } from 'react'
import { Link } from 'react-router'
import { lazyView } from '../base/lazy'
import { refusalText, useRecall } from '../data'
import { dayText, Refused } from '../kit'

const RecallLetters = lazyView(() => import('./RecallLetters').then((m) => m.RecallLetters))

type Answer = GoodOf<Api['recall']>

/** How many there are, how many of them are shown, and of how many nobody can be told. */
function countOf({ carried, sabers, erased }: Answer): string {
  const shown = new Set(carried.map((c) => `${c.commission} ${c.saberId}`)).size
  return [
    `${sabers} ${sabers === 1 ? 'saber' : 'sabers'}`,
    shown < sabers ? `the first ${shown} are shown` : '',
    erased ? `${erased} ${erased === 1 ? 'is' : 'are'} of people whose data was erased: they cannot be contacted` : '',
  ]
    .filter(Boolean)
    .join('; ')
}
/** Ownership and where, as far as the shop still knows. */
const whereabouts = ({ client, shipped, place, lot }: Answer['carried'][number], ofLot: boolean) =>
  [
    '',
    ...(client ? [client] : []),
    ...(shipped ? [`shipped ${dayText(shipped)}`] : []),
    ...(place === 'off' ? ['taken off the rack'] : place === 'rack' && !shipped ? ['on the rack'] : []),
    ...(lot ? [`lot ${lot}`] : ofLot ? ['its lot is not recorded'] : []),
  ].join(', ')

/** Which sabers carry this part, or a lot: the answer a recall needs. */
export function Recall({ part }: { part: CataloguePart }) {
  const [asked, setAsked] = useState(part.id)
  const { data, error } = useRecall(asked)
  const list = data?.carried
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
      {data?.sabers ? <p className="font-medium">{countOf(data)}</p> : null}
      <ul>
        {list?.map((c) => (
          <li key={`${c.commission}${c.saberId}${c.part}${c.lot}`} className="border-rule border-b py-1 leading-tight">
            {c.place === 'rack' ? (
              <Link className="font-medium underline decoration-dotted" to={`/commission/${c.commission}/fit`}>
                {c.saber}
              </Link>
            ) : (
              <span className="font-medium">{c.place === 'erased' ? 'Erased' : c.saber}</span>
            )}
            <span className="text-quiet">{whereabouts(c, asked !== part.id)}</span>
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
