import { factPaths } from '../record/facts'
import type { Commission } from '../record/schema'
import { benchChecks } from './checks/bench'
import { powerChecks, voiceChecks } from './checks/electric'
import { fitChecks } from './checks/fit'
import { recordChecks } from './checks/record'
import { accessChecks, controlChecks, handoffChecks, proofChecks, tellingChecks } from './checks/use'
import { type Check, type Finding, type Level, STATIONS, type Station } from './finding'

/** Every judgement the program makes, in station order. */
export const CHECKS: readonly Check[] = [
  ...recordChecks,
  ...fitChecks,
  ...benchChecks,
  ...powerChecks,
  ...voiceChecks,
  ...controlChecks,
  ...accessChecks,
  ...proofChecks,
  ...tellingChecks,
  ...handoffChecks,
]

const WEIGHT: Record<Level, number> = { stop: 0, caution: 1, note: 2 }

/** A model sheet has no client, is not proved, not told and not handed over. */
const NOT_OF_MODELS: ReadonlySet<Station> = new Set(['brief', 'access', 'proof', 'walkthrough', 'handoff'])

/**
 * Runs every check over a commission. Sorted stops first, then by station. Keys are unique. What was set aside by name
 * in the handoff is left out of the list unless `withWaived` is given.
 */
export function judgeCommission(commission: Commission, today: string, withWaived = false): Finding[] {
  const out: Finding[] = []
  commission.sabers.forEach((saber, n) => {
    const facts = factPaths(saber)
    for (const check of CHECKS) {
      if (check.scope === 'order' && n > 0) continue
      if (commission.job === 'model' && NOT_OF_MODELS.has(check.station)) continue
      for (const r of check.run({ commission, saber, today, facts })) {
        const whose = check.scope === 'saber' ? saber.id : 'order'
        out.push({
          key: `${check.id}:${whose}:${r.subject}`.slice(0, 240),
          check: check.id,
          level: r.level,
          station: check.station,
          ...(check.scope === 'saber' ? { saber: saber.id } : {}),
          title: r.title,
          detail: r.detail,
          remedy: r.remedy,
          refs: r.refs ?? [],
          gate: r.gate ?? r.level === 'stop',
        })
      }
    }
  })
  const waived = new Set(commission.handoff.waivers.map((w) => w.key))
  return (withWaived ? out : out.filter((f) => !waived.has(f.key))).sort(
    (a, b) => WEIGHT[a.level] - WEIGHT[b.level] || STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station),
  )
}

/** What still stands against shipping: every finding that gates and was not set aside by name. */
export const gateOf = (findings: readonly Finding[]): Finding[] => findings.filter((f) => f.gate)

export type StationState = 'empty' | 'stop' | 'caution' | 'clear'

/** How a station stands: nothing entered, something stops it, something to look at, or clear. */
export function stationStates(c: Commission, findings: readonly Finding[]): Record<Station, StationState> {
  const any = (f: (s: Commission['sabers'][number]) => unknown[]) => c.sabers.some((s) => f(s).length > 0)
  const begun: Record<Station, boolean> = {
    brief: c.brief.trim().length > 0 || c.requests.length > 0,
    hilt: any((s) => s.hilt.sections),
    fit: any((s) => s.parts),
    power: any((s) => s.parts.filter((p) => p.kind === 'cell')),
    voice: any((s) => s.presets),
    controls: any((s) => s.controls),
    access: any((s) => s.access),
    proof: any((s) => s.tests),
    walkthrough: any((s) => s.beats),
    handoff: c.handoff.issued.length > 0,
  }
  return Object.fromEntries(
    STATIONS.map((st) => {
      const here = findings.filter((f) => f.station === st)
      const state: StationState = here.some((f) => f.level === 'stop')
        ? 'stop'
        : !begun[st]
          ? 'empty'
          : here.some((f) => f.level === 'caution')
            ? 'caution'
            : 'clear'
      return [st, state]
    }),
  ) as Record<Station, StationState>
}

/** How far the blade has come out on the rack: stations begun and not stopped, 0…1. A shipped commission is 1. */
export function progress(c: Commission, findings: readonly Finding[]): number {
  if (c.shipped) return 1
  const states = Object.values(stationStates(c, findings))
  return (
    states.reduce((a, s) => a + (s === 'clear' ? 1 : s === 'caution' ? 0.7 : s === 'stop' ? 0.35 : 0), 0) /
    states.length
  )
}
