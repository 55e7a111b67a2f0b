import { fact } from '@nubrin/core/facts'
import type { ROLES, Saber } from '@nubrin/core/record'
import { freshId } from '../../data'

/** Puts a section where its role belongs: pommel first, emitter last, the others before the emitter. An emitter has a socket. */
export function addSection(s: Saber, role: (typeof ROLES)[number]): void {
  const id = freshId()
  const end = s.hilt.sections.findIndex((x) => x.role === 'emitter')
  const at = role === 'pommel' ? 0 : role === 'emitter' || role === 'quillon' || end < 0 ? s.hilt.sections.length : end
  s.hilt.sections.splice(at, 0, {
    id,
    name: role,
    role,
    material: 'aluminium',
    length: fact(null, 'mm'),
    outside: fact(null, 'mm'),
    bore: fact(null, 'mm'),
    joint: { kind: 'none' },
  })
  if (role === 'emitter')
    s.hilt.sockets.push({
      id: freshId(),
      name: 'emitter',
      section: id,
      bore: fact(null, 'mm'),
      depth: fact(null, 'mm'),
      insertion: 'straight',
      retention: [],
    })
}
