import { powerAbout } from '../../../script'
import { say } from '../../../words'
import type { SaberChapter } from '../../block'
import { stepsOf } from '../../values'

/** What cutting the power means here, for somebody who has never held one, and how it is done. */
export const power: SaberChapter = (reader, s) => ({
  id: 'power',
  title: say(reader, 'chapter.power'),
  blocks: [
    ...(s.parts.some((p) => p.kind === 'board') ? [{ kind: 'para' as const, text: powerAbout(reader, s) }] : []),
    ...stepsOf(reader, s, ['powerOn', 'powerOff']),
  ],
})
