import { say } from '../../words'
import type { SaberChapter } from '../block'
import { stepsOf } from '../values'

export const opening: SaberChapter = (s) => ({
  id: 'opening',
  title: say('chapter.opening'),
  blocks: stepsOf(s, ['open', 'cellIn', 'cellOut', 'close', 'card']),
})
