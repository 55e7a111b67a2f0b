import type { Commission, Saber } from './schema'

/** The lists of a saber that references can point into. */
const SHELVES = {
  section: (s: Saber) => s.hilt.sections,
  fastener: (s: Saber) => s.hilt.fasteners,
  opening: (s: Saber) => s.hilt.openings,
  socket: (s: Saber) => s.hilt.sockets,
  part: (s: Saber) => s.parts,
  blade: (s: Saber) => s.blades,
  zone: (s: Saber) => s.zones,
  preset: (s: Saber) => s.presets,
  input: (s: Saber) => s.inputs,
} as const
type Shelf = keyof typeof SHELVES

/** The name of the thing a reference points to; undefined when it is gone. */
export function nameOf(saber: Saber, ref: string | undefined): string | undefined {
  if (!ref) return undefined
  const [shelf, id] = ref.split(':') as [string, string]
  if (shelf in SHELVES) return SHELVES[shelf as Shelf](saber).find((x: { id: string }) => x.id === id)?.name
  if (shelf === 'row')
    return saber.controls.find((r) => r.id === id)?.says ?? saber.controls.find((r) => r.id === id)?.does
  if (shelf === 'task') return saber.access.find((p) => p.id === id)?.task
  if (shelf === 'test') return saber.tests.find((t) => t.id === id)?.what
  return undefined
}

/** Finds an item by id anywhere in a list of identified things. */
export const byId = <T extends { id: string }>(items: readonly T[], id: string | undefined): T | undefined =>
  id === undefined ? undefined : items.find((x) => x.id === id)

/** True when the cutting of power needs something the client must operate. */
export const hasCutOff = (s: Saber) => s.cutPower !== 'none' && s.cutPower !== 'deepSleep'

/** Every saber's name with the order's title when it carries one saber only. */
export const saberTitle = (c: Commission, s: Saber) => (c.sabers.length === 1 ? c.title : `${c.title} – ${s.name}`)
