import { fact, known } from '../../facts'
import { cavityOf, type Interval, onAxis, openingSpan, spanOf } from '../../geometry'
import { type CataloguePart, fitFrom } from '../../parts/catalogue'
import { litCurrent, runtime, WHITE } from '../../power'
import type { FittedPart, PartKind, Ref, Saber } from '../../record'
import { formatNumber, MAKER } from '../../units'
import { balance } from '../balance'
import { GRILLE_AIR } from '../length/clamp'
import { spacersFor } from '../length/spacers'
import type { Arrangement, Candidate, Layout, LayoutProblem } from '../search'
import { exchange, exchanged } from './alternatives'
import { seatAll } from './seats'

/** What the maker leaves open in the search. */
export interface LayoutWish {
  /** `strong`: only cells that give what full white draws; while that is not known, all. */
  cell: 'any' | 'strong' | 'keep'
  speaker: 'any' | 'keep'
  /** Length the chamber must have at least, mm; absent: one that is there stays as it is, and none is added. */
  chamber?: number
  beside: boolean
  inLine: boolean
  faces: ('pommel' | 'emitter')[]
  /** Air between a pommel-facing speaker's face and the grille, mm. */
  grille: number
  /** Where the balance is wanted, mm from the pommel. */
  balance?: number
}

/** How far a vent may be from the speaker's face and still let it be heard, mm. */
const REACH = 45
/** The chamber a saber without one is searched with. */
const CHAMBER = { d: 22, mass: 14 }

export interface PreparedLayouts {
  problem: LayoutProblem
  /** Buttons, displays and ports without a place or a free opening: they are not counted. */
  unseated: string[]
  /** Whether cells are weighed by minutes of use, or by mAh because the runtime cannot be computed yet. */
  score: 'min' | 'mAh'
  /** What must be known first; the search is not started while anything is. */
  needs: { name: string; ref?: Ref }[]
  /** Rows left out because a size is missing. */
  unsized: string[]
  /** Cells that give less than full white draws, A: in the search when all are wanted, left out when only strong ones are. */
  weak: { id: string; name: string; gives: number; draws: number }[]
}

const SLOTS: readonly PartKind[] = ['speaker', 'cell', 'board', 'connector', 'chamber']
const first = (saber: Saber, kind: PartKind) => saber.parts.find((p) => p.kind === kind)

/**
 * What a search for this saber would vary and hold, from the saber, the shelf and the wish. What hangs in the wall and has
 * no place is taken to stand at its opening. Asks the runtime of every cell on the shelf: seconds on a large one.
 */
export function prepareLayouts(
  recorded: Saber,
  shelf: readonly CataloguePart[],
  wish: LayoutWish,
  today: string,
): PreparedLayouts {
  const { saber, unseated } = seatAll(recorded, today)
  const slotParts = SLOTS.filter((k) => k !== 'chamber' || wish.chamber !== undefined)
    .map((k) => first(saber, k))
    .filter((p) => p !== undefined)
  const gone = new Set(slotParts.map((p) => p.id))
  const cavity = cavityOf(saber, gone)
  const needs = [...cavity.needs]
  const unsized: string[] = []
  // What lies on the axis and is not searched for stays where it is, and nothing else may lie there.
  const blocks = saber.parts
    .filter((p) => onAxis(p) && !p.beside && !gone.has(p.id) && p.kind !== 'spacer')
    .flatMap((p) => spanOf(p) ?? [])
  cavity.pieces = cavity.pieces.flatMap((p) =>
    without({ lo: p.x0, hi: p.x1 }, blocks).map(({ lo, hi }) => {
      const r = (x: number) => p.r0 + ((p.r1 - p.r0) * (x - p.x0)) / (p.x1 - p.x0)
      return { ...p, x0: lo, x1: hi, r0: r(lo), r1: r(hi) }
    }),
  )
  const before = first(saber, 'cell')
  const minutes = (row: CataloguePart) => {
    const with_ = before ? exchange(saber, before.id, row) : { ...saber, parts: [...saber.parts, fitFrom(row, 'cell')] }
    return runtime(with_).minutes
  }
  const load = litCurrent(saber, WHITE)
  const pool = wish.cell === 'keep' && before ? [asRow(before)] : shelf.filter((r) => r.kind === 'cell')
  const weak = pool.flatMap((r) => {
    const gives = known(r.specs.contCurrent)
    return load.ok && gives !== undefined && gives < load.value
      ? [{ id: r.id, name: r.name, gives, draws: load.value }]
      : []
  })
  const weakIds = new Set(weak.map((w) => w.id))
  const cellRows = wish.cell === 'strong' ? pool.filter((r) => !weakIds.has(r.id)) : pool
  const tooWeak = pool.length > 0 && !cellRows.length
  if (tooWeak && load.ok)
    needs.push({
      name: `a cell that gives the ${formatNumber(MAKER, load.value, 1)} A of full white, or a search with any`,
    })
  const times = cellRows.map(minutes)
  const score = times.length && times.every((t) => t.ok) ? 'min' : 'mAh'
  const sized = (rows: readonly CataloguePart[], need: 'd' | 'wt', worth: (i: number) => number) =>
    rows.flatMap((r, i): Candidate[] => {
      const v = (k: 'length' | 'diameter' | 'width' | 'height' | 'mass') => known(r.specs[k])
      const ok = v('length') !== undefined && (need === 'd' ? v('diameter') : v('width') && v('height')) !== undefined
      if (!ok) {
        unsized.push(r.name)
        return []
      }
      return [
        {
          id: r.id,
          name: r.name,
          length: v('length')!,
          ...(need === 'd' ? { d: v('diameter')! } : { w: v('width')!, t: v('height')! }),
          mass: v('mass') ?? 0,
          score: worth(i),
        },
      ]
    })
  const kept = (kind: PartKind, keep: boolean) => {
    const part = first(saber, kind)
    return keep && part ? [asRow(part)] : shelf.filter((r) => r.kind === kind)
  }
  const cells = sized(cellRows, 'd', (i) => {
    const t = times[i]!
    return score === 'min' && t.ok ? t.value : (known(cellRows[i]!.specs.capacity) ?? 0)
  })
  const speakers = sized(kept('speaker', wish.speaker === 'keep'), 'd', () => 0)
  const boards = sized(kept('board', true), 'wt', () => 0)
  const connector = first(saber, 'connector') ?? first(saber, 'contactBoard')
  const connectors =
    connector && connector.kind === 'connector'
      ? sized([asRow(connector)], 'd', () => 0)
      : [{ id: 'none', name: 'no connector', length: 0, d: 0, mass: 0, score: 0 }]
  for (const [list, what] of [
    [tooWeak ? pool : cells, 'a cell with its sizes'],
    [speakers, 'a speaker with its sizes'],
    [boards, 'a sound board with its sizes'],
  ] as const)
    if (!list.length) needs.push({ name: what })
  const vents = saber.hilt.openings
    .filter((o) => o.kind === 'vent' || o.kind === 'grille')
    .flatMap((o) => {
      const span = openingSpan(saber.hilt, o)
      return span ? [{ lo: span.x0 - REACH, hi: span.x1 + REACH }] : []
    })
    .sort((a, b) => a.lo - b.lo)
  const chamber = first(saber, 'chamber')
  const rest = balance({ ...saber, parts: saber.parts.filter((p) => !gone.has(p.id)) })
  const weighed = rest.mass.ok && rest.centre.ok && rest.mass.value > 0
  return {
    ...{ unseated, unsized, score, needs, weak },
    problem: {
      cavity,
      speakers,
      cells,
      boards,
      connectors,
      ...(wish.chamber === undefined
        ? {}
        : {
            chamber: {
              d: known(chamber?.specs.diameter) ?? CHAMBER.d,
              mass: known(chamber?.specs.mass) ?? CHAMBER.mass,
              least: wish.chamber,
            },
          }),
      mayLieBeside: wish.beside,
      mayLieInLine: wish.inLine,
      faces: wish.faces,
      heard: vents,
      // Before a closed end a cone needs its air as before a grille.
      grille: cavity.x0 > 0 ? cavity.x0 + Math.max(wish.grille, GRILLE_AIR) : wish.grille,
      fixed:
        rest.mass.ok && rest.centre.ok && weighed
          ? { mass: rest.mass.value, moment: rest.mass.value * rest.centre.value }
          : { mass: 0, moment: 0 },
      ...(wish.balance === undefined || !weighed ? {} : { balance: wish.balance }),
    },
  }
}

const asRow = (p: FittedPart): CataloguePart => ({
  id: p.catalogue ?? p.id,
  kind: p.kind,
  name: p.name,
  specs: p.specs,
})

/** An interval less some spans. */
function without(whole: Interval, spans: readonly { x0: number; x1: number }[]): Interval[] {
  return spans.reduce<Interval[]>(
    (left, s) =>
      left.flatMap((i) =>
        [
          { lo: i.lo, hi: Math.min(i.hi, s.x0) },
          { lo: Math.max(i.lo, s.x1), hi: i.hi },
        ].filter((q) => q.hi - q.lo > 1e-9),
      ),
    [whole],
  )
}

/**
 * The saber with a layout put into it: rows exchanged, everything placed, the chamber drawn to its length. Parts that are
 * not there yet are added under ids from `id`. Places are "assumed" until somebody measures them. `spacers`: the gaps are
 * filled with spacers cut for them, in place of those that are there.
 */
export function withLayout(
  saber: Saber,
  problem: LayoutProblem,
  arrangement: Arrangement,
  layout: Layout,
  shelf: readonly CataloguePart[],
  id: (kind: PartKind) => string,
  today: string,
  spacers = false,
): Saber {
  const place = (mm: number) => fact(Number(mm.toFixed(2)), 'mm', 'assumed', { with: 'layout search', on: today })
  let parts = saber.parts
  const put = (kind: PartKind, row: Candidate, at: number, more: Partial<FittedPart> = {}): string => {
    const old = first({ ...saber, parts }, kind)
    const shelved = shelf.find((r) => r.id === row.id)
    const base =
      old && (!shelved || old.catalogue === row.id)
        ? old
        : old
          ? exchanged(old, shelved!)
          : fitFrom(shelved!, id(kind), kind === 'cell' ? { removable: true } : {})
    const { beside: _b, ...rest } = base
    const next = { ...rest, at: place(at), ...more }
    parts = old ? parts.map((p) => (p.id === old.id ? next : p)) : [...parts, next]
    if (old) follow(old.id, known(old.at), at)
    return next.id
  }
  /** What lies beside something that moves goes with it. */
  const follow = (id: string, before: number | undefined, now: number) => {
    if (before === undefined) return
    parts = parts.map((p) =>
      p.beside === id && p.kind !== 'board' && known(p.at) !== undefined
        ? { ...p, at: place(known(p.at)! + now - before) }
        : p,
    )
  }
  const pair = arrangement.order.some((t) => t === 'pairRear' || t === 'pairFront')
  put('speaker', problem.speakers[layout.speaker]!, layout.at.speaker, {
    faces: { value: arrangement.faces, source: 'assumed', with: 'layout search', on: today },
  })
  const cell = put('cell', problem.cells[layout.cell]!, layout.at.cell)
  put('board', problem.boards[layout.board]!, layout.at.board, pair ? { beside: cell } : {})
  if (problem.connectors[layout.connector]!.id !== 'none')
    put('connector', problem.connectors[layout.connector]!, layout.at.connector)
  const room = layout.at.chamber
  if (problem.chamber && room !== undefined) {
    const old = first({ ...saber, parts }, 'chamber')
    const sized = {
      length: fact(Number(layout.chamber.toFixed(1)), 'mm', 'assumed', { with: 'layout search', on: today }),
      diameter: old?.specs.diameter ?? fact(problem.chamber.d, 'mm', 'assumed', { with: 'layout search', on: today }),
    }
    const next: FittedPart = old
      ? { ...old, at: place(room), specs: { ...old.specs, ...sized } }
      : { id: id('chamber'), kind: 'chamber', name: 'crystal chamber', specs: sized, at: place(room), supplied: 'shop' }
    parts = old ? parts.map((p) => (p.id === old.id ? next : p)) : [...parts, next]
    if (old) follow(old.id, known(old.at), room)
  }
  if (!spacers) return { ...saber, parts }
  const bare = { ...saber, parts: parts.filter((p) => p.kind !== 'spacer') }
  return { ...bare, parts: [...bare.parts, ...spacersFor(bare, () => id('spacer'), today)] }
}
