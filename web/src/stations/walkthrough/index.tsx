import { ORDERS } from '@nubrin/core/record'
import { rehearse } from '@nubrin/core/script'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { freshId } from '../../data'
import { Empty, SelectCell, SortableList } from '../../kit'
import { later } from '../../later'
import { useEditSaber, useOrder, useSaber } from '../../store/commission'
import { BeatRow } from './BeatRow'

/** What is not told yet and what can be taken along, beside the script; it stands a moment later. */
const NotTold = later(() => import('./NotTold').then((m) => m.NotTold))
const Readiness = later(() => import('./Readiness').then((m) => m.Readiness))
const TakeAlong = later(() => import('./TakeAlong').then((m) => m.TakeAlong))

const ORDER_WORDS = {
  pommelUp: 'from the pommel up',
  outsideIn: 'outside, then inside',
  operateFirst: 'operate first, open later',
  build: 'by building it',
}

/** The script of the demonstration: beats in the order of telling, and what is not told yet. */
export default function Walkthrough() {
  const order = useOrder()
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [chosen, setChosen] = useState<string>()
  const run = useMemo(() => rehearse(saber), [saber])
  const time = `${Math.floor(run.seconds / 60)} min ${run.seconds % 60} s`
  const composeAnew = async () => {
    const { compose } = await import('./compose-code')
    editSaber('compose', (s, d) => void (s.beats = compose(d, s)))
  }
  const own = () => {
    const id = freshId()
    editSaber('add beat', (s) => void s.beats.push({ id, say: 'New beat', seconds: 5, covers: [], by: 'own' }))
    setChosen(id)
  }
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
            <button type="button" className="btn" onClick={() => void composeAnew()}>
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
          {(b, i) => (
            <BeatRow
              saber={saber}
              beat={b}
              n={i + 1}
              open={b.id === chosen}
              troubles={run.troubles.filter((t) => t.beat.id === b.id)}
              onOpen={() => setChosen(b.id)}
            />
          )}
        </SortableList>
        {saber.beats.length ? (
          <button type="button" className="btn-plain btn" onClick={own}>
            + a beat of your own
          </button>
        ) : null}
      </section>
      <div>
        <NotTold order={order} saber={saber} />
        {saber.beats.length ? <Readiness order={order} saber={saber} /> : null}
        <TakeAlong order={order} saber={saber} />
      </div>
    </div>
  )
}
