import { refTo } from '../schema/ref'
import type { Saber } from '../schema/saber'
import { beatMark, type Counts, markOf, marksOf } from '../walk/mark'
import { type Loose, listOf, object, text } from './loose'

/** The marks of a thing that may have been kept. */
const COUNTS: readonly Counts[] = ['works', 'named']
const sounding = (x: Loose) => [x.event, x.name, x.media].join('\n')
/** Whether two lists hold the same sounds, or one of them none. */
const agree = (a: readonly Loose[], b: readonly Loose[]) =>
  !a.length || !b.length || (a.length === b.length && a.every((x, i) => sounding(x) === sounding(b[i]!)))

/**
 * Version 13 kept sounds with each preset, and font and tracks by their names. A font becomes a thing of the saber that presets
 * point to: those of one name share one where their sounds are the same, or only one of them lists any. Tracks become sounds of a
 * music bank. What was as a reading, a film or an issued record knew it still is.
 */
export function liftFonts(d: Loose): Loose {
  const lifted = structuredClone({ ...d, version: 14 }) as Loose
  const taken = new Set<string>()
  JSON.stringify(d, (k, v) => {
    if (k === 'id') taken.add(String(v))
    return v
  })
  const now = new Map<string, string>()
  const gone = new Map<string, string>()
  for (const s of listOf(lifted.sabers)) {
    const films = listOf(s.takes).flatMap((t) => listOf(t.marks))
    const filmed = films.map((m) => markOfBeat(s, m))
    for (const p of liftSaber(s, taken, gone)) for (const [was, is] of p.marks) now.set(`${p.of} ${was}`, is)
    for (const [i, m] of films.entries()) if (m.was !== undefined && m.was === filmed[i]) m.was = markOfBeat(s, m)
  }
  const still = (x: Loose) => void (x.was = now.get(`${text(x.of)} ${text(x.was)}`) ?? x.was)
  for (const s of listOf(lifted.sabers))
    for (const t of listOf(s.tests)) for (const r of listOf(t.readings)) listOf(r.rested).forEach(still)
  for (const i of listOf(object(lifted.handoff).issued)) {
    if (!Array.isArray(i.told)) continue
    listOf(i.told).forEach(still)
    const sabers = listOf(lifted.sabers) as unknown as Saber[]
    const fonts = sabers.flatMap((s) =>
      marksOf(
        s,
        s.fonts.map((f) => refTo('font', f.id)),
        'named',
      ),
    )
    i.told = [...i.told, ...fonts].slice(0, 4000)
  }
  if (!gone.size) return lifted
  const named = JSON.stringify(lifted).replace(/"sound:([a-z0-9-]+)"/g, (all, id) =>
    gone.has(id) ? `"sound:${gone.get(id)}"` : all,
  )
  return JSON.parse(named) as Loose
}

const markOfBeat = (s: Loose, mark: Loose): string | undefined => {
  const beat = listOf(s.beats).find((b) => b.id === mark.beat)
  return beat && beatMark(s as unknown as Saber, beat as unknown as Saber['beats'][number])
}

/** Gives a saber its fonts; each preset with its marks as they were and as they are. Ids of sounds that another stands for now go into `gone`. */
function liftSaber(s: Loose, taken: Set<string>, gone: Map<string, string>) {
  const fresh = (like: string) => {
    let id = like.slice(0, 44)
    for (let n = 2; taken.has(id); n++) id = `${like.slice(0, 44)}-${n}`
    taken.add(id)
    return id
  }
  const fonts: { font: Loose; sounds: Loose[]; may: boolean[] }[] = []
  const music: Loose[] = []
  const presets = listOf(s.presets).map((p) => {
    const was = COUNTS.map((how) => markOf(p, how))
    const [sounds, tracks] = [listOf(p.sounds), Array.isArray(p.tracks) ? p.tracks.map(text) : []]
    const name = text(p.font).trim() || (sounds.length ? text(p.name) : '')
    const may = p.mayCopy === true
    for (const k of ['font', 'sounds', 'mayCopy']) delete p[k]
    if (name) {
      let own = fonts.find((f) => f.font.name === name && agree(f.sounds, sounds))
      if (!own) fonts.push((own = { font: { id: fresh(`${text(p.id)}-font`), name, is: 'font' }, sounds: [], may: [] }))
      if (own.sounds.length) for (const [i, x] of sounds.entries()) gone.set(text(x.id), text(own.sounds[i]!.id))
      else own.sounds = sounds
      // A licence counts for a font where it was said of every preset that has its sounds.
      if (sounds.length || may) own.may.push(may)
      p.font = own.font.id
    }
    p.tracks = tracks.map((track) => {
      const had = music.find((x) => x.name === track)
      if (had) return had.id
      music.push({ id: fresh(`${text(s.id)}-track`), event: 'track', name: track })
      return music.at(-1)!.id
    })
    return { of: `preset:${text(p.id)}`, marks: COUNTS.map((how, i) => [was[i]!, markOf(p, how)] as const) }
  })
  s.fonts = fonts.map(({ font, sounds, may }) => ({
    ...font,
    ...(may.length && may.every(Boolean) ? { mayCopy: true } : {}),
    sounds,
  }))
  if (music.length)
    (s.fonts as Loose[]).push({ id: fresh(`${text(s.id)}-music`), name: 'Music', is: 'musicBank', sounds: music })
  return presets
}
