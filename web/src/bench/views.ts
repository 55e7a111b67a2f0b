import type { Station } from '@nubrin/core/judge'
import { type ComponentType, useEffect, useState } from 'react'
import type { StationProps } from '../stations/station'

type View = ComponentType<StationProps>
const LOAD: Record<Station, () => Promise<{ default: View }>> = {
  brief: () => import('../stations/brief'),
  hilt: () => import('../stations/hilt'),
  fit: () => import('../stations/fit'),
  power: () => import('../stations/power'),
  voice: () => import('../stations/voice'),
  controls: () => import('../stations/controls'),
  access: () => import('../stations/access'),
  proof: () => import('../stations/proof'),
  walkthrough: () => import('../stations/walkthrough'),
  handoff: () => import('../stations/handoff'),
}
const loaded = new Map<Station, View>()

/** The code of a station, fetched when it is first asked for. */
export function useView(station: Station): View | undefined {
  const [, ready] = useState(0)
  useEffect(() => {
    if (loaded.has(station)) return
    void LOAD[station]().then((m) => {
      loaded.set(station, m.default)
      ready((n) => n + 1)
    })
  }, [station])
  return loaded.get(station)
}
