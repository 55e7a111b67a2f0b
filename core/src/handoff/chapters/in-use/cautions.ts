import { cautionsOf } from '../../../script'
import { say } from '../../../words'
import type { SaberChapter } from '../../block'

export const cautions: SaberChapter = (reader, s) => {
  const list = cautionsOf(reader, s)
  return {
    id: 'cautions',
    title: say(reader, 'chapter.cautions'),
    blocks:
      list.length || s.notFor.length
        ? [
            ...list.map((k) => ({ kind: 'caution' as const, title: k.title, text: k.text })),
            ...s.notFor.map((x) => ({
              kind: 'caution' as const,
              title: say(reader, 'notFor.title', { what: x.what }),
              text: x.why || say(reader, 'notRecorded'),
            })),
            { kind: 'para', text: say(reader, 'caution.usual') },
          ]
        : [],
  }
}
