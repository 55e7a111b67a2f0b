import { type Commission, readerOf, type Saber, type Take, toldSaber } from '@nubrin/core/record'
import {
  type Clip,
  type CueTime,
  chaptersVttOf,
  clipsOf,
  cueTimes,
  descriptionOf,
  firstWords,
  leftOutOf,
  stamp,
  takeCsvOf,
  tellingOrder,
  webVttOf,
} from '@nubrin/core/script'
import { useMemo, useRef, useState } from 'react'
import { Link } from 'react-router'
import { freshId } from '../data'
import { bound, CheckBox, dayText, FileButton, fileStem, saveText, TextCell } from '../kit'
import { useEdit } from '../store/commission'

const KIND = { slip: 'slip', retake: 'told again', saidNew: 'said something new' } as const
/** Minutes and seconds; the hours where there are any. */
const at = (ms: number) =>
  stamp(ms)
    .slice(0, 8)
    .replace(/^00:0?/, '')

/** The edits of a take, wherever its saber stands by then. */
function useTake(saber: Saber, take: Take) {
  const edit = useEdit()
  const inTake = (d: Commission) => d.sabers.find((s) => s.id === saber.id)?.takes.find((x) => x.id === take.id)
  const markOf = (d: Commission, id: string) => inTake(d)?.slips?.find((y) => y.id === id)
  return {
    mark: (id: string, run: (x: Mark) => void) =>
      edit('mark of a take', (d) => {
        const x = markOf(d, id)
        if (x) run(x)
      }),
    /** What was said on film and is not recorded becomes something to do. */
    settle: (id: string, text: string) =>
      edit('a to-do from a film', (d) => {
        d.toDos.push({
          ...{ id: freshId(), text: `Said on film: ${text}`.slice(0, 240), about: `saber:${saber.id}` },
          ...{ who: 'shop', blocks: 'shipping', done: false },
        })
        const x = markOf(d, id)
        if (x) x.done = true
      }),
  }
}
type Mark = NonNullable<Take['slips']>[number]

/** A film that is played beside the script, and where in the script it is. */
function useFilm(cues: readonly CueTime[]) {
  const [film, setFilm] = useState<string>()
  const [ms, setMs] = useState(0)
  const [offset, setOffset] = useState(0)
  const video = useRef<HTMLVideoElement>(null)
  const now = cues.findLast((c) => c.startMs <= ms - offset)
  return {
    ...{ film, video, now, setMs },
    open: (f: File) => setFilm(URL.createObjectURL(f)),
    /** Where it is now is where the script stands now. */
    align: () => setOffset(ms - (now?.startMs ?? 0)),
    seek(to: number) {
      if (video.current) video.current.currentTime = Math.max(0, (to + offset) / 1000)
      setMs(to + offset)
    },
  }
}
type Film = ReturnType<typeof useFilm>

/** What became of a take: the film beside its script, what to cut, what was said anew, and what goes with the film. */
export function TakeReview({ order, saber: recorded, take }: { order: Commission; saber: Saber; take: Take }) {
  const saber = toldSaber(order, recorded)
  const reader = useMemo(() => readerOf(order), [order])
  const cues = useMemo(() => cueTimes(reader, saber, take), [reader, saber, take])
  const cuts = useMemo(() => clipsOf(reader, saber, take), [reader, saber, take])
  const left = useMemo(() => leftOutOf(reader, saber, take), [reader, saber, take])
  const film = useFilm(cues)
  const all = tellingOrder(order)
  const next = all[all.findIndex((s) => s.id === saber.id) + 1]
  return (
    <main className="min-h-screen px-6 py-4">
      <div className="flex flex-wrap items-center gap-4">
        <Link className="text-brass" to={`/commission/${order.id}/walkthrough`}>
          ← the script
        </Link>
        <h1 className="text-[1.5rem] leading-tight">
          {saber.name}: a take of {at(take.endMs ?? cues.at(-1)?.endMs ?? 0)} min
        </h1>
        <span className="text-quiet">
          {dayText(take.at)}
          {take.by ? `, ${take.by}` : ''}
        </span>
        <span className="ml-auto flex gap-2">
          <Link className="btn" to={`/film/${order.id}/${saber.id}`}>
            film it again
          </Link>
          {next?.beats.length ? (
            <Link className="btn btn-main" to={`/film/${order.id}/${next.id}`}>
              next: {next.name}
            </Link>
          ) : null}
        </span>
      </div>
      <div className="mt-4 grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-8">
        <section aria-label="The film beside its script">
          <Played film={film} />
          <Script cues={cues} film={film} />
        </section>
        <div>
          <ToCut cuts={cuts} seek={film.seek} />
          {take.slips?.length ? <Marked saber={saber} take={take} /> : null}
          {left.length ? (
            <section aria-label="Not in the film" className="mt-5">
              <h2 className="h2">Left to the record</h2>
              {left.map((b) => (
                <p key={b.id} className="border-rule text-quiet border-b py-0.5">
                  {firstWords(b)}
                </p>
              ))}
            </section>
          ) : null}
          <GoesWith order={order} saber={saber} take={take} />
        </div>
      </div>
    </main>
  )
}

/** The film itself, once somebody has said where it is. */
function Played({ film: f }: { film: Film }) {
  if (!f.film)
    return (
      <div className="border-rule bg-card flex items-center gap-4 border px-4 py-3">
        <FileButton label="play the film beside it" accept="video/*" onFiles={([x]) => x && f.open(x)} />
        <span className="text-quiet">It stays on this computer; nothing is sent.</span>
      </div>
    )
  return (
    <>
      {/* biome-ignore lint/a11y/useMediaCaption: the script beside it is what is said */}
      <video
        ref={f.video}
        src={f.film}
        controls
        className="max-h-[46vh] w-full bg-black"
        onTimeUpdate={(e) => f.setMs(e.currentTarget.currentTime * 1000)}
      />
      <p className="mt-1">
        <button type="button" className="btn-plain btn" onClick={f.align}>
          the film is here when the script is at {f.now ? `“${firstWords(f.now.beat).slice(0, 30)}”` : 'its beginning'}
        </button>
      </p>
    </>
  )
}

/** Each beat with when it was told and how long it took. */
const Script = ({ cues, film }: { cues: readonly CueTime[]; film: Film }) => (
  <ol className="mt-2">
    {cues.map((c) => {
      const took = (c.endMs - c.startMs) / 1000
      const over = took - c.beat.seconds
      return (
        <li key={c.beat.id} className={`border-rule border-b ${c === film.now && film.film ? 'bg-card' : ''}`}>
          <button type="button" className="flex w-full gap-3 py-1 text-left" onClick={() => film.seek(c.startMs)}>
            <span className="text-brass w-12 shrink-0 font-semibold tabular-nums">{at(c.startMs)}</span>
            <span className="min-w-0 flex-1 leading-snug">{c.beat.say}</span>
            <span className={`w-16 shrink-0 text-right ${over > 3 ? 'text-stop font-medium' : 'text-quiet'}`}>
              {over > 3 ? `+${Math.round(over)} s` : `${Math.round(took)} s`}
            </span>
          </button>
        </li>
      )
    })}
  </ol>
)

const ToCut = ({ cuts, seek }: { cuts: readonly Clip[]; seek: (ms: number) => void }) => (
  <section aria-label="To cut">
    <h2 className="h2">{cuts.length ? `To cut out: ${cuts.length}` : 'Nothing to cut out'}</h2>
    {cuts.map((c, i) => (
      <p key={i} className="border-rule border-b py-1">
        <button type="button" className="text-brass mr-3 font-semibold tabular-nums" onClick={() => seek(c.fromMs)}>
          {at(c.fromMs)} – {at(c.toMs)}
        </button>
        {c.why === 'slip' ? 'slip in' : 'told again later:'} “{firstWords(c.beat)}”
      </p>
    ))}
  </section>
)

/** What was marked while it was filmed: done with, described, or made something to settle. */
function Marked({ saber, take }: { saber: Saber; take: Take }) {
  const { mark, settle } = useTake(saber, take)
  return (
    <section aria-label="Marked while filming" className="mt-5">
      <h2 className="h2">Marked while filming</h2>
      {take.slips?.map((x, i) => {
        const { text, tick } = bound(x, (run) => mark(x.id, run))
        return (
          <div key={x.id} className="border-rule flex items-center gap-3 border-b py-1">
            <span className="shrink-0">
              <CheckBox {...tick('done')}>
                {at(x.atMs)} {KIND[x.kind]}
              </CheckBox>
            </span>
            <TextCell
              label={`What it was, mark ${i + 1}`}
              placeholder={x.kind === 'saidNew' ? 'what was said?' : 'what was it?'}
              {...text('text')}
            />
            {x.kind === 'saidNew' && !x.done ? (
              <button type="button" className="btn shrink-0" onClick={() => settle(x.id, x.text ?? at(x.atMs))}>
                to settle
              </button>
            ) : null}
          </div>
        )
      })}
    </section>
  )
}

/** Files to put beside the film, made when they are asked for. */
function GoesWith({ order, saber: recorded, take }: { order: Commission; saber: Saber; take: Take }) {
  const [reader, saber] = [readerOf(order), toldSaber(order, recorded)]
  const stem = fileStem(`${order.title} ${saber.name} take`)
  const files = [
    ['captions (WebVTT)', 'captions.vtt', () => webVttOf(reader, saber, take)],
    ['chapters (WebVTT)', 'chapters.vtt', () => chaptersVttOf(reader, saber, take)],
    ['the take as a table (CSV)', 'take.csv', () => takeCsvOf(reader, saber, take)],
    ['text to stand beside it', 'description.txt', () => descriptionOf(order, saber, take)],
  ] as const
  return (
    <section aria-label="Goes with the film" className="mt-5">
      <h2 className="h2">Goes with the film</h2>
      {files.map(([what, name, make]) => (
        <button
          key={name}
          type="button"
          className="text-brass block py-0.5"
          onClick={() => saveText(make(), 'text/plain;charset=utf-8', `${stem}-${name}`)}
        >
          {what}
        </button>
      ))}
    </section>
  )
}
