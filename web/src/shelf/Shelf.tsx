import { type CataloguePart, KINDS, kindRule, type PartKind, SPECS, type SpecKey } from '@nubrin/core/parts'
import { known } from '@nubrin/core/record'
import { formatNumber, quantityOf } from '@nubrin/core/units'
import { format, parseISO } from 'date-fns'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { type ApiError, api, catalogue, dropPart, freshId, keepPart } from '../api'
import { FactField } from '../ui/FactField'
import { Empty, Labelled, Refused, RemoveButton, TextCell } from '../ui/fields'
import { BringIn } from './BringIn'
import { PartGlyph } from './PartGlyph'

interface Carried {
  part: string
  lot: string | null
  kind: string
  saberId: string
  saber: string
  commission: string
  title: string
  shipped: string | null
  client: string | null
}

/** The shop's parts in drawers by kind, each drawn to one scale; what a part is, what is left of it, and which sabers carry it. */
export default function Shelf() {
  const [rows, setRows] = useState<CataloguePart[]>()
  const [failed, setFailed] = useState('')
  const [kind, setKind] = useState<PartKind>('cell')
  const [picked, setPicked] = useState<string>()
  const [find, setFind] = useState('')
  const [bring, setBring] = useState(false)
  const load = useCallback(
    () =>
      catalogue().then(
        (r) => {
          setRows(r)
          setFailed('')
        },
        (e: Error) => setFailed(e.message),
      ),
    [],
  )
  useEffect(() => {
    document.title = 'The shelf · Nubrin'
    void load()
  }, [load])
  const counts = useMemo(() => {
    const n = new Map<PartKind, number>()
    for (const r of rows ?? []) n.set(r.kind, (n.get(r.kind) ?? 0) + 1)
    return n
  }, [rows])
  const needle = find.trim().toLowerCase()
  const shown = (rows ?? []).filter((r) =>
    needle
      ? [r.name, r.lot, r.supplier, r.id, KINDS[r.kind].label].some((t) => t?.toLowerCase().includes(needle))
      : r.kind === kind,
  )
  const part = rows?.find((r) => r.id === picked) ?? shown[0]
  const save = async (next: CataloguePart) => {
    setRows((list) => list?.map((r) => (r.id === next.id ? next : r)))
    try {
      await keepPart(next)
      setFailed('')
    } catch (e) {
      const err = e as ApiError
      setFailed(`${err.message} ${err.problems.map((p) => p.message).join('; ')}`)
      await load()
    }
  }
  const add = async () => {
    const next: CataloguePart = { id: `own-${freshId()}`, kind, name: `new ${KINDS[kind].label}`, specs: {} }
    try {
      await keepPart(next)
      await load()
      setPicked(next.id)
    } catch (e) {
      setFailed((e as Error).message)
    }
  }
  return (
    <div className="bench flex h-screen min-h-[640px] flex-col">
      <header className="border-rule flex h-[50px] shrink-0 items-center gap-4 border-b px-5">
        <Link to="/" className="text-brass" aria-label="Back to the rack" title="Back to the rack">
          ←
        </Link>
        <h1 className="text-[1.32rem]">The shelf</h1>
        <p className="text-quiet truncate">
          {rows ? `${rows.length} parts in ${counts.size} drawers, drawn to one scale` : ''}
        </p>
        <div className="ml-auto flex items-center gap-3">
          <input
            className="cell w-44!"
            aria-label="Find a part, a lot, a supplier"
            placeholder="part, lot, supplier"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <button type="button" className="btn" onClick={() => setBring(true)}>
            bring in
          </button>
          <a className="btn" href="/api/parts/export.csv">
            CSV
          </a>
          <a className="btn" href="/api/parts/export.json">
            JSON
          </a>
        </div>
      </header>
      {failed ? (
        <p role="alert" className="bg-card border-stop text-stop border-b-2 px-5 py-2">
          {failed}
        </p>
      ) : null}
      <div className="grid min-h-0 flex-1 grid-cols-[178px_minmax(0,1fr)_380px]">
        <nav aria-label="Drawers" className="border-rule relative min-h-0 overflow-y-auto border-r py-2">
          {(Object.keys(KINDS) as PartKind[]).map((k) => (
            <button
              key={k}
              type="button"
              aria-pressed={k === kind && !needle}
              className={`flex w-full items-center justify-between px-5 py-[3px] text-left ${k === kind && !needle ? 'bg-ink text-paper' : counts.get(k) ? 'hover:bg-card' : 'text-quiet hover:bg-card'}`}
              onClick={() => {
                setKind(k)
                setFind('')
                setPicked(undefined)
              }}
            >
              <span>{KINDS[k].label}</span>
              <span className={k === kind && !needle ? 'text-[#e3bd78]' : 'text-brass'}>{counts.get(k) ?? ''}</span>
            </button>
          ))}
        </nav>
        <main className="relative min-h-0 overflow-y-auto px-5 py-2">
          {rows && !shown.length ? (
            <Empty
              title={
                needle ? `Nothing on the shelf answers to “${find}”` : `The drawer for ${KINDS[kind].label} is empty`
              }
              action={
                <button type="button" className="btn btn-main" onClick={() => void add()}>
                  put a {KINDS[kind].label} in
                </button>
              }
            >
              Put one in by hand, or bring a list in as CSV or JSON.
            </Empty>
          ) : null}
          <ul>
            {shown.map((r) => (
              <li key={r.id} className="border-rule border-b">
                <button
                  type="button"
                  aria-pressed={part?.id === r.id}
                  className={`grid w-full grid-cols-[168px_minmax(0,1fr)_auto] items-center gap-3 px-1 py-1.5 text-left ${part?.id === r.id ? 'bg-card' : 'hover:bg-card'}`}
                  onClick={() => setPicked(r.id)}
                >
                  <span className="flex justify-end">
                    <PartGlyph part={r} />
                  </span>
                  <span className="min-w-0">
                    <span className="block font-semibold">{r.name}</span>
                    <span className="text-quiet block truncate text-[0.92rem]">{specLine(r)}</span>
                  </span>
                  <span
                    className={`text-right text-[0.92rem] ${r.stock === 0 ? 'text-stop font-semibold' : 'text-quiet'}`}
                  >
                    {r.stock === undefined ? '' : r.stock === 0 ? '✕ none left' : `${r.stock} left`}
                    {r.lot ? <span className="block">lot {r.lot}</span> : null}
                  </span>
                </button>
              </li>
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
            <Card
              key={part.id}
              part={part}
              save={save}
              drop={async () => {
                await dropPart(part.id).catch((e: Error) => setFailed(e.message))
                setPicked(undefined)
                await load()
              }}
            />
          ) : null}
        </aside>
      </div>
      {bring ? (
        <BringIn
          close={() => setBring(false)}
          done={() => {
            setBring(false)
            void load()
          }}
        />
      ) : null}
    </div>
  )
}

/** Size first, then the figures that matter for the kind, with their units. */
const specLine = (r: CataloguePart) => {
  const v = (k: SpecKey) => known(r.specs[k])
  const d = v('diameter')
  const size = [v('length'), d === undefined ? v('width') : undefined, d === undefined ? v('height') : undefined]
    .flatMap((x) => (x === undefined ? [] : [formatNumber(x)]))
    .concat(d === undefined ? [] : [`Ø ${formatNumber(d)}`])
    .join(' × ')
  const rest = kindRule(r.kind)
    .needs.concat(kindRule(r.kind).extras)
    .filter((k) => !['length', 'width', 'height', 'diameter'].includes(k) && v(k) !== undefined)
    .slice(0, 4)
    .map((k) =>
      SPECS[k].unit === '×' ? `${SPECS[k].label} ${formatNumber(v(k)!)}` : `${formatNumber(v(k)!)} ${SPECS[k].unit}`,
    )
  return [size ? `${size} mm` : '', ...rest].filter(Boolean).join(' · ')
}

/** One part: its values with their sources, what is left of it, and which sabers carry it. */
function Card({
  part,
  save,
  drop,
}: {
  part: CataloguePart
  save: (p: CataloguePart) => Promise<void>
  drop: () => Promise<void>
}) {
  const rule = kindRule(part.kind)
  const [wrong, setWrong] = useState('')
  const set = (change: Partial<CataloguePart>) => void save({ ...part, ...change })
  const without = (key: 'stock' | 'lot' | 'supplier' | 'cost') => {
    const { [key]: _gone, ...rest } = part
    void save(rest)
  }
  const number = (key: 'stock' | 'cost', label: string, whole: boolean) => (
    <Labelled label={label}>
      <TextCell
        label={label}
        value={part[key] === undefined ? '' : String(part[key])}
        onCommit={(v) => {
          const n = Number(v.replace(',', '.'))
          if (!v.trim()) without(key)
          else if (!Number.isFinite(n) || n < 0 || (whole && !Number.isInteger(n)))
            setWrong(`${label}: “${v}” is not a ${whole ? 'whole ' : ''}number from 0.`)
          else {
            setWrong('')
            set({ [key]: n })
          }
        }}
      />
    </Labelled>
  )
  const line = (key: 'lot' | 'supplier', label: string) => (
    <Labelled label={label}>
      <TextCell
        label={label}
        value={part[key] ?? ''}
        onCommit={(v) => (v.trim() ? set({ [key]: v.trim() }) : without(key))}
      />
    </Labelled>
  )
  return (
    <section aria-label={`Part ${part.name}`}>
      <div className="flex items-center">
        <TextCell
          label="Part name"
          className="text-[1.1rem] font-semibold"
          value={part.name}
          onCommit={(v) => set({ name: v.trim() || part.name })}
        />
        <RemoveButton what={part.name} onClick={() => void drop()} />
      </div>
      <p className="text-quiet text-[0.87rem]">{rule.label}</p>
      <div className="mt-1 grid grid-cols-3 gap-x-3">
        {[...rule.needs, ...rule.extras].map((k) => (
          <FactField
            key={k}
            compact
            label={SPECS[k].unit === '×' ? SPECS[k].label : `${SPECS[k].label}, ${SPECS[k].unit}`}
            value={part.specs[k]}
            unit={SPECS[k].unit}
            quantity={quantityOf(SPECS[k].unit)}
            source="datasheet"
            onCommit={(v) => set({ specs: { ...part.specs, [k]: v } })}
          />
        ))}
      </div>
      <div className="border-rule mt-2 grid grid-cols-[68px_80px_minmax(0,1fr)_54px] gap-x-3 border-t pt-1">
        {number('stock', 'left', true)}
        {line('lot', 'lot')}
        {line('supplier', 'supplier')}
        {number('cost', 'cost', false)}
      </div>
      <Refused why={wrong} className="text-[0.9rem]" />
      <Recall part={part} />
    </section>
  )
}

/** Which sabers carry this part, or a lot: the answer a recall needs. */
function Recall({ part }: { part: CataloguePart }) {
  const [asked, setAsked] = useState(part.id)
  const [list, setList] = useState<Carried[]>()
  const [wrong, setWrong] = useState('')
  useEffect(() => {
    let stale = false
    api<Carried[]>('GET', `/recall?q=${encodeURIComponent(asked)}`)
      .then((r) => !stale && setList(r))
      .catch((e: Error) => !stale && setWrong(e.message))
    return () => {
      stale = true
    }
  }, [asked])
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
      <Refused why={wrong} />
      {list && !list.length ? <p className="text-quiet">None on record.</p> : null}
      <ul>
        {list?.map((c) => (
          <li key={`${c.commission}${c.saberId}${c.part}${c.lot}`} className="border-rule border-b py-1 leading-tight">
            <Link className="font-medium underline decoration-dotted" to={`/commission/${c.commission}/fit`}>
              {c.saber}
            </Link>
            <span className="text-quiet">
              {c.client ? `, ${c.client}` : ''}
              {c.shipped ? `, shipped ${format(parseISO(c.shipped), 'd MMM yyyy')}` : ', on the rack'}
              {c.lot ? `, lot ${c.lot}` : ''}
            </span>
          </li>
        ))}
      </ul>
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
