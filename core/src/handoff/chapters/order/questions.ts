import { say, whether } from '../../../words'
import { type OrderChapter, table } from '../../block'

/** What was asked and answered, by whom it was asked; what was put to somebody else is not the client's. */
export const questions: OrderChapter = (reader, c) => {
  const head = (column: 'question' | 'answer') => say(reader, 'chapter.questions.head', { column })
  const rows = (client: boolean) =>
    c.questions
      .filter((q) => q.answer && !q.to && (q.askedBy === 'client') === client)
      .map((q) => [say(reader, 'question.text', { text: q.text, mine: whether(client) }), q.answer!])
  return {
    id: 'questions',
    title: say(reader, 'chapter.questions'),
    blocks: table([head('question'), head('answer')], [...rows(false), ...rows(true)]),
  }
}
