import { known } from '../facts'
import type { ControlRow, Preset } from '../record'
import { type Collision, collisions } from './collisions'
import {
  type ControlProgram,
  compile,
  HELD,
  heldFrom,
  type Pattern,
  type Pose,
  sortOf,
  stemOf,
  THREE_POSES,
} from './compile'
import {
  after,
  type ControlMap,
  modeById,
  modeThatIs,
  reachable,
  reachableIn,
  startsOf,
  timeOutOf,
  traps,
} from './modes'

/** What is wrong, or slow, or lost in a map, named by rows, presets and milliseconds. */
export type Matter =
  | { code: 'same'; rows: [string, string] }
  | { code: 'tooClose'; rows: [string, string]; ms: number; hand: number }
  /** A window that a hand cannot keep: from and to, ms. */
  | { code: 'narrow'; rows: [string]; presets: string[]; from: number; to: number; hand: number }
  /** Let go before it begins. */
  | { code: 'never'; rows: [string]; from: number; to: number }
  /** A hold that is shorter than a tap may be. */
  | { code: 'holdInTap'; rows: [string]; from: number; tap: number }
  /** Other rows are in force wherever this one could be. */
  | { code: 'overruled'; rows: [string]; by: string[] }
  /** A shorter hold has led elsewhere before this one is reached. */
  | { code: 'cutOff'; rows: [string]; by: string[] }
  /** On the way to it a hold of the same button has led elsewhere, or an effect that lasts while it is held has begun. */
  | { code: 'behind'; rows: [string, string]; why: 'gone' | 'effect'; from: number }
  /** Two chords of the same buttons, one of them in an order: pressed in it they are the same. */
  | { code: 'ordered'; rows: [string, string] }
  /** Two taps that count together have to follow on each other faster than a hand can. */
  | { code: 'gapShort'; rows: string[]; gap: number }
  /** It is for presets in which one is never in its mode. */
  | { code: 'otherPreset'; rows: [string]; presets: string[] }
  | { code: 'trap'; rows: []; mode: string; presets: string[] }
  | { code: 'unreached'; rows: string[]; mode: string }
  | { code: 'noOff'; rows: [] }
  | { code: 'round'; rows: []; modes: string[] }
  | { code: 'choosesWhat' | 'choosing' | 'keeping'; rows: []; mode: string }
  | { code: 'noWayTo'; rows: []; what: Lost; presets: string[]; names: string[] }
  | { code: 'bag'; rows: string[] }
/** Something that is recorded and that no row reaches. */
export type Lost = 'preset' | 'track' | 'volume' | 'effect'

/** A tap or a hold that is carried out later than the hand expects. Not wrong, but to be known. */
export interface Delay {
  row: string
  /** It waits for so long because of another row; nothing for what waits until it is let go. */
  ms?: number
  because: string
}

export interface Analysis {
  matters: Matter[]
  delays: Delay[]
}

/** What was found last, by the rows of the map. What presets are called and look like matters only to what is recorded for nothing. */
const DONE = new WeakMap<readonly ControlRow[], { map: ControlMap; ids: string; space: Analysis; whole: Analysis }>()

/**
 * Walks the whole space of a map: every mode, pose and preset. What it says is remembered by the rows of the map.
 */
export function analyse(map: ControlMap): Analysis {
  const had = DONE.get(map.controls)
  const ids = map.presets.map((p) => p.id).join()
  const same =
    had?.ids === ids &&
    had.map.modes === map.modes &&
    had.map.timing === map.timing &&
    had.map.inputs === map.inputs &&
    had.map.settings === map.settings
  if (same && had.map.presets === map.presets) return had.whole
  const space = same ? had.space : walkSpace(map)
  const whole = { ...space, matters: [...space.matters, ...lost(map), ...bags(map)] }
  DONE.set(map.controls, { map, ids, space, whole })
  return whole
}

const ms = (s: number): number => Math.round(s * 1000)

function walkSpace(map: ControlMap): Analysis {
  const b = compile(map)
  const pairs = collisions(map)
  return {
    matters: [
      ...clashes(map, b, pairs),
      ...windows(map, b, pairs),
      ...across(map, b),
      ...gaps(map, b),
      ...ways(map),
      ...otherPreset(map),
      ...menus(map, b),
    ],
    delays: delaysOf(map, b),
  }
}

const clashes = (map: ControlMap, b: ControlProgram, pairs: readonly Collision[]): Matter[] =>
  pairs.map(
    ({ a, b: other, why }): Matter =>
      why === 'same'
        ? { code: 'same', rows: [a.id, other.id] }
        : {
            code: 'tooClose',
            rows: [a.id, other.id],
            ms: ms(Math.abs(heldFrom(map, a) - heldFrom(map, other))),
            hand: ms(b.timing.handKeeps),
          },
  )

/** The presets that have to be looked at in a mode: each of which a row there speaks, and one that stands for all others. */
function classesOf(b: ControlProgram, mode: string): (string | undefined)[] {
  const special = new Set(b.rowsOf(mode).flatMap((r) => r.row.presets ?? []))
  const rest = b.map.presets.find((p) => !special.has(p.id))
  return [...special, ...(rest || !b.map.presets.length ? [rest?.id] : [])]
}

/** The poses that have to be looked at in a mode: each of which a row there speaks, and one that stands for the others. */
function posesOf(b: ControlProgram, mode: string): Pose[] {
  const special = new Set(b.rowsOf(mode).map((r) => r.row.pose))
  const said = THREE_POSES.filter((p) => special.has(p))
  const other = THREE_POSES.find((p) => !special.has(p))
  return other ? [...said, other] : said
}

/** Rows in their windows of time, in every context: too narrow for a hand, empty, overruled, cut off by a shorter one. */
function windows(map: ControlMap, b: ControlProgram, pairs: readonly Collision[]): Matter[] {
  const seen = new Set<string>()
  const narrow = new Map<string, { from: number; to: number; presets: Set<string> }>()
  const cut = new Map<string, Set<string>>()
  const free = new Set<string>()
  const byRow = new Map<string, Set<string>>()
  for (const mode of new Set(map.controls.map((r) => r.mode)))
    for (const preset of classesOf(b, mode))
      for (const pose of posesOf(b, mode)) {
        const { patterns } = b.context(mode, pose, preset)
        const stems = new Map<string, Pattern[]>()
        for (const p of patterns) {
          seen.add(p.row.id)
          const key = p.stem
          const list = stems.get(key)
          if (list) list.push(p)
          else stems.set(key, [p])
          if (p.to - p.from < b.timing.handKeeps - 1e-9 && p.to > p.from) {
            const n = narrow.get(p.row.id) ?? { from: p.from, to: p.to, presets: new Set() }
            if (preset !== undefined && p.row.presets?.includes(preset)) n.presets.add(preset)
            narrow.set(p.row.id, n)
          }
        }
        for (const list of stems.values()) {
          if (list.length > 1) list.sort((x, y) => x.from - y.from)
          const first = list.findIndex((p) => p.fires !== 'letGo' && after(map, p.row) !== p.row.mode)
          list.forEach((p, i) => {
            if (first >= 0 && i > first) addTo(cut, p.row.id, list[first]!.row.id)
            else free.add(p.row.id)
            addTo(byRow, p.stem, p.row.id)
          })
        }
      }
  const out: Matter[] = []
  const close = new Set(pairs.flatMap((c) => [c.a.id, c.b.id]))
  for (const r of map.controls) {
    const from = heldFrom(map, r)
    const most = known(r.most)
    if (most !== undefined && most <= from && HELD.has(r.gesture))
      out.push({ code: 'never', rows: [r.id], from: ms(from), to: ms(most) })
    if (sortOf(r) === 'hold' && from < b.timing.tapMost - 1e-9)
      out.push({ code: 'holdInTap', rows: [r.id], from: ms(from), tap: ms(b.timing.tapMost) })
    const n = narrow.get(r.id)
    if (n && !close.has(r.id))
      out.push({
        ...{ code: 'narrow', rows: [r.id], presets: [...n.presets] },
        ...{ from: ms(n.from), to: ms(n.to), hand: ms(b.timing.handKeeps) },
      })
    if (!seen.has(r.id) && !close.has(r.id))
      out.push({ code: 'overruled', rows: [r.id], by: [...(byRow.get(stemOf(r)) ?? [])].filter((x) => x !== r.id) })
    const by = cut.get(r.id)
    if (by && !free.has(r.id)) out.push({ code: 'cutOff', rows: [r.id], by: [...by] })
  }
  return out
}
/** Two rows of one hand that are told apart by the gesture and still cannot both be made: what one of them does on the way to the other. */
function across(map: ControlMap, b: ControlProgram): Matter[] {
  const hand = b.timing.handKeeps
  const out = new Map<string, Matter>()
  const put = (m: Matter) => out.set(`${m.code} ${m.rows.join()}`, m)
  for (const mode of new Set(map.controls.map((r) => r.mode)))
    for (const preset of classesOf(b, mode))
      for (const pose of posesOf(b, mode)) {
        const { patterns, of } = b.context(mode, pose, preset)
        for (const p of patterns) {
          if (p.sort !== 'holdThenTap' && p.sort !== 'holdMotion' && p.sort !== 'hold' && p.sort !== 'chord') continue
          for (const q of of.get(p.input) ?? []) {
            if (q.row === p.row) continue
            if (p.sort === 'chord') {
              const same = q.sort === 'chord' && new Set([p.input, p.other, q.input, q.other]).size === 2
              const inOrder = p.row.ordered && !q.row.ordered && Math.abs(p.from - q.from) < hand - 1e-9
              if (same && inOrder) put({ code: 'ordered', rows: [p.row.id, q.row.id] })
              continue
            }
            if (q.sort !== 'hold' || q.times !== p.times) continue
            const leaves = after(map, q.row) !== q.row.mode
            // A hold behind a hold is told by its times; here a tap or a blow has to fall before the hold is reached.
            if (p.sort !== 'hold' && q.fires === 'reached' && leaves && q.from - p.from < hand - 1e-9)
              put({ code: 'behind', rows: [p.row.id, q.row.id], why: 'gone', from: ms(q.from) })
            if (p.sort === 'hold' && q.fires === 'whileHeld' && q.from < p.from && after(map, p.row) !== p.row.mode)
              put({ code: 'behind', rows: [p.row.id, q.row.id], why: 'effect', from: ms(q.from) })
          }
        }
      }
  return [...out.values()]
}

/** The shortest pause that a hand leaves between two taps, s: twice a quick finger. */
const QUICK = 0.15
/** Taps that count together within less than a hand leaves between them. */
function gaps(map: ControlMap, b: ControlProgram): Matter[] {
  if (b.timing.tapGap >= QUICK) return []
  const rows = map.controls.filter((r) => (r.times ?? 1) > 1).map((r) => r.id)
  return rows.length ? [{ code: 'gapShort', rows, gap: ms(b.timing.tapGap) }] : []
}

/** Rows of some presets alone, in modes in which one never is with any of these. */
function otherPreset(map: ControlMap): Matter[] {
  const special = map.controls.filter((r) => r.presets?.length)
  if (!special.length || map.presets.length < 2) return []
  const seen = reachableIn(map)
  const anywhere = new Set([...seen].map((k) => k.split(' ')[0]!))
  return special.flatMap((r): Matter[] =>
    anywhere.has(r.mode) && !r.presets!.some((p) => seen.has(`${r.mode} ${p}`))
      ? [{ code: 'otherPreset', rows: [r.id], presets: [...r.presets!] }]
      : [],
  )
}

const addTo = <K, V>(map: Map<K, Set<V>>, key: K, value: V) => {
  const set = map.get(key)
  if (set) set.add(value)
  else map.set(key, new Set([value]))
}

/** Modes nobody reaches, leaves or has recorded, and those that end one another in a round. */
function ways(map: ControlMap): Matter[] {
  if (!map.controls.length) return []
  const out: Matter[] = modeThatIs(map, 'off') ? [] : [{ code: 'noOff', rows: [] }]
  const starts = startsOf(map, map.controls)
  // Where nothing is off or wakes, the first mode is where one is found.
  const seen = reachable(map, map.controls, starts.length ? starts : map.modes.slice(0, 1).map((x) => x.id))
  const rowsBy = new Map<string, string[]>()
  for (const r of map.controls) {
    const list = rowsBy.get(r.mode)
    if (list) list.push(r.id)
    else rowsBy.set(r.mode, [r.id])
  }
  for (const x of map.modes)
    if (!seen.has(x.id)) out.push({ code: 'unreached', rows: rowsBy.get(x.id) ?? [], mode: x.id })
  if (modeThatIs(map, 'off'))
    for (const t of traps(map)) out.push({ code: 'trap', rows: [], mode: t.mode, presets: t.presets })
  const told = new Set<string>()
  for (const x of map.modes) {
    const round: string[] = []
    let at: string | undefined = x.id
    while (at !== undefined && !round.includes(at) && !told.has(at)) {
      round.push(at)
      at = timeOutOf(map, at)?.to
    }
    for (const id of round) told.add(id)
    if (at !== undefined && round.includes(at))
      out.push({ code: 'round', rows: [], modes: round.slice(round.indexOf(at)) })
  }
  return out
}

/** What goes through the choices of a menu. */
const STEPS: ReadonlySet<ControlRow['does']> = new Set([
  ...(['choose', 'chooseBack', 'nextPreset', 'previousPreset', 'volumeUp', 'volumeDown', 'track', 'colour'] as const),
])
function menus(map: ControlMap, b: ControlProgram): Matter[] {
  return map.modes.flatMap((x): Matter[] => {
    if (x.is !== 'menu') return []
    const rows = b.rowsOf(x.id).map((r) => r.row)
    if (!x.chooses) return [{ code: 'choosesWhat', rows: [], mode: x.id }]
    return [
      ...(x.by === 'turning' || rows.some((r) => STEPS.has(r.does))
        ? []
        : [{ code: 'choosing' as const, rows: [] as [], mode: x.id }]),
      ...(rows.some((r) => r.does === 'keep' || r.does === 'menuClose') || timeOutOf(map, x.id)
        ? []
        : [{ code: 'keeping' as const, rows: [] as [], mode: x.id }]),
    ]
  })
}

/** Effects of the blade that a hand calls up. */
const EFFECTS = ['lock', 'drag', 'melt', 'deflect', 'surge'] as const
/** What is recorded and reached by no row, preset by preset: the next preset, its tracks, its effects, the volume. */
function lost(map: ControlMap): Matter[] {
  if (!map.controls.length) return []
  const seen = reachable(map, map.controls)
  const live = map.controls.filter((r) => seen.has(r.mode))
  const chooses = (what: string) =>
    map.modes.some((x) => x.is === 'menu' && x.chooses === what && seen.has(x.id)) ||
    live.some((r) => r.to !== undefined && modeById(map, r.to)?.chooses === what)
  const all = new Set(live.filter((r) => !r.presets?.length).map((r) => r.does))
  const only = new Map<string, Set<ControlRow['does']>>()
  for (const r of live) for (const p of r.presets ?? []) addTo(only, p, r.does)
  const has = (p: Preset, ...does: ControlRow['does'][]) => does.some((d) => all.has(d) || only.get(p.id)?.has(d))
  const out: Matter[] = []
  const say = (what: Lost, list: readonly Preset[], names: string[] = []) => {
    if (list.length) out.push({ code: 'noWayTo', rows: [], what, presets: list.map((p) => p.id), names })
  }
  if (map.presets.length > 1 && !chooses('preset') && !chooses('profile'))
    say(
      'preset',
      map.presets.filter((p) => !has(p, 'nextPreset', 'previousPreset')),
    )
  if (!chooses('track'))
    say(
      'track',
      map.presets.filter((p) => p.tracks.length > 0 && !has(p, 'track')),
    )
  for (const e of EFFECTS)
    say(
      'effect',
      map.presets.filter(
        // A font has what it has; a colour was set by somebody.
        (p) => p.effects?.[e] !== undefined && p.effects[e].is !== 'notThere' && !has(p, e) && !chooses('effect'),
      ),
      [e],
    )
  const steps = known(map.settings.volumeSteps)
  if (
    steps !== undefined &&
    steps > 1 &&
    !chooses('volume') &&
    !live.some((r) => r.does === 'volumeUp' || r.does === 'volumeDown')
  )
    out.push({ code: 'noWayTo', rows: [], what: 'volume', presets: [], names: [] })
  return out
}

const MOVED: ReadonlySet<ControlRow['gesture']> = new Set(['twist', 'thrust', 'swing', 'shake'])
/** Rows by which motion alone lights it: in a bag nobody holds a button. */
function bags(map: ControlMap): Matter[] {
  const lights = map.controls.filter((r) => {
    const is = modeById(map, r.mode)?.is
    return MOVED.has(r.gesture) && r.does === 'ignite' && (is === 'off' || is === 'asleep')
  })
  return lights.length ? [{ code: 'bag', rows: lights.map((r) => r.id) }] : []
}

/** Taps that wait for another, and holds that are carried out only when they are let go, with the row that is the reason. */
function delaysOf(map: ControlMap, b: ControlProgram): Delay[] {
  const told = new Map<string, Delay>()
  for (const mode of new Set(map.controls.map((r) => r.mode)))
    for (const preset of classesOf(b, mode))
      for (const pose of posesOf(b, mode)) {
        const { patterns, of } = b.context(mode, pose, preset)
        for (const p of patterns) {
          if (told.has(p.row.id)) continue
          const mine = of.get(p.input) ?? []
          if (p.sort === 'tap' || p.sort === 'motion') {
            const longer = mine.find(
              (q) =>
                q.times > p.times &&
                (p.sort === 'tap'
                  ? q.sort === 'tap' || q.sort === 'hold'
                  : q.sort === 'motion' && q.motion === p.motion),
            )
            if (longer) told.set(p.row.id, { row: p.row.id, ms: ms(b.timing.tapGap), because: longer.row.id })
          } else if (p.sort === 'hold' && p.fires === 'letGo' && p.row.release === undefined) {
            const longer = mine.find((q) => q.sort === 'hold' && q.times === p.times && q.from > p.from)
            if (longer) told.set(p.row.id, { row: p.row.id, because: longer.row.id })
          }
        }
      }
  return [...told.values()]
}
