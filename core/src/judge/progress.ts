import type { Commission } from '../record'
import { type Finding, STATIONS, type Station } from './finding'

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

/** How much of the blade a station in each state brings out. */
const OUT: Record<StationState, number> = { clear: 1, caution: 0.7, stop: 0.35, empty: 0 }

/** How far the blade has come out on the rack: stations begun and not stopped, 0…1. A shipped commission is 1. */
export function progress(c: Commission, findings: readonly Finding[]): number {
  if (c.shipped) return 1
  const states = Object.values(stationStates(c, findings))
  return states.reduce((sum, s) => sum + OUT[s], 0) / states.length
}

/** What still stands against shipping: every finding that gates and was not set aside by name. */
export const gateOf = (findings: readonly Finding[]): Finding[] => findings.filter((f) => f.gate)
