import type { Question } from '@nubrin/core/record'
import { todayIso } from '../data'
import { setText, TextCell } from '../kit'
import { useEditEntry } from '../store/commission'

/** The answer to a question, with the day on which it came. */
export function Answer({ of: q, label, placeholder }: { of: Question; label: string; placeholder: string }) {
  const set = useEditEntry('questions')
  return (
    <TextCell
      label={label}
      field="answer"
      placeholder={placeholder}
      value={q.answer ?? ''}
      onCommit={(v) =>
        set('answer', q.id, (x) => {
          setText(x, 'answer', v)
          setText(x, 'answeredOn', v.trim() ? todayIso() : '')
        })
      }
    />
  )
}
