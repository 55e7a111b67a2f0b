import { type Commission, readerOf } from '../record'
import { say, whether } from '../words'

/** What is wrong with a part or a lot, in the shop's words, and what the client is to do. */
export interface RecallWords {
  part: string
  lot: string
  why: string
  todo: string
}

/** A message to the client of one commission, in his language, about what is recalled in his sabers. */
export const recallMessage = (c: Commission, sabers: readonly string[], r: RecallWords, shop: string) => {
  const reader = readerOf(c)
  return {
    subject: say(reader, 'recall.subject', { saber: sabers.join(', ') }),
    text: say(reader, 'recall.text', {
      ...{ client: c.client.name, sabers: sabers.join(', '), n: sabers.length, shop },
      ...{ part: r.part, lot: r.lot, ofLot: whether(r.lot), why: r.why, todo: r.todo },
    }).replaceAll('¶', '\n'),
  }
}
