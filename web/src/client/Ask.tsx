import { dayText } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useState } from 'react'
import { useReader } from '../base/reader'
import type { Replies } from './replies'

/** A question to the shop; without a server it is saved as a small file, or copied, to be sent by hand. */
export function Ask({ replies, asFile, contact }: { replies: Replies; asFile: boolean; contact: string }) {
  const reader = useReader()
  const [text, setText] = useState('')
  const asked = replies.said.flatMap((x) => ('asks' in x.body ? [{ ...x, asks: x.body.asks }] : []))
  const waiting = replies.said.filter((x) => !x.sent).length
  const ask = () => {
    const asks = text.trim().slice(0, 240)
    if (!asks) return
    replies.say({ asks })
    setText('')
  }
  return (
    <section aria-labelledby="ask" className="mt-8 print:hidden">
      <h2 id="ask" className="border-ink border-b pb-1 text-[1.35rem]">
        {say(reader, 'page.ask')}
      </h2>
      <form
        className="mt-3"
        onSubmit={(e) => {
          e.preventDefault()
          ask()
        }}
      >
        <textarea
          className="border-ink bg-card w-full border p-3"
          rows={2}
          maxLength={240}
          aria-label={say(reader, 'page.question')}
          placeholder={say(reader, 'page.question')}
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <button type="submit" className="btn mt-1" disabled={!text.trim()}>
          {say(reader, 'page.askIt', { file: asFile ? 'yes' : 'no' })}
        </button>
      </form>
      <ul aria-live="polite">
        {asked.map((x) => (
          <li key={x.body.id} className="border-rule border-b py-1.5">
            {say(reader, 'ownWords', { text: x.asks })}{' '}
            <span className="text-quiet">
              {say(reader, 'page.asked', {
                sent: x.sent ? 'yes' : 'no',
                on: dayText(reader, x.on),
                file: asFile ? 'yes' : 'no',
              })}
            </span>
          </li>
        ))}
      </ul>
      {replies.refused && waiting ? (
        <p className="text-stop mt-2">{say(reader, 'page.notSent', { why: replies.refused })}</p>
      ) : null}
      {asFile && replies.said.length ? <ByHand replies={replies} contact={contact} waiting={waiting > 0} /> : null}
    </section>
  )
}

/** Saved as a file or copied, to be sent by hand. */
function ByHand({ replies, contact, waiting }: { replies: Replies; contact: string; waiting: boolean }) {
  const reader = useReader()
  /** Hands over what there is to say, once it has been given away. */
  const hand = async (give: (content: string) => unknown) => {
    const content = replies.asFile()
    if (!content) return
    await give(content)
    replies.handed()
  }
  const save = (content: string) => {
    const a = document.createElement('a')
    a.href = URL.createObjectURL(new Blob([content], { type: 'application/json' }))
    a.download = 'reply.json'
    a.click()
  }
  return (
    <div className="mt-3">
      <p>{say(reader, 'page.reply', { contact, known: contact ? 'yes' : 'no' })}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className={waiting ? 'btn btn-main' : 'btn'} onClick={() => void hand(save)}>
          {say(reader, 'page.saveReply')}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => void hand((content) => navigator.clipboard.writeText(content))}
        >
          {say(reader, 'page.copyReply')}
        </button>
      </div>
    </div>
  )
}
