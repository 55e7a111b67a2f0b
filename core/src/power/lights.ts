import { type Calculated, Gather, known } from '../facts'
import { type Blade, refTo, type Saber, type Zone } from '../record'

/** Channel levels 0…1 as the board is told them: a hex digit pair is a duty of v/255. */
export function levels(hex: string): [number, number, number] {
  if (!/^#[0-9a-f]{6}$/.test(hex)) throw new RangeError(`levels: not a colour "#rrggbb": ${hex}`)
  return [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16) / 255) as [number, number, number]
}

export const WHITE = '#ffffff'
/** The basis of every light's current. */
const MODEL = 'Σ over pixels: idle + Σ channel max × level'

/** Pixels that a blade carries in all its strips: lit length × density × strips, rounded down per strip. */
export function pixels(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const ref = refTo('blade', b.id)
  const length = g.take(`length of ${b.name}`, b.length, ref)
  const density = g.take(`LED density of ${b.name}`, b.density, ref)
  const strips = g.take(`strips in ${b.name}`, b.strips, ref)
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  const seat = g.take('socket depth', socket?.depth, refTo('socket', b.socket))
  return g.figure(
    '×',
    '⌊(tube − seat) × density⌋ × strips',
    'lit length times density',
    () => Math.floor(((length - seat) / 1000) * density) * strips,
  )
}

/** Current of a blade showing one colour over its whole length, A. A string blade has one colour: all its groups lit, or none for black. */
export function bladeCurrent(saber: Saber, b: Blade, colour: string): Calculated {
  const g = new Gather()
  if (b.kind === 'string') {
    const n = g.take(`groups of ${b.name}`, b.groups, refTo('blade', b.id))
    const mA = g.take(`current of a group of ${b.name}`, b.groupCurrent, refTo('blade', b.id))
    const lit = levels(colour).some((l) => l > 0) ? 1 : 0
    return g.figure('A', 'groups × current of a group ÷ 1000', 'groups in parallel', () => (lit * n * mA) / 1000)
  }
  const ref = refTo('blade', b.id)
  const n = g.from(`pixels of ${b.name}`, pixels(saber, b))
  const channel = g.take('current per channel', b.channelCurrent, ref)
  const idle = g.take('idle current per pixel', b.idleCurrent, ref)
  g.note('colour', colour)
  return g.figure(
    'A',
    'n × (idle + Σ channel × level) ÷ 1000',
    MODEL,
    () => (n * (idle + channel * levels(colour).reduce((a, l) => a + l, 0))) / 1000,
  )
}

/** Current of another zone (crystal, accent, chassis strip), A. A zone that follows another shows its colour and still draws its own current. */
export function zoneCurrent(z: Zone, colour: string): Calculated {
  const g = new Gather()
  const ref = refTo('zone', z.id)
  const n = g.take(`LEDs in ${z.name}`, z.leds, ref)
  const channel = g.take(`channel current of ${z.name}`, z.channelCurrent, ref)
  const idle = g.take(`idle current of ${z.name}`, z.idleCurrent, ref)
  return g.figure(
    'A',
    'n × (idle + Σ channel × level) ÷ 1000',
    MODEL,
    () => (n * (idle + channel * levels(colour).reduce((a, l) => a + l, 0))) / 1000,
  )
}

/** Blades lit together when the saber is at its worst: the shipped or to-be-bought one in every socket, the hungriest where there are several. */
export function litBlades(saber: Saber): Blade[] {
  return saber.hilt.sockets.flatMap((k) => {
    const here = saber.blades.filter((b) => b.socket === k.id && (b.kind === 'pixel' || b.kind === 'string'))
    const shipped = here.filter((b) => b.use !== 'demo')
    const pool = shipped.length ? shipped : here
    return pool.toSorted((a, b) => (known(b.length) ?? 0) - (known(a.length) ?? 0)).slice(0, 1)
  })
}

/** Everything that draws current with the blade lit in one colour: blades, zones, board, speaker. */
export function litCurrent(saber: Saber, colour: string): Calculated {
  const g = new Gather()
  const blades = litBlades(saber)
  let sum = 0
  if (!blades.length && !saber.zones.length && !saber.parts.some((p) => p.kind === 'inHiltLed'))
    g.missing('a blade or a light')
  for (const b of blades) sum += g.from(b.name, bladeCurrent(saber, b, colour))
  for (const z of saber.zones.filter((q) => !q.blade)) sum += g.from(z.name, zoneCurrent(z, colour))
  for (const p of saber.parts) {
    if (p.kind === 'board' || p.kind === 'auxBoard' || p.kind === 'display') {
      const idle = known(p.specs.idleCurrent)
      if (p.kind === 'board' || idle !== undefined)
        sum += g.take(`idle current of ${p.name}`, p.specs.idleCurrent, refTo('part', p.id)) / 1000
    }
    if (p.kind === 'inHiltLed')
      sum +=
        (g.take(`current of ${p.name}`, p.specs.channelCurrent, refTo('part', p.id)) *
          levels(colour).reduce((a, l) => a + l, 0)) /
        1000
  }
  return g.figure('A', 'Σ blades + Σ zones + boards', MODEL, () => sum)
}
