import type { Question } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId, type Letter, todayIso, useLetters } from '../../data'
import { AddLine, CheckBox, dayText, Empty, Refused, TextCell } from '../../kit'
import { useEdit, useEditEntry, useOrder } from '../../store/commission'
import { useSession } from '../../store/session'
import { WriteLetter } from './WriteLetter'

/** What was asked, answered and written between shop and client: one thread, each question with its answer. */
export function LettersDesk() {
  const order = useOrder()
  const { list } = useLetters(order.id)
  const [asked, setAsked] = useState<string[]>([])
  const thread = threadOf(order.questions, list.data ?? [])
  return (
    <div className="max-w-[860px] space-y-5">
      <Refused why={list.error?.message} />
      <section aria-label="What was said">
        <h2 className="h2">What was said</h2>
        {thread.length ? null : <Empty title="Nothing was written yet">Ask something below, or write a letter.</Empty>}
        {thread.map((x) =>
          x.letter ? (
            <Written key={`l${x.letter.id}`} letter={x.letter} />
          ) : (
            <Asked
              key={`q${x.question!.id}`}
              question={x.question!}
              chosen={asked.includes(x.question!.id)}
              onChoose={(on) => setAsked(on ? [...asked, x.question!.id] : asked.filter((id) => id !== x.question!.id))}
            />
          ),
        )}
        <NewQuestion />
      </section>
      <WriteLetter asked={asked} />
    </div>
  )
}

interface Said {
  on: string
  question?: Question
  letter?: Letter
}
/** In the order of their days; what has none yet comes last. */
const threadOf = (questions: readonly Question[], letters: readonly Letter[]): Said[] =>
  [
    ...questions.map((question): Said => ({ on: question.askedOn ?? '9', question })),
    ...letters.map((letter): Said => ({ on: letter.at.slice(0, 10), letter })),
  ].toSorted((a, b) => a.on.localeCompare(b.on))

function Written({ letter: l }: { letter: Letter }) {
  const order = useOrder()
  // What it rests on: questions by their words, sabers by name.
  const about = l.rests
    .map((r) => {
      const [kind, id] = r.split(':')
      return kind === 'question'
        ? order.questions.find((q) => q.id === id)?.text
        : order.sabers.find((s) => s.id === id)?.name
    })
    .filter(Boolean)
    .join(', ')
  return (
    <details className="border-rule border-b py-1">
      <summary className="cursor-pointer">
        <span className="font-medium">{l.subject}</span>{' '}
        <span className="text-quiet">
          {dayText(l.at)} by {l.by} to {l.to}
        </span>
      </summary>
      <p className="bg-card mt-1 p-3 whitespace-pre-line">{l.text}</p>
      {about ? <p className="text-quiet">about: {about}</p> : null}
    </details>
  )
}

interface AskedProps {
  question: Question
  chosen: boolean
  onChoose: (on: boolean) => void
}
/** A question with its answer under it. */
function Asked({ question: q, chosen, onChoose }: AskedProps) {
  const set = useEditEntry('questions')
  const client = q.askedBy === 'client'
  const who = client ? 'the client asks' : q.to ? `to ${q.to}` : 'we ask'
  return (
    <div className="border-rule border-b py-1">
      <div className="flex items-baseline gap-2">
        <CheckBox checked={chosen} onChange={onChoose}>
          <span className="font-medium">{q.text}</span>
        </CheckBox>
        <span className={`ml-auto shrink-0 ${q.answer ? 'text-quiet' : 'text-stop'}`}>
          {[who, q.askedOn ? dayText(q.askedOn) : 'not asked yet'].join(', ')}
        </span>
      </div>
      <div className="pl-7">
        <TextCell
          label={`Answer to ${q.text}`}
          placeholder={client ? 'our answer' : 'what came back'}
          value={q.answer ?? ''}
          onCommit={(v) =>
            set('answer', q.id, (x) => {
              if (v.trim()) Object.assign(x, { answer: v, answeredOn: x.answeredOn ?? todayIso() })
              else {
                delete x.answer
                delete x.answeredOn
              }
            })
          }
        />
        {q.answeredOn ? <p className="text-quiet text-[0.87rem]">{dayText(q.answeredOn)}</p> : null}
      </div>
    </div>
  )
}

function NewQuestion() {
  const edit = useEdit()
  const me = useSession((s) => s.person?.name)
  return me ? (
    <AddLine
      label="a question to the client"
      onAdd={(text) => edit('question', (d) => void d.questions.push({ id: freshId(), text, blocks: false }))}
    />
  ) : null
}
