import { piecesOf, proceduresOf } from '../access'
import { after, shines } from '../controls'
import { byId, type ControlRow, type ORDERS, type Saber, worksIn } from '../record'
import { MAKER } from '../units'
import { startMode } from './rehearse'
import type { Chapter, Telling } from './topics'
import { walked } from './walk'

export type Order = (typeof ORDERS)[number]

/** Chapters in each school's order of telling. */
const CHAPTERS: Record<Order, Chapter[]> = {
  pommelUp: ['welcome', 'outside', 'inside', 'power', 'blade', 'controls', 'presets', 'care', 'requests', 'farewell'],
  outsideIn: ['welcome', 'outside', 'power', 'blade', 'controls', 'presets', 'inside', 'care', 'requests', 'farewell'],
  operateFirst: [
    'welcome',
    'power',
    'blade',
    'controls',
    'presets',
    'outside',
    'inside',
    'care',
    'requests',
    'farewell',
  ],
  build: ['welcome', 'inside', 'outside', 'power', 'blade', 'controls', 'presets', 'care', 'requests', 'farewell'],
}

const TASK_ORDER = [
  'powerOn',
  'bladeIn',
  'open',
  'cellOut',
  'card',
  'port',
  'show',
  'cellIn',
  'close',
  'charge',
  'bladeOut',
  'powerOff',
]
/** What is done in the open hilt, in the order in which hands do it. */
const INSIDE = ['open', 'cellOut', 'card', 'port', 'cellIn']

/** What has to be told before something is, by keys: the parts that it uses, what makes it possible, and the caution that bites there. */
function needsOf(s: Saber, order: Order, list: readonly Telling[]): Map<string, string[]> {
  const chapters = CHAPTERS[order]
  const rank = (c: Chapter) => chapters.indexOf(c)
  const there = new Set(list.flatMap((t) => t.keys))
  const needs = new Map<string, string[]>()
  const need = (key: string, ...before: string[]) => {
    if (there.has(key)) needs.set(key, [...(needs.get(key) ?? []), ...before.filter((k) => there.has(k) && k !== key)])
  }
  const of = (chapter: Chapter) => list.filter((t) => t.chapter === chapter).flatMap((t) => t.keys)
  const live = [...of('controls'), ...of('presets')]
  const buttons = s.inputs.flatMap((i) => (i.part ? [`part:${i.part}`] : []))
  for (const r of s.controls) {
    const key = `control:${r.id}`
    // Where the walk puts it, every button that is pressed has been shown.
    need(key, ...buttons, 'task:powerOn')
    if (shines(s, r.mode) || shines(s, after(s, r))) need(key, 'caution:blade', 'task:bladeIn', 'caution:flash')
  }
  need('task:bladeOut', ...live, 'task:bladeIn')
  need('task:powerOff', ...live, 'task:bladeOut')
  // A part that a task works on is shown before; the steps say which.
  const left = [...there].filter((k) => k.startsWith('fastener:') || k.startsWith('locked:'))
  for (const p of piecesOf(s, proceduresOf(MAKER, s)))
    for (const x of p.acts)
      for (const at of [...x.does.map((d) => d.at), x.place]) {
        if (!at) continue
        if (at.startsWith('part:')) need(`task:${p.task}`, at)
        // What is particular to a thing is told before it is handled, and what is to be left alone before anything is turned.
        need(`task:${p.task}`, `note:${at}`)
        if (at.startsWith('fastener:') || at.startsWith('section:')) need(`task:${p.task}`, ...left)
        const blade = at.startsWith('blade:') ? byId(s.blades, at.slice('blade:'.length)) : undefined
        if (blade) need(`task:${p.task}`, `note:socket:${blade.socket}`)
      }
  need('display', ...s.parts.flatMap((p) => (p.kind === 'display' ? [`part:${p.id}`] : [])))
  const inside = of('inside')
  const first = INSIDE.find((t) => there.has(`task:${t}`))
  const open = there.has('task:open')
  for (const key of inside) if (open && key !== 'task:open' && !/^(caution|assemble):/.test(key)) need(key, 'task:open')
  INSIDE.forEach((t, i) => {
    need(`task:${t}`, ...INSIDE.slice(0, i).map((b) => `task:${b}`))
  })
  const assembled = inside.filter((k) => k.startsWith('assemble:'))
  if (first) need(`task:${first}`, 'caution:inside', ...assembled)
  assembled.forEach((k, i) => {
    const cell = s.parts.some((p) => p.kind === 'cell' && k === `assemble:part:${p.id}`)
    need(k, 'caution:inside', ...(cell ? ['caution:cell'] : []), ...assembled.slice(0, i))
  })
  for (const t of ['cellOut', 'cellIn', 'charge']) need(`task:${t}`, 'caution:cell')
  need('task:close', ...inside.filter((k) => k !== 'task:close'))
  // Opened before it is ever lit, or after it is dark and without its blade.
  if (rank('inside') < rank('power')) {
    for (const k of ['task:powerOn', 'task:bladeIn', ...of('controls')]) need(k, 'task:close')
  } else for (const k of inside) if (k.startsWith('task:')) need(k, 'task:powerOff', 'task:bladeOut', ...live)
  // Claws and edges are told before the hilt is taken in hand for anything.
  for (const k of there) if (/^(task|control|assemble):/.test(k)) need(k, 'caution:sharp')
  need('task:charge', 'task:powerOff', 'task:bladeOut', 'task:close', ...live)
  return needs
}

/** Within a chapter: hands before eyes, in the order in which they work. */
function inner(t: Telling): number {
  if (t.key.startsWith('task:')) return TASK_ORDER.indexOf(t.key.slice(5))
  return t.key === 'welcome' ? -1 : 0
}

/**
 * Puts what is to be told into the order of a school, so that nothing is told after it was used, nothing is asked for before it is
 * possible, each caution stands where it bites, the hilt is opened once and its blade changed once, and the farewell is last. The
 * controls stand in the order of the walk. Equal input gives equal output.
 */
export function ordered(s: Saber, order: Order, list: readonly Telling[]): Telling[] {
  const chapters = CHAPTERS[order]
  const needs = needsOf(s, order, list)
  const by = new Map(list.flatMap((t) => t.keys.map((k) => [k, t] as const)))
  const rows = list.flatMap((t) => s.controls.filter((r) => t.keys.includes(`control:${r.id}`)))
  // Something that is done in other presets only is shown after all that leads there.
  const elsewhere = (r: ControlRow) => !worksIn(r, s.presets[0]?.id)
  const [usual, others] = [rows.filter((r) => !elsewhere(r)), rows.filter(elsewhere)]
  const last = usual.at(-1)
  const walk = [...walked(s, usual, startMode(s)), ...walked(s, others, last ? after(s, last) : startMode(s))].map(
    (r) => by.get(`control:${r.id}`)!,
  )
  const place = new Map(walk.map((t, i) => [t, i]))
  const rank = (t: Telling): [number, number, number] => [
    chapters.indexOf(t.chapter),
    place.get(t) ?? inner(t),
    list.indexOf(t),
  ]
  const less = (a: Telling, b: Telling): number => {
    const [x, y] = [rank(a), rank(b)]
    return x[0] - y[0] || x[1] - y[1] || x[2] - y[2]
  }
  const out: Telling[] = []
  const done = new Set<Telling>()
  const tell = (t: Telling, from: ReadonlySet<Telling>) => {
    if (done.has(t) || from.has(t)) return
    const below = new Set([...from, t])
    const before = t.keys.flatMap((k) => needs.get(k) ?? []).map((k) => by.get(k)!)
    for (const x of [...new Set(before)].sort(less)) tell(x, below)
    if (done.has(t)) return
    done.add(t)
    out.push(t)
  }
  // A caution is told where something asks for it; one that nothing asks for where its chapter is.
  const asked = new Set([...needs.values()].flat().filter((k) => k.startsWith('caution:')))
  for (const t of [...list].sort(less)) if (!asked.has(t.key)) tell(t, new Set())
  for (const t of [...list].sort(less)) tell(t, new Set())
  const bye = out.filter((t) => t.chapter === 'farewell')
  return [...out.filter((t) => t.chapter !== 'farewell'), ...bye]
}
