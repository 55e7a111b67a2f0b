/** Spoken words a second, for a first guess at a beat's length. */
const WORDS_PER_SECOND = 2.4

/** Seconds a beat takes to say, plus two to show; never under four. */
export const guessSeconds = (say: string): number =>
  Math.max(4, Math.round(say.split(/\s+/).filter(Boolean).length / WORDS_PER_SECOND) + 2)
