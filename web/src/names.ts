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
