import { formatFact } from '../../../facts'
import type { Blade } from '../../../record'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { bothWays, stepsOf } from '../../values'

export const blade: SaberChapter = (s) => {
  const head = (column: 'blade' | 'outside' | 'length' | 'light' | 'inBox') => say('chapter.blade.head', { column })
  return {
    id: 'blade',
    title: say('chapter.blade'),
    blocks: [
      ...stepsOf(s, ['bladeIn', 'bladeOut']),
      ...table(
        [head('blade'), head('outside'), head('length'), head('light'), head('inBox')],
        s.blades.map((b) => [
          b.name,
          bothWays(b.outside),
          formatFact(b.length, 0),
          light(b),
          say('blade.inBox', { use: b.use }),
        ]),
      ),
    ],
  }
}

/** How a blade is lit: so that another one can be ordered like it. */
function light(b: Blade): string {
  const count = (f: Blade['groups']) => (f ? formatFact(f, 0) : say('notRecorded'))
  return say('blade.light', {
    kind: b.kind,
    density: count({ ...b.density, unit: '×' }),
    strips: count(b.strips),
    set: whether(b.configured),
    configured: count(b.configured),
    groups: count(b.groups),
    each: count(b.ledsPerGroup),
    total: count(b.ledsTotal),
  })
}
