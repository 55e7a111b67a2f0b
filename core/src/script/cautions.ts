import { FLASH_LIMIT_HZ } from '../light'
import { flashingOf } from '../looks'
import { polesBeside } from '../machine'
import type { Saber } from '../record'
import type { Reader } from '../units'
import { say, whether } from '../words'

/** A safety caution that this build calls for (usual ones; local codes, carriers and licensed practice decide). */
export interface Caution {
  key: 'cell' | 'flash' | 'blade' | 'sharp' | 'inside'
  title: string
  text: string
  /** What is particular to this saber: how its poles are told, which looks flash. */
  polarity?: string
  presets?: string
}

/** The cautions of a saber, from its cells, lights, sockets and edges. */
export function cautionsOf(reader: Reader, s: Saber): Caution[] {
  const out: Caution[] = []
  const cells = s.parts.filter((p) => p.kind === 'cell')
  if (cells.length) {
    // Which way round, and which sort to buy, matters where a client changes it.
    const loose = cells.filter((c) => c.removable)
    // What is recorded stands beside the maker's own words on it.
    const landmarks = loose.flatMap((c) => (c.landmark ? [polesBeside(reader, c, c.landmark)] : []))
    out.push({
      key: 'cell',
      ...(landmarks.length ? { polarity: landmarks.join('; ') } : {}),
      title: say(reader, 'caution.cell.title'),
      text: say(reader, 'caution.cell', {
        polarity: landmarks.join('; '),
        told: whether(landmarks.length > 0),
        protected: whether(loose.some((c) => c.protected)),
      }),
    })
  }
  const fast = s.presets.filter((p) => flashingOf(s, p).some((f) => f.hz > FLASH_LIMIT_HZ))
  if (fast.length > 0 || s.controls.some((r) => r.does === 'lock' || r.does === 'surge'))
    out.push({
      key: 'flash',
      ...(fast.length ? { presets: fast.map((p) => p.name).join(', ') } : {}),
      title: say(reader, 'caution.flash.title'),
      text: say(reader, 'caution.flash', {
        presets: fast.map((p) => p.name).join(', '),
        named: whether(fast.length > 0),
        limit: FLASH_LIMIT_HZ,
      }),
    })
  const add = (key: 'blade' | 'sharp' | 'inside') =>
    out.push({ key, title: say(reader, `caution.${key}.title`), text: say(reader, `caution.${key}`) })
  if (s.hilt.sockets.length) add('blade')
  if (s.hilt.sections.some((x) => x.sharp)) add('sharp')
  if (s.parts.some((p) => p.kind === 'chassis')) add('inside')
  return out
}
