import { FLASH_LIMIT_HZ } from './colour'

/** Ways in which a light moves. */
export const STYLE_KINDS = [
  'steady',
  'breathing',
  'flicker',
  'unstable',
  'flame',
  'cycle',
  'gradient',
  'level',
  'spark',
  'wave',
] as const
export type StyleKind = (typeof STYLE_KINDS)[number]

type Rgb = readonly [r: number, g: number, b: number]
/** A way to move with its figures. */
export interface Style {
  kind: StyleKind
  /** The colour it goes over into, where it has one. */
  second?: Rgb
  /** How often it goes there and back in a second. */
  hz: number
  /** How far down or over it goes, 0…1. */
  depth: number
  /** How much of the length one spot, wave or tongue takes, 0…1. */
  width: number
}

/** What each moves like where nobody has said how; set by eye at the bench. */
export const USUAL_STYLE: Readonly<Record<StyleKind, Omit<Style, 'kind' | 'second'>>> = {
  steady: { hz: 0, depth: 0, width: 1 },
  breathing: { hz: 0.5, depth: 0.6, width: 1 },
  flicker: { hz: 2.5, depth: 0.35, width: 1 },
  unstable: { hz: 2.5, depth: 0.6, width: 0.12 },
  flame: { hz: 1.5, depth: 0.8, width: 0.25 },
  cycle: { hz: 0.2, depth: 1, width: 1 },
  gradient: { hz: 0, depth: 1, width: 1 },
  level: { hz: 0.5, depth: 0.85, width: 0.6 },
  spark: { hz: 1.5, depth: 1, width: 0.06 },
  wave: { hz: 0.8, depth: 0.6, width: 0.4 },
}
/** Which of its figures each way uses; the others say nothing of it. */
export const STYLE_USES: Readonly<Record<StyleKind, readonly ('second' | 'hz' | 'depth' | 'width')[]>> = {
  steady: [],
  breathing: ['second', 'hz', 'depth'],
  flicker: ['second', 'hz', 'depth'],
  unstable: ['second', 'hz', 'depth', 'width'],
  flame: ['second', 'hz', 'depth', 'width'],
  cycle: ['hz'],
  gradient: ['second', 'depth'],
  level: ['second', 'hz', 'depth', 'width'],
  spark: ['second', 'hz', 'depth', 'width'],
  wave: ['second', 'hz', 'depth', 'width'],
}

/** A number of 0…1 that is the same for the same place and moment, and looks like chance. */
function chance(a: number, b: number): number {
  let h = (Math.imul(a | 0, 0x9e3779b1) ^ Math.imul(b | 0, 0x85ebca6b)) >>> 0
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d) >>> 0
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39) >>> 0
  return ((h ^ (h >>> 15)) >>> 0) / 4294967296
}
const smooth = (x: number): number => x * x * (3 - 2 * x)
/** Up and down in a second so often, each time by another amount, never two ups in a row: 0 (up) … 1 (down). */
function unrest(phase: number, lane: number): number {
  const half = Math.floor(phase * 2)
  const end = (n: number) => (n % 2 ? 0.55 + 0.45 * chance(n, lane) : 0.3 * chance(n, lane))
  return end(half) + (end(half + 1) - end(half)) * smooth(phase * 2 - half)
}

/** How far a light has gone down, or over into its second colour, at a place (0…1 from the hilt) and a moment (s): 0…1. */
export function goneAt({ kind, hz, depth, width }: Style, x: number, t: number): number {
  const swing = 0.5 - 0.5 * Math.cos(2 * Math.PI * hz * t)
  const lane = Math.floor(x / Math.max(0.01, width))
  switch (kind) {
    case 'steady':
    case 'cycle':
      return 0
    case 'breathing':
      return depth * swing
    case 'flicker':
      return depth * unrest(hz * t, 0)
    case 'unstable':
      return depth * unrest(hz * t + chance(lane, 7), lane)
    case 'flame': {
      const tongue = unrest(hz * t + chance(lane, 3), lane)
      return depth * Math.min(1, Math.max(0, x * 1.3 - 0.3 + (tongue - 0.5) * 0.8))
    }
    case 'gradient':
      return depth * x
    case 'level':
      return x <= 1 - width * swing ? 0 : depth
    case 'spark': {
      const n = Math.floor(hz * t)
      const at = 0.05 + 0.9 * chance(n, 11)
      const age = hz * t - n
      return depth * Math.max(0, 1 - Math.abs(x - at) / Math.max(0.005, width / 2)) * (1 - age)
    }
    case 'wave':
      return depth * (0.5 - 0.5 * Math.cos(2 * Math.PI * (x / Math.max(0.02, width) - hz * t)))
  }
}

/** A saturated red, as WCAG 2.2 (general and red flash) names it: R ÷ (R + G + B) of 0.8 and more, in linear light. */
const RED = 0.8
export function isSaturatedRed([r, g, b]: readonly [number, number, number]): boolean {
  const all = r + g + b
  return all > 0 && r / all >= RED
}

/**
 * Flashes in a second, as many as there can be: pairs of opposite changes, by rate alone. How small or faint they are takes nothing
 * off: that is only for whoever measures it.
 */
export function flashesOf({ kind, hz, depth }: Style): number {
  if (kind === 'steady' || kind === 'gradient' || (kind !== 'cycle' && depth <= 0)) return 0
  // Round the circle of colours one passes three dies and three mixtures of two: so many rises and falls.
  return kind === 'cycle' ? 3 * hz : hz
}
/** How much slower it is shown on a screen, so that it flashes no more often than the usual threshold: 1 as it is. */
export const slowedBy = (flashes: number): number => (flashes > FLASH_LIMIT_HZ ? FLASH_LIMIT_HZ / flashes : 1)
