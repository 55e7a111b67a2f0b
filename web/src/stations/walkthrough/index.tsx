import { type Beat, type Commission, ORDERS, type Saber } from '@nubrin/core/record'
import { useCallback, useState } from 'react'
import { Link } from 'react-router'
import { lazyView } from '../../base/lazy'
import { freshId } from '../../data'
import { Empty, SelectCell, SortableList } from '../../kit'
import { useEditSaber, useLight, useOrder, useSaber } from '../../store/commission'
import { BeatRow } from './BeatRow'
import { COMPOSER, useRehearsal } from './useRehearsal'

/** What stands beside the script, and what only an open beat needs; each comes a moment later. */
const BeatSheet = lazyView(() => import('./BeatSheet').then((m) => m.BeatSheet))
const ScriptTimeline = lazyView(() => import('./ScriptTimeline').then((m) => m.ScriptTimeline))
const ForWhom = lazyView(() => import('./ForWhom').then((m) => m.ForWhom))
const SpokenNames = lazyView(() => import('./SpokenNames').then((m) => m.SpokenNames))
const NotTold = lazyView(() => import('./NotTold').then((m) => m.NotTold))
const Readiness = lazyView(() => import('./Readiness').then((m) => m.Readiness))
const TakeAlong = lazyView(() => import('./TakeAlong').then((m) => m.TakeAlong))

const ORDER_WORDS = {
  pommelUp: 'from the pommel up',
  outsideIn: 'outside, then inside',
  operateFirst: 'operate first, open later',
  build: 'by building it',
}

const NONE: readonly string[] = []

/** What changes the script as a whole; the composer's code comes with the first wish for it. */
function useScript() {
  const editSaber = useEditSaber()
  return {
    async composeAnew() {
      const code = await COMPOSER.fetch()
      editSaber('compose', (s, d) => void (s.beats = code.compose(d, s)))
    },
    async trim() {
      const { proposeTrim, targetOf } = await COMPOSER.fetch()
      editSaber('leave to paper', (s, d) => {
        const left = new Set(proposeTrim(d, s, targetOf(s) ?? 0))
        for (const b of s.beats) if (left.has(b.id)) b.leftTo = 'paper'
      })
    },
    async reorder(next: Beat[]) {
      const { composedWords } = await COMPOSER.fetch()
      editSaber('order of beats', (s, d) => void (s.beats = composedWords(d, { ...s, beats: next })))
    },
    /** A beat of the maker's own behind another one, else before the farewell; its id. */
    own(behind: string | undefined): string {
      const id = freshId()
      editSaber('add beat', (s) => {
        const bye = s.beats.findIndex((b) => b.covers.includes('farewell'))
        const at = behind ? s.beats.findIndex((b) => b.id === behind) + 1 : bye < 0 ? s.beats.length : bye
        s.beats.splice(at, 0, { id, say: 'New beat', seconds: 5, covers: [], by: 'own' })
      })
      return id
    },
  }
}

/** The script of the demonstration: beats in the order of telling, rehearsed on the machine, and what is not told yet. */
export default function Walkthrough() {
  const order = useOrder()
  const saber = useSaber()
  const light = useLight()
  const script = useScript()
  const [chosen, setChosen] = useState<string>()
  const [open, setOpen] = useState<string>()
  const { run, troubles, strays, now } = useRehearsal(order, saber)
  const choose = useCallback(
    (id: string) => {
      setChosen(id)
      light(saber.beats.find((b) => b.id === id)?.show)
    },
    [light, saber.beats],
  )
  const openBeat = (id: string) => {
    setOpen(open === id ? undefined : id)
    choose(id)
  }
  const own = () => {
    const id = script.own(chosen)
    setOpen(id)
    setChosen(id)
  }
  const told = saber.beats.length > 0
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_250px] gap-6">
      <section aria-label="Script">
        <div className="bg-paper sticky -top-3 z-10 -mt-3 pt-3">
          <Head order={order} saber={saber} onCompose={() => void script.composeAnew()} />
          {!told ? (
            <Empty title="Nothing to say yet">
              Compose the script from what has been recorded; then put it into your own words. Beats you have changed
              are kept when you compose again.
            </Empty>
          ) : run ? (
            <ScriptTimeline
              saber={saber}
              run={run}
              chosen={chosen}
              onChoose={choose}
              onTrim={() => void script.trim()}
            />
          ) : null}
        </div>
        <SortableList items={saber.beats} name={(b) => b.say.slice(0, 30)} onMove={(next) => void script.reorder(next)}>
          {(b, i) => {
            const stray = strays.find((x) => x.beat === b.id)
            return (
              <>
                <BeatRow
                  saber={saber}
                  beat={b}
                  n={i + 1}
                  open={b.id === open}
                  troubles={troubles.get(b.id) ?? NONE}
                  stray={!!stray}
                  now={now.get(b.id)}
                  onOpen={() => openBeat(b.id)}
                />
                {b.id === open ? (
                  <BeatSheet order={order} saber={saber} beat={b} n={i + 1} stray={stray} onOpen={openBeat} />
                ) : null}
              </>
            )
          }}
        </SortableList>
        {told ? (
          <button type="button" className="btn-plain btn" onClick={own}>
            + a beat of your own{chosen ? ', here' : ''}
          </button>
        ) : null}
      </section>
      <Beside order={order} saber={saber} />
    </div>
  )
}

/** How many beats, in what order, and what can be done with all of them. */
function Head({ order, saber, onCompose }: { order: Commission; saber: Saber; onCompose: () => void }) {
  const editSaber = useEditSaber()
  const told = saber.beats.length > 0
  return (
    <div className="flex flex-wrap items-center gap-2">
      <h2 className="h2">The script</h2>
      <span className="text-quiet">{saber.beats.length} beats</span>
      <SelectCell
        className="w-48!"
        label="Order of telling"
        value={saber.order}
        options={ORDERS}
        words={(o) => ORDER_WORDS[o]}
        onCommit={(v) => editSaber('order of telling', (s) => void (s.order = v))}
      />
      <span className="ml-auto flex gap-2">
        <button type="button" className="btn" onClick={onCompose}>
          {told ? 'compose again' : 'compose from the record'}
        </button>
        {told ? (
          <Link className="btn btn-main" to={`/film/${order.id}/${saber.id}`}>
            film it
          </Link>
        ) : null}
      </span>
    </div>
  )
}

/** What is not told yet, for whom it is, what is to be ready, and what is taken along. */
const Beside = ({ order, saber }: { order: Commission; saber: Saber }) => (
  <div>
    <NotTold order={order} saber={saber} />
    <div className="mt-4">
      <ForWhom order={order} saber={saber} />
    </div>
    {saber.beats.length ? <Readiness order={order} saber={saber} /> : null}
    <SpokenNames saber={saber} />
    <TakeAlong order={order} saber={saber} />
  </div>
)
