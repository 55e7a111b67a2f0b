import { type Beat, ORDERS } from '@nubrin/core/record'
import {
  chaptersOf,
  compose,
  fromTelling,
  guessSeconds,
  rehearse,
  troubleText,
  uncovered,
} from '@nubrin/core/walkthrough'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { freshId, todayIso } from '../api'
import { useEditSaber, useLight, useOrder, useSaber } from '../store/commission'
import { useSession } from '../store/session'
import { Empty, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../ui/fields'
import { Mark } from '../ui/marks'
import { RefPicker } from '../ui/RefPicker'
import { SortableList } from '../ui/Sortable'

const ORDER_WORDS = {
  pommelUp: 'from the pommel up',
  outsideIn: 'outside, then inside',
  operateFirst: 'operate first, open later',
  build: 'by building it',
}

export default function Walkthrough() {
  const order = useOrder()
  const saber = useSaber()
  const editSaber = useEditSaber()
  const light = useLight()
  const [chosen, setChosen] = useState<string>()
  const run = useMemo(() => rehearse(saber), [saber])
  const gaps = useMemo(() => uncovered(order, saber), [order, saber])
  const index = saber.beats.findIndex((b) => b.id === chosen)
  const time = `${Math.floor(run.seconds / 60)} min ${run.seconds % 60} s`
  const doCompose = () => editSaber('compose', (s) => void (s.beats = compose(order, saber)))
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_250px] gap-6">
      <section aria-label="Script">
        <div className="flex flex-wrap items-center gap-2">
          <h2 className="h2">The script</h2>
          <span className="text-quiet">
            {saber.beats.length} beats, {time}
          </span>
          <SelectCell
            className="w-48!"
            label="Order of telling"
            value={saber.order}
            options={ORDERS}
            words={(o) => ORDER_WORDS[o]}
            onCommit={(v) => editSaber('order of telling', (s) => void (s.order = v))}
          />
          <span className="ml-auto flex gap-2">
            <button type="button" className="btn" onClick={doCompose}>
              {saber.beats.length ? 'compose again' : 'compose from the record'}
            </button>
            {saber.beats.length ? (
              <Link className="btn btn-main" to={`/film/${order.id}/${saber.id}`}>
                film it
              </Link>
            ) : null}
          </span>
        </div>
        {saber.beats.length ? null : (
          <Empty title="Nothing to say yet">
            Compose the script from what has been recorded; then put it into your own words. Beats you have changed are
            kept when you compose again.
          </Empty>
        )}
        <SortableList
          items={saber.beats}
          name={(b) => b.say.slice(0, 30)}
          onMove={(next) => editSaber('order of beats', (s) => void (s.beats = next))}
        >
          {(b, i) => {
            const trouble = run.troubles.filter((t) => t.beat.id === b.id)
            const open = b.id === chosen
            return (
              <div className={open ? 'bg-card px-1 pb-2' : ''}>
                <div className="flex items-start gap-2">
                  <span className="text-brass w-6 pt-1.5 text-right font-semibold">{i + 1}</span>
                  {open ? (
                    <TextCell
                      label={`Say, beat ${i + 1}`}
                      lines={Math.min(6, 1 + Math.ceil(b.say.length / 75))}
                      value={b.say}
                      className="text-[1.05rem]"
                      onCommit={(v) =>
                        editBeat(editSaber, i, (x) => {
                          x.say = v
                          x.seconds = guessSeconds(v)
                        })
                      }
                    />
                  ) : (
                    <button
                      type="button"
                      className="min-w-0 flex-1 truncate py-1.5 text-left"
                      onClick={() => {
                        setChosen(b.id)
                        light(b.show)
                      }}
                    >
                      {b.say}
                    </button>
                  )}
                  {trouble.length ? (
                    <span className="pt-1.5" title={trouble.map(troubleText).join(' ')}>
                      <Mark level="caution" size={16} />
                    </span>
                  ) : null}
                  <span className="text-quiet w-9 shrink-0 pt-1.5 text-right">{b.seconds} s</span>
                  <RemoveButton
                    what={`beat ${i + 1}`}
                    onClick={() => editSaber('remove beat', (s) => void s.beats.splice(i, 1))}
                  />
                </div>
                {trouble.map((t) => (
                  <p key={t.code} className="text-stop pl-8 font-medium">
                    {troubleText(t)}
                  </p>
                ))}
                {open && index >= 0 ? (
                  <div className="grid grid-cols-4 gap-3 pl-8">
                    <Labelled label="show">
                      <RefPicker
                        label={`Show, beat ${i + 1}`}
                        saber={saber}
                        value={b.show}
                        onCommit={(v) => {
                          editBeat(editSaber, i, (x) => setText(x, 'show', v ?? ''))
                          light(v)
                        }}
                      />
                    </Labelled>
                    <Labelled label="do">
                      <TextCell
                        label={`Do, beat ${i + 1}`}
                        value={b.doText ?? ''}
                        onCommit={(v) => editBeat(editSaber, i, (x) => setText(x, 'doText', v))}
                      />
                    </Labelled>
                    <Labelled label="expect">
                      <TextCell
                        label={`Expect, beat ${i + 1}`}
                        value={b.expect ?? ''}
                        onCommit={(v) => editBeat(editSaber, i, (x) => setText(x, 'expect', v))}
                      />
                    </Labelled>
                    <Labelled label="performs">
                      <select
                        className="cell"
                        aria-label={`Performs, beat ${i + 1}`}
                        value={b.perform ?? ''}
                        onChange={(e) => editBeat(editSaber, i, (x) => setText(x, 'perform', e.target.value))}
                      >
                        <option value="">nothing</option>
                        {saber.access.map((p) => (
                          <option key={p.id} value={`task:${p.id}`}>
                            task: {p.task}
                          </option>
                        ))}
                        {saber.controls.map((r) => (
                          <option key={r.id} value={`row:${r.id}`}>
                            {r.state}: {r.says ?? r.does}
                          </option>
                        ))}
                      </select>
                    </Labelled>
                  </div>
                ) : null}
              </div>
            )
          }}
        </SortableList>
        {saber.beats.length ? (
          <button
            type="button"
            className="btn-plain btn"
            onClick={() => {
              const id = freshId()
              editSaber(
                'add beat',
                (s) => void s.beats.push({ id, say: 'New beat', seconds: 5, covers: [], by: 'own' }),
              )
              setChosen(id)
            }}
          >
            + a beat of your own
          </button>
        ) : null}
      </section>
      <section aria-label="Not told yet">
        <h2 className="h2">{gaps.length ? `Not told yet: ${gaps.length}` : 'Everything is told'}</h2>
        {gaps.map((g) => (
          <div key={g.key} className="border-rule border-b py-1 leading-tight">
            <p className={g.must ? 'font-medium' : 'text-quiet'}>{g.what}</p>
            <button
              type="button"
              className="text-brass mr-3"
              onClick={() => editSaber('add beat', (s) => void s.beats.push(fromTelling(saber, g)))}
            >
              add a beat
            </button>
            <SetAside
              onSet={(who, reason) =>
                editSaber('set aside', (s) => void s.untold.push({ key: g.key, who, reason, on: todayIso() }))
              }
            />
          </div>
        ))}
        <div className="mt-4 space-y-1">
          <h3 className="label">take it along</h3>
          <a className="text-brass block" href={`/api/commissions/${order.id}/walkthrough.md`}>
            script as Markdown
          </a>
          <a className="text-brass block" href={`/api/commissions/${order.id}/walkthrough.vtt?saber=${saber.id}`}>
            subtitles, planned times (WebVTT)
          </a>
          {saber.takes.map((t, i) => (
            <span key={t.id} className="block">
              <a
                className="text-brass"
                href={`/api/commissions/${order.id}/walkthrough.vtt?saber=${saber.id}&take=${t.id}`}
              >
                subtitles of take {i + 1} ({t.marks.length} marks)
              </a>
              {', '}
              <a
                className="text-brass"
                download={`chapters-take-${i + 1}.txt`}
                href={`data:text/plain;charset=utf-8,${encodeURIComponent(chaptersOf(saber, t))}`}
              >
                its chapters
              </a>
            </span>
          ))}
        </div>
      </section>
    </div>
  )
}

function editBeat(editSaber: ReturnType<typeof useEditSaber>, i: number, run: (b: Beat) => void) {
  editSaber('beat', (s) => {
    const b = s.beats[i]!
    run(b)
    if (b.by === 'composed') b.by = 'edited'
  })
}

/** Leaves a gap open knowingly: who, and why. */
export function SetAside({ onSet }: { onSet: (who: string, reason: string) => void }) {
  const me = useSession((s) => s.person?.name ?? '')
  const [open, setOpen] = useState(false)
  const [reason, setReason] = useState('')
  if (!open)
    return (
      <button type="button" className="text-brass" onClick={() => setOpen(true)}>
        set aside
      </button>
    )
  return (
    <span className="mt-1 flex gap-1">
      <input
        autoFocus
        className="cell"
        aria-label="Why it is set aside"
        placeholder={`why? signed ${me}`}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && reason.trim().length > 2 && onSet(me, reason.trim())}
      />
      <button
        type="button"
        className="btn min-h-7! px-2!"
        disabled={reason.trim().length < 3}
        onClick={() => onSet(me, reason.trim())}
      >
        sign
      </button>
    </span>
  )
}
