import type { Said } from '@nubrin/core/schedule'
import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { Link } from 'react-router'
import { fetchWhenIdle, lazyView } from '../base/lazy'
import { KeySheet, type Sheet, useCommands, useKeys } from '../commands'
import { RACK_COMMANDS } from '../commands/rack'
import { type RackRow, useFound, useRack } from '../data'
import { Refused } from '../kit'
import { useForecast } from '../shared/plan'
import { useSession } from '../store/session'
import { ModelSheet } from './ModelSheet'
import { RackEntry } from './RackEntry'

const NewCommission = lazyView(() => import('./NewCommission').then((m) => m.NewCommission))

type Pages = ReturnType<typeof useRack>
const rowsOf = (p: Pages): RackRow[] => p.data?.pages.flatMap((x) => x.commissions) ?? []

/** Home: the shop’s commissions on their pegs, the blade as far out as the work has come. */
export default function Rack() {
  const [find, setFind] = useState('')
  const open = useRack('open')
  const models = useRack('model')
  const found = useFound(find)
  const [sheet, setSheet] = useState<Sheet>()
  const show = useCallback((s: Sheet) => setSheet(s), [])
  const commands = useCommands(RACK_COMMANDS, show)
  useKeys(commands)
  useEffect(() => fetchWhenIdle(NewCommission), [])
  useEffect(() => {
    document.title = 'On the rack · Nubrin'
  }, [])
  const counts = open.data?.pages[0]?.counts
  // The rack hangs before anybody works out when it will be empty.
  const { said } = useForecast(undefined, !!open.data)
  const outlooks = useMemo(() => new Map(said.data?.outlooks.map((o) => [o.id, o.said])), [said.data])
  const finding = find.trim().length > 0
  const rows = finding ? (found.data ?? []) : rowsOf(open)
  const sheets = finding ? rows.filter((r) => r.job === 'model') : rowsOf(models)
  return (
    <div className="min-h-screen">
      <Head counts={counts} find={find} onFind={setFind} onBegin={() => setSheet('newCommission')} />
      <main>
        <Refused why={open.error?.message ?? (finding ? found.error?.message : undefined)} className="p-5" />
        {finding && found.data && !rows.length ? (
          <p className="text-quiet p-5">Nothing found for “{find}”: no name, part, lot, wish or note.</p>
        ) : null}
        {!finding && open.data && !rows.length ? (
          <p className="text-quiet p-5">
            {counts?.shipped ? 'Nothing is under way.' : 'The rack is empty.'} Press N to start{' '}
            {counts?.shipped ? 'a commission' : 'the first commission'}.
          </p>
        ) : null}
        <RackEntries
          rows={rows.filter((r) => r.job !== 'model')}
          more={finding ? undefined : open}
          outlooks={outlooks}
        />
        {!finding && counts?.shipped ? <HandedOver count={counts.shipped} /> : null}
        {sheets.length ? (
          <section aria-label="Model sheets" className="px-5 py-3">
            <h2 className="h2">Model sheets</h2>
            <ul className="mt-1 flex flex-wrap gap-3">
              {sheets.map((r) => (
                <ModelSheet key={r.id} row={r} />
              ))}
            </ul>
          </section>
        ) : null}
      </main>
      {sheet === 'newCommission' ? (
        <NewCommission rows={[...rowsOf(models), ...rowsOf(open)]} close={() => setSheet(undefined)} />
      ) : null}
      {sheet === 'keys' ? <KeySheet list={commands.list} drawing={false} close={() => setSheet(undefined)} /> : null}
    </div>
  )
}

type Counts = NonNullable<Pages['data']>['pages'][number]['counts']
const countText = (c: NonNullable<Counts>) =>
  `${c.sabers} sabers in ${c.open} commissions · ${c.soon > 1 ? `${c.soon} due in 7 days` : c.soon ? 'one due in 7 days' : 'none due in 7 days'}`

/** Whose rack it is, what hangs on it, and where else one goes from here. */
function Head({
  counts,
  find,
  onFind,
  onBegin,
}: {
  counts: Counts | undefined
  find: string
  onFind: (text: string) => void
  onBegin: () => void
}) {
  const person = useSession((s) => s.person)
  const signOut = useSession((s) => s.signOut)
  return (
    <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
      <h1 className="shrink-0 text-[1.4rem]">On the rack</h1>
      <p className="text-quiet truncate">{counts ? countText(counts) : person?.shop}</p>
      <div className="ml-auto flex shrink-0 items-center gap-3">
        <button type="button" className="btn" onClick={onBegin}>
          <span className="key">N</span> new commission
        </button>
        <Link to="/week" className="btn">
          <span className="key">W</span> the week
        </Link>
        <Link to="/shelf" className="btn">
          <span className="key">S</span> the shelf
        </Link>
        <Link to="/to-dos" className="btn">
          <span className="key">T</span> to do
        </Link>
        <label className="flex items-center gap-2">
          <span className="key">/</span>
          <span className="sr-only">find</span>
          <input
            id="find"
            className="cell w-36!"
            placeholder="find"
            maxLength={120}
            value={find}
            onChange={(e) => onFind(e.target.value)}
          />
        </label>
        <Link to="/shop" className="btn">
          {person?.name}
        </Link>
        <button type="button" className="btn-plain btn" onClick={() => void signOut()}>
          sign out
        </button>
      </div>
    </header>
  )
}

/** What was handed over, fetched when somebody wants to see it. */
function HandedOver({ count }: { count: number }) {
  const [past, setPast] = useState(false)
  const shipped = useRack('shipped', past)
  return (
    <section aria-label="Handed over">
      {past ? (
        <RackEntries rows={rowsOf(shipped)} more={shipped} outlooks={NONE} />
      ) : (
        <button type="button" className="btn-plain btn m-3" onClick={() => setPast(true)}>
          show {count === 1 ? 'the one handed over' : `${count} handed over`}
        </button>
      )}
    </section>
  )
}

const PEG_PX = 115
interface Hung {
  rows: readonly RackRow[]
  more: Pages | undefined
  /** How each will go, by id; it comes after the rest. */
  outlooks: ReadonlyMap<string, Said>
}
const NONE: ReadonlyMap<string, Said> = new Map()

/** RackEntries below one another; only those near the window are drawn, and the next page comes as its end is reached. */
function RackEntries({ rows, more, outlooks }: Hung) {
  const list = useRef<HTMLUListElement>(null)
  const view = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => PEG_PX,
    overscan: 4,
    scrollMargin: list.current?.offsetTop ?? 0,
    getItemKey: (i) => rows[i]!.id,
  })
  const items = view.getVirtualItems()
  const last = items.at(-1)?.index ?? -1
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = more ?? {}
  useEffect(() => {
    if (hasNextPage && !isFetchingNextPage && last >= rows.length - 5) void fetchNextPage?.()
  }, [hasNextPage, isFetchingNextPage, fetchNextPage, last, rows.length])
  return (
    <>
      <ul ref={list} className="relative" style={{ height: view.getTotalSize() }}>
        {items.map((v) => (
          <RackEntry
            key={v.key}
            row={rows[v.index]!}
            outlook={outlooks.get(rows[v.index]!.id)}
            at={v.start - view.options.scrollMargin}
            index={v.index}
            measure={view.measureElement}
          />
        ))}
      </ul>
      {isFetchingNextPage ? <p className="text-quiet px-5 py-2">Fetching more…</p> : null}
    </>
  )
}
