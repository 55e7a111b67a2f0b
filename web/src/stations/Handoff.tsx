import { gateOf } from '@nubrin/core/findings'
import { proposePacking } from '@nubrin/core/handoff'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { type ApiError, api, freshId, todayIso } from '../api'
import { STATION_NAME } from '../rack/Rack'
import { useBench, useEdit, useOrder } from '../store/commission'
import { useSession } from '../store/session'
import { AddLine, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'
import { Mark } from '../ui/marks'
import { SetAside } from './Walkthrough'

interface Issued {
  number: number
  revision: number
  issuedAt: string
  issuedBy: string
  revokedAt: string | null
}

export default function Handoff() {
  const order = useOrder()
  const edit = useEdit()
  const me = useSession((s) => s.person?.name ?? '')
  const flush = useBench((b) => b.flush)
  const gate = gateOf(useBench((b) => b.findings))
  const [issued, setIssued] = useState<Issued[]>([])
  const [link, setLink] = useState('')
  const [wrong, setWrong] = useState('')
  useEffect(() => {
    api<Issued[]>('GET', `/commissions/${order.id}/handoffs`).then(setIssued, () => setIssued([]))
  }, [order.id])
  const issue = async () => {
    setWrong('')
    try {
      await flush()
      const r = await api<{ number: number; revision: number; link: string }>(
        'POST',
        `/commissions/${order.id}/handoffs`,
      )
      setLink(`${location.origin}${r.link}`)
      edit(
        'issue the handoff',
        (d) => void d.handoff.issued.push({ number: r.number, on: todayIso(), revision: r.revision, by: me }),
      )
      setIssued(await api<Issued[]>('GET', `/commissions/${order.id}/handoffs`))
    } catch (e) {
      setWrong((e as ApiError).message)
    }
  }
  const proposed = proposePacking(order)
  const who = (saber?: string) =>
    saber && order.sabers.length > 1 ? `${order.sabers.find((s) => s.id === saber)?.name}: ` : ''
  return (
    <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-8">
      <section aria-label="The gate">
        <h2 className="h2">
          {gate.length
            ? `${gate.length} ${gate.length === 1 ? 'thing stands' : 'things stand'} against shipping`
            : 'The gate is open'}
        </h2>
        {gate.length ? null : (
          <p className="text-fine flex items-center gap-2">
            <Mark level="fine" /> Nothing stands against shipping.
          </p>
        )}
        <ul>
          {gate.map((f) => (
            <li key={f.key} className="border-rule flex items-start gap-2 border-b py-1.5">
              <span className="mt-0.5">
                <Mark level={f.level} size={16} />
              </span>
              <div className="min-w-0 flex-1 leading-tight">
                <Link to={`/commission/${order.id}/${f.station}`} className="font-medium">
                  {who(f.saber)}
                  {f.title}
                </Link>
                <span className="text-quiet block">
                  at {STATION_NAME[f.station]}. {f.remedy}
                </span>
                <SetAside
                  onSet={(name, reason) =>
                    edit(
                      'set aside',
                      (d) =>
                        void d.handoff.waivers.push({
                          key: f.key,
                          who: name,
                          reason: `${f.title}: ${reason}`.slice(0, 400),
                          on: todayIso(),
                        }),
                    )
                  }
                />
              </div>
            </li>
          ))}
        </ul>
        {order.handoff.waivers.length ? (
          <>
            <h3 className="label mt-3">set aside by name</h3>
            {order.handoff.waivers.map((w, i) => (
              <div key={w.key} className="text-quiet flex items-center">
                <span className="flex-1">
                  {w.reason} ({w.who}, {w.on})
                </span>
                <RemoveButton
                  what="this waiver"
                  onClick={() => edit('take back', (d) => void d.handoff.waivers.splice(i, 1))}
                />
              </div>
            ))}
          </>
        ) : null}
      </section>
      <div className="space-y-5">
        <section aria-label="The record" className="bg-card border-ink border p-3">
          <h2 className="h2">The handoff record</h2>
          <div className="mt-1 grid grid-cols-[90px_1fr] gap-3">
            <Labelled label="paper">
              <SelectCell
                label="Paper"
                value={order.handoff.paper}
                options={['A4', 'Letter'] as const}
                onCommit={(v) => edit('paper', (d) => void (d.handoff.paper = v))}
              />
            </Labelled>
            <Labelled label="a word with it">
              <TextCell
                label="A word with it"
                value={order.handoff.words ?? ''}
                onCommit={(v) => edit('words', (d) => setText(d.handoff, 'words', v))}
              />
            </Labelled>
          </div>
          <div className="mt-3 flex flex-wrap gap-2">
            <a className="btn" href={`/api/commissions/${order.id}/handoff.pdf`} target="_blank" rel="noreferrer">
              see the PDF
            </a>
            <button
              type="button"
              className="btn btn-main"
              disabled={gate.length > 0}
              title={gate.length ? 'Resolve what stands against it, or set it aside by name' : ''}
              onClick={() => void issue()}
            >
              issue it to the client
            </button>
          </div>
          {wrong ? (
            <p role="alert" className="text-stop mt-2">
              {wrong}
            </p>
          ) : null}
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
            </p>
          ) : null}
          {issued.map((h) => (
            <p key={h.number} className="text-quiet mt-1 flex items-center gap-2">
              <span className="flex-1">
                No. {h.number}, revision {h.revision}, {h.issuedAt.slice(0, 10)} by {h.issuedBy}
                {h.revokedAt ? ', link withdrawn' : ''}
              </span>
              {h.revokedAt ? null : (
                <button
                  type="button"
                  className="text-brass"
                  onClick={() =>
                    void api('DELETE', `/commissions/${order.id}/handoffs/${h.number}`).then(() =>
                      setIssued(issued.map((x) => (x.number === h.number ? { ...x, revokedAt: todayIso() } : x))),
                    )
                  }
                >
                  withdraw the link
                </button>
              )}
            </p>
          ))}
          <label className="mt-2 flex items-center gap-2">
            <span className="label">shipped on</span>
            <input
              type="date"
              className="cell w-40!"
              aria-label="Shipped on"
              value={order.shipped ?? ''}
              onChange={(e) => edit('shipped', (d) => setText(d, 'shipped', e.target.value))}
            />
          </label>
        </section>
        <section aria-label="Packing list">
          <div className="flex items-center">
            <h2 className="h2 flex-1">In the box</h2>
            {proposed.length ? (
              <button
                type="button"
                className="btn-plain btn"
                onClick={() =>
                  edit(
                    'draft the packing list',
                    (d) => void d.packing.push(...proposed.map((p) => ({ id: freshId(), ...p, packed: false }))),
                  )
                }
              >
                draft {proposed.length} from the record
              </button>
            ) : null}
          </div>
          {order.packing.map((p, i) => (
            <div key={p.id} className="border-rule flex items-center border-b">
              <label className="flex flex-1 items-center gap-2 py-1">
                <input
                  type="checkbox"
                  checked={p.packed}
                  onChange={(e) => edit('packed', (d) => void (d.packing[i]!.packed = e.target.checked))}
                />
                {p.quantity > 1 ? `${p.quantity} × ` : ''}
                {p.what}
              </label>
              <RemoveButton
                what={p.what}
                onClick={() => edit('remove from the box', (d) => void d.packing.splice(i, 1))}
              />
            </div>
          ))}
          <AddLine
            label="something else in the box"
            onAdd={(what) =>
              edit('pack', (d) => void d.packing.push({ id: freshId(), what, quantity: 1, packed: false }))
            }
          />
        </section>
        <section aria-label="Credits">
          <h2 className="h2">Who made what</h2>
          {order.credits.map((k, i) => (
            <div key={k.id} className="flex items-center gap-2">
              <TextCell
                label={`Who ${i + 1}`}
                value={k.who}
                onCommit={(v) => edit('credit', (d) => void (d.credits[i]!.who = v))}
              />
              <TextCell
                label={`Did ${i + 1}`}
                value={k.did}
                onCommit={(v) => edit('credit', (d) => void (d.credits[i]!.did = v))}
              />
              <RemoveButton
                what={`credit to ${k.who}`}
                onClick={() => edit('remove credit', (d) => void d.credits.splice(i, 1))}
              />
            </div>
          ))}
          <AddLine
            label="who: did what"
            onAdd={(t) =>
              edit(
                'credit',
                (d) =>
                  void d.credits.push({
                    id: freshId(),
                    who: t.split(':')[0]!.trim(),
                    did: t.split(':').slice(1).join(':').trim() || 'made it',
                  }),
              )
            }
          />
        </section>
      </div>
    </div>
  )
}
