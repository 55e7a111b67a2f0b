import { type Taken, takeReply } from '@nubrin/core/handoff'
import type { ReplyFile } from '@nubrin/core/record'
import { useState } from 'react'
import { call, refusalText } from '../../data'
import { dayText, FileButton, Refused, RemoveButton } from '../../kit'
import { Answer } from '../../shared/Answer'
import { useBench, useEdit, useOrder, useRemove } from '../../store/commission'

/** What came back from the client, by his page or as a small file: questions to answer, and what he has read. */
export function Replies() {
  const order = useOrder()
  const edit = useEdit()
  const remove = useRemove()
  const now = useBench((b) => b.record)
  const [told, setTold] = useState<{ wrong?: string; good?: string }>({})
  const asked = order.questions.filter((q) => q.askedBy === 'client')
  const { receipts } = order.handoff
  const take = async ([file]: File[]) => {
    if (!file || !now) return
    let reply: ReplyFile
    try {
      reply = await call('readReply', { params: { id: order.id }, file })
    } catch (e) {
      return setTold({ wrong: refusalText(e) })
    }
    const { says, number, on } = reply
    const counted = (d: typeof now) => says.map((x): Taken => takeReply(d, x, number, on))
    const came = counted(structuredClone(now))
    edit('import a reply', (d) => void counted(d))
    const n = (t: Taken) => came.filter((x) => x === t).length
    const parts = [`${n('taken')} imported`, n('there') && `${n('there')} there already`]
    setTold({
      good: `${parts.filter(Boolean).join(', ')}.`,
      ...(n('tooMany') ? { wrong: `${n('tooMany')} not imported: answer some questions first.` } : {}),
    })
  }
  return (
    <section aria-label="What came back">
      <div className="flex items-baseline">
        <h2 className="h2 flex-1">What came back from the client</h2>
        <FileButton
          label="import a reply"
          accept=".json,.txt"
          className="btn-plain btn"
          onFiles={(f) => void take(f)}
        />
      </div>
      <Refused why={told.wrong} />
      {told.good ? <p className="text-fine">{told.good}</p> : null}
      {asked.length + receipts.length ? null : (
        <p className="text-quiet">
          Nothing yet. Questions and read receipts arrive from the client’s page by themselves; from the page as a file
          they come as a reply that the client sends you.
        </p>
      )}
      {asked.map((q, i) => (
        <div key={q.id} className="border-rule border-b py-1">
          <div className="flex items-start gap-2">
            <p className="flex-1 font-medium">
              “{q.text}” {q.askedOn ? <span className="text-quiet font-normal">{dayText(q.askedOn)}</span> : null}
            </p>
            <RemoveButton what={`the client’s question ${i + 1}`} onClick={() => remove(`question:${q.id}`)} />
          </div>
          <Answer of={q} label={`Our answer to “${q.text}”`} placeholder="our answer" />
        </div>
      ))}
      {receipts.length ? <h3 className="label mt-3">has read</h3> : null}
      {receipts.map((r) => (
        <p key={r.id} className="border-rule text-quiet flex items-center gap-2 border-b py-1">
          <span className="flex-1">
            {r.chapter.replace(/-.*/, '')} of record no. {r.number}, {dayText(r.on)}
            {r.by ? ` (${r.by})` : ''}
          </span>
          <RemoveButton what={`the receipt of ${r.on}`} onClick={() => remove(`receipt:${r.id}`)} />
        </p>
      ))}
    </section>
  )
}
