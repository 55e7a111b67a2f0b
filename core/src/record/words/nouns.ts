import { known } from '../../facts'
import type { Reader } from '../../units'
import { type Noun, type NounKind, nounWords, type Which } from '../../words'
import { partsOfRef, type Ref } from '../schema/ref'
import type { Saber } from '../schema/saber'
import { byId, purposeOf, shelfOf } from '../walk/lookup'
import { nameOfThing } from '../walk/references'

/** Whether what is in the record stands in another language than the one that is spoken. */
export const isForeign = (reader: Reader): boolean => (reader.written ?? 'en') !== reader.language

const COUNTED: readonly Which[] = ['first', 'second', 'third', 'fourth']

/** Which one of its kind something is, by where all of them lie; none where it is the only one. */
function whichOf(all: readonly { id: string; at: number | undefined; clock: number | undefined }[], id: string): Which {
  if (all.length < 2) return 'none'
  const order = [...all].sort((a, b) => (a.at ?? 0) - (b.at ?? 0) || (a.clock ?? 0) - (b.clock ?? 0))
  const i = order.findIndex((x) => x.id === id)
  const apart = all.every((x) => x.at !== undefined) && new Set(all.map((x) => x.at)).size === all.length
  if (apart && all.length === 2) return i === 0 ? 'rear' : 'front'
  if (apart && all.length === 3) return (['rear', 'middle', 'front'] as const)[i]!
  return COUNTED[i] ?? 'none'
}

const placed = (x: { id: string; at?: Parameters<typeof known>[0]; clock?: Parameters<typeof known>[0] }) => ({
  ...{ id: x.id, at: known(x.at) as number | undefined, clock: known(x.clock) as number | undefined },
})

/** Where an input lies, by the opening or the part that it is. */
function inputAt(s: Saber, i: Saber['inputs'][number]) {
  const of = byId(s.hilt.openings, i.opening) ?? byId(s.parts, i.part)
  return of ? { ...placed(of), id: i.id } : { id: i.id, at: undefined, clock: undefined }
}

/** What something is called by what it is, and which of its kind. */
function kindOf(s: Saber, kind: string, id: string): { kind: NounKind; which: Which } | undefined {
  if (kind === 'part') {
    const p = byId(s.parts, id)
    const alike = s.parts.filter((x) => x.kind === p?.kind)
    return p && { kind: `part.${p.kind}`, which: whichOf(alike.map(placed), id) }
  }
  if (kind === 'section') {
    const x = byId(s.hilt.sections, id)
    const alike = s.hilt.sections.filter((y) => y.role === x?.role)
    // Sections lie in their order; their places are not facts of theirs.
    const at = alike.map((y, i) => ({ id: y.id, at: i, clock: 0 }))
    return x && { kind: `section.${x.role}`, which: whichOf(at, id) }
  }
  if (kind === 'fastener') {
    const f = byId(s.hilt.fasteners, id)
    const purpose = f && purposeOf(s, f)
    const alike = s.hilt.fasteners.filter((y) => purposeOf(s, y) === purpose)
    return f && { kind: `screw.${purpose ?? 'other'}`, which: whichOf(alike.map(placed), id) }
  }
  if (kind === 'input') {
    const i = byId(s.inputs, id)
    const alike = s.inputs.filter((y) => y.kind === i?.kind)
    return (
      i && {
        kind: `input.${i.kind}`,
        which: whichOf(
          alike.map((y) => inputAt(s, y)),
          id,
        ),
      }
    )
  }
  if (kind === 'socket' && byId(s.hilt.sockets, id)) {
    const all = s.hilt.sockets.map((y, n) => ({ id: y.id, at: undefined, clock: n }))
    return { kind: 'socket', which: whichOf(all, id) }
  }
  const blade = kind === 'blade' ? byId(s.blades, id) : undefined
  return blade && { kind: blade.kind === 'plug' ? 'plug' : 'blade', which: 'none' }
}

/**
 * A thing as it is spoken of: by the name that somebody gave it for the language that is spoken, else as the record calls it, else,
 * where the record is in another language, by what it is and which of its kind. Undefined for what is not there.
 */
export function nounOf(reader: Reader, s: Saber, ref: Ref): Noun | undefined {
  const to = partsOfRef(ref)
  if (!to) return undefined
  const given = s.spoken.find((x) => x.of === ref && x.language === reader.language)
  if (given)
    return {
      name: given.name,
      ...(given.gender ? { gender: given.gender } : {}),
      ...(given.several ? { several: true } : {}),
    }
  if (isForeign(reader)) {
    const by = kindOf(s, to.kind, to.id)
    if (by) return by
  }
  const found = shelfOf(s, to.kind).find((x) => x.id === to.id)
  return found && { name: nameOfThing(to.kind, found) }
}

/** The same for what is told to a client, where the shelf's name with its sizes belongs on paper: by kind and which of it. */
export function toldNoun(reader: Reader, s: Saber, ref: Ref): Noun | undefined {
  const to = partsOfRef(ref)
  if (!to || s.spoken.some((x) => x.of === ref && x.language === reader.language)) return nounOf(reader, s, ref)
  if (to.kind !== 'part' || ownNames(s, to.id)) return nounOf(reader, s, ref)
  return kindOf(s, to.kind, to.id)
}

/** Whether several of a kind that come from one row of the shelf bear names apart, and none with sizes in it: then the maker has named them. */
function ownNames(s: Saber, id: string): boolean {
  const p = byId(s.parts, id)
  const alike = s.parts.filter((x) => x.kind === p?.kind && x.catalogue === p?.catalogue)
  const apart = new Set(alike.map((x) => x.name)).size === alike.length
  return alike.length > 1 && apart && !alike.some((x) => /\d/.test(x.name))
}

/** What is told of, in words, with its article. */
export const toldText = (reader: Reader, s: Saber, ref: Ref): string | undefined => {
  const noun = toldNoun(reader, s, ref)
  return noun && nounWords(reader, noun, 'nom')
}

/** A thing in words, with its article, in the case that is asked for. */
export const nounText = (
  reader: Reader,
  s: Saber,
  ref: Ref,
  form: 'nom' | 'acc' | 'dat' = 'nom',
): string | undefined => {
  const noun = nounOf(reader, s, ref)
  return noun && nounWords(reader, noun, form)
}
