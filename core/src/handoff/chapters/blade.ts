import { formatFact } from '../../facts'
import { say } from '../../words'
import { type SaberChapter, table } from '../block'
import { bothWays, stepsOf } from '../values'

export const blade: SaberChapter = (s) => {
  const head = (column: 'blade' | 'outside' | 'length' | 'inBox') => say('chapter.blade.head', { column })
  return {
    id: 'blade',
    title: say('chapter.blade'),
    blocks: [
      ...stepsOf(s, ['bladeIn', 'bladeOut']),
      ...table(
        [head('blade'), head('outside'), head('length'), head('inBox')],
        s.blades.map((b) => [b.name, bothWays(b.outside), formatFact(b.length, 0), say('blade.inBox', { use: b.use })]),
      ),
    ],
  }
}
