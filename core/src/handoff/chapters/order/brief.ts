import { say, whether } from '../../../words'
import type { OrderChapter } from '../../block'

/** What was wished, in the client's own words, and from whom it comes. */
export const brief: OrderChapter = (reader, c) => ({
  id: 'brief',
  title: say(reader, 'chapter.brief'),
  blocks: [
    ...(c.brief ? [{ kind: 'para' as const, text: c.brief }] : []),
    ...(c.giver
      ? [
          {
            kind: 'para' as const,
            text: say(reader, 'brief.gift', { giver: c.giver, client: c.client.name, named: whether(c.client.name) }),
          },
        ]
      : []),
  ],
})
