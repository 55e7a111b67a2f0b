import { type Calculated, Gather, known } from '../facts'
import { type Blade, byId, refTo, type Saber, type Zone } from '../record'

/** Pixels that a blade carries in all its strips: lit length × density × strips, rounded down per strip. A blade shorter than its seat has none that can be. */
export function pixels(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const ref = refTo('blade', b.id)
  const length = g.take(`length of ${b.name}`, b.length, ref)
  const density = g.take(`LED density of ${b.name}`, b.density, ref)
  const strips = g.take(`strips in ${b.name}`, b.strips, ref)
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  const seat = g.take('socket depth', socket?.depth, refTo('socket', b.socket))
  if (length < seat) g.missing(`a length of ${b.name} beyond its seat`, ref)
  return g.figure(
    '×',
    '⌊(tube − seat) × density⌋ × strips',
    'lit length times density',
    // What is a whole number on paper is one here too: 500 mm at 144 a metre are 72, not 71.99….
    () => Math.floor(((length - seat) * density) / 1000 + 1e-9) * strips,
  )
}

/** How many LEDs a light has, said in one place: as counted, else as its part has them, else as the blade that it is. */
export function ledsOf(saber: Saber, z: Zone): Calculated {
  const g = new Gather()
  const part = byId(saber.parts, z.part)
  const blade = byId(saber.blades, z.blade)
  if (known(z.leds) === undefined && known(part?.specs.leds) !== undefined) {
    const n = g.take(`LEDs of ${part!.name}`, part!.specs.leds, refTo('part', part!.id))
    return g.figure('×', 'as its part has them', 'count', () => n)
  }
  if (known(z.leds) === undefined && blade) return pixels(saber, blade)
  const n = g.take(`LEDs in ${z.name}`, z.leds, refTo('zone', z.id))
  return g.figure('×', 'as counted', 'count', () => n)
}
