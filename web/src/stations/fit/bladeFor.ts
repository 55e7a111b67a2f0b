import { fact, known } from '@nubrin/core/facts'
import type { Blade, Saber } from '@nubrin/core/record'

/** A pixel blade for a socket, of the tube that its bore calls for; everything about it is assumed until measured. */
export function bladeFor(s: Saber, id: string, socket: string): Blade {
  const bore = known(s.hilt.sockets.find((k) => k.id === socket)?.bore) ?? 25.5
  const tube = bore < 20.5 ? 19.05 : bore < 23.5 ? 22.225 : 25.4
  return {
    id,
    name: `blade ${s.blades.length + 1}`,
    socket,
    use: 'ship',
    kind: 'pixel',
    outside: fact(tube, 'mm', 'assumed'),
    wall: fact(2, 'mm', 'assumed'),
    length: fact(null, 'mm'),
    strips: fact(2, '×', 'assumed'),
    density: fact(144, '1/m', 'assumed'),
    channelCurrent: fact(12, 'mA', 'assumed'),
    idleCurrent: fact(0.6, 'mA', 'assumed'),
  }
}
