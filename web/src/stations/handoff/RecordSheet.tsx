import { EXTENTS } from '@nubrin/core/record'
import { toldNow } from '@nubrin/core/script'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { call, publicLink, refusalText, todayIso, urlOf } from '../../data'
import { bound, DateCell, Refused, SelectCell, TextCell } from '../../kit'
import { useBench, useEdit, useOrder } from '../../store/commission'
import { useSession } from '../../store/session'
import { IssuedList } from './IssuedList'
import { useGate } from './useGate'

const PDFS = [
  ['full', 'see the PDF'],
  ['short', 'short'],
  ['sheet', 'one sheet'],
] as const

/** Freezes the record for its client: what is not saved yet goes out first. The link is told this once. */
function useIssue() {
  const order = useOrder()
  const edit = useEdit()
  const me = useSession((s) => s.person?.name ?? '')
  const flush = useBench((b) => b.flush)
  const asked = useQueryClient()
  const [link, setLink] = useState('')
  const [wrong, setWrong] = useState('')
  const issue = async () => {
    setWrong('')
    try {
      await flush()
      // What was edited while that was on its way goes out before the record is frozen.
      for (let n = 0; n < 4 && useBench.getState().pending; n++) await flush()
      const r = await call('issue', { params: { id: order.id } })
      setLink(await publicLink(r.link))
      edit('issue the handoff', (d) => {
        // Only the newest says what it told: the older ones lead to it.
        for (const x of d.handoff.issued) delete x.told
        d.handoff.issued.push({ number: r.number, on: todayIso(), revision: r.revision, by: me, told: toldNow(d) })
      })
      await asked.invalidateQueries({ queryKey: ['issued', order.id] })
    } catch (e) {
      setWrong(refusalText(e))
    }
  }
  return { issue, link, wrong }
}

/** The handoff record: paper, a few words, the PDF, and its issue to the client. */
export function RecordSheet() {
  const order = useOrder()
  const standing = useGate()?.length
  const { issue, link, wrong } = useIssue()
  return (
    <section aria-label="The record" className="bg-card border-ink border p-3">
      <h2 className="h2">The handoff record</h2>
      <How />
      <div className="mt-3 flex flex-wrap gap-2">
        {PDFS.map(([extent, words]) => (
          <a
            key={extent}
            className="btn"
            href={urlOf('handoffPdf', { params: { id: order.id }, query: { extent } })}
            target="_blank"
            rel="noreferrer"
          >
            {words}
          </a>
        ))}
        <button
          type="button"
          className="btn btn-main"
          disabled={standing !== 0}
          title={standing === 0 ? '' : 'Settle what blocks it, or waive it by name'}
          onClick={() => void issue()}
        >
          issue it to the client
        </button>
      </div>
      <Refused why={wrong} className="mt-2" />
      {link ? <ItsLink link={link} /> : null}
      <IssuedList id={order.id} />
      <Shipped standing={standing} />
    </section>
  )
}

/** On what paper, how much of it, and with what words. */
function How() {
  const order = useOrder()
  const edit = useEdit()
  const { choice, put, text } = bound(order.handoff, (run, key) => edit(key, (d) => run(d.handoff)))
  return (
    <div className="mt-1 grid grid-cols-[80px_130px_1fr] gap-3">
      <SelectCell title="paper" label="Paper" options={['A4', 'Letter'] as const} {...choice('paper')} />
      <SelectCell
        title="the client gets"
        label="How much of the record the client gets"
        value={order.handoff.extent ?? 'full'}
        options={EXTENTS}
        words={(v) => (v === 'full' ? 'all of it' : 'the short one')}
        onCommit={(v) => put('extent', v === 'full' ? undefined : v)}
      />
      <TextCell title="a few words" label="A few words" {...text('words')} />
    </div>
  )
}

const ItsLink = ({ link }: { link: string }) => (
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
      its PDF, with a QR code for the page
    </a>
  </p>
)

/** When it left: not before the gate is open. What came up against it since is said. */
function Shipped({ standing }: { standing: number | undefined }) {
  const order = useOrder()
  const edit = useEdit()
  const { day } = bound(order, (run, key) => edit(key, run))
  return (
    <>
      <div className="mt-2 flex items-center gap-2">
        <span className="label">shipped on</span>
        {order.shipped || standing === 0 ? (
          <DateCell className="w-44" label="Shipped on" {...day('shipped')} />
        ) : (
          <span className="text-quiet">set once it is ready to ship</span>
        )}
      </div>
      {order.shipped && standing ? (
        <Refused
          why={`It has shipped, and ${standing} ${standing === 1 ? 'thing is' : 'things are'} not settled. Waive each with a name and a reason; both are printed.`}
        />
      ) : null}
    </>
  )
}
