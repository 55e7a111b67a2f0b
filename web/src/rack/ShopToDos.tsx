import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { type LeftToDo, todayIso, useLeftToDo } from '../data'
import { dayText, Empty, Refused, SelectCell, Tabs, tell } from '../kit'
import { WAITS, waitsFor } from '../shared/waits'
import { useSession } from '../store/session'
import { shipsIn } from './days'

const BY = { blocks: 'by what it blocks', person: 'by person', commission: 'by commission' } as const
type By = keyof typeof BY
const WAYS = Object.keys(BY) as By[]
const groupOf: Record<By, (t: LeftToDo) => string> = {
  blocks: (t) => waitsFor(t.blocks),
  person: (t) => t.person ?? (t.who === 'client' ? 'For the client' : 'For anybody in the shop'),
  commission: (t) => t.title,
}

/** All the work that is left in the shop, by what it holds up, by person, or by commission. */
export default function ShopToDos() {
  const { list, done } = useLeftToDo()
  const by = useSession((s) => s.person?.name ?? 'the shop')
  const [way, setWay] = useState<By>('blocks')
  const [person, setPerson] = useState('')
  useEffect(() => {
    document.title = 'To do · Nubrin'
  }, [])
  const all = list.data ?? []
  const people = [...new Set(all.flatMap((t) => (t.person ? [t.person] : [])))].toSorted()
  const mine = all.filter((t) => !person || t.person === person)
  const titles = [...new Set(mine.map(groupOf[way]))]
  const groups = way === 'blocks' ? WAITS.flatMap(([, g]) => (titles.includes(g) ? [g] : [])) : titles
  const finish = (toDo: LeftToDo) =>
    done.mutate(
      { toDo, on: todayIso(), by },
      { onSuccess: () => tell(`“${toDo.text}” is done.`), onError: (e) => tell(e.message) },
    )
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <Link to="/" aria-label="back to the rack" className="text-brass text-[1.3rem]">
          ←
        </Link>
        <h1 className="text-[1.4rem]">To do in the shop</h1>
        <p className="text-quiet">
          {list.data ? `${mine.length} left on ${new Set(mine.map((t) => t.commission)).size} commissions` : ''}
        </p>
        {people.length ? (
          <SelectCell
            label="Whose work"
            className="ml-auto w-48!"
            value={person}
            options={['', ...people]}
            words={(v) => v || 'everybody’s'}
            onCommit={setPerson}
          />
        ) : null}
      </header>
      <main className="max-w-[1100px] px-5 py-3">
        <Refused why={list.error?.message} />
        <Tabs label="Sorted" tabs={Object.values(BY)} at={WAYS.indexOf(way)} onChange={(i) => setWay(WAYS[i]!)} />
        {list.data && !mine.length ? (
          <Empty title="Nothing is left to do">Add work on the to-do desk of a commission.</Empty>
        ) : null}
        {groups.map((g) => (
          <section key={g} aria-label={g} className="mt-4">
            <h2 className="h2">{g}</h2>
            {mine
              .filter((t) => groupOf[way](t) === g)
              .map((t) => (
                <Row key={`${t.commission}/${t.id}`} toDo={t} hides={way} onDone={() => finish(t)} />
              ))}
          </section>
        ))}
      </main>
    </div>
  )
}

function Row({ toDo: t, hides, onDone }: { toDo: LeftToDo; hides: By; onDone: () => void }) {
  const late = t.due !== null && t.due < todayIso()
  return (
    <div className="border-rule grid grid-cols-[minmax(0,1fr)_220px_130px_150px_auto] items-center gap-3 border-b py-1.5">
      <p className="leading-tight">
        <span className="font-medium">{t.text}</span>
        {t.about ? <span className="text-quiet"> · {t.about}</span> : null}
        {hides !== 'blocks' && t.blocks ? (
          <span className="text-stop block text-[0.9rem]">{waitsFor(t.blocks).toLowerCase()}</span>
        ) : null}
      </p>
      <Link to={`/commission/${t.commission}/to-do`} className="truncate underline decoration-dotted">
        {hides === 'commission' ? 'its desk' : t.title}
      </Link>
      <span className="text-quiet truncate">
        {hides === 'person' ? '' : (t.person ?? (t.who === 'client' ? 'the client' : ''))}
      </span>
      <span className={late ? 'text-stop font-semibold' : 'text-quiet'}>
        {t.due ? `${late ? 'was due' : 'by'} ${dayText(t.due)}` : t.ships ? shipsIn(t.ships) : ''}
      </span>
      <button type="button" className="btn min-h-8! px-3! py-0!" aria-label={`${t.text} is done`} onClick={onDone}>
        done
      </button>
    </div>
  )
}
