import { known } from '../facts'
import { layOut, openingSpan, socketSpan, spanOf } from '../geometry'
import { partsOfRef, refTo, type Saber } from '../record'

/** Where a reference stands along the hilt, mm from the pommel; undefined for things without a place. */
export function placeOf(saber: Saber, ref: string | undefined): { x0: number; x1: number } | undefined {
  if (!ref) return undefined
  const shape = layOut(saber.hilt)
  const at = partsOfRef(ref)
  if (!at) return undefined
  const { kind, id } = at
  const point = (v: number | undefined, half = 0) => (v === undefined ? undefined : { x0: v - half, x1: v + half })
  switch (kind) {
    case 'section': {
      const s = shape.sections.find((p) => p.section.id === id)
      return s && { x0: s.x0, x1: s.x1 }
    }
    case 'fastener':
      return point(known(saber.hilt.fasteners.find((f) => f.id === id)?.at))
    case 'opening': {
      const o = saber.hilt.openings.find((q) => q.id === id)
      return o && openingSpan(saber.hilt, o)
    }
    case 'part': {
      const p = saber.parts.find((q) => q.id === id)
      return p && spanOf(p)
    }
    case 'blade': {
      const b = saber.blades.find((q) => q.id === id)
      return b && socketSpan(saber, b.socket, shape)
    }
    case 'socket':
      return socketSpan(saber, id, shape)
    case 'input': {
      const i = saber.inputs.find((q) => q.id === id)
      return placeOf(saber, i?.part ? refTo('part', i.part) : i?.opening ? refTo('opening', i.opening) : undefined)
    }
    default:
      return undefined
  }
}
