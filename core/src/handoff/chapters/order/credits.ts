import { say } from '../../../words'
import { type OrderChapter, table } from '../../block'

export const credits: OrderChapter = (reader, c) => {
  const head = (column: 'who' | 'did') => say(reader, 'chapter.credits.head', { column })
  return {
    id: 'credits',
    title: say(reader, 'chapter.credits'),
    blocks:
      c.credits.length + c.people.length
        ? table(
            [head('who'), head('did')],
            [...c.people.map((p) => [p.name, p.does || '–']), ...c.credits.map((k) => [k.who, k.did])],
          )
        : [{ kind: 'para', text: say(reader, 'credits.none') }],
  }
}
