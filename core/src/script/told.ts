import { type Commission, type Kind, type Marked, marksOf, nameIn, type Ref, refTo, shelfOf } from '../record'

/** What a client holds in the hand while he reads: a record that tells otherwise of one of these is out of date. */
const TOLD: readonly Kind[] = [
  'row',
  'preset',
  'font',
  'part',
  'step',
  'fastener',
  'blade',
  'socket',
  'section',
  'input',
]

/** All that a handoff tells of, each thing with a mark of what it is and is called now. */
export const toldNow = (c: Commission): Marked[] =>
  c.sabers
    .flatMap((s) =>
      marksOf(
        s,
        TOLD.flatMap((kind) => shelfOf(s, kind).map((x) => refTo(kind, String(x.id)))),
        'named',
      ),
    )
    .slice(0, 4000)

/** What the newest issued handoff tells otherwise than the record now: changed, gone, or come since. Nothing where it does not say what it told. */
export function toldOtherwise(
  c: Commission,
): { number: number; of: { ref: Ref; name: string; is: 'changed' | 'gone' | 'new' }[] } | undefined {
  const last = c.handoff.issued.at(-1)
  if (!last?.told) return undefined
  const then = new Map(last.told.map((m) => [m.of, m.was]))
  const now = new Map(toldNow(c).map((m) => [m.of, m.was]))
  const of = [...new Set([...then.keys(), ...now.keys()])].flatMap((ref) => {
    const [was, is] = [then.get(ref), now.get(ref)]
    if (was === is) return []
    return [
      {
        ref,
        name: nameIn(c, ref) ?? '',
        is: is === undefined ? ('gone' as const) : was === undefined ? ('new' as const) : ('changed' as const),
      },
    ]
  })
  return of.length ? { number: last.number, of } : undefined
}
