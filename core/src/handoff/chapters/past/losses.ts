import { dayText } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** Parts that were spoilt, made again or replaced, as far as the client has been told. */
export const losses: SaberChapter = (reader, s) => {
  const head = (column: 'what' | 'why' | 'told') => say(reader, 'chapter.losses.head', { column })
  return {
    id: 'losses',
    title: say(reader, 'chapter.losses'),
    blocks: table(
      [head('what'), head('why'), head('told')],
      s.losses
        .filter((x) => x.toldOn)
        .map((x) => [
          say(reader, 'loss.what', {
            what: x.what,
            how: x.how,
            on: dayText(reader, x.on),
            maker: x.maker ?? '',
            made: whether(x.maker),
          }),
          x.cause || '–',
          dayText(reader, x.toldOn!),
        ]),
    ),
  }
}
