import { type Machine, machineOf } from '../machine'
import { type LightLoad, loadsOf } from '../power'
import { type Commission, type FactPlace, factPaths, type Saber } from '../record'
import { firstSaid, type Topic, type TopicMemory, tellingOrder, topicsOf } from '../script'
import type { Catalogue, Check, Context, Raised, Reads, Worded } from './check'
import { CHECKS } from './checks'
import { type Finding, type Level, STATIONS, type Station } from './finding'
import { putRightAt, putRightIn } from './put-right'
import { WORDS } from './words'

const WEIGHT: Record<Level, number> = { stop: 0, caution: 1, note: 2 }

/** A model sheet has no client, is not proved and not handed over; it is told, with its steps, once a film of it is written. */
const NOT_OF_MODELS: ReadonlySet<Station> = new Set(['brief', 'proof', 'handoff'])
/** Codes of notes that only say what a figure still needs. */
const PILES: ReadonlySet<string> = new Set(['missing', 'unknown'])
const ONCE_FILMED: ReadonlySet<Station> = new Set(['access', 'walkthrough'])

type Matter = Raised & Worded

/** Runs one check. One that throws becomes a finding of its own: a judgement that cannot be made stands against shipping. */
function matters(check: Check, ctx: Context, words: Catalogue): Matter[] {
  const { rule, says } = words[check.id]!
  try {
    return check.run(ctx).map((r) => ({ ...r, ...says[r.code]!(r.params) }))
  } catch (e) {
    return [
      {
        code: 'failed',
        subject: 'failed',
        level: 'caution',
        params: { message: (e as Error).message },
        title: 'This could not be judged',
        detail: `“${rule}” failed on what is recorded: ${(e as Error).message}`,
        remedy: 'Look for a value that cannot be, and correct it.',
        gate: true,
      },
    ]
  }
}

const MOST_KEY = 240
/** A short mark of a long list; the same for the same list. */
function markOf(names: readonly string[]): string {
  let h = 0xcbf29ce484222325n
  for (const c of names.join('.')) h = ((h ^ BigInt(c.codePointAt(0)!)) * 0x100000001b3n) & 0xffffffffffffffffn
  return h.toString(36)
}
/** The key of a matter. What it gathers stands after a #, so that setting it aside says for what. */
function keyOf(base: string, names: readonly string[] | undefined): string {
  if (!names) return base.slice(0, MOST_KEY)
  const list = [...names].sort()
  const whole = `${base}#${list.join('.')}`
  return whole.length <= MOST_KEY ? whole : `${base.slice(0, MOST_KEY - 20)}#${list.length}.${markOf(list)}`
}
/** Whether something set aside covers a finding: the same matter, and everything that it gathers now was named then. */
function covers(waived: readonly string[], f: Finding): boolean {
  if (waived.includes(f.key)) return true
  const [base, now] = f.key.split('#')
  if (now === undefined) return false
  return waived.some((w) => {
    const [of, named] = w.split('#')
    const then = new Set(named?.split('.'))
    return of === base && now.split('.').every((n) => then.has(n))
  })
}

function finding(check: Check, saber: Saber, m: Matter): Finding {
  const field = putRightIn(check.id, m)
  const at = putRightAt(check.id, field, m.refs?.[0])
  const whose = check.scope === 'saber' ? saber.id : 'order'
  return {
    key: keyOf(`${check.id}:${whose}:${m.subject}`, m.names),
    check: check.id,
    code: m.code,
    level: m.level,
    station: check.station,
    ...(check.scope === 'saber' ? { saber: saber.id } : {}),
    params: m.params,
    title: m.title,
    detail: m.detail,
    remedy: m.remedy,
    refs: m.refs ?? [],
    gate: m.gate ?? m.level === 'stop',
    ...(field === undefined ? {} : { field }),
    ...(at === undefined || at === check.station ? {} : { at }),
  }
}

const readOf = (c: Commission, saber: Saber, today: string, what: Reads): unknown => {
  if (what === 'today') return today
  if (what === 'order.first') return firstSaid(c)
  if (what === 'order.told')
    return c.sabers.length > 1
      ? tellingOrder(c)
          .map((s) => s.id)
          .join()
      : ''
  return what.startsWith('order.') ? c[what.slice(6) as keyof Commission] : saber[what as keyof Saber]
}

/** What the checks of a saber are given; what is dear is worked out when it is asked for, and once. */
function contextOf(commission: Commission, saber: Saber, today: string, told: TopicMemory): Context {
  let facts: FactPlace[] | undefined
  let topics: Topic[] | undefined
  let loads: LightLoad[] | undefined
  let machine: Machine | undefined
  return {
    commission,
    saber,
    today,
    get facts() {
      facts ??= factPaths(saber)
      return facts
    },
    get topics() {
      topics ??= topicsOf(commission, saber, told)
      return topics
    },
    get loads() {
      loads ??= loadsOf(saber)
      return loads
    },
    get machine() {
      machine ??= machineOf(saber)
      return machine
    },
  }
}

interface Memo {
  read: unknown[]
  found: Finding[]
}
/** Judges a commission; what is set aside by name in the handoff is left out unless `withWaived` is given. */
export type Judge = (commission: Commission, today: string, withWaived?: boolean) => Finding[]

/**
 * A judge that remembers: a check whose reads are the same values as last time is not run again. The answer is that of
 * judging everything anew. Sorted stops first, then by station. Keys are unique.
 */
export function makeJudge(checks: readonly Check[] = CHECKS, words: Catalogue = WORDS): Judge {
  let memory = new Map<string, Memo>()
  const told: TopicMemory = new Map()
  return (commission, today, withWaived = false) => {
    const next = new Map<string, Memo>()
    const out: Finding[] = []
    commission.sabers.forEach((saber, n) => {
      const ctx = contextOf(commission, saber, today, told)
      for (const check of checks) {
        if (check.scope === 'order' && n > 0) continue
        if (commission.job === 'model') {
          if (NOT_OF_MODELS.has(check.station)) continue
          if (ONCE_FILMED.has(check.station) && !saber.beats.length) continue
        }
        const id = `${saber.id}/${check.id}`
        const read = check.reads.map((r) => readOf(commission, saber, today, r))
        const before = memory.get(id)
        const kept = before?.read.every((v, i) => v === read[i])
          ? before
          : { read, found: matters(check, ctx, words).map((m) => finding(check, saber, m)) }
        next.set(id, kept)
        // On a model sheet nothing is fitted for good: what cannot be computed yet is no news.
        const pile = (f: Finding) => commission.job === 'model' && f.level === 'note' && PILES.has(f.code)
        out.push(...kept.found.filter((f) => !pile(f)))
      }
    })
    memory = next
    const waived = commission.handoff.waivers.map((w) => w.key)
    return (withWaived ? out : out.filter((f) => !covers(waived, f))).sort(
      (a, b) => WEIGHT[a.level] - WEIGHT[b.level] || STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station),
    )
  }
}

/** Runs every check over a commission, remembering nothing. */
export const judgeCommission: Judge = (commission, today, withWaived) => makeJudge()(commission, today, withWaived)
