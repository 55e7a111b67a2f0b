import { hueWord } from '../../light'
import type { Reader } from '../../units'
import { say, whether } from '../../words'

/** A colour in a word of the language that is spoken. */
export function hueText(reader: Reader, hex: string): string {
  const word = hueWord(hex)
  const pale = word.startsWith('pale ')
  const hue = word.replace(/^pale /, '').replace(/ (.)/g, (_m, c: string) => c.toUpperCase())
  return say(reader, 'hue', { hue, pale: whether(pale) })
}
