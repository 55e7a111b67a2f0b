import type { Action, ControlRow, Mode, ModeIs, Saber } from '../record'

/** What a board does with a hand: its modes and rows, how it reads time, and what they name. Every saber has one. */
export type ControlMap = Pick<Saber, 'modes' | 'timing' | 'controls' | 'inputs' | 'fonts' | 'presets' | 'settings'> &
  Partial<Pick<Saber, 'use'>>

/** What a mode is after an action, when the row names none. Undefined: it stays where it is. */
export const LEADS_TO: Readonly<Partial<Record<Action, ModeIs>>> = {
  powerOn: 'off',
  powerOff: 'off',
  wake: 'off',
  sleep: 'asleep',
  ignite: 'lit',
  retract: 'off',
  menuOpen: 'menu',
  menuClose: 'off',
  keep: 'off',
  discard: 'off',
  mute: 'muted',
  unmute: 'lit',
  combatOn: 'combat',
  combatOff: 'lit',
}
/** Actions that go back to what a mode sits on, where that is recorded. */
const BACK: ReadonlySet<Action> = new Set(['menuClose', 'keep', 'discard', 'unmute', 'combatOff'])
/** Modes in which the blade shines by itself. */
const SHINE: ReadonlySet<ModeIs> = new Set(['lit', 'muted', 'combat'])

interface Found {
  byId: Map<string, Mode>
  first: Map<ModeIs, Mode>
}
const FOUND = new WeakMap<readonly Mode[], Found>()
function found(modes: readonly Mode[]): Found {
  let f = FOUND.get(modes)
  if (!f || f.byId.size !== modes.length) {
    f = { byId: new Map(modes.map((m) => [m.id, m])), first: new Map() }
    for (const m of modes) if (!f.first.has(m.is)) f.first.set(m.is, m)
    FOUND.set(modes, f)
  }
  return f
}

export const modeById = (m: Pick<ControlMap, 'modes'>, id: string | undefined): Mode | undefined =>
  id === undefined ? undefined : found(m.modes).byId.get(id)
/** The first mode of a sort: a board has one that is off, and may have several menus. */
export const modeThatIs = (m: Pick<ControlMap, 'modes'>, is: ModeIs): Mode | undefined => found(m.modes).first.get(is)
/** What a mode is called. */
export const modeName = (m: Pick<ControlMap, 'modes'>, id: string): string => modeById(m, id)?.name ?? id
/** What the mode of a row is; off where the record has lost it. */
export const isOf = (m: Pick<ControlMap, 'modes'>, id: string): ModeIs => modeById(m, id)?.is ?? 'off'

/** The mode after a row has been carried out. */
export function after(m: Pick<ControlMap, 'modes'>, row: ControlRow): string {
  if (row.to !== undefined) return row.to
  const to = LEADS_TO[row.does]
  if (to === undefined) return row.mode
  const { byId, first } = found(m.modes)
  const here = byId.get(row.mode)
  if (BACK.has(row.does) && here?.on !== undefined) return here.on
  if (to === 'menu') {
    const over = m.modes.find((x) => x.is === 'menu' && x.on === row.mode)
    if (over) return over.id
  }
  return first.get(to)?.id ?? row.mode
}

const ROWS = new WeakMap<readonly ControlRow[], Map<string, ControlRow>>()
/** A row of a map by its id. */
export function rowOfMap(m: Pick<ControlMap, 'controls'>, id: string): ControlRow | undefined {
  let all = ROWS.get(m.controls)
  if (!all || all.size !== m.controls.length) {
    all = new Map(m.controls.map((r) => [r.id, r]))
    ROWS.set(m.controls, all)
  }
  return all.get(id)
}

/** Whether the blade is alight in a mode: a menu is as light as what it sits on. */
export function shines(m: Pick<ControlMap, 'modes'>, id: string | undefined): boolean {
  let mode = modeById(m, id)
  for (let deep = 0; mode && deep <= m.modes.length; deep++) {
    if (SHINE.has(mode.is)) return true
    if (mode.is !== 'menu') return false
    mode = modeById(m, mode.on)
  }
  return false
}

/** Where a mode goes by itself, and after how long; a board that is off sleeps after the time that is set for it. */
export function timeOutOf(m: ControlMap, id: string): { s: number; to: string } | undefined {
  const mode = modeById(m, id)
  if (!mode) return undefined
  const own = mode.after?.value ?? undefined
  const asleep = modeThatIs(m, 'asleep')?.id
  const off = modeThatIs(m, 'off')?.id
  const to = mode.leads ?? mode.on ?? (mode.is === 'off' ? asleep : off)
  if (own !== undefined && own > 0) return to === undefined || to === id ? undefined : { s: own, to }
  const sleep = m.settings.sleepAfter?.value ?? undefined
  return mode.is === 'off' && sleep !== undefined && sleep > 0 && asleep !== undefined
    ? { s: sleep, to: asleep }
    : undefined
}

/** Modes to which rows lead from a mode, with the fewest rows to each; the mode itself by none. */
export function reach(
  m: Pick<ControlMap, 'modes'>,
  rows: readonly ControlRow[],
  from: string,
): Map<string, ControlRow[]> {
  const by = new Map<string, ControlRow[]>()
  for (const r of rows) {
    const list = by.get(r.mode)
    if (list) list.push(r)
    else by.set(r.mode, [r])
  }
  const way = new Map<string, ControlRow[]>([[from, []]])
  const open = [from]
  for (let i = 0; i < open.length; i++)
    for (const r of by.get(open[i]!) ?? []) {
      const to = after(m, r)
      if (way.has(to)) continue
      way.set(to, [...way.get(open[i]!)!, r])
      open.push(to)
    }
  return way
}

/** The modes in which a saber with current can be found without a hand: off, and asleep where something wakes it. */
export const startsOf = (m: Pick<ControlMap, 'modes'>, rows: readonly ControlRow[]): string[] => {
  const asleep = m.modes.filter((x) => x.is === 'asleep' && rows.some((r) => r.mode === x.id)).map((x) => x.id)
  const off = modeThatIs(m, 'off')
  return [...(off ? [off.id] : []), ...asleep]
}

/** Modes that can be reached from where a saber with current is found, by rows and by what modes do by themselves. */
export function reachable(
  m: ControlMap,
  rows: readonly ControlRow[],
  start: readonly string[] = startsOf(m, rows),
): Set<string> {
  const by = new Map<string, string[]>()
  for (const r of rows) {
    const list = by.get(r.mode)
    if (list) list.push(after(m, r))
    else by.set(r.mode, [after(m, r)])
  }
  const seen = new Set(start)
  for (const id of seen) {
    for (const to of by.get(id) ?? []) seen.add(to)
    const itself = timeOutOf(m, id)
    if (itself) seen.add(itself.to)
  }
  return seen
}

/**
 * Every mode with every preset in which one can be in it, as `mode preset`: from where a saber with current is found, in its first
 * preset, by the rows in force there, by those that step through presets, and by menus in which one is chosen.
 */
export function reachableIn(m: ControlMap): Set<string> {
  const presets = m.presets.map((p) => p.id as string)
  const many = presets.length
  if (!many) return new Set()
  const index = new Map(presets.map((p, i) => [p, i]))
  const by = new Map<string, ControlRow[]>()
  for (const r of m.controls) {
    const list = by.get(r.mode)
    if (list) list.push(r)
    else by.set(r.mode, [r])
  }
  const starts = startsOf(m, m.controls)
  const from = starts.length ? starts : m.modes.slice(0, 1).map((x) => x.id as string)
  const seen = new Set(from.map((mode) => `${mode} ${presets[0]}`))
  for (const at of seen) {
    const cut = at.indexOf(' ')
    const [mode, preset] = [at.slice(0, cut), at.slice(cut + 1)]
    const here = index.get(preset)!
    const itself = timeOutOf(m, mode)
    if (itself) seen.add(`${itself.to} ${preset}`)
    const what = modeById(m, mode)?.chooses
    if (what === 'preset' || what === 'profile') for (const p of presets) seen.add(`${mode} ${p}`)
    for (const r of by.get(mode) ?? []) {
      if (r.presets?.length && !r.presets.includes(preset)) continue
      const step = r.does === 'nextPreset' ? 1 : r.does === 'previousPreset' ? many - 1 : 0
      seen.add(`${after(m, r)} ${presets[(here + step) % many]}`)
    }
  }
  return seen
}

/** Rows that are in force in a preset: those for all, and those for it. */
export const rowsIn = (rows: readonly ControlRow[], preset: string | undefined): ControlRow[] =>
  rows.filter((r) => !r.presets?.length || preset === undefined || r.presets.includes(preset))

/** A mode that one cannot leave, and the presets in which it is so. */
export interface Trap {
  mode: string
  presets: string[]
}

/**
 * Modes that can be reached and from which nothing leads back to off, preset by preset: what exists in another preset does not
 * help who has this one before him. Asleep is a way back only where something wakes it; going dark by itself is one.
 */
export function traps(m: ControlMap): Trap[] {
  const off = modeThatIs(m, 'off')?.id
  const stuck = new Map<string, string[]>()
  const presets = m.presets.length ? m.presets.map((p) => p.id) : [undefined]
  const special = new Set(m.controls.flatMap((r) => r.presets ?? []))
  // Modes as numbers, so that each preset's walk costs no more than its steps.
  const number = new Map(m.modes.map((x, i) => [x.id, i]))
  const steps = m.controls.map((r) => [number.get(r.mode) ?? -1, number.get(after(m, r)) ?? -1] as const)
  const itself = m.modes.map((x) => number.get(timeOutOf(m, x.id)?.to ?? '') ?? -1)
  const home = off === undefined ? -1 : number.get(off)!
  const walks = new Map<string, number[]>()
  for (const preset of presets) {
    // Presets with the same rows share their walk.
    const key = preset !== undefined && special.has(preset) ? preset : ''
    let trapped = walks.get(key)
    if (!trapped) {
      const here: number[] = []
      for (const [i, r] of m.controls.entries())
        if (!r.presets?.length || preset === undefined || (key !== '' && r.presets.includes(preset))) here.push(i)
      trapped = trapsAmong(m, here, steps, itself, home)
      walks.set(key, trapped)
    }
    for (const n of trapped) {
      const { id } = m.modes[n]!
      stuck.set(id, [...(stuck.get(id) ?? []), ...(preset === undefined ? [] : [preset])])
    }
  }
  return [...stuck].map(([mode, list]) => ({ mode, presets: list }))
}

/** Of the modes that rows reach from where one begins, those from which home cannot be reached: one walk on, one walk back. */
function trapsAmong(
  m: ControlMap,
  rows: readonly number[],
  steps: readonly (readonly [from: number, to: number])[],
  itself: readonly number[],
  home: number,
): number[] {
  const on: number[][] = m.modes.map(() => [])
  const back: number[][] = m.modes.map(() => [])
  const link = (from: number, to: number) => {
    if (from < 0 || to < 0) return
    on[from]!.push(to)
    back[to]!.push(from)
  }
  const stood = new Set<number>()
  for (const i of rows) {
    const [from, to] = steps[i]!
    stood.add(from)
    link(from, to)
  }
  for (const [from, to] of itself.entries()) link(from, to)
  const walk = (starts: Iterable<number>, along: readonly number[][]) => {
    const seen = new Set(starts)
    for (const at of seen) for (const to of along[at]!) seen.add(to)
    return seen
  }
  const asleep = m.modes.flatMap((x, i) => (x.is === 'asleep' && stood.has(i) ? [i] : []))
  const reached = walk([...(home < 0 ? [] : [home]), ...asleep], on)
  const leads = walk(home < 0 ? [] : [home], back)
  return [...reached].filter((n) => !leads.has(n))
}
