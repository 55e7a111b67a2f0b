import { type Beat, markOf, marksOf, partsOfRef, type Ref, type Saber, type Take } from '../record'

/** What a beat shows, does and tells of, as references; topics that are no thing of the saber are told by its words alone. */
const toldIn = (b: Beat): Ref[] => [
  ...(b.show ? [b.show] : []),
  ...(b.perform ? [b.perform] : []),
  ...b.covers.filter((k): k is Ref => partsOfRef(k) !== undefined),
]

/** A mark of all that is seen and heard in a beat: its words, what is done in it, and the things that it tells of, by name. */
export const beatMark = (s: Saber, b: Beat): string =>
  markOf({ say: b.say, perform: b.perform ?? b.task, times: b.times, of: marksOf(s, toldIn(b), 'named') }, 'named')

/** Beats of a take that would be told otherwise now, or are gone; nothing where it does not say what was told in them. */
export function filmedOtherwise(s: Saber, take: Take): { beat: string; n: number; of: Ref[] }[] {
  const last = new Map(take.marks.map((m) => [m.beat, m.was]))
  return [...last].flatMap(([beat, was]) => {
    const n = s.beats.findIndex((b) => b.id === beat)
    const b = s.beats[n]
    return was === undefined || (b && beatMark(s, b) === was) ? [] : [{ beat, n: n + 1, of: b ? toldIn(b) : [] }]
  })
}
