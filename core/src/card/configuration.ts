import { gestureText, modeName } from '../controls'
import { type AnyFact, known, type Source, state } from '../facts'
import { ledsOf, pixels } from '../power'
import { byId, type Configuration, effectColours, fontOf, nameOf, type Saber, tracksOf } from '../record'
import { MAKER } from '../units'

/** What the file is called, its copy beside it, and the sheet that a person reads. */
export const CONFIGURATION_FILES = ['configuration.json', 'configuration copy.json', 'configuration.txt'] as const

/** Only what is there; a value nobody knows is left out rather than written as nothing. */
const given = <T extends object>(o: T): T =>
  Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T

/** What a saber is set to, as it is recorded, in plain values. */
export function configurationOf(s: Saber): Configuration {
  const board = s.parts.find((p) => p.kind === 'board')
  const count = (light: string, n: number | undefined) => (n === undefined ? [] : [{ light, count: Math.round(n) }])
  const pixelsOf = (b: Saber['blades'][number]) => {
    const all = pixels(s, b)
    return known(b.configured) ?? (all.ok ? all.value : undefined)
  }
  return given({
    saber: s.name,
    board: board && (known(board.type) ?? board.name),
    firmware: known(s.firmware),
    volume: known(s.use.volume),
    brightness: known(s.use.brightness),
    sleepAfter: known(s.settings.sleepAfter),
    displayTimeout: known(s.settings.displayTimeout),
    thresholds: s.settings.sensitivities.flatMap((x) => {
      const value = known(x.value)
      return value === undefined ? [] : [{ sense: x.sense, value }]
    }),
    pixels: [
      ...s.blades.filter((b) => b.kind === 'pixel').flatMap((b) => count(b.name, pixelsOf(b))),
      ...s.zones
        .filter((z) => !z.blade)
        .flatMap((z) => {
          const leds = ledsOf(s, z)
          return count(z.name, leds.ok ? leds.value : undefined)
        }),
    ],
    presets: s.presets.map((p) =>
      given({
        name: p.name,
        font: fontOf(s, p)?.name,
        colour: known(p.colour),
        style: p.style ?? p.moves?.is,
        effects: Object.fromEntries(effectColours(p)),
        extendMs: known(p.extendMs),
        retractMs: known(p.retractMs),
        tracks: tracksOf(s, p).map((t) => t.name),
      }),
    ),
    map: s.controls.map((r) => ({
      mode: modeName(s, r.mode),
      when: gestureText(MAKER, s, r),
      does: [r.does, r.presets?.map((id) => nameOf(s, `preset:${id}`)).join(', ')].filter(Boolean).join(' in '),
    })),
  }) as Configuration
}

/** A configuration as a person reads it: each value by its name. */
export const configurationSheet = (c: Configuration): [name: string, value: string][] => [...flat(c)]

/** One value that two configurations hold otherwise. Absent where one has none. */
export interface Difference {
  at: string
  was: string | undefined
  is: string | undefined
}
const flat = (c: Configuration): Map<string, string> => {
  const out = new Map<string, string>()
  const put = (at: string, v: unknown) => v !== undefined && out.set(at, String(v))
  const { thresholds, pixels: counts, presets, map, saber: _s, ...plain } = c
  for (const [k, v] of Object.entries(plain)) put(k, v)
  for (const t of thresholds) put(`threshold of ${t.sense}`, t.value)
  for (const p of counts) put(`pixels of ${p.light}`, p.count)
  for (const [i, p] of presets.entries()) {
    const at = `preset ${i + 1}`
    const { effects, tracks, ...own } = p
    for (const [k, v] of Object.entries(own)) put(`${at}, ${k}`, v)
    for (const [k, v] of Object.entries(effects)) put(`${at}, ${k}`, v)
    if (tracks.length) put(`${at}, tracks`, tracks.join(', '))
  }
  const seen = new Map<string, number>()
  for (const r of map) {
    const at = `${r.mode}: ${r.when}`
    const n = (seen.get(at) ?? 0) + 1
    seen.set(at, n)
    put(n === 1 ? at : `${at} (${n})`, r.does)
  }
  return out
}

/** What differs between two configurations, in the order of the first and then what only the second has. None for equal ones. */
export function configurationDifferences(was: Configuration, is: Configuration): Difference[] {
  const [a, b] = [flat(was), flat(is)]
  return [...new Set([...a.keys(), ...b.keys()])].flatMap((at) =>
    a.get(at) === b.get(at) ? [] : [{ at, was: a.get(at), is: b.get(at) }],
  )
}

/**
 * Writes what a card's configuration says beside what the record says: where they differ both stand, until somebody has settled which
 * of them is so. Changes the saber that it is given; says how many values came beside another.
 */
export function takeIn(s: Saber, c: Configuration, claim: { source: Source; with: string; on: string }): number {
  let rivals = 0
  /** States a value of the card beside that of a field, where the field has one and it is another. */
  const beside = <H extends object, K extends keyof H>(home: H | undefined, key: K, value: unknown) => {
    const f = home?.[key] as AnyFact<unknown> | undefined
    if (!home || !f || value === undefined || known(f) === value) return
    rivals++
    home[key] = state(f, { ...('unit' in f ? { unit: f.unit } : {}), value, ...claim } as AnyFact<unknown>) as H[K]
  }
  for (const k of ['volume', 'brightness'] as const) beside(s.use, k, c[k])
  for (const k of ['sleepAfter', 'displayTimeout'] as const) beside(s.settings, k, c[k])
  for (const t of c.thresholds)
    beside(
      s.settings.sensitivities.find((x) => x.sense === t.sense),
      'value',
      t.value,
    )
  for (const p of c.pixels) {
    beside(
      s.blades.find((b) => b.name === p.light),
      'configured',
      p.count,
    )
    beside(
      s.zones.find((z) => z.name === p.light && !z.blade),
      'leds',
      p.count,
    )
  }
  for (const [i, q] of c.presets.entries()) {
    const own = s.presets.find((p) => p.name === q.name) ?? s.presets[i]
    for (const k of ['colour', 'extendMs', 'retractMs'] as const) beside(own, k, q[k])
  }
  return rivals
}

/** The part of a saber that is its card, where it has one. */
export const cardPart = (s: Saber, id: string | undefined) =>
  byId(s.parts, id) ?? s.parts.find((p) => p.kind === 'card')
