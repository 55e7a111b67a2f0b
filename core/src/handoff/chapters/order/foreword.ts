import { say } from '../../../words'
import type { OrderChapter } from '../../block'

export const foreword: OrderChapter = (reader, c) => ({
  id: 'words',
  title: say(reader, 'chapter.words'),
  blocks: c.handoff.words ? [{ kind: 'para', text: c.handoff.words }] : [],
})
