import type { NumberFact } from './fact'
import type { Saber } from './schema'

const isFact = (v: unknown): v is NumberFact =>
  typeof v === 'object' && v !== null && 'value' in v && 'unit' in v && 'source' in v

/** Where a fact stands in the saber: its pointer, the reference of the thing that owns it, and words for both. */
export interface FactPlace {
  path: string
  ref?: string
  owner: string
  field: string
  fact: NumberFact
}

const REF_OF: Record<string, string> = {
  sections: 'section',
  fasteners: 'fastener',
  openings: 'opening',
  sockets: 'socket',
  parts: 'part',
  blades: 'blade',
  zones: 'zone',
  presets: 'preset',
  controls: 'row',
}

/** Calls back for every fact in a saber, with its owner. Order is that of the document. */
export function forEachFact(saber: Saber, visit: (place: FactPlace) => void): void {
  const walk = (v: unknown, path: string, owner: string, ref: string | undefined) => {
    if (isFact(v)) {
      const field = path.split('/').at(-1)!
      visit({ path, owner, field, fact: v, ...(ref ? { ref } : {}) })
      return
    }
    if (Array.isArray(v)) {
      const shelf = REF_OF[path.split('/').at(-1)!]
      for (const [i, item] of v.entries()) {
        const name = typeof item === 'object' && item && 'name' in item ? String(item.name) : owner
        walk(
          item,
          `${path}/${i}`,
          name,
          shelf && item && typeof item === 'object' && 'id' in item ? `${shelf}:${item.id}` : ref,
        )
      }
      return
    }
    if (typeof v === 'object' && v !== null) for (const [k, x] of Object.entries(v)) walk(x, `${path}/${k}`, owner, ref)
  }
  walk(saber, '', saber.name, undefined)
}

/** All facts of a saber as a list. */
export function factPaths(saber: Saber): FactPlace[] {
  const out: FactPlace[] = []
  forEachFact(saber, (p) => out.push(p))
  return out
}
