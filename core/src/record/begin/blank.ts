import { fact } from '../../facts/fact'
import { type Commission, FORMAT, FORMAT_VERSION } from '../schema/commission'
import type { Saber } from '../schema/saber'

/** Makes fresh ids; the core has no randomness of its own, so the caller brings it. */
export type NewId = () => string

/** An empty saber: one socket is not assumed, nothing is measured yet. */
export function blankSaber(newId: NewId, name: string, job: Saber['job']): Saber {
  return {
    id: newId(),
    name,
    job,
    hilt: {
      origin: 'bought',
      sections: [],
      fasteners: [],
      openings: [],
      sockets: [],
      clearance: fact(0.3, 'mm', 'assumed'),
    },
    parts: [],
    blades: [],
    zones: [],
    cutPower: 'none',
    use: { litShare: fact(50, '%', 'assumed'), brightness: fact(80, '%', 'assumed'), volume: fact(null, '%') },
    settings: { sensitivities: [] },
    notFor: [],
    before: [],
    provenance: [],
    losses: [],
    items: [],
    fonts: [],
    presets: [],
    cards: [],
    inputs: [],
    modes: [],
    timing: {},
    controls: [],
    joints: [],
    access: [],
    tests: [],
    repairs: [],
    decisions: [],
    beats: [],
    order: 'operateFirst',
    spoken: [],
    takes: [],
    leftOut: [],
  }
}

/** An empty commission with one saber. */
export function blankCommission(
  newId: NewId,
  start: { title: string; client: string; job: Commission['job']; purpose: Commission['purpose']; ordered?: string },
): Commission {
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    id: newId(),
    title: start.title,
    job: start.job,
    purpose: start.purpose,
    client: { name: start.client },
    ...(start.ordered ? { ordered: start.ordered } : {}),
    brief: '',
    requests: [],
    arrivals: [],
    questions: [],
    credits: [],
    packing: [],
    parcels: [],
    visits: [],
    log: [],
    people: [],
    toDos: [],
    media: [],
    sabers: [blankSaber(newId, start.title, start.job)],
    handoff: { paper: 'A4', waivers: [], films: [], receipts: [], issued: [] },
  }
}
