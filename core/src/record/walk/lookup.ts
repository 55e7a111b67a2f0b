import { known } from '../../facts/fact'
import type { Blade, Zone } from '../schema/blade'
import type { Arrival, Commission, Request } from '../schema/commission'
import type { ControlRow } from '../schema/controls'
import type { Font, Sound } from '../schema/font'
import type { Fastener, Section, Socket } from '../schema/hilt'
import type { Preset } from '../schema/preset'
import { type Kind, partsOfRef, type Ref, refTo } from '../schema/ref'
import type { Saber } from '../schema/saber'
import { nameOfThing } from './references'
import { isObject, SABER_PLAN, type SchemaPlan } from './schema-plan'

/** The lists of a saber by the kind of thing they hold, read off the schema: the path of keys that leads to each. */
const SHELVES: ReadonlyMap<Kind, readonly string[]> = (() => {
  const out = new Map<Kind, readonly string[]>()
  const find = (plan: SchemaPlan, path: readonly string[]) => {
    for (const f of plan.fields ?? []) {
      const kind = f.plan.items?.fields?.find((g) => g.key === 'id')?.plan.kind
      if (kind && !out.has(kind)) out.set(kind, [...path, f.key])
      find(f.plan.items ?? f.plan, [...path, f.key])
    }
  }
  find(SABER_PLAN, [])
  return out
})()

/** Follows keys from a value, through every item of each list on the way. */
function* follow(value: unknown, path: readonly string[]): Generator<Record<string, unknown>> {
  if (Array.isArray(value)) for (const item of value) yield* follow(item, path)
  else if (isObject(value)) {
    if (path.length) yield* follow(value[path[0]!], path.slice(1))
    else yield value
  }
}

/** All things of one kind in a saber. */
export const shelfOf = (saber: Saber, kind: Kind): Record<string, unknown>[] => {
  const path = SHELVES.get(kind)
  return path ? [...follow(saber, path)] : []
}

/** The kinds of things a saber holds in lists of its own. */
export const SABER_KINDS: readonly Kind[] = [...SHELVES.keys()]

/** The name of the thing a reference points to; undefined when it is gone. */
export function nameOf(saber: Saber, target: string | undefined): string | undefined {
  const p = target === undefined ? undefined : partsOfRef(target)
  const found = p && shelfOf(saber, p.kind).find((x) => x.id === p.id)
  return p && found && nameOfThing(p.kind, found)
}

/** Places of a saber that something can be linked to, by kind; kinds with nothing in them are left out. */
export function placesOf(saber: Saber, kinds: readonly Kind[]): { kind: Kind; items: { ref: Ref; name: string }[] }[] {
  return kinds
    .map((kind) => ({
      kind,
      items: shelfOf(saber, kind).map((v) => ({ ref: refTo(kind, String(v.id)), name: nameOfThing(kind, v) })),
    }))
    .filter((g) => g.items.length)
}

/** Finds an item by id anywhere in a list of identified things. */
export const byId = <T extends { id: string }>(items: readonly T[], id: string | undefined): T | undefined =>
  id === undefined ? undefined : items.find((x) => x.id === id)

/** Whether a control is there in a preset; in none that nobody chose only where it is there in all. */
export const worksIn = (r: ControlRow, preset: string | undefined): boolean =>
  !r.presets?.length || (preset !== undefined && (r.presets as readonly string[]).includes(preset))

/** The font that a preset plays, where one is named that is there. */
export const fontOf = (s: Pick<Saber, 'fonts'>, p: Preset): Font | undefined => byId(s.fonts, p.font)

/** Whose light a light shows, from itself on to the last that it follows; a ring ends where it closes. */
export function leadersOf(s: Pick<Saber, 'zones'>, z: Zone): Zone[] {
  const way: Zone[] = []
  for (let at: Zone | undefined = z; at && !way.includes(at); ) {
    way.push(at)
    at = known(at.shines) === 'byItself' ? undefined : byId(s.zones, at.follows)
  }
  return way
}

/**
 * What a light of the hilt shows in a preset while nothing happens: a colour of its own, or of the nearest that it follows, or that of
 * the blade at the end; undefined where nobody has said, and in a ring. `blade`: whether it goes with the blade in all that happens.
 */
export function lightIn(s: Pick<Saber, 'zones'>, p: Preset, z: Zone): { colour?: string; blade: boolean } {
  const way = leadersOf(s, z)
  for (const at of way) {
    const own = known(p.lights.find((l) => l.zone === at.id)?.colour)
    if (own !== undefined) return { colour: own, blade: false }
    if (at.blade) return { ...(known(p.colour) === undefined ? {} : { colour: known(p.colour)! }), blade: true }
  }
  return { blade: false }
}

/** What is heard in a preset beside its tracks: the sounds of its font, and those of the board, whatever it plays. */
export const soundsOf = (s: Pick<Saber, 'fonts'>, p: Preset): Sound[] =>
  [...(fontOf(s, p)?.sounds ?? []), ...s.fonts.filter((f) => f.is === 'voicePack').flatMap((f) => f.sounds)].filter(
    (x) => x.event !== 'track',
  )

/** The tracks that a preset plays, in their order: those of its font, then those it names of others. */
export function tracksOf(s: Pick<Saber, 'fonts'>, p: Preset): Sound[] {
  const own = (fontOf(s, p)?.sounds ?? []).filter((x) => x.event === 'track')
  const all = s.fonts.flatMap((f) => f.sounds)
  return [...new Set([...own, ...p.tracks.flatMap((id) => byId(all, id) ?? [])])]
}

/** True when the cutting of power needs something the client must operate. */
export const hasCutOff = (s: Saber) => s.cutPower !== 'none' && s.cutPower !== 'deepSleep'

/** Every saber's name with the order's title when it carries one saber only. */
export const saberTitle = (c: Commission, s: Saber) => (c.sabers.length === 1 ? c.title : `${c.title} – ${s.name}`)

/** The client's own blade of a socket, of any socket where none is named: one that ships, else one that he buys; a plug is none, and the bench's is not his. */
export const clientBlade = (saber: Saber, socket?: string): Blade | undefined => {
  const his = saber.blades.filter((b) => b.kind !== 'plug' && (socket === undefined || b.socket === socket))
  return his.find((b) => b.use === 'ship') ?? his.find((b) => b.use === 'toBuy')
}

/** The screws that hold the blade of a socket, as far as they are there. */
export const retentionOf = (saber: Saber, socket: Socket): Fastener[] =>
  socket.retention.map((id) => byId(saber.hilt.fasteners, id)).filter((f) => f !== undefined)

/** What a screw is there for: what a socket says before its own word; undefined where nobody has said, or the program only took it so. */
export const purposeOf = (
  saber: Saber,
  f: Fastener,
): 'bladeRetention' | NonNullable<Fastener['purpose']> | undefined => {
  if (saber.hilt.sockets.some((k) => k.retention.includes(f.id))) return 'bladeRetention'
  return f.taken?.includes('purpose') ? undefined : f.purpose
}

/** The key that turns a screw, as it may be told: nothing while the program only took it as usual. */
export const keyOf = (f: Fastener): string => (f.taken?.includes('key') ? '' : f.key)

/** Whether a joint comes apart at all: not glued, not locked for life, and there. */
export const comesApart = (j: Section['joint']): boolean => !j.lockedForLife && j.kind !== 'glue' && j.kind !== 'none'

/** How many of what came in are accounted for, in shares of one fate where one is named. */
export const shared = (shares: Arrival['shares'], fate?: Arrival['shares'][number]['fate']): number =>
  shares.reduce((n, x) => n + (fate === undefined || x.fate === fate ? x.count : 0), 0)

/** Whether something was only offered and nobody has taken it up: it blocks nothing and no client reads of it. */
export const onlyOffered = (r: Request): boolean => r.shape === 'offered' && !r.acceptedOn

/** Wishes of which the client is told: all that were asked or accepted, and the maker's own ideas that came to something. */
export const toldWishes = (c: Commission): Request[] =>
  c.requests.filter((r) => !onlyOffered(r) && (r.shape !== 'ownIdea' || r.status === 'met' || r.status === 'changed'))

/** Who supplies the adapter of a blade, where it is not said: it goes with the blade, from the shop or bought by the client. */
export const adapterSupply = (b: Blade) => b.adapter?.supplied ?? (b.use === 'toBuy' ? 'notSupplied' : 'shop')
