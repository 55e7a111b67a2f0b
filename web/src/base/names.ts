import type { Station } from '@nubrin/core/judge'

/** What the stations are called. */
export const STATION_NAME: Record<Station, string> = {
  brief: 'Brief',
  hilt: 'Hilt',
  fit: 'Fit',
  power: 'Power',
  voice: 'Voice & light',
  controls: 'Controls',
  access: 'Access',
  proof: 'Proof',
  walkthrough: 'Walkthrough',
  handoff: 'Handoff',
}

/** What somebody of the shop may do. */
export const ROLE_WORDS = {
  owner: 'Owner',
  maker: 'Maker',
  helper: 'Helper (cannot ship or remove)',
  viewer: 'Viewer (read only)',
} as const
