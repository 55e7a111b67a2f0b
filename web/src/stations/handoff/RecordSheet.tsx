import { EXTENTS } from '@nubrin/core/record'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { call, publicLink, refusalText, todayIso, urlOf } from '../../data'
import { DateCell, Refused, SelectCell, setText, TextCell } from '../../kit'
import { useBench, useEdit, useOrder } from '../../store/commission'
import { useSession } from '../../store/session'
import { IssuedList } from './IssuedList'
import { useGate } from './useGate'

const PDFS = [
  ['full', 'see the PDF'],
  ['short', 'short'],
  ['sheet', 'one sheet'],
] as const

/** The handoff record: paper, a word with it, the PDF, and its issue to the client. */
export function RecordSheet() {
  const order = useOrder()
  const edit = useEdit()
  const me = useSession((s) => s.person?.name ?? '')
  const flush = useBench((b) => b.flush)
  const standing = useGate()?.length
  const open = standing === 0
  const asked = useQueryClient()
  const [link, setLink] = useState('')
  const [wrong, setWrong] = useState('')
  const params = { id: order.id }
  const issue = async () => {
    setWrong('')
    try {
      await flush()
      // What was edited while that was on its way goes out before the record is frozen.
      for (let n = 0; n < 4 && useBench.getState().pending; n++) await flush()
      const r = await call('issue', { params })
      setLink(await publicLink(r.link))
      edit('issue the handoff', (d) => {
        d.handoff.issued.push({ number: r.number, on: todayIso(), revision: r.revision, by: me })
      })
      await asked.invalidateQueries({ queryKey: ['issued', order.id] })
    } catch (e) {
      setWrong(refusalText(e))
    }
  }
  return (
    <section aria-label="The record" className="bg-card border-ink border p-3">
      <h2 className="h2">The handoff record</h2>
      <div className="mt-1 grid grid-cols-[80px_130px_1fr] gap-3">
        <SelectCell
          title="paper"
          label="Paper"
          value={order.handoff.paper}
          options={['A4', 'Letter'] as const}
          onCommit={(v) => edit('paper', (d) => void (d.handoff.paper = v))}
        />
        <SelectCell
          title="the client gets"
          label="How much of the record the client gets"
          value={order.handoff.extent ?? 'full'}
          options={EXTENTS}
          words={(v) => (v === 'full' ? 'all of it' : 'the short one')}
          onCommit={(v) => edit('extent', (d) => setText(d.handoff, 'extent', v === 'full' ? '' : v))}
        />
        <TextCell
          title="a word with it"
          label="A word with it"
          value={order.handoff.words ?? ''}
          onCommit={(v) => edit('words', (d) => setText(d.handoff, 'words', v))}
        />
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        {PDFS.map(([extent, words]) => (
          <a
            key={extent}
            className="btn"
            href={urlOf('handoffPdf', { params, query: { extent } })}
            target="_blank"
            rel="noreferrer"
          >
            {words}
          </a>
        ))}
        <button
          type="button"
          className="btn btn-main"
          disabled={!open}
          title={open ? '' : 'Resolve what stands against it, or set it aside by name'}
          onClick={() => void issue()}
        >
          issue it to the client
        </button>
      </div>
      <Refused why={wrong} className="mt-2" />
      {link ? (
        <p className="mt-2">
          The client’s page, shown this once:{' '}
          <a
            className="text-brass break-all underline"
            href={link}
            target="_blank"
            rel="noreferrer"
            data-testid="client-link"
          >
            {link}
          </a>
          {' · '}
          <a
            className="text-brass underline"
            href={urlOf('clientPdf', { params: { token: link.split('/').pop()! } })}
            target="_blank"
            rel="noreferrer"
          >
            its PDF, with the way there to photograph
          </a>
        </p>
      ) : null}
      <IssuedList id={order.id} />
      <div className="mt-2 flex items-center gap-2">
        <span className="label">shipped on</span>
        <DateCell
          className="w-44"
          label="Shipped on"
          value={order.shipped}
          onCommit={(v) => edit('shipped', (d) => setText(d, 'shipped', v ?? ''))}
        />
      </div>
      {order.shipped && standing ? (
        <Refused
          why={`It went past ${standing} ${standing === 1 ? 'thing that stands' : 'things that stand'} against shipping. Set each aside with a name and a reason: that is printed.`}
        />
      ) : null}
    </section>
  )
}
