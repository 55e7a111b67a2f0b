import { beatMark, type Ref, type Saber, type Take, toldInBeat } from '../record'

/** Beats of a take that would be told otherwise now, or are gone; nothing where it does not say what was told in them. */
export function filmedOtherwise(s: Saber, take: Take): { beat: string; n: number; of: Ref[] }[] {
  const last = new Map(take.marks.map((m) => [m.beat, m.was]))
  return [...last].flatMap(([beat, was]) => {
    const n = s.beats.findIndex((b) => b.id === beat)
    const b = s.beats[n]
    return was === undefined || (b && beatMark(s, b) === was) ? [] : [{ beat, n: n + 1, of: b ? toldInBeat(b) : [] }]
  })
}
