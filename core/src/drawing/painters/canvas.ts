import type { HiltShape } from '../../geometry'
import type { Saber } from '../../record'
import type { Pen, Spot } from '../scene'

export interface SectionView {
  width: number
  height: number
  /** The stretch of the hilt to show, mm; the whole of it when absent. */
  from?: number
  to?: number
  /** Colour of the blade; undefined draws the tube unlit. */
  blade?: string
  /** How much larger than the whole hilt, ≥ 1, and what x to keep in the middle. Beyond 1 the upper wall stays in view. */
  zoom?: number
  centre?: number
  /** Where things are that lie apart, mm from their own place, by reference; what is gone is not drawn. Without dimensions. */
  apart?: { moved: Readonly<Record<string, { dx: number; dy: number }>>; gone: readonly string[] }
  /** How much of the page is left to the blade, 0 … 1; a fifth where nothing is said. */
  bladeShare?: number
  /** Leave out dimensions and names, and blades that come off: they are drawn by whoever lets them shine. */
  quiet?: boolean
  /** No air above and below, where nothing is written there. */
  tight?: boolean
  /** Leave out dimensions and labels (the rack, a thumbnail). */
  bare?: boolean
}

/** Air above and below the hilt, for dimensions and names, px. */
export const MARGIN = { top: 50, bottom: 46, side: 26, bareTop: 4, bareSide: 2 }

/** What every painter of the section is given: the saber, its shape, and the way from millimetres to the page. */
export interface Canvas {
  saber: Saber
  shape: HiltShape
  pen: Pen
  spots: Spot[]
  x: (mm: number) => number
  /** Height above the axis, mm → px. */
  y: (offset: number) => number
  scale: number
  axisY: number
  view: SectionView
}

/** Between hatch lines of aluminium, px. */
export const HATCH_GAP = 6
