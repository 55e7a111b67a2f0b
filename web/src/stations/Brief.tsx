import { type Commission, FATES, JOBS, PURPOSES, words } from '@nubrin/core/record'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { api, freshId, todayIso, uploadFile } from '../api'
import { useEdit, useOrder, useSaber } from '../store/commission'
import { AddLine, FileButton, Labelled, Refused, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'
import { RefPicker } from '../ui/RefPicker'

interface Known {
  name: string
  commissions: { id: string; title: string; shipped: string | null }[]
}
const REQUEST_STATUS = ['open', 'met', 'changed', 'declined'] as const

export default function Brief() {
  const order = useOrder()
  const saber = useSaber()
  const edit = useEdit()
  const [clients, setClients] = useState<Known[]>([])
  useEffect(() => {
    api<Known[]>('GET', '/clients').then(setClients, () => setClients([]))
  }, [])
  const earlier = clients.find((c) => c.name === order.client.name)?.commissions.filter((c) => c.id !== order.id) ?? []
  const set = <K extends keyof Commission>(key: K, value: Commission[K]) =>
    edit(`set ${key}`, (d) => {
      if (value === '' && key !== 'brief') delete d[key]
      else d[key] = value
    })
  return (
    <div className="grid grid-cols-[270px_minmax(0,1fr)] gap-x-8 gap-y-4">
      <section aria-label="Client and job" className="grid grid-cols-2 content-start gap-x-4 gap-y-2">
        <Labelled label="client" className="col-span-2">
          <TextCell
            label="Client"
            value={order.client.name}
            list="clients"
            className="text-[1.1rem] font-semibold"
            onCommit={(v) => edit('client', (d) => void (d.client.name = v.trim()))}
          />
          <datalist id="clients">
            {clients.map((c) => (
              <option key={c.name} value={c.name} />
            ))}
          </datalist>
          {earlier.length ? (
            <p className="text-[0.87rem]">
              <span className="text-brass font-semibold">Returning.</span> Earlier:{' '}
              {earlier.map((c) => (
                <Link key={c.id} to={`/commission/${c.id}/brief`} className="mr-2 underline decoration-dotted">
                  {c.title}
                </Link>
              ))}
            </p>
          ) : null}
        </Labelled>
        <Labelled label="job">
          <SelectCell
            label="Job"
            value={order.job}
            options={JOBS}
            words={(j) => (j === 'model' ? 'model sheet' : words(j))}
            onCommit={(v) => set('job', v)}
          />
        </Labelled>
        <Labelled label="for">
          <SelectCell label="Purpose" value={order.purpose} options={PURPOSES} onCommit={(v) => set('purpose', v)} />
        </Labelled>
        <Labelled label="country">
          <TextCell
            label="Country"
            value={order.client.country ?? ''}
            onCommit={(v) => edit('country', (d) => setText(d.client, 'country', v))}
          />
        </Labelled>
        <Labelled label="how to reach them">
          <TextCell
            label="Contact"
            value={order.client.contact ?? ''}
            onCommit={(v) => edit('contact', (d) => setText(d.client, 'contact', v))}
          />
        </Labelled>
        <Labelled label="ordered">
          <input
            type="date"
            aria-label="Ordered"
            className="cell"
            value={order.ordered ?? ''}
            onChange={(e) => set('ordered', e.target.value)}
          />
        </Labelled>
        <Labelled label="promised for">
          <input
            type="date"
            aria-label="Deadline"
            className="cell"
            value={order.deadline ?? ''}
            onChange={(e) => set('deadline', e.target.value)}
          />
        </Labelled>
        <Labelled label="the wish, in their words" className="col-span-2">
          <TextCell
            lines={3}
            label="Brief"
            value={order.brief}
            placeholder="Old, well kept…"
            onCommit={(v) => set('brief', v)}
          />
        </Labelled>
        <div className="col-span-2">
          <Photos />
        </div>
      </section>
      <div className="min-w-0 space-y-5">
        <section aria-label="Requests">
          <h2 className="h2">What they asked for</h2>
          {order.requests.map((r, i) => (
            <div
              key={r.id}
              className="border-rule grid grid-cols-[minmax(0,1.6fr)_92px_minmax(0,1fr)_minmax(0,1fr)_auto] items-start gap-2 border-b"
            >
              <TextCell
                label={`Request ${i + 1}`}
                value={r.text}
                onCommit={(v) => edit('request', (d) => void (d.requests[i]!.text = v))}
              />
              <SelectCell
                label={`Status of request ${i + 1}`}
                value={r.status}
                options={REQUEST_STATUS}
                onCommit={(v) => edit('request status', (d) => void (d.requests[i]!.status = v))}
              />
              {r.status === 'met' ? (
                <RefPicker
                  label={`Where request ${i + 1} is met`}
                  saber={saber}
                  value={r.where}
                  onCommit={(v) => edit('where met', (d) => setText(d.requests[i]!, 'where', v ?? ''))}
                />
              ) : r.status === 'open' ? (
                <span />
              ) : (
                <input
                  type="date"
                  aria-label={`Client told about request ${i + 1} on`}
                  title="client told on"
                  className="cell"
                  value={r.toldOn ?? ''}
                  onChange={(e) => edit('told', (d) => setText(d.requests[i]!, 'toldOn', e.target.value))}
                />
              )}
              <TextCell
                label={`Answer to request ${i + 1}`}
                placeholder="answer"
                value={r.answer ?? ''}
                onCommit={(v) => edit('answer', (d) => setText(d.requests[i]!, 'answer', v))}
              />
              <RemoveButton
                what={`request ${i + 1}`}
                onClick={() => edit('remove request', (d) => void d.requests.splice(i, 1))}
              />
            </div>
          ))}
          <AddLine
            label="one wish a line"
            onAdd={(text) => edit('add request', (d) => void d.requests.push({ id: freshId(), text, status: 'open' }))}
          />
        </section>
        <div className="grid grid-cols-2 gap-7">
          <section aria-label="Parts that arrived">
            <h2 className="h2">What they sent</h2>
            {order.arrivals.map((a, i) => (
              <div key={a.id} className="border-rule border-b pb-1">
                <div className="flex items-center gap-2">
                  <TextCell
                    label={`Part ${i + 1}`}
                    value={a.what}
                    className="font-medium"
                    onCommit={(v) => edit('arrival', (d) => void (d.arrivals[i]!.what = v))}
                  />
                  <input
                    type="number"
                    min={1}
                    max={999}
                    aria-label={`How many of ${a.what}`}
                    className="cell w-12!"
                    value={a.quantity}
                    onChange={(e) =>
                      edit(
                        'quantity',
                        (d) =>
                          void (d.arrivals[i]!.quantity = Math.max(
                            1,
                            Math.min(999, Math.round(Number(e.target.value) || 1)),
                          )),
                      )
                    }
                  />
                  <SelectCell
                    className="w-28!"
                    label={`What became of ${a.what}`}
                    value={a.fate}
                    options={FATES}
                    words={words}
                    onCommit={(v) => edit('fate', (d) => void (d.arrivals[i]!.fate = v))}
                  />
                  <RemoveButton
                    what={a.what}
                    onClick={() => edit('remove arrival', (d) => void d.arrivals.splice(i, 1))}
                  />
                </div>
                <TextCell
                  label={`Condition of ${a.what}`}
                  placeholder="condition on arrival"
                  value={a.condition}
                  onCommit={(v) => edit('condition', (d) => void (d.arrivals[i]!.condition = v))}
                />
              </div>
            ))}
            <AddLine
              label="part, as it came"
              onAdd={(what) =>
                edit(
                  'add arrival',
                  (d) => void d.arrivals.push({ id: freshId(), what, quantity: 1, condition: '', fate: 'undecided' }),
                )
              }
            />
          </section>
          <section aria-label="Questions to the client">
            <h2 className="h2">What we must ask</h2>
            {order.questions.map((q, i) => (
              <div key={q.id} className="border-rule border-b pb-1">
                <div className="flex items-center gap-1">
                  <TextCell
                    label={`Question ${i + 1}`}
                    value={q.text}
                    className="font-medium"
                    onCommit={(v) => edit('question', (d) => void (d.questions[i]!.text = v))}
                  />
                  <RemoveButton
                    what={`question ${i + 1}`}
                    onClick={() => edit('remove question', (d) => void d.questions.splice(i, 1))}
                  />
                </div>
                <div className="flex items-center gap-3">
                  <label className="label flex shrink-0 items-center gap-1">
                    <input
                      type="checkbox"
                      checked={!!q.askedOn}
                      onChange={(e) =>
                        edit('asked', (d) => setText(d.questions[i]!, 'askedOn', e.target.checked ? todayIso() : ''))
                      }
                    />{' '}
                    asked
                  </label>
                  <label className="label flex shrink-0 items-center gap-1">
                    <input
                      type="checkbox"
                      checked={q.blocks}
                      onChange={(e) => edit('blocks', (d) => void (d.questions[i]!.blocks = e.target.checked))}
                    />{' '}
                    blocks shipping
                  </label>
                  <TextCell
                    label={`Answer to question ${i + 1}`}
                    placeholder="answer"
                    value={q.answer ?? ''}
                    onCommit={(v) =>
                      edit('answer', (d) => {
                        setText(d.questions[i]!, 'answer', v)
                        setText(d.questions[i]!, 'answeredOn', v.trim() ? todayIso() : '')
                      })
                    }
                  />
                </div>
              </div>
            ))}
            <AddLine
              label="question to the client"
              onAdd={(text) =>
                edit('add question', (d) => void d.questions.push({ id: freshId(), text, blocks: true }))
              }
            />
          </section>
        </div>
      </div>
    </div>
  )
}

/** Photos, each tied to a place on the hilt. */
export function Photos() {
  const order = useOrder()
  const saber = useSaber()
  const edit = useEdit()
  const [wrong, setWrong] = useState('')
  const add = async (files: File[]) => {
    setWrong('')
    for (const f of files) {
      try {
        const m = await uploadFile(f)
        if (!m.type.startsWith('image/')) throw new Error(`${f.name} is not a photo.`)
        edit(
          'add photo',
          (d) => void d.media.push({ id: freshId(), hash: m.hash, type: m.type, name: m.name, bytes: m.bytes }),
        )
      } catch (e) {
        setWrong((e as Error).message)
      }
    }
  }
  return (
    <section aria-label="Photos">
      <div className="flex items-center justify-between">
        <h2 className="label">photos</h2>
        <FileButton
          label="add a photo"
          className="btn-plain btn min-h-0!"
          accept="image/jpeg,image/png,image/webp"
          multiple
          onFiles={(f) => void add(f)}
        />
      </div>
      <Refused why={wrong} />
      <div className="grid grid-cols-2 gap-2">
        {order.media
          .filter((m) => m.type.startsWith('image/'))
          .map((m) => {
            const i = order.media.findIndex((x) => x.id === m.id)
            return (
              <figure key={m.id} className="border-rule bg-card border p-1">
                <img src={`/api/media/${m.hash}`} alt={m.caption ?? m.name} className="h-16 w-full object-cover" />
                <RefPicker
                  label={`Place of photo ${m.name}`}
                  saber={saber}
                  value={m.place}
                  onCommit={(v) => edit('photo place', (d) => setText(d.media[i]!, 'place', v ?? ''))}
                />
              </figure>
            )
          })}
      </div>
    </section>
  )
}
