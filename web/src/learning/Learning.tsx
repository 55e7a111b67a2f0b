import { WORK, workName } from '@nubrin/core/schedule'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { type Learning as Said, todayIso, useCatalogue, useLearning, useShelf } from '../data'
import { dayOfWeeks, Empty, Refused, SelectCell, tell } from '../kit'
import { BiasChart } from './BiasChart'

/** What the shop knows by now: how its predictions stand, what its own measurements say, how long things take, and what goes wrong. */
export default function Learning() {
  const [row, setRow] = useState('')
  const { data, error } = useLearning(row || undefined)
  const { data: shelf } = useCatalogue()
  useEffect(() => {
    document.title = 'What we know by now · Nubrin'
  }, [])
  const used =
    shelf?.filter((p) => data?.proposals.some((x) => x.row === p.id) || p.id === row || (p.stock ?? 0) > 0) ?? []
  return (
    <div className="min-h-screen">
      <header className="border-rule flex h-[53px] items-center gap-4 border-b px-5">
        <Link to="/" aria-label="back to the rack" className="text-brass text-[1.3rem]">
          ←
        </Link>
        <h1 className="shrink-0 text-[1.4rem]">What we know by now</h1>
        <p className="text-quiet truncate">{data?.left ? `${data.left} records are still being read…` : ''}</p>
        <SelectCell
          label="Sabers with which part"
          className="ml-auto w-72!"
          value={row}
          options={['', ...used.map((p) => p.id)]}
          words={(id) => used.find((p) => p.id === id)?.name ?? 'sabers with any part'}
          onCommit={setRow}
        />
      </header>
      <main className="grid gap-x-8 gap-y-5 px-5 py-3 min-[1000px]:grid-cols-2">
        <Refused why={error?.message} className="col-span-full" />
        {data ? (
          <>
            <div className="space-y-5">
              <Predicted said={data} />
              <Proposals said={data} />
            </div>
            <div className="space-y-5">
              <Durations said={data} />
              <Often title="Tests that failed at first" list={data.failing} none="No test failed at first." />
              <Often title="Why sabers come back" list={data.returns} none="None has come back for repair." />
              <Often title="Slips on film" list={data.slips} none="No slip was marked." />
              <Often title="What clients ask" list={data.asks} none="No client has asked anything." />
            </div>
          </>
        ) : null}
      </main>
    </div>
  )
}

/** With its sign, where there is anything left to have one. */
const percent = (share: number) => {
  const n = Math.round(share * 100)
  return `${n > 0 ? '+' : n < 0 ? '−' : ''}${Math.abs(n)} %`
}
/** Fewer points than that show nothing that the figures do not say. */
const CHARTED = 5

/** Predicted against measured: by how much, how far it spreads, and each saber as a point. */
function Predicted({ said }: { said: Said }) {
  return (
    <section aria-label="Predicted against measured">
      <h2 className="h2">Predicted against measured</h2>
      {said.biases.length ? null : (
        <Empty title="Nothing to compare yet">Readings taken at Proof are held against what was computed.</Empty>
      )}
      {said.biases.map((b) => (
        <div key={`${b.of}${b.unit}`} className="border-rule border-b py-1">
          <div className="flex items-baseline gap-2">
            <span className="font-medium">{b.what}</span>
            <span className="ml-auto shrink-0 tabular-nums">
              <strong>{percent(b.bias)}</strong>{' '}
              <span className="text-quiet">
                ± {formatNumber(MAKER, b.spread * 100, 0)} %, n = {b.n}
              </span>
            </span>
          </div>
          {b.n >= CHARTED ? <BiasChart bias={b} /> : null}
        </div>
      ))}
    </section>
  )
}

/** What the shop's own measurements would set on the shelf: a person says so, a rating is never among them. */
function Proposals({ said }: { said: Said }) {
  const { data: shelf } = useCatalogue()
  const { keep } = useShelf()
  const value = (v: number, unit: string) => `${formatNumber(MAKER, v, 2)} ${unit}`
  const take = (p: Said['proposals'][number]) => {
    const part = shelf?.find((x) => x.id === p.row)
    if (!part) return
    const fact = {
      ...{ value: Number(p.mean.toPrecision(3)), unit: p.unit, source: 'measured', on: todayIso() },
      ...{ tol: Number((p.highest - p.mean).toPrecision(2)), with: `own measurements, n = ${p.n}` },
    }
    keep.mutate({ ...part, specs: { ...part.specs, [p.spec]: fact } } as typeof part, {
      onSuccess: () => tell(`${p.name}: ${p.label} is ${value(p.mean, p.unit)} on the shelf.`),
    })
  }
  return (
    <section aria-label="Better figures for the shelf">
      <h2 className="h2">Better figures for the shelf</h2>
      <Refused why={keep.error?.message} />
      {said.proposals.length ? null : (
        <p className="text-quiet">
          Five measurements of one figure of a part make a proposal. Ratings are never learnt.
        </p>
      )}
      {said.proposals.map((p) => (
        <div key={`${p.row}${p.spec}`} className="border-rule border-b py-1">
          <div className="flex items-center gap-3">
            <span className="min-w-0">
              <span className="font-medium">{p.name}</span>: {p.label}
            </span>
            <button
              type="button"
              className="btn ml-auto min-h-8! shrink-0 py-0!"
              aria-label={`Use ${p.label} of ${p.name}`}
              onClick={() => take(p)}
            >
              use this value
            </button>
          </div>
          <p>
            <strong>{value(p.mean, p.unit)}</strong>
            <span className="text-quiet">
              {` ± ${formatNumber(MAKER, p.spread, 2)}, highest ${value(p.highest, p.unit)}, n = ${p.n}; the shelf says ${p.now === undefined ? 'nothing' : value(p.now, p.unit)}`}
            </span>
          </p>
          {p.lots.some((l) => l.differs) ? (
            <p className="text-stop">
              {p.lots
                .filter((l) => l.differs)
                .map((l) => `lot ${l.lot} differs: ${value(l.mean, p.unit)}, n = ${l.n}`)
                .join('; ')}
            </p>
          ) : null}
        </div>
      ))}
    </section>
  )
}

/** How long work and orders take here, beside the rule of thumb. */
function Durations({ said }: { said: Said }) {
  const kinds = (Object.keys(WORK) as (keyof typeof WORK)[]).filter((k) => said.log[k])
  const suppliers = Object.keys(said.log).filter((k) => k.startsWith('from '))
  const between = (g: { median: number; spread: number }, unit: string) =>
    `${formatNumber(MAKER, g.median / g.spread, 1)} to ${formatNumber(MAKER, g.median * g.spread, 1)} ${unit}`
  return (
    <section aria-label="How long it takes">
      <h2 className="h2">How long it takes here</h2>
      {kinds.length || suppliers.length ? null : (
        <p className="text-quiet">
          Five entries of one kind in the log, or five orders of one supplier, say something.
        </p>
      )}
      {kinds.map((k) => {
        const g = said.log[k]!
        return (
          <p key={k} className="border-rule flex border-b py-0.5">
            <span className="font-medium">{workName(k)}</span>
            <span className="ml-auto">
              <strong>{formatNumber(MAKER, g.median, 1)} h</strong>
              <span className="text-quiet">
                , mostly {between(g, 'h')}, n = {g.n}; rule of thumb {formatNumber(MAKER, WORK[k].hours, 1)} h
              </span>
            </span>
          </p>
        )
      })}
      {suppliers.map((k) => {
        const g = said.log[k]!
        return (
          <p key={k} className="border-rule flex border-b py-0.5">
            <span className="font-medium">{k}</span>
            <span className="ml-auto">
              <strong>{formatNumber(MAKER, g.median, 0)} days</strong>
              <span className="text-quiet">
                , mostly {between(g, 'days')}, n = {g.n}
              </span>
            </span>
          </p>
        )
      })}
    </section>
  )
}

function Often({ title, list, none }: { title: string; list: Said['failing']; none: string }) {
  return (
    <section aria-label={title}>
      <h2 className="h2">{title}</h2>
      {list.length ? null : <p className="text-quiet">{none}</p>}
      {list.map((x) => (
        <div key={x.what} className="border-rule border-b py-0.5">
          <p className="flex gap-2">
            <span className="font-medium">{x.what}</span>
            <span className="text-quiet ml-auto shrink-0">
              {x.n === 1 ? 'once' : `${x.n} times`}
              {x.last ? `, last ${dayOfWeeks(x.last)}` : ''}
            </span>
          </p>
          <p className="flex flex-wrap gap-x-3 text-[0.93rem]">
            {x.from.slice(0, 4).map((f) => (
              <Link
                key={f.commission}
                to={`/commission/${f.commission}/ledger`}
                className="text-quiet underline decoration-dotted"
              >
                {f.title}
              </Link>
            ))}
            {x.from.length > 4 ? <span className="text-quiet">and {x.from.length - 4} more</span> : null}
          </p>
        </div>
      ))}
    </section>
  )
}
