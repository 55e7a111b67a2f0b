import { formatFact, known } from '../../../facts'
import { hueText, type Moves } from '../../../record'
import type { Reader } from '../../../units'
import { say, whether } from '../../../words'

/** How a light moves, in words, and whether it does at all. */
export function movesText(reader: Reader, m: Moves | undefined): { moves: string; moving: 'yes' | 'no' } {
  if (!m) return { moves: '', moving: 'no' }
  const second = known(m.second)
  const figures = [m.rate, m.depth, m.width].flatMap((f) =>
    f && known(f) !== undefined ? [formatFact(reader, f)] : [],
  )
  const moves = say(reader, 'preset.moves', {
    ...{ how: m.is, second: second === undefined ? '' : hueText(reader, second), over: whether(second) },
    ...{ rate: figures.join(', '), rated: whether(figures.length) },
  })
  return { moves, moving: 'yes' }
}
