import { formatFact } from '../../../facts'
import { say } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { orNotRecorded } from '../../values'

export const screws: SaberChapter = (s) => {
  const head = (column: 'screw' | 'where' | 'key' | 'holds' | 'may') => say('chapter.screws.head', { column })
  return {
    id: 'screws',
    title: say('chapter.screws'),
    blocks: s.hilt.fasteners.length
      ? [
          { kind: 'drawing', saber: s.id, which: 'unrolled' },
          ...table(
            [head('screw'), head('where'), head('key'), head('holds'), head('may')],
            s.hilt.fasteners.map((f) => [
              f.name,
              `${formatFact(f.at, 1)}, ${formatFact(f.clock, 0)}`,
              orNotRecorded(f.key),
              say('screw.holds', { purpose: f.purpose }),
              say('screw.may', { may: f.clientMay }),
            ]),
          ),
        ]
      : [],
  }
}
