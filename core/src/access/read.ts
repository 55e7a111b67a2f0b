import type { Goal } from '../machine'
import { type Act, byId, partsOfRef, type Saber, type Step } from '../record'

type About = Pick<Goal, 'kind' | 'at'>

const IN: ReadonlySet<Goal['kind']> = new Set(['bladeIn', 'plugIn'])
const OUT: ReadonlySet<Goal['kind']> = new Set(['bladeOut', 'plugOut'])

/**
 * The act that something said is about: the one that it names, else what its place and its direction say, never its words.
 * Undefined where these do not say.
 */
export function actOf(s: Saber, g: About, step: Step): Act | undefined {
  if (step.act) return step.act
  const { direction = 'none' } = step
  const inSocket = IN.has(g.kind) || OUT.has(g.kind)
  // With its blade in hand, what names no place is about the blade.
  const place = step.place ?? (inSocket ? g.at : undefined)
  const to = partsOfRef(place ?? '')
  if (!to) return undefined
  switch (to.kind) {
    case 'fastener':
      if (direction === 'anticlockwise') return { do: 'loosen', at: place as Act['at'] }
      return direction === 'clockwise' ? { do: 'tighten', at: place as Act['at'] } : undefined
    case 'socket':
    case 'blade': {
      const socket = to.kind === 'blade' ? byId(s.blades, to.id)?.socket : to.id
      const own = g.at === place || byId(s.blades, partsOfRef(g.at ?? '')?.id)?.socket === socket
      if (!own || !g.at || direction === 'none') return undefined
      if (OUT.has(g.kind)) return direction === 'push' ? undefined : { do: 'takeOff', at: g.at }
      if (!IN.has(g.kind)) return undefined
      if (direction === 'pull') return { do: 'pullCheck', at: g.at }
      return direction === 'push' || direction === 'clockwise' ? { do: 'putOn', at: g.at } : undefined
    }
    case 'part': {
      const at = place as Act['at']
      const kind = byId(s.parts, to.id)?.kind
      if (kind === 'killSwitch' || kind === 'killKey') return { do: g.kind === 'powerOn' ? 'restore' : 'cut', at }
      if (kind === 'chargePort' || kind === 'charger')
        return { do: direction === 'pull' || step.back ? 'unplug' : 'plugIn', at }
      if (g.kind === 'card' && g.at && (kind === 'board' || kind === 'card'))
        return { do: direction === 'push' || step.back ? 'putOn' : 'takeOff', at: g.at as Act['at'] }
      if (direction === 'none') return undefined
      return { do: direction === 'push' || step.back ? 'putOn' : 'takeOff', at }
    }
    case 'section':
      if (direction === 'none') return undefined
      return { do: direction === 'push' || step.back ? 'putOn' : 'takeOff', at: place as Act['at'] }
    default:
      return undefined
  }
}
