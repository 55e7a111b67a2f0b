import { useCallback, useEffect, useState } from 'react'
import { Link } from 'react-router'
import { KeySheet, type Sheet, useCommands, useKeys } from '../commands'
import { type RackRow, useRack } from '../data'
import { Refused } from '../kit'
import { useSession } from '../store/session'
import { daysTo } from './days'
import { ModelSheet } from './ModelSheet'
import { NewCommission } from './NewCommission'
import { Peg } from './Peg'

/** How much hangs on the rack, and how much of it ships soon. */
function rackText(rows: readonly RackRow[]): string {
  const real = rows.filter((r) => r.job !== 'model')
  const soon = real.filter((r) => !r.shipped && r.deadline && daysTo(r.deadline) <= 7).length
  const sabers = real.reduce((n, r) => n + r.sabers.length, 0)
  return `${sabers} sabers on ${real.length} pegs · ${soon ? `${soon} ship within a week` : 'none ships this week'}`
}

/** Home: the shop's commissions on their pegs, the blade as far out as the work has come. */
export default function Rack() {
  const person = useSession((s) => s.person)
  const signOut = useSession((s) => s.signOut)
  const rack = useRack()
  const [find, setFind] = useState('')
  const [sheet, setSheet] = useState<Sheet>()
  const show = useCallback((s: Sheet) => setSheet(s), [])
  const commands = useCommands('rack', show)
  useKeys(commands)
  useEffect(() => {
    document.title = 'On the rack · Nubrin'
  }, [])
  const rows = rack.data ?? []
  const list = rows.filter((r) =>
    `${r.title} ${r.client} ${r.sabers.map((s) => s.name).join(' ')}`.toLowerCase().includes(find.toLowerCase()),
  )
  const models = list.filter((r) => r.job === 'model')
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <h1 className="text-[1.4rem]">On the rack</h1>
        <p className="text-quiet truncate">
          {person?.shop}
          {rack.data ? ` · ${rackText(rows)}` : ''}
        </p>
        <div className="ml-auto flex shrink-0 items-center gap-3">
          <button type="button" className="btn" onClick={() => setSheet('newCommission')}>
            <span className="key">N</span> new commission
          </button>
          <Link to="/shelf" className="btn">
            <span className="key">S</span> the shelf
          </Link>
          <label className="flex items-center gap-2">
            <span className="key">/</span>
            <span className="sr-only">find</span>
            <input
              id="find"
              className="cell w-36!"
              placeholder="find"
              value={find}
              onChange={(e) => setFind(e.target.value)}
            />
          </label>
          <span className="text-quiet">{person?.name}</span>
          <button type="button" className="btn-plain btn" onClick={() => void signOut()}>
            leave
          </button>
        </div>
      </header>
      <main>
        <Refused why={rack.error?.message} className="p-5" />
        {rack.data && !list.length ? (
          <p className="text-quiet p-5">
            {find
              ? `Nothing on the rack answers to “${find}”.`
              : 'The rack is empty. Press N to begin the first commission.'}
          </p>
        ) : null}
        <ul>
          {list
            .filter((r) => r.job !== 'model')
            .map((r) => (
              <Peg key={r.id} row={r} />
            ))}
        </ul>
        {models.length ? (
          <section aria-label="Model sheets" className="px-5 py-3">
            <h2 className="h2">Model sheets</h2>
            <ul className="mt-1 flex flex-wrap gap-3">
              {models.map((r) => (
                <ModelSheet key={r.id} row={r} />
              ))}
            </ul>
          </section>
        ) : null}
      </main>
      {sheet === 'newCommission' ? <NewCommission rows={rows} close={() => setSheet(undefined)} /> : null}
      {sheet === 'keys' ? <KeySheet list={commands.list} drawing={false} close={() => setSheet(undefined)} /> : null}
    </div>
  )
}
