import type { Commission } from '../../../record'
import { isName } from '../../../script'
import { say, whether } from '../../../words'
import { type OrderChapter, table } from '../../block'

/** Whether a question is put to the client: to nobody by name, or to his. */
const isClient = (c: Commission, to: string | undefined): boolean => !to?.trim() || isName(c.client.name, to)

/** What was asked and answered, by whom it was asked, and what the client has not answered yet; what was put to somebody else is not his. */
export const questions: OrderChapter = (reader, c) => {
  const head = (column: 'question' | 'answer') => say(reader, 'chapter.questions.head', { column })
  const rows = (client: boolean) =>
    c.questions
      .filter((q) => q.answer && isClient(c, q.to) && (q.askedBy === 'client') === client)
      .map((q) => [say(reader, 'question.text', { text: q.text, mine: whether(client) }), q.answer!])
  const open = c.questions.filter((q) => !q.answer && q.askedBy !== 'client' && isClient(c, q.to))
  return {
    id: 'questions',
    title: say(reader, 'chapter.questions'),
    blocks: table(
      [head('question'), head('answer')],
      [...rows(false), ...rows(true), ...open.map((q) => [q.text, say(reader, 'question.open')])],
    ),
  }
}
