import type { Prim, Role, Scene, TextRole } from './scene'

/** Ink for paper and for the client page: warm paper, dark ink, brass accent. */
export const INK: Record<Role, { fill?: string; stroke?: string; width?: number; dash?: string; opacity?: number }> = {
  wall: { fill: '#efe6d4' },
  hatch: { stroke: '#8a8371', width: 0.5 },
  hatchBand: { stroke: '#b98f45', width: 1.5, opacity: 0.75 },
  outline: { stroke: '#1e2a2b', width: 1.3 },
  assumed: { stroke: '#1e2a2b', width: 1.1, dash: '6 3' },
  unknown: { stroke: '#6b6556', width: 1.1, dash: '1.5 3' },
  centre: { stroke: '#a9782a', width: 0.8, dash: '14 3 3 3' },
  thread: { stroke: '#1e2a2b', width: 0.8 },
  dim: { stroke: '#1e2a2b', fill: '#1e2a2b', width: 0.8 },
  dimAbout: { stroke: '#8f651f', fill: '#8f651f', width: 0.8, dash: '3 2' },
  part: { fill: '#dcdccf', stroke: '#1e2a2b', width: 1 },
  partDark: { fill: '#24312f', stroke: '#1e2a2b', width: 0.8 },
  partDetail: { stroke: '#1e2a2b', width: 0.9 },
  cell: { fill: '#d5e0d6', stroke: '#1e2a2b', width: 1.1 },
  void: { fill: '#fbf8f1', stroke: '#1e2a2b', width: 0.8 },
  glass: { fill: '#cfe6e2', stroke: '#1e2a2b', width: 0.9 },
  metal: { fill: '#dcc58f', stroke: '#1e2a2b', width: 1 },
  screw: { fill: '#f6efdf', stroke: '#1e2a2b', width: 1 },
  bladeTube: { fill: '#f7f4ea', stroke: '#6b6556', width: 1 },
  bladeCore: { fill: '#ffffff' },
  bladeGlow: { fill: '#efece0' },
  leader: { stroke: '#1e2a2b', width: 0.8 },
  ghost: { stroke: '#6b6556', width: 0.9, dash: '4 3' },
}

export const TEXT_INK: Record<TextRole, { fill: string; size: number; weight: number }> = {
  label: { fill: '#4d493d', size: 11.5, weight: 450 },
  dimText: { fill: '#1e2a2b', size: 12, weight: 620 },
  dimTextAbout: { fill: '#8f651f', size: 12, weight: 620 },
  partText: { fill: '#3f4a45', size: 11, weight: 450 },
  mark: { fill: '#1e2a2b', size: 15, weight: 700 },
}

/** How a primitive is inked; a colour given on the primitive replaces the fill. */
export function inkOf(p: Exclude<Prim, { t: 'text' }>): {
  fill: string
  stroke: string
  width: number
  dash?: string
  opacity?: number
} {
  const ink = INK[p.role]
  const colour = p.t === 'path' ? p.colour : undefined
  const solid = p.t === 'circle' || p.closed
  const fill = solid ? (ink.fill ?? 'none') : 'none'
  const base = {
    stroke: ink.stroke ?? 'none',
    width: ink.width ?? 0,
    ...(ink.dash ? { dash: ink.dash } : {}),
    ...(ink.opacity ? { opacity: ink.opacity } : {}),
  }
  if (colour && p.role === 'bladeTube') return { ...base, fill: colour, opacity: 0.35 }
  if (colour && p.role === 'bladeGlow') return { ...base, fill: colour, opacity: 0.8 }
  if (colour && p.role === 'glass') return { ...base, fill: colour, opacity: 0.7 }
  return { ...base, fill }
}

/** Light lines on the dark, for a dim room: what is solid hides what is behind it and shows only its edges. */
const NIGHT = { page: '#141a1a', line: '#c9d3cb', faint: '#6f7c76', glass: '#24403d' } as const

/** How a primitive is inked at night. Blades keep their light. */
export function nightInkOf(p: Exclude<Prim, { t: 'text' }>): ReturnType<typeof inkOf> {
  const day = inkOf(p)
  if (p.role === 'bladeGlow' || p.role === 'bladeCore') return day
  const faint = ['hatch', 'hatchBand', 'centre', 'thread', 'ghost', 'leader', 'dim', 'dimAbout'].includes(p.role)
  const fill = day.fill === 'none' ? 'none' : p.role === 'glass' ? NIGHT.glass : NIGHT.page
  return { ...day, fill, stroke: day.stroke === 'none' ? 'none' : faint ? NIGHT.faint : NIGHT.line }
}

export const pathData = (pts: readonly (readonly [number, number])[], closed?: boolean) =>
  `M${pts.map(([x, y]) => `${r(x)} ${r(y)}`).join('L')}${closed ? 'Z' : ''}`
const r = (v: number) => Math.round(v * 100) / 100
const esc = (s: string) => s.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`)

/** A scene as a stand-alone SVG document, with a title and description for readers who cannot see it. */
export function svgOf(scene: Scene, title: string, description: string): string {
  const body = scene.prims
    .map((p) => {
      if (p.t === 'text') {
        const k = TEXT_INK[p.role]
        return `<text x="${r(p.at[0])}" y="${r(p.at[1])}" text-anchor="${p.anchor}" font-size="${k.size}" font-weight="${k.weight}" fill="${k.fill}">${esc(p.text)}</text>`
      }
      const k = inkOf(p)
      const style = `fill="${k.fill}" stroke="${k.stroke}" stroke-width="${k.width}"${k.dash ? ` stroke-dasharray="${k.dash}"` : ''}${k.opacity ? ` opacity="${k.opacity}"` : ''}`
      const ref = p.ref ? ` data-ref="${esc(p.ref)}"` : ''
      return p.t === 'circle'
        ? `<circle cx="${r(p.at[0])}" cy="${r(p.at[1])}" r="${r(p.r)}" ${style}${ref}/>`
        : `<path d="${pathData(p.pts, p.closed)}" ${style}${ref}/>`
    })
    .join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${scene.width} ${scene.height}" role="img" font-family="'Archivo Variable', Archivo, sans-serif"><title>${esc(title)}</title><desc>${esc(description)}</desc>${body}</svg>`
}
