import { say } from '../../../words'
import { type OrderChapter, table } from '../../block'

export const credits: OrderChapter = (c) => {
  const head = (column: 'who' | 'did') => say('chapter.credits.head', { column })
  return {
    id: 'credits',
    title: say('chapter.credits'),
    blocks:
      c.credits.length + c.people.length
        ? table(
            [head('who'), head('did')],
            [...c.people.map((p) => [p.name, p.does || '–']), ...c.credits.map((k) => [k.who, k.did])],
          )
        : [{ kind: 'para', text: say('credits.none') }],
  }
}
