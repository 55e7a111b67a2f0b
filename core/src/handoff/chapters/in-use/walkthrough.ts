import { nameOf } from '../../../record'
import { liveBeats } from '../../../script'
import { say } from '../../../words'
import type { SaberChapter } from '../../block'

export const walkthrough: SaberChapter = (s) => ({
  id: 'walkthrough',
  title: say('chapter.walkthrough'),
  blocks: s.beats.length
    ? [
        {
          kind: 'script',
          saber: s.id,
          beats: liveBeats(s).map((b, i) => ({
            n: i + 1,
            say: b.say,
            ...(b.show ? { ref: b.show, show: nameOf(s, b.show) ?? '' } : {}),
          })),
        },
      ]
    : [],
})
