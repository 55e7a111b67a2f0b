import type { RackEntry } from '@nubrin/core/api'
import { known } from '@nubrin/core/facts'
import { gateOf, judgeCommission, progress, stationStates } from '@nubrin/core/judge'
import type { Commission, Hilt } from '@nubrin/core/record'

/** What the rack draws of a hilt: the tubes, without where each value comes from and what is in the wall. */
function outline(h: Hilt): Hilt {
  const plain = <F extends { value: number | null }>({
    rivals,
    trail,
    ...f
  }: F & { rivals?: unknown; trail?: unknown }) => ({ ...f, ...(rivals ? { rivals: [] } : {}) }) as unknown as F
  return {
    origin: h.origin,
    sections: h.sections.map(({ note: _n, ...s }: Hilt['sections'][number] & { note?: string }) => ({
      ...s,
      length: plain(s.length),
      outside: plain(s.outside),
      bore: plain(s.bore),
      joint: { kind: s.joint.kind },
    })),
    fasteners: [],
    openings: [],
    sockets: [],
    clearance: plain(h.clearance),
  }
}

/** A commission as it hangs on its peg on a day: how far it has come, and what blocks it. A shipped one is not judged. */
export function rackEntryOf(c: Commission, today: string): RackEntry {
  const list = c.shipped ? [] : judgeCommission(c, today)
  const gate = gateOf(list)
  const worst = list.find((f) => f.level === 'stop') ?? gate[0]
  const whose = worst && c.sabers.length > 1 ? c.sabers.find((s) => s.id === worst.saber)?.name : undefined
  return {
    id: c.id,
    title: c.title,
    client: c.client.name,
    job: c.job,
    deadline: c.deadline ?? null,
    shipped: c.shipped ?? null,
    sabers: c.sabers.map((s) => ({ id: s.id, name: s.name, job: s.job })),
    hilt: outline(c.sabers[0]!.hilt),
    colour: known(c.sabers[0]?.presets[0]?.colour) ?? null,
    states: stationStates(c, list),
    progress: progress(c, list),
    blocking: worst ? { level: worst.level, station: worst.station, title: worst.title, saber: whose ?? null } : null,
    gate: gate.length,
  }
}
