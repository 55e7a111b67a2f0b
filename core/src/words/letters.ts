/**
 * What the fonts of the paper have a shape for in every weight, as ranges: from the end of the one before, and how much longer
 * than one letter it is, base 36. Held against the fonts themselves by a test, which says what must stand here.
 */
const SHAPES =
  'w.2m y.g9 3.2 5 4 9.27 2.2 4.1 2 2.6 e.7 3.5 5.6 2 2.j 2.aq c.11 3.6 2.12 2.1 12.j 3.1 9.q 6.4 i.1 2.1 2 9 6 4 2.p 6.l 2 3 6.g 4 5.1y 7.2 3.1 2 2 5 r.9 5j.13 4.a 3.2 18l 1u.1 2 3.1 2 3 7.3 2.6 2.2 2 2 3.1 2.c 2.2 3.4 2 2.5 3.9 3.1 cj.11 b.18 lh.6 2.i 2.o 2.j 2.6 2.2x 3.16 2.r 9.1a 2.g 2.o a.h 5.c a.f 1b 3 2t.1 13.8 a.s 19g.k 2.d 3.8 2.17 2.d d.1 3 2 8 m.10 5.5 1j.6z 5.l 3.5 3.11 3.5 3.7 2 2 2 2.u 3.1g 2.e 2.d 3.5 2.i 3.2 2.8 2.2s 6.7 3.q 2.c 4.l 3.2 2.1 j.1 5.1 4.1 5 2 t.9 2.1q 2 3 2.1h 4 7.aq 6.9 3.4 3.1 1z.2 5 3 a d 7.k v.1 k 2 3.b 5.2 14.1 1p.2d d e.p n.bg 2.q 5.1 2.5 3 6.1 2 2.1 e 7.1 6.5 2.3 3 4.2l 3.2m 6.1 q 6.5 5.7j 7.1 3.1 15.1 b.1 1u.1 22.7 m f.1 5.2 a.g j 1n.1 i.z e.c 1r.1 6.s 3.5 18 3.2 7f.n 2.6 3l.11 b.1h a 4p 7 3.3 9 cy.3 2.i 6.2 2.8 7 d 4.2b 5.5 3.2d 5.3 7.10 8.2l 36.s 4.9 8.1 7 13.r 4 o 2 a.5 2j a 7 4 a.1 3.1 4 b 5 e.1 3 4 6 10.3 2.4 4.1u 3.6 2.1 2 3.2 4yr 51 b.g77 zx.1b 91.3 5.1 3.1 3.3 b.c s.3 7.1 3.1 33.e 5.4 3.9 5.h 5.5 3.5 3.1 d.3 p.3 6.5 2.1 f.a 26.7 sh.8mb 4m5.p yv.12 2.p hw fv.8d 5v.6 d.4 6.p 2.4 2 2.1 2.1 2.9 3.29 7.3 12.9 2.1 5.5 j.3 e9.f h.3 d.1 2.h 5.9 2.3 2.d 2.3 5.4 2.3q 3 2.2l 3.1q 1t.6 j.4 2 ld.u 2.3 65 14 11.2 14tt.2e de.1 2.3 2.4 2 4.6 2.p h9.9 4rn 18.2r d.e 3.d 3.e 2.e 41.1 d.1 f 3.9 24.p 2.1 o l 3.8 m.1 4v.x 3.33 3.1 2.2 3.2a 3.2 2.7a 2.1q c.5 2.n 8.1 3.7 d 3.3 3 5.1 e.1 3 9.1 a 6.2 d.2 9.2 3 2 5 7 4 7.2d 1d.1x 6.7 3.4 3.9 4 2.1 4 3.9 6c.b 5 7w.1a 2.9 2.54 35.c 4.1y 2 4.h 2.c 4.b gvvs.1 2 2 5 2 5.1 3 8'

const ranges: [from: number, to: number][] = []
for (const range of SHAPES.split(' ')) {
  const [gap, more = '0'] = range.split('.')
  const from = (ranges.at(-1)?.[1] ?? 0) + Number.parseInt(gap!, 36)
  ranges.push([from, from + Number.parseInt(more, 36)])
}
/** Most texts have none but these. */
const COMMON = /^[\n -~\u00a0-\u024f\u2010-\u2026]*$/
/** Marks that nobody sees: they say where a line may end or in which direction it runs. The paper does without them. */
export const UNSEEN = /[\u061c\u200b\u200e\u200f\u2028-\u202e\u2060-\u2069\ufeff]/u
/** Marks without a shape of their own that join letters or choose their form. */
export const SHAPING = /\u200c|\u200d|[\ufe00-\ufe0f]|[\u{e0020}-\u{e007f}]/u
const CONTROL = /\p{Cc}/u

const printable = (code: number): boolean => {
  let [low, high] = [0, ranges.length - 1]
  while (low <= high) {
    const middle = (low + high) >> 1
    const [from, to] = ranges[middle]!
    if (code < from) high = middle - 1
    else if (code > to) low = middle + 1
    else return true
  }
  return false
}

/** The letters of a text that the paper has no shape for, each once, in their order; none where all of it can be printed. */
export function unprinted(text: string): string[] {
  if (COMMON.test(text)) return []
  const shapeless = (c: string) => UNSEEN.test(c) || SHAPING.test(c) || CONTROL.test(c)
  return [...new Set(text.toWellFormed())].filter((c) => !shapeless(c) && !printable(c.codePointAt(0)!))
}
