import { say } from '../../../words'
import type { OrderChapter } from '../../block'

export const foreword: OrderChapter = (c) => ({
  id: 'words',
  title: say('chapter.words'),
  blocks: c.handoff.words ? [{ kind: 'para', text: c.handoff.words }] : [],
})
