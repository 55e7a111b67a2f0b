import { type Commission, readerOf, type Saber, toldSaber } from '@nubrin/core/record'
import { firstOpen, liveBeats, overBy, rehearse, remaining, troubleText } from '@nubrin/core/script'
import { type ReactNode, useEffect, useMemo } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { lazyView } from '../base/lazy'
import { useBench } from '../store/commission'
import { BeatWords } from './BeatWords'
import { useAwake, useFilming } from './useFilming'

const NightDrawing = lazyView(() => import('./NightDrawing').then((m) => m.NightDrawing))
const TakeReview = lazyView(() => import('./TakeReview').then((m) => m.TakeReview))

/** The filming view of a saber, or what became of a take of it. */
export default function Film() {
  const { id, saber: saberId } = useParams()
  const [asked] = useSearchParams()
  const open = useBench((b) => b.open)
  const record = useBench((b) => (b.id === id ? b.record : undefined))
  const error = useBench((b) => b.error)
  useEffect(() => {
    void open(id!)
  }, [id, open])
  const saber = record?.sabers.find((s) => s.id === saberId) ?? record?.sabers[0]
  const take = saber?.takes.find((t) => t.id === asked.get('take'))
  if (!record || !saber) return <Dark>{error ?? 'Fetching the script…'}</Dark>
  if (take) return <TakeReview order={record} saber={saber} take={take} />
  if (!saber.beats.some((b) => !b.leftTo)) return <Dark>There is no script yet: compose it under Walkthrough.</Dark>
  return <Filming key={saber.id} order={record} saber={saber} />
}

const Dark = ({ children }: { children: ReactNode }) => (
  <main className="min-h-screen bg-[#141a1a] p-8 text-[1.4rem] text-[#efe6d2]">{children}</main>
)
const clock = (s: number) =>
  `${s < 0 ? '−' : ''}${Math.floor(Math.abs(s) / 60)}:${String(Math.floor(Math.abs(s)) % 60).padStart(2, '0')}`

/** One beat at a time, readable from two metres in a dim room, driven by a foot pedal, keys or a touch. */
function Filming({ order, saber }: { order: Commission; saber: Saber }) {
  const navigate = useNavigate()
  const { film, ms, act, jump, end } = useFilming(saber)
  useAwake()
  const reader = useMemo(() => readerOf(order), [order])
  const run = useMemo(() => rehearse(reader, toldSaber(order, saber)), [reader, order, saber])
  const beats = useMemo(() => liveBeats(reader, toldSaber(order, saber)), [reader, order, saber])
  const beat = beats[film.at]!
  const spoken = beats.filter((b) => !b.leftTo)
  const nth = spoken.indexOf(beat) + 1
  const next = spoken[nth]
  const troubles = run.troubles.filter((t) => t.beat.id === beat.id).map(troubleText)
  const over = film.running ? overBy(beats, film, ms) : -beat.seconds
  const open = film.running ? firstOpen(beats, film) : undefined
  const leave = () => {
    const take = end()
    navigate(take ? `/film/${order.id}/${saber.id}?take=${take}` : `/commission/${order.id}/walkthrough`)
  }
  useEffect(() => {
    const key = (e: KeyboardEvent) => e.key === 'Escape' && leave()
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  })
  // Who follows the script looks at where the saber will be when the beat has been told.
  const state = run.states.find((x) => x.beat === beat.id)
  return (
    <main className="flex h-screen flex-col bg-[#141a1a] text-[#efe6d2]">
      <Clocks
        name={saber.name}
        where={`${nth} of ${spoken.length}`}
        left={remaining(beats, film, ms)}
        ran={film.running ? ms / 1000 : 0}
        over={over}
        seconds={beat.seconds}
      />
      <NightDrawing saber={saber} at={state} lit={beat.show} />
      <button
        type="button"
        className="flex min-h-0 flex-1 cursor-default flex-col justify-center overflow-y-auto px-8 text-left"
        onClick={() => act('next')}
      >
        <span aria-live="polite" className="block w-full">
          <BeatWords saber={saber} beat={beat} troubles={troubles} />
        </span>
        {over > 0 ? (
          <span className="mt-2 text-[1.3rem] font-semibold text-[#ffb4a8]">{Math.round(over)} s over</span>
        ) : null}
      </button>
      <p className="truncate px-8 pb-1 text-[1.35rem] text-[#a59d88]">{next ? `next: ${next.say}` : 'the last beat'}</p>
      <Keys
        film={film}
        act={act}
        onLeave={leave}
        open={
          open === undefined || open >= film.at
            ? undefined
            : { nth: spoken.indexOf(beats[open]!) + 1, go: () => jump(open) }
        }
      />
    </main>
  )
}

/** Which beat it is, how much is left, how long it has run, and how much of this beat’s time is used, s. */
const Clocks = ({
  name,
  where,
  left,
  ran,
  over,
  seconds,
}: {
  name: string
  where: string
  left: number
  ran: number
  over: number
  seconds: number
}) => (
  <>
    <div className="flex items-baseline gap-6 px-8 pt-3 pb-1">
      <h1 className="min-w-0 text-[1.25rem] font-semibold wrap-anywhere">{name}</h1>
      <span className="text-[1.25rem]">{where}</span>
      <span className="ml-auto text-[1.25rem] text-[#a59d88]">{clock(left)} to go</span>
      <span className="text-[2.3rem] leading-none font-semibold tabular-nums" role="timer">
        {clock(ran)}
      </span>
    </div>
    <div className="mx-8 h-1.5 bg-[#2a3432]" aria-hidden>
      <div
        className={`h-full ${over > 0 ? 'bg-[#e0786a]' : 'bg-[#c79a4b]'}`}
        style={{ width: `${Math.max(0, Math.min(1, 1 + over / seconds)) * 100}%` }}
      />
    </div>
  </>
)

const MARKS = [
  ['S', 'slip', 'slip'],
  ['R', 'retake', 'retake'],
  ['N', 'said something new', 'saidNew'],
] as const

/** What can be pressed: marks while it runs, back to what is open, on, and out. */
const Keys = ({
  film,
  act,
  open,
  onLeave,
}: {
  film: Filmed['film']
  act: Filmed['act']
  /** The first beat that has to be told again, where it lies before this one. */
  open: { nth: number; go: () => void } | undefined
  onLeave: () => void
}) => (
  <div className="flex flex-wrap items-center gap-2 border-t border-[#39433f] px-8 py-2">
    {film.running ? (
      <>
        {MARKS.map(([name, what, kind]) => (
          <Key
            key={name}
            name={name}
            what={what}
            n={film.slips.filter((x) => x.kind === kind).length}
            onClick={() => act(kind)}
          />
        ))}
        {open ? <Key name="O" what={`to what is open: ${open.nth}`} onClick={open.go} /> : null}
        <Key name="◂" what="back" onClick={() => act('back')} />
      </>
    ) : (
      <span className="text-[1.2rem]">Pedal, Page Down, space or a touch starts the clock</span>
    )}
    <span className="ml-auto flex gap-2">
      <Key name="Esc" what={film.running ? 'end and keep the take' : 'leave'} onClick={onLeave} />
      <Key name="▸" what={film.running ? 'next' : 'start'} onClick={() => act('next')} />
    </span>
  </div>
)
type Filmed = ReturnType<typeof useFilming>

/** A key of the pedal or keyboard, to be touched as well. */
function Key({ name, what, n, onClick }: { name: string; what: string; n?: number; onClick: () => void }) {
  return (
    <button
      type="button"
      className="flex items-center gap-2 border border-[#5d675f] px-3 py-1.5 text-[1.1rem] hover:bg-[#222b29]"
      onClick={(e) => {
        // The space bar is the pedal's, not this button's.
        e.currentTarget.blur()
        onClick()
      }}
    >
      <kbd className="border border-[#5d675f] px-1.5 text-[0.95rem] text-[#e3bd78]">{name}</kbd>
      {what}
      {n ? <span className="font-semibold text-[#e3bd78]">{n}</span> : null}
    </button>
  )
}
