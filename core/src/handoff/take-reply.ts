import type { Commission, ReplyBody } from '../record'

/** How many questions of a client may wait for an answer; more are held back until some are answered. */
export const MOST_OPEN_QUESTIONS = 20

/** What comes of taking a reply in. */
export type Taken = 'taken' | 'there' | 'tooMany'

/**
 * Takes what a client says into a record, in place: a question is put under the questions, asked by the client; what was read is
 * noted with its day. What is there already is left as it is; of questions no more wait than `MOST_OPEN_QUESTIONS`.
 */
export function takeReply(d: Commission, says: ReplyBody, number: number, on: string): Taken {
  if ('asks' in says) {
    if (d.questions.some((q) => q.id === says.id)) return 'there'
    const waiting = d.questions.filter((q) => q.askedBy === 'client' && !q.answer).length
    if (waiting >= MOST_OPEN_QUESTIONS || d.questions.length >= 120) return 'tooMany'
    d.questions.push({ id: says.id, text: says.asks.trim(), askedBy: 'client', askedOn: on, blocks: false })
    return 'taken'
  }
  const same = d.handoff.receipts.some((r) => r.id === says.id || (r.number === number && r.chapter === says.read))
  if (same) return 'there'
  if (d.handoff.receipts.length >= 200) return 'tooMany'
  d.handoff.receipts.push({ id: says.id, number, chapter: says.read, on, ...(says.by ? { by: says.by } : {}) })
  return 'taken'
}
