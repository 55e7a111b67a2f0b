import { type ColourWords, colourWords, hueWord } from '../../light'
import type { Reader } from '../../units'
import { say, whether } from '../../words'

/** A hue as the catalogues name it, and whether it is a pale one. */
function hueOf(word: string): { hue: string; pale: 'yes' | 'no' } {
  const hue = word.replace(/^pale /, '').replace(/ (.)/g, (_m, c: string) => c.toUpperCase())
  return { hue, pale: whether(word.startsWith('pale ')) }
}

/** Where one of so many stands, counted from the lower end. */
const placeOf = (rank: number, of: number) =>
  of === 2
    ? rank === 1
      ? 'lower'
      : 'higher'
    : rank === 1
      ? 'lowest'
      : rank === of
        ? 'highest'
        : rank * 2 === of + 1
          ? 'middle'
          : 'nth'

/** A colour in a word of the language that is spoken; beside others of the same word, in words that tell it from them, `bare` without an article. */
export function hueText(reader: Reader, hex: string, among: readonly string[] = [], bare = false): string {
  const words: ColourWords = among.includes(hex) ? colourWords(among).get(hex)! : { hue: hueWord(hex) }
  const hue = hueOf(words.hue)
  const { apart } = words
  if (!apart) return say(reader, 'hue', hue)
  return say(reader, 'hue.apart', {
    ...hue,
    by: apart.by,
    place: apart.by === 'lean' && !apart.towards ? 'middle' : placeOf(apart.rank, apart.of),
    n: apart.rank,
    towards: apart.towards ?? '',
    bare: whether(bare),
  })
}
