import { type Calculated, Gather } from '../facts'
import { type Blade, refTo, type Saber } from '../record'

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
