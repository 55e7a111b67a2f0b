import { say } from '../../../words'
import type { SaberChapter } from '../../block'
import { troublesOf } from '../../troubles'

/** What may be odd one day, and what to do about it. */
export const troubles: SaberChapter = (reader, s) => {
  const list = troublesOf(reader, s)
  return {
    id: 'troubles',
    title: say(reader, 'chapter.troubles'),
    blocks: list.length
      ? [
          { kind: 'facts', rows: list.map((t) => ({ name: t.what, value: t.cure })) },
          { kind: 'para', text: say(reader, 'trouble.stop') },
        ]
      : [],
  }
}
