import { cautionsOf } from '../../script'
import { say } from '../../words'
import type { SaberChapter } from '../block'

export const cautions: SaberChapter = (s) => {
  const list = cautionsOf(s)
  return {
    id: 'cautions',
    title: say('chapter.cautions'),
    blocks: list.length
      ? [
          ...list.map((k) => ({ kind: 'caution' as const, title: k.title, text: k.text })),
          { kind: 'para', text: say('caution.usual') },
        ]
      : [],
  }
}
