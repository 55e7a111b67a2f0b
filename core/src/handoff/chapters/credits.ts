import { say } from '../../words'
import { type OrderChapter, table } from '../block'

export const credits: OrderChapter = (c) => {
  const head = (column: 'who' | 'did') => say('chapter.credits.head', { column })
  return {
    id: 'credits',
    title: say('chapter.credits'),
    blocks: c.credits.length
      ? table(
          [head('who'), head('did')],
          c.credits.map((k) => [k.who, k.did]),
        )
      : [{ kind: 'para', text: say('credits.none') }],
  }
}
