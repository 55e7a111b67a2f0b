import { say, whether } from '../../../words'
import type { OrderChapter } from '../../block'

/** What was wished, in the client's own words, and from whom it comes. */
export const brief: OrderChapter = (c) => ({
  id: 'brief',
  title: say('chapter.brief'),
  blocks: [
    ...(c.brief ? [{ kind: 'para' as const, text: c.brief }] : []),
    ...(c.giver
      ? [
          {
            kind: 'para' as const,
            text: say('brief.gift', { giver: c.giver, client: c.client.name, named: whether(c.client.name) }),
          },
        ]
      : []),
  ],
})
