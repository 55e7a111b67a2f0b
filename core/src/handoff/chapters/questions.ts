import { say } from '../../words'
import { type OrderChapter, table } from '../block'

export const questions: OrderChapter = (c) => {
  const head = (column: 'question' | 'answer') => say('chapter.questions.head', { column })
  return {
    id: 'questions',
    title: say('chapter.questions'),
    blocks: table(
      [head('question'), head('answer')],
      c.questions.flatMap((q) => (q.answer && !q.to ? [[q.text, q.answer]] : [])),
    ),
  }
}
