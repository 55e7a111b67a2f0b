import { type Loose, listOf, object, text } from './loose'

const said = (value: unknown, source: string) => ({ value, source })
/** What version 4 called a note nobody but the shop ever read. */
const inward = ({ note, ...rest }: Loose): Loose => (note === undefined ? rest : { ...rest, shopNote: note })

/**
 * Version 4 knew words and choices without their source, one note for no reader in particular, work left on blades only,
 * and one fate for all that came under one name. Nobody had said where its words came from, so they are recalled; what a
 * preset was configured to was read off the board.
 */
export function liftWhole(d: Loose): Loose {
  const taken = new Set(JSON.stringify(d).match(/"id":"[^"]*"/g))
  const id = (wish: string) => {
    let made = wish.slice(0, 44)
    for (let n = 2; taken.has(`"id":"${made}"`); n++) made = `${wish.slice(0, 40)}-${n}`
    taken.add(`"id":"${made}"`)
    return made
  }
  const sabers = listOf(d.sabers)
  return {
    ...d,
    version: 5,
    arrivals: listOf(d.arrivals).map(({ fate, ...a }) => ({
      ...a,
      shares: [{ id: id(`${text(a.id)}-share`), fate, count: a.quantity }],
      faults: [],
    })),
    people: [],
    toDos: sabers.flatMap((s) =>
      listOf(s.blades).flatMap((b) =>
        listOf(b.toDo).map((t) => ({
          ...t,
          about: `blade:${text(b.id)}`,
          who: 'shop',
          ...(b.use === 'ship' ? { blocks: 'shipping' } : {}),
        })),
      ),
    ),
    sabers: sabers.map((s) => saber(s)),
  }
}

function saber({ firmware, ...s }: Loose): Loose {
  const hilt = object(s.hilt)
  return {
    ...s,
    ...(firmware === undefined ? {} : { firmware: said(firmware, 'recalled') }),
    hilt: {
      ...hilt,
      sections: listOf(hilt.sections).map((x) => ({ ...inward(x), joint: inward(object(x.joint)) })),
      fasteners: listOf(hilt.fasteners).map(inward),
      openings: listOf(hilt.openings).map(inward),
      sockets: listOf(hilt.sockets).map(inward),
    },
    parts: listOf(s.parts)
      .map(inward)
      .map(({ faces, ...p }) => ({ ...p, ...(faces === undefined ? {} : { faces: said(faces, 'recalled') }) })),
    blades: listOf(s.blades)
      .map(inward)
      .map(({ toDo: _t, ...b }) => b),
    presets: listOf(s.presets).map((p) => {
      const source = p.status === 'configured' ? 'configured' : 'recalled'
      const effects = Object.entries(object(p.effects)).map(([k, v]) => [k, said(v, source)])
      return {
        ...p,
        colour: said(p.colour, source),
        ...(p.effects === undefined ? {} : { effects: Object.fromEntries(effects) }),
      }
    }),
    settings: { sensitivities: [] },
    notFor: [],
    before: [],
    provenance: [],
    losses: [],
    items: [],
  }
}
