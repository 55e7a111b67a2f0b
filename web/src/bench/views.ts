import type { Station } from '@nubrin/core/judge'
import { type Later, lazyView } from '../base/lazy'
import type { StationProps } from '../stations/station'

/** The stations, each fetched when it is first asked for. */
export const VIEW: Record<Station, Later<StationProps>> = {
  brief: lazyView(() => import('../stations/brief').then((m) => m.default)),
  hilt: lazyView(() => import('../stations/hilt').then((m) => m.default)),
  fit: lazyView(() => import('../stations/fit').then((m) => m.default)),
  power: lazyView(() => import('../stations/power').then((m) => m.default)),
  voice: lazyView(() => import('../stations/voice').then((m) => m.default)),
  controls: lazyView(() => import('../stations/controls').then((m) => m.default)),
  access: lazyView(() => import('../stations/access').then((m) => m.default)),
  proof: lazyView(() => import('../stations/proof').then((m) => m.default)),
  walkthrough: lazyView(() => import('../stations/walkthrough').then((m) => m.default)),
  handoff: lazyView(() => import('../stations/handoff').then((m) => m.default)),
}
