import { say } from '../../../words'
import type { OrderChapter } from '../../block'

/** How long the shop stands behind its work, in its own words, and what ends that. */
export const warranty: OrderChapter = (reader, c) => ({
  id: 'warranty',
  title: say(reader, 'chapter.warranty'),
  blocks: c.warranty
    ? [
        ...(c.warranty.words ? [{ kind: 'para' as const, text: c.warranty.words }] : []),
        ...(c.warranty.ends
          ? [{ kind: 'para' as const, text: say(reader, 'warranty.ends', { ends: c.warranty.ends }) }]
          : []),
      ]
    : [],
})
