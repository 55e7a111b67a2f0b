import { say } from '../../words'
import type { SaberChapter } from '../block'
import { stepsOf } from '../values'

export const power: SaberChapter = (s) => ({
  id: 'power',
  title: say('chapter.power'),
  blocks: stepsOf(s, ['powerOn', 'powerOff']),
})
