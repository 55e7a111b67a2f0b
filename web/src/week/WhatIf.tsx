import { JOBS, keyWords } from '@nubrin/core/record'
import { chanceText, type Question } from '@nubrin/core/schedule'
import { dayAfter } from '@nubrin/core/units'
import type { ShopPlan } from '../data'
import { DateCell, dayOfWeeks, SelectCell } from '../kit'
import type { ForecastSaid } from '../workers/forecast.worker'

interface Props {
  plan: ShopPlan
  now: ForecastSaid
  then: ForecastSaid | undefined
  question: Question | undefined
  onAsk: (q: Question | undefined) => void
}
const KINDS = ['none', 'first', 'off', 'late', 'more', 'another'] as const
type Kind = (typeof KINDS)[number]
const WORDS: Record<Kind, string> = {
  ...{ none: 'nothing: as it stands', first: 'this one goes first', off: 'somebody is away' },
  ...{ late: 'a part comes later', more: 'somebody works longer', another: 'one more commission is taken on' },
}
const LATER = [3, 7, 14, 28] as const
const LONGER = [1, 2, 3, 4] as const
const kindOf = (q: Question | undefined): Kind => KINDS.find((k) => k !== 'none' && q?.[k]) ?? 'none'

/** What would become of the promises: asked of the same forecast, nothing is kept. */
export function WhatIf({ plan, now, then, question, onAsk }: Props) {
  const kind = kindOf(question)
  const tomorrow = dayAfter(plan.today, 1)
  const begin = (k: Kind) => {
    const person = plan.people[0]?.name ?? ''
    const part = plan.coming[0]
    const first: Record<Kind, Question | undefined> = {
      none: undefined,
      first: { first: plan.open.at(-1)?.id ?? '' },
      off: { off: [{ person, from: tomorrow, to: tomorrow }] },
      late: part ? { late: [{ commission: part.commission, part: part.part, days: 7 }] } : undefined,
      more: { more: [{ person, on: tomorrow, hours: 2 }] },
      another: { another: 'install' },
    }
    onAsk(first[k])
  }
  return (
    <section aria-label="What if" className="border-rule mt-3 border-t pt-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="h2 border-0! m-0!">What if</h2>
        <SelectCell
          label="What if"
          className="w-52!"
          value={kind}
          options={KINDS.filter((k) => k !== 'late' || plan.coming.length)}
          words={(k) => WORDS[k]}
          onCommit={begin}
        />
        <Details plan={plan} question={question} onAsk={onAsk} />
      </div>
      {question && then ? <Changes plan={plan} now={now} then={then} question={question} /> : null}
    </section>
  )
}

function Details({ plan, question: q, onAsk }: Pick<Props, 'plan' | 'question' | 'onAsk'>) {
  const titles = (id: string) => plan.open.find((o) => o.id === id)?.title ?? id
  const names = plan.people.map((p) => p.name)
  const partName = (key: string) => {
    const [commission, part] = key.split(' ') as [string, string]
    const open = plan.open.find((o) => o.id === commission)
    const what = open?.work.flatMap((w) => w.waits).find((w) => w.id === part)?.what ?? part
    return `${what} for ${open?.title ?? commission}`
  }
  const [off, late, more] = [q?.off?.[0], q?.late?.[0], q?.more?.[0]]
  return (
    <>
      {q?.first !== undefined ? (
        <SelectCell
          label="Which goes first"
          className="w-60!"
          value={q.first}
          options={plan.open.map((o) => o.id)}
          words={titles}
          onCommit={(first) => onAsk({ first })}
        />
      ) : null}
      {off ? (
        <>
          <SelectCell
            label="Who is away"
            className="w-32!"
            value={off.person}
            options={names}
            onCommit={(person) => onAsk({ off: [{ ...off, person }] })}
          />
          <DateCell
            label="Away from"
            value={off.from}
            onCommit={(d) => d && onAsk({ off: [{ ...off, from: d, to: [d, off.to].toSorted()[1]! }] })}
          />
          <span>to</span>
          <DateCell
            label="Away to"
            value={off.to}
            onCommit={(d) => d && onAsk({ off: [{ ...off, to: d, from: [d, off.from].toSorted()[0]! }] })}
          />
        </>
      ) : null}
      {late ? (
        <>
          <SelectCell
            label="Which part"
            className="w-72!"
            value={`${late.commission} ${late.part}`}
            options={plan.coming.map((c) => `${c.commission} ${c.part}`)}
            words={partName}
            onCommit={(key) => {
              const [commission, part] = key.split(' ') as [string, string]
              onAsk({ late: [{ ...late, commission, part }] })
            }}
          />
          <SelectCell
            label="How much later"
            className="w-28!"
            value={String(late.days)}
            options={LATER.map(String)}
            words={(n) => `${n} days`}
            onCommit={(n) => onAsk({ late: [{ ...late, days: Number(n) }] })}
          />
        </>
      ) : null}
      {more ? (
        <>
          <SelectCell
            label="Who works longer"
            className="w-32!"
            value={more.person}
            options={names}
            onCommit={(person) => onAsk({ more: [{ ...more, person }] })}
          />
          <DateCell label="On which day" value={more.on} onCommit={(on) => on && onAsk({ more: [{ ...more, on }] })} />
          <SelectCell
            label="How much longer"
            className="w-28!"
            value={String(more.hours)}
            options={LONGER.map(String)}
            words={(n) => `${n} h more`}
            onCommit={(n) => onAsk({ more: [{ ...more, hours: Number(n) }] })}
          />
        </>
      ) : null}
      {q?.another ? (
        <SelectCell
          label="Which job"
          className="w-40!"
          value={q.another}
          options={JOBS.filter((j) => j !== 'model')}
          words={keyWords}
          onCommit={(another) => onAsk({ another })}
        />
      ) : null}
    </>
  )
}

/** What changes for whom: the day and the chance, before and then. */
function Changes({
  plan,
  now,
  then,
  question,
}: {
  plan: ShopPlan
  now: ForecastSaid
  then: ForecastSaid
  question: Question
}) {
  const rows = plan.open.flatMap((o) => {
    const [a, b] = [now, then].map((f) => f.outlooks.find((x) => x.id === o.id))
    const same = a?.likely === b?.likely && chanceText(a?.chance ?? 0) === chanceText(b?.chance ?? 0)
    return !a || !b || same ? [] : [{ o, a, b }]
  })
  const another = then.outlooks.find((x) => x.id === 'another')
  return (
    <div className="mt-2">
      {question.another && another ? (
        <p className="text-[1.05rem]">
          One more {keyWords(question.another)}, after all that is open:{' '}
          {another.likely && another.surely ? (
            <>
              likely <strong>{dayOfWeeks(another.likely, true)}</strong>; promise{' '}
              <strong>{dayOfWeeks(another.surely, true)}</strong> and it holds 8 times in 10.
            </>
          ) : (
            'no date can be given.'
          )}
        </p>
      ) : null}
      {rows.length ? (
        <ul className="columns-2 gap-8 leading-snug">
          {rows.map(({ o, a, b }) => {
            const worse = (b.chance ?? 0) < (a.chance ?? 0)
            return (
              <li key={o.id} className="flex break-inside-avoid gap-2">
                <span className="truncate font-medium">{o.title}</span>
                <span className={`ml-auto shrink-0 ${worse ? 'text-stop' : 'text-fine'}`}>
                  {a.likely === b.likely
                    ? ''
                    : `${a.likely ? dayOfWeeks(a.likely) : 'no date'} → ${b.likely ? dayOfWeeks(b.likely) : 'no date'}`}
                  {a.chance !== undefined && b.chance !== undefined
                    ? `${a.likely === b.likely ? '' : ', '}${chanceText(a.chance)} → ${chanceText(b.chance)}`
                    : ''}
                </span>
              </li>
            )
          })}
        </ul>
      ) : question.another ? null : (
        <p className="text-quiet">No promise changes by that.</p>
      )}
    </div>
  )
}
