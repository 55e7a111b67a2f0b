import type { Commission } from '@nubrin/core/record'

export type Path = (string | number)[]
const at = (root: unknown, path: Path) => path.reduce((v, k) => (v as Record<string, unknown>)[k], root)

/** Every number, or every text, of a record by its path. */
export function leaves(v: unknown, of: 'number' | 'string', path: Path = []): Path[] {
  if (typeof v === of) return [path]
  if (typeof v !== 'object' || v === null) return []
  return Object.entries(v).flatMap(([k, x]) => leaves(x, of, [...path, Array.isArray(v) ? Number(k) : k]))
}
/** A copy with another value at each of some paths; undefined takes the field out. */
export function put(root: Commission, paths: readonly Path[], value: unknown): Commission {
  const copy = structuredClone(root)
  for (const path of paths) {
    const holder = at(copy, path.slice(0, -1)) as Record<string, unknown>
    if (value === undefined) delete holder[path.at(-1)!]
    else holder[path.at(-1)!] = value
  }
  return copy
}
/** What stands in for a number, each as the world brings it. */
export const ODD: [string, unknown][] = [
  ['nothing', 0],
  ['less than nothing', -1],
  ['huge', 1e308],
  ['tiny', 5e-324],
  ['missing', undefined],
]
