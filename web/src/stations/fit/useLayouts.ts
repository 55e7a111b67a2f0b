import { known } from '@nubrin/core/facts'
import {
  gaveUpWords,
  gripMiddle,
  type Layout,
  type LayoutProblem,
  type LayoutResult,
  type LayoutWish,
  layoutFacts,
  layoutWords,
  seatAll,
  withLayout,
} from '@nubrin/core/fit'
import type { CataloguePart } from '@nubrin/core/parts'
import type { Saber } from '@nubrin/core/record'
import { useEffect, useMemo, useRef, useState } from 'react'
import { freshId, todayIso } from '../../data'
import { useBench, useEditSaber } from '../../store/commission'
import { useSession } from '../../store/session'
import { useWorker } from '../../workers/useWorker'

const startWish = (saber: Saber): LayoutWish => {
  const chamber = saber.parts.find((p) => p.kind === 'chamber')
  return {
    cell: 'strong',
    speaker: 'any',
    ...(chamber ? { chamber: Math.floor((known(chamber.specs.length) ?? 30) * 0.8) } : {}),
    beside: true,
    inLine: true,
    faces: [known(saber.parts.find((p) => p.kind === 'speaker')?.faces) ?? 'pommel'],
    grille: 0.5,
    balance: Math.round(gripMiddle(saber)),
  }
}

/** What makes a layout the same one in another search. */
const markOf = (l: Layout, r: LayoutResult, p: LayoutProblem) =>
  [r.arrangements[l.arrangement]!.order, p.speakers[l.speaker]!.id, p.cells[l.cell]!.id, p.boards[l.board]!.id].join()

/** The search for layouts of a saber, the one picked out of it, and what choosing it would write down. */
export function useLayouts(saber: Saber, rows: CataloguePart[]) {
  const [wish, setWish] = useState<LayoutWish>(() => startWish(saber))
  const [picked, setPicked] = useState(-1)
  const [spacers, setSpacers] = useState(false)
  const ask = useMemo(
    () => (rows.length ? ({ kind: 'layouts', saber, shelf: rows, wish, today: todayIso() } as const) : undefined),
    [saber, rows, wish],
  )
  const work = useWorker<'layouts'>(ask)
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
  const gaveUp = useMemo(
    () => (ready && found && layout ? gaveUpWords(ready.problem, found.best, layout, ready.score) : ''),
    [ready, found, layout],
  )
  useConsidered(planned)
  const write = useWriteLayout()
  const choose = (why: string) => {
    if (planned && ready && layout && arrangement)
      write(planned, { chose: layoutWords(ready.problem, arrangement, layout), why, gaveUp })
  }
  return {
    ...{ wish, setWish, picked, pick, spacers, setSpacers },
    ...{ prepared, ready, found, layout, arrangement, planned, gaveUp, choose },
    searching: work.progress !== undefined,
    progress: work.progress,
    cancel: work.cancel,
    refused: work.error,
  }
}
export type Search = ReturnType<typeof useLayouts>

/** What is only considered is shown on the drawing; leaving the bench takes it back. */
function useConsidered(planned: Saber | undefined) {
  const consider = useBench((b) => b.consider)
  useEffect(() => {
    if (planned) consider({ saber: planned, label: 'considered, not chosen yet' })
    return () => consider(undefined)
  }, [planned, consider])
}

/** Writes a layout down with the decision for it and the facts it rests on. */
function useWriteLayout() {
  const editSaber = useEditSaber()
  const by = useSession((s) => s.person?.name) ?? 'the shop'
  return (planned: Saber, said: { chose: string; why: string; gaveUp: string }) =>
    editSaber('choose a layout', (s) => {
      s.parts = planned.parts
      s.decisions.push({
        id: freshId(),
        on: todayIso(),
        by,
        chose: said.chose.slice(0, 240),
        why: said.why.slice(0, 240),
        ...(said.gaveUp ? { gaveUp: said.gaveUp.slice(0, 240) } : {}),
        layout: layoutFacts(planned),
      })
    })
}
