import { type Commission, type Kind, placesOf, THINGS } from '@nubrin/core/record'

const PLACES: readonly Kind[] = ['part', 'section', 'blade', 'fastener', 'socket', 'item', 'preset', 'input']

/** Everything of every saber that something can be tied to, in groups for a picker; with several sabers, under their names. */
export const placesOfOrder = (c: Commission, kinds: readonly Kind[] = PLACES) =>
  c.sabers.flatMap((s) =>
    placesOf(s, kinds).map((g) => ({
      title: c.sabers.length > 1 ? `${s.name}: ${THINGS[g.kind][1]}` : THINGS[g.kind][1],
      choices: g.items.map((i) => ({ value: i.ref as string, words: i.name })),
    })),
  )
