import { formatFact } from '../../../facts'
import { keyOf, purposeOf } from '../../../record'
import { keyText, say } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { orNotRecorded } from '../../values'

export const screws: SaberChapter = (reader, s) => {
  const head = (column: 'screw' | 'where' | 'key' | 'holds' | 'may') => say(reader, 'chapter.screws.head', { column })
  return {
    id: 'screws',
    title: say(reader, 'chapter.screws'),
    blocks: s.hilt.fasteners.length
      ? [
          { kind: 'drawing', saber: s.id, which: 'unrolled' },
          ...table(
            [head('screw'), head('where'), head('key'), head('holds'), head('may')],
            s.hilt.fasteners.map((f) => [
              f.name,
              `${formatFact(reader, f.at, 1)}, ${formatFact(reader, f.clock, 0)}`,
              orNotRecorded(reader, keyText(reader, keyOf(f))),
              say(reader, 'screw.holds', { purpose: purposeOf(s, f) ?? 'unsaid' }),
              say(reader, 'screw.may', { may: f.clientMay }),
            ]),
          ),
        ]
      : [],
  }
}
