import type { Station } from '@nubrin/core/judge'
import { type Later, later } from '../base/later'
import type { StationProps } from '../stations/station'

/** The stations, each fetched when it is first asked for. */
export const VIEW: Record<Station, Later<StationProps>> = {
  brief: later(() => import('../stations/brief').then((m) => m.default)),
  hilt: later(() => import('../stations/hilt').then((m) => m.default)),
  fit: later(() => import('../stations/fit').then((m) => m.default)),
  power: later(() => import('../stations/power').then((m) => m.default)),
  voice: later(() => import('../stations/voice').then((m) => m.default)),
  controls: later(() => import('../stations/controls').then((m) => m.default)),
  access: later(() => import('../stations/access').then((m) => m.default)),
  proof: later(() => import('../stations/proof').then((m) => m.default)),
  walkthrough: later(() => import('../stations/walkthrough').then((m) => m.default)),
  handoff: later(() => import('../stations/handoff').then((m) => m.default)),
}
