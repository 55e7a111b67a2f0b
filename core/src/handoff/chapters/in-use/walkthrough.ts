import { nameOf } from '../../../record'
import { liveBeats } from '../../../script'
import { say } from '../../../words'
import type { SaberChapter } from '../../block'

export const walkthrough: SaberChapter = (reader, s) => ({
  id: 'walkthrough',
  title: say(reader, 'chapter.walkthrough'),
  blocks: s.beats.length
    ? [
        {
          kind: 'script',
          saber: s.id,
          beats: liveBeats(reader, s).map((b, i) => ({
            n: i + 1,
            say: b.say,
            ...(b.show ? { ref: b.show, show: nameOf(s, b.show) ?? '' } : {}),
          })),
        },
      ]
    : [],
})
