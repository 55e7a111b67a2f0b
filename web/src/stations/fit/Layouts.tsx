import {
  gaveUpWords,
  gripMiddle,
  type Layout,
  type LayoutProblem,
  type LayoutResult,
  type LayoutWish,
  layoutFacts,
  layoutWords,
  reviewLayout,
  seatAll,
  verdictWords,
  withLayout,
} from '@nubrin/core/fit'
import type { CataloguePart } from '@nubrin/core/parts'
import { known, type Saber } from '@nubrin/core/record'
import { formatNumber } from '@nubrin/core/units'
import { format, parseISO } from 'date-fns'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Link } from 'react-router'
import { freshId, todayIso } from '../../api'
import { useBench, useEditSaber } from '../../store/commission'
import { useSession } from '../../store/session'
import { Labelled, Refused, SelectCell, TextCell } from '../../ui/fields'
import { useWorker } from '../../workers/useWorker'
import { MEASURES, type Measure, TradeOff } from './TradeOff'

const startWish = (saber: Saber): LayoutWish => {
  const chamber = saber.parts.find((p) => p.kind === 'chamber')
  return {
    cell: 'strong',
    speaker: 'any',
    ...(chamber ? { chamber: Math.floor((known(chamber.specs.length) ?? 30) * 0.8) } : {}),
    beside: true,
    inLine: true,
    faces: [saber.parts.find((p) => p.kind === 'speaker')?.faces ?? 'pommel'],
    grille: 0.5,
    balance: Math.round(gripMiddle(saber)),
  }
}

/** What makes a layout the same one in another search. */
const markOf = (l: Layout, r: LayoutResult, p: LayoutProblem) =>
  [r.arrangements[l.arrangement]!.order, p.speakers[l.speaker]!.id, p.cells[l.cell]!.id, p.boards[l.board]!.id].join()

/** The spacers of a saber in a line. */
function spacerWords(saber: Saber): string {
  const lengths = saber.parts.filter((p) => p.kind === 'spacer').map((p) => formatNumber(known(p.specs.length) ?? 0, 1))
  return lengths.length
    ? `with ${lengths.length === 1 ? 'a spacer' : 'spacers'} of ${lengths.join(', ')} mm`
    : 'no gap wants a spacer'
}

/** Every layout that goes in, the best of them as a trade-off, and the millimetre that keeps the others out. */
export function Layouts({ saber, rows }: { saber: Saber; rows: CataloguePart[] }) {
  const editSaber = useEditSaber()
  const consider = useBench((b) => b.consider)
  const light = useBench((b) => b.light)
  const order = useBench((b) => b.id)
  const by = useSession((s) => s.person?.name) ?? 'the shop'
  const [wish, setWish] = useState<LayoutWish>(() => startWish(saber))
  const [measure, setMeasure] = useState<Measure>(wish.chamber === undefined ? 'speaker' : 'chamber')
  const [picked, setPicked] = useState(-1)
  const [spacers, setSpacers] = useState(false)
  const [why, setWhy] = useState('')
  const [wrong, setWrong] = useState('')
  const ask = useMemo(
    () => (rows.length ? ({ kind: 'layouts', saber, shelf: rows, wish, today: todayIso() } as const) : undefined),
    [saber, rows, wish],
  )
  const work = useWorker<'layouts'>(ask)
  const searching = work.progress !== undefined
  const prepared = work.result?.prepared
  const ready = prepared && !prepared.needs.length ? prepared : undefined
  const found = work.result?.result
  const layout = found?.best[picked]
  // The same layout stays picked when it is found again.
  const held = useRef('')
  useEffect(() => {
    const again = found && ready ? found.best.findIndex((l) => markOf(l, found, ready.problem) === held.current) : -1
    setPicked(again >= 0 ? again : found?.best.length ? 0 : -1)
  }, [found])
  const pick = (n: number) => {
    setPicked(n)
    if (found && ready) held.current = markOf(found.best[n]!, found, ready.problem)
  }
  const arrangement = layout && found ? found.arrangements[layout.arrangement] : undefined
  const seated = useMemo(() => seatAll(saber, todayIso()).saber, [saber])
  const planned = useMemo(
    () =>
      ready && layout && arrangement
        ? withLayout(seated, ready.problem, arrangement, layout, rows, freshId, todayIso(), spacers)
        : undefined,
    [ready, layout, arrangement, seated, rows, spacers],
  )
  // What is only considered is shown on the drawing; leaving the bench takes it back.
  useEffect(() => {
    if (planned) consider({ saber: planned, label: 'considered, not chosen yet' })
    return () => consider(undefined)
  }, [planned, consider])
  const gaveUp = useMemo(
    () => (ready && found && layout ? gaveUpWords(ready.problem, found.best, layout, ready.score) : ''),
    [ready, found, layout],
  )
  const chosen = useMemo(() => reviewLayout(saber), [saber])
  const refused = useMemo(() => {
    if (!found || !ready) return []
    const list = (of: 'cells' | 'speakers') =>
      ready.problem[of].flatMap((c, i) => {
        const v = found.verdicts[of][i]!
        return v.ok ? [] : [{ ...c, of, why: verdictWords(v) }]
      })
    const left =
      wish.cell === 'strong'
        ? ready.weak.map((w) => ({
            ...{ id: w.id, name: w.name, of: 'weak' as const, score: 0 },
            why: `gives ${formatNumber(w.gives, 1)} A, full white draws ${formatNumber(w.draws, 1)}`,
          }))
        : []
    return [...list('speakers'), ...list('cells'), ...left]
  }, [found, ready, wish.cell])
  const weak = useMemo(() => new Set(ready?.weak.map((w) => w.id)), [ready])
  const crosses = useMemo(
    () => refused.filter((r) => r.of === 'cells').map((r) => ({ x: r.score, name: r.name, why: r.why })),
    [refused],
  )
  const set = (change: Partial<LayoutWish>) => setWish((w) => ({ ...w, ...change }))
  const take = () => {
    if (!planned || !ready || !layout || !arrangement) return
    if (why.trim().length < 3) {
      setWrong('Say why, in a few words: it is what you will want to know when something changes.')
      return
    }
    editSaber('choose a layout', (s) => {
      s.parts = planned.parts
      s.decisions.push({
        id: freshId(),
        on: todayIso(),
        by,
        chose: layoutWords(ready.problem, arrangement, layout).slice(0, 240),
        why: why.trim().slice(0, 240),
        ...(gaveUp ? { gaveUp: gaveUp.slice(0, 240) } : {}),
        layout: layoutFacts(planned),
      })
    })
    setWhy('')
    setWrong('')
  }
  const mm = (label: string, value: number | undefined, put: (v: number | undefined) => void, hint = '') => (
    <Labelled label={label}>
      <TextCell
        label={label}
        value={value === undefined ? '' : String(value)}
        placeholder={hint}
        onCommit={(v) => {
          const n = Number(v.replace(',', '.'))
          if (v.trim() === '') put(undefined)
          else if (Number.isFinite(n) && n >= 0 && n <= 400) put(n)
          else setWrong(`${label}: “${v}” is not a length from 0 to 400 mm.`)
        }}
      />
    </Labelled>
  )
  return (
    <div className="grid gap-5 min-[1150px]:grid-cols-[minmax(0,1fr)_232px]">
      <section aria-label="Layouts that go in">
        <div className="flex items-baseline gap-2">
          <h2 className="h2 whitespace-nowrap">
            {found
              ? found.feasible
                ? `${found.feasible.toLocaleString('en')} ${found.feasible === 1 ? 'goes' : 'go'} in`
                : 'Nothing goes in like this'
              : prepared?.needs.length
                ? 'Not calculable yet'
                : 'Searching…'}
          </h2>
          <p className="text-quiet truncate">
            {found ? `of ${found.raw.toLocaleString('en')} tried; ${found.best.length} that none beats` : ''}
          </p>
          <span className="ml-auto w-28 shrink-0">
            <SelectCell
              label="What stands upright"
              value={measure}
              options={Object.keys(MEASURES) as Measure[]}
              words={(m) => MEASURES[m].label}
              onCommit={setMeasure}
            />
          </span>
        </div>
        {prepared?.needs.length ? (
          <>
            <p className="text-quiet mt-2">The search begins when these are known:</p>
            <ul>
              {prepared.needs.map((n) => (
                <li key={n.name} className="border-rule border-b py-1.5">
                  {n.ref ? (
                    <Link
                      className="text-brass font-medium underline decoration-dotted"
                      to={`/commission/${order}/hilt`}
                      onClick={() => light(n.ref)}
                    >
                      {n.name}
                    </Link>
                  ) : (
                    <span className="font-medium">{n.name}</span>
                  )}
                </li>
              ))}
            </ul>
          </>
        ) : null}
        {searching ? (
          <p
            role="status"
            className={`later text-quiet flex items-center gap-3 ${found ? 'h-0 justify-end' : 'py-16'}`}
          >
            <progress max={1} value={work.progress} className="accent-[#8a5f17]" aria-label="Share searched" />
            {Math.round((work.progress ?? 0) * 100)} % searched
            <button type="button" className="btn" onClick={work.cancel}>
              stop
            </button>
          </p>
        ) : null}
        <Refused why={work.error} />
        {found && ready && found.best.length ? (
          <TradeOff
            problem={ready.problem}
            result={found}
            measure={measure}
            unit={ready.score}
            picked={picked}
            refused={crosses}
            weak={weak}
            onPick={pick}
          />
        ) : null}
        {refused.length ? (
          <details className="border-rule border-t pt-1" open={!found?.feasible}>
            <summary className="cursor-pointer">
              <span className="text-stop font-semibold">✕</span> {refused.length} on the shelf{' '}
              {refused.length === 1 ? 'stays' : 'stay'} out, and why
            </summary>
            <ul className="mt-1 max-h-[150px] overflow-y-auto text-[0.92rem]">
              {refused.map((r) => (
                <li key={r.id} className="border-rule border-b py-0.5">
                  <span className="font-medium">{r.name}</span>: <span className="text-stop">{r.why}</span>
                </li>
              ))}
            </ul>
          </details>
        ) : null}
        {prepared?.unseated.length ? (
          <p className="text-brass text-[0.87rem]">
            Not counted, since neither a place nor a free opening is known: {prepared.unseated.join(', ')}.
          </p>
        ) : null}
        {prepared?.unsized.length ? (
          <p className="text-quiet text-[0.87rem]">Left out for want of a size: {prepared.unsized.join(', ')}.</p>
        ) : null}
      </section>
      <section aria-label="What may vary">
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <Labelled label="cell">
            <SelectCell
              label="Cell"
              value={wish.cell}
              options={['strong', 'any', 'keep'] as const}
              words={(v) => ({ strong: 'strong enough', any: 'any', keep: 'as fitted' })[v]}
              onCommit={(cell) => set({ cell })}
            />
          </Labelled>
          <Labelled label="speaker">
            <SelectCell
              label="Speaker"
              value={wish.speaker}
              options={['any', 'keep'] as const}
              words={(v) => (v === 'any' ? 'any' : 'as fitted')}
              onCommit={(speaker) => set({ speaker })}
            />
          </Labelled>
          <Labelled label="board lies">
            <SelectCell
              label="Board lies"
              value={wish.beside && wish.inLine ? 'either' : wish.beside ? 'beside' : 'inLine'}
              options={['either', 'beside', 'inLine'] as const}
              words={(v) => ({ either: 'either way', beside: 'on the cell', inLine: 'in line' })[v]}
              onCommit={(v) => set({ beside: v !== 'inLine', inLine: v !== 'beside' })}
            />
          </Labelled>
          <Labelled label="speaker looks to">
            <SelectCell
              label="Speaker looks"
              value={wish.faces.length > 1 ? 'either' : wish.faces[0]!}
              options={['pommel', 'emitter', 'either'] as const}
              words={(v) => (v === 'either' ? 'either way' : v)}
              onCommit={(v) => set({ faces: v === 'either' ? ['pommel', 'emitter'] : [v] })}
            />
          </Labelled>
          {mm(
            'chamber of at least',
            wish.chamber,
            (chamber) => setWish(({ chamber: _c, ...w }) => (chamber === undefined ? w : { ...w, chamber })),
            saber.parts.some((p) => p.kind === 'chamber') ? 'it stays' : 'none',
          )}
          {mm(
            'balance wanted at',
            wish.balance,
            (balance) => setWish(({ balance: _b, ...w }) => (balance === undefined ? w : { ...w, balance })),
            'any',
          )}
        </div>
        {layout && ready && arrangement ? (
          <div className="border-brassline bg-card mt-2 border-t-2 px-2 py-1.5">
            <p className="leading-tight font-medium">{layoutWords(ready.problem, arrangement, layout)}</p>
            <p className="mt-1">
              {formatNumber(ready.problem.cells[layout.cell]!.score, 0)} {ready.score} · slack{' '}
              {formatNumber(layout.slack, 1)} · balance {formatNumber(layout.balance, 0)}
              {layout.at.chamber === undefined ? '' : ` · chamber ${formatNumber(layout.chamber, 1)}`}
            </p>
            {ready.weak
              .filter((w) => w.id === ready.problem.cells[layout.cell]!.id)
              .map((w) => (
                <p key={w.id} className="text-stop">
                  ✕ full white draws {formatNumber(w.draws, 1)} A, this cell gives {formatNumber(w.gives, 1)}
                </p>
              ))}
            <p className="text-quiet">{gaveUp ? `gives up ${gaveUp}` : 'gives up nothing'}</p>
            <label className="flex items-center gap-2">
              <input type="checkbox" checked={spacers} onChange={(e) => setSpacers(e.target.checked)} />
              {spacers && planned ? spacerWords(planned) : 'with spacers cut for the gaps'}
            </label>
            <form
              className="mt-1 flex items-center gap-2"
              onSubmit={(e) => {
                e.preventDefault()
                take()
              }}
            >
              <input
                className="cell"
                aria-label="Why this layout"
                aria-invalid={!!wrong}
                placeholder="why this one?"
                maxLength={240}
                value={why}
                onChange={(e) => setWhy(e.target.value)}
              />
              <button type="submit" className="btn btn-main" disabled={searching}>
                choose it
              </button>
            </form>
          </div>
        ) : null}
        <Refused why={wrong} className="text-[0.9rem]" />
        {chosen ? (
          <p className="text-quiet mt-2 text-[0.92rem]">
            Chosen by {chosen.decision.by}, {format(parseISO(chosen.decision.on), 'd MMM')}: “{chosen.decision.why}”
            {chosen.decision.gaveUp ? ` Given up: ${chosen.decision.gaveUp}.` : ''}
          </p>
        ) : null}
      </section>
    </div>
  )
}
