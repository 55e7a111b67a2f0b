import { cautionsOf } from '../../../script'
import { say } from '../../../words'
import type { SaberChapter } from '../../block'

export const cautions: SaberChapter = (s) => {
  const list = cautionsOf(s)
  return {
    id: 'cautions',
    title: say('chapter.cautions'),
    blocks:
      list.length || s.notFor.length
        ? [
            ...list.map((k) => ({ kind: 'caution' as const, title: k.title, text: k.text })),
            ...s.notFor.map((x) => ({
              kind: 'caution' as const,
              title: say('notFor.title', { what: x.what }),
              text: x.why || say('notRecorded'),
            })),
            { kind: 'para', text: say('caution.usual') },
          ]
        : [],
  }
}
