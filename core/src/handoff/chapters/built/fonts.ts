import { say } from '../../../words'
import { type SaberChapter, table } from '../../block'

/** What is heard: every font on the card with who made it, how many sounds it has, and on what terms it is there. */
export const fonts: SaberChapter = (reader, s) => {
  const head = (column: 'font' | 'author' | 'sounds' | 'terms') => say(reader, 'chapter.fonts.head', { column })
  return {
    id: 'fonts',
    title: say(reader, 'chapter.fonts'),
    blocks: s.fonts.length
      ? table(
          [head('font'), head('author'), head('sounds'), head('terms')],
          s.fonts.map((f) => [
            say(reader, 'font.name', { font: f.name, is: f.is }),
            f.author ?? '–',
            say(reader, 'font.sounds', { n: f.sounds.length }),
            [f.licence, f.note].filter(Boolean).join('; ') || '–',
          ]),
        )
      : [],
  }
}
