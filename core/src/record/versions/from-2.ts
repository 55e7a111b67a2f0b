import { type Loose, listOf, object, text } from './loose'

/**
 * Version 2 read properties out of names: claws and fins in a section's, a converter in a board's, resin in a chassis', a
 * key in a tool's. Version 3 has fields for them; they are filled once, here, so that no judgement changes by the lift.
 */
export function liftNames(d: Loose): Loose {
  return {
    ...d,
    sabers: listOf(d.sabers).map((s) => {
      const { untold, ...rest } = s
      const hilt = object(s.hilt)
      const keys = listOf(hilt.fasteners).map((f) => text(f.key))
      return {
        ...rest,
        leftOut: untold ?? [],
        hilt: {
          ...hilt,
          sections: listOf(hilt.sections).map((x) =>
            /claw|fin|spike|edge|prong/i.test(`${text(x.name)} ${text(x.note)}`) ? { ...x, sharp: true } : x,
          ),
        },
        parts: listOf(s.parts).map((p) => {
          if (p.kind === 'auxBoard' && /convert/i.test(text(p.name))) return { ...p, converter: true }
          if (p.kind === 'chassis' && /resin/i.test(text(p.name))) return { ...p, material: 'resin' }
          const key = p.kind === 'tool' ? keys.find((k) => k && text(p.name).includes(k)) : undefined
          return key ? { ...p, key } : p
        }),
      }
    }),
  }
}

/** Version 2 keyed what was set aside by positions in lists; version 3 by the identity of what stands there. */
export function liftWaivers(d: Loose): Loose {
  const handoff = object(d.handoff)
  const waivers = listOf(handoff.waivers).map((w) => {
    const m = /^([A-Za-z]+):([^:]+):(\/.*)$/.exec(text(w.key))
    const saber = m && listOf(d.sabers).find((s) => s.id === m[2])
    return saber ? { ...w, key: `${m[1]}:${m[2]}:${byIdentity(saber, m[3]!)}`.slice(0, 240) } : w
  })
  return { ...d, handoff: { ...handoff, waivers } }
}

function byIdentity(root: unknown, pointer: string): string {
  let at: unknown = root
  return pointer
    .split('/')
    .map((step, i) => {
      if (i === 0) return ''
      const inList = Array.isArray(at)
      at = inList ? (at as unknown[])[Number(step)] : object(at)[step]
      const id = inList ? object(at).id : undefined
      return typeof id === 'string' ? `@${id}` : step
    })
    .join('/')
}
