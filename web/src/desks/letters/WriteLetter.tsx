import { LETTER_KINDS, type LetterKind } from '@nubrin/core/handoff'
import { DELAY_REASONS } from '@nubrin/core/record'
import { useState } from 'react'
import { freshId, type LetterAbout, useLetters } from '../../data'
import { DateCell, Refused, SelectCell, TextCell, tell } from '../../kit'
import { useBench, useOrder } from '../../store/commission'

const KIND: Record<LetterKind, string> = {
  ...{ question: 'a question', answer: 'an answer', delay: 'a delay', ready: 'it is finished' },
  ...{ shipped: 'it is on its way', year: 'a year later' },
}
const REASON: Record<(typeof DELAY_REASONS)[number], string> = {
  ...{ part: 'a part has not come', answer: 'an answer is missing', longer: 'the work takes longer' },
  ...{ spoilt: 'a part was spoilt', unwell: 'somebody is unwell', machine: 'a machine is down' },
  ...{ power: 'a power cut', other: 'no reason given' },
}

interface Draft {
  id: string
  about: LetterAbout
  subject: string
  text: string
  to: string
}

/** A letter in the client’s language: chosen, written from the record, read and changed, and then put into the outbox. */
export function WriteLetter({ asked }: { asked: readonly string[] }) {
  const order = useOrder()
  const hear = useBench((b) => b.hear)
  const { draft, put } = useLetters(order.id)
  const [kind, setKind] = useState<LetterKind>('question')
  const [reason, setReason] = useState<(typeof DELAY_REASONS)[number]>('part')
  const [newly, setNewly] = useState<string>()
  const [letter, setLetter] = useState<Draft>()
  const about: LetterAbout = {
    kind,
    ...(kind === 'question' || kind === 'answer' ? { questions: [...asked] } : {}),
    ...(kind === 'delay' ? { reason, ...(newly ? { newly } : {}) } : {}),
  }
  const write = () => draft.mutate(about, { onSuccess: (said) => setLetter({ id: freshId(), about, ...said }) })
  const send = (l: Draft) =>
    put.mutate(
      { ...{ id: l.id, subject: l.subject, text: l.text }, ...l.about },
      {
        onSuccess: () => {
          setLetter(undefined)
          tell('The letter lies in the outbox.')
          // What it did to the record comes from the server.
          void hear()
        },
      },
    )
  return (
    <section aria-label="Write a letter">
      <h2 className="h2">Write a letter</h2>
      <div className="flex flex-wrap items-end gap-3">
        <SelectCell
          title="about"
          label="What the letter is about"
          className="w-44!"
          value={kind}
          options={LETTER_KINDS}
          words={(k) => KIND[k]}
          onCommit={(k) => {
            setKind(k)
            setLetter(undefined)
          }}
        />
        {kind === 'delay' ? (
          <>
            <SelectCell
              title="reason"
              label="Why it takes longer"
              className="w-52!"
              value={reason}
              options={DELAY_REASONS}
              words={(r) => REASON[r]}
              onCommit={setReason}
            />
            <DateCell title="new day" label="New promised day" value={newly} onCommit={setNewly} />
          </>
        ) : null}
        <button type="button" className="btn" onClick={write}>
          write it
        </button>
        {kind === 'question' || kind === 'answer' ? (
          <span className="text-quiet">
            {asked.length ? `about ${asked.length} ticked above` : 'tick above what it is about'}
          </span>
        ) : null}
      </div>
      <Refused why={(draft.error ?? put.error)?.message} />
      {letter ? (
        <div className="bg-card border-brassline mt-2 space-y-2 border-t-2 p-3">
          <p className="text-quiet">to {letter.to || 'nobody yet: the client has no e-mail address'}</p>
          <TextCell
            title="subject"
            label="Subject of the letter"
            value={letter.subject}
            onCommit={(subject) => setLetter({ ...letter, subject })}
          />
          <TextCell
            title="text"
            label="Text of the letter"
            lines={10}
            value={letter.text}
            onCommit={(text) => setLetter({ ...letter, text })}
          />
          {letter.about.kind === 'delay' ? (
            <p className="text-quiet">
              Putting it into the outbox moves the promise and writes the delay into the log.
            </p>
          ) : null}
          <div className="flex gap-3">
            <button type="button" className="btn" onClick={() => send(letter)}>
              put it into the outbox
            </button>
            <button type="button" className="btn-plain btn" onClick={() => setLetter(undefined)}>
              discard it
            </button>
          </div>
        </div>
      ) : null}
    </section>
  )
}
