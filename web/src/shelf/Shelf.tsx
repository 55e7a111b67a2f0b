import { type CataloguePart, KINDS, type PartKind } from '@nubrin/core/parts'
import { useEffect, useState } from 'react'
import { freshId, refusalText, useCatalogue, useShelf } from '../data'
import { Empty } from '../kit'
import { BringIn } from './BringIn'
import { Drawers } from './Drawers'
import { PartCard } from './PartCard'
import { PartLine } from './PartLine'
import { ShelfHead } from './ShelfHead'

/** The shop's parts in drawers by kind, each drawn to one scale; what a part is, what is left of it, and which sabers carry it. */
export default function Shelf() {
  const { data: rows, error } = useCatalogue()
  const { keep, drop } = useShelf()
  const [kind, setKind] = useState<PartKind>('cell')
  const [picked, setPicked] = useState<string>()
  const [find, setFind] = useState('')
  const [bring, setBring] = useState(false)
  useEffect(() => {
    document.title = 'The shelf · Nubrin'
  }, [])
  const needle = find.trim().toLowerCase()
  const answers = (r: CataloguePart) =>
    [r.name, r.lot, r.supplier, r.id, KINDS[r.kind].label].some((t) => t?.toLowerCase().includes(needle))
  const shown = (rows ?? []).filter((r) => (needle ? answers(r) : r.kind === kind))
  const part = rows?.find((r) => r.id === picked) ?? shown[0]
  const failed = [error, keep.error, drop.error].find((e) => e)
  const add = async () => {
    const next: CataloguePart = { id: `own-${freshId()}`, kind, name: `new ${KINDS[kind].label}`, specs: {} }
    await keep.mutateAsync(next)
    setPicked(next.id)
  }
  return (
    <div className="bench flex h-screen min-h-[640px] flex-col">
      <ShelfHead rows={rows} find={find} onFind={setFind} onBring={() => setBring(true)} />
      {failed ? (
        <p role="alert" className="bg-card border-stop text-stop border-b-2 px-5 py-2">
          {refusalText(failed)}
        </p>
      ) : null}
      <div className="grid min-h-0 flex-1 grid-cols-[178px_minmax(0,1fr)_380px]">
        <Drawers
          rows={rows ?? []}
          open={needle ? undefined : kind}
          onOpen={(k) => {
            setKind(k)
            setFind('')
            setPicked(undefined)
          }}
        />
        <main className="relative min-h-0 overflow-y-auto px-5 py-2">
          {rows && !shown.length ? <Nothing find={needle && find} kind={kind} onAdd={() => void add()} /> : null}
          <ul>
            {shown.map((r) => (
              <PartLine key={r.id} part={r} open={part?.id === r.id} onOpen={() => setPicked(r.id)} />
            ))}
          </ul>
          {shown.length && !needle ? (
            <button type="button" className="text-brass py-2" onClick={() => void add()}>
              + another {KINDS[kind].label}
            </button>
          ) : null}
        </main>
        <aside className="border-rule relative min-h-0 overflow-y-auto border-l px-4 py-3">
          {part ? (
            <PartCard
              key={part.id}
              part={part}
              save={(p) => keep.mutate(p)}
              drop={() => {
                drop.mutate(part.id)
                setPicked(undefined)
              }}
            />
          ) : null}
        </aside>
      </div>
      {bring ? <BringIn close={() => setBring(false)} /> : null}
    </div>
  )
}

/** Nothing answers, or the drawer is empty: what one can do then. */
const Nothing = ({ find, kind, onAdd }: { find: string; kind: PartKind; onAdd: () => void }) => (
  <Empty
    title={find ? `Nothing on the shelf matches “${find}”` : `The drawer for ${KINDS[kind].label} is empty`}
    action={
      <button type="button" className="btn btn-main" onClick={onAdd}>
        put a {KINDS[kind].label} in
      </button>
    }
  >
    Add one by hand, or import a list as CSV or JSON.
  </Empty>
)
