import {
  type Assembly,
  apartIn,
  blockedText,
  type Choice,
  choicesOf,
  type Errand,
  errand,
  type Goal,
  goalsOf,
  machineOf,
  runAll,
  wordsOf,
} from '@nubrin/core/machine'
import type { Act, Saber } from '@nubrin/core/record'
import { say, whether } from '@nubrin/core/words'
import { type KeyboardEvent, useEffect, useMemo, useState } from 'react'
import type { ActOnDrawing } from '../../drawing/ActMark'
import { Mark } from '../../kit'
import { later } from '../../later'
import { useBench, useLight, useSaber } from '../../store/commission'
import { Lying } from './Lying'
import { Poles } from './Poles'

const Joints = later(() => import('./Joints').then((m) => m.Joints))

const goalWords = (g: Goal, all: readonly Goal[]) =>
  say('goal', { goal: g.kind, name: g.name, several: whether(all.filter((x) => x.kind === g.kind).length > 1) })

/** Why a way stands where it does among the others. */
function whyBehind(best: Choice, c: Choice): string {
  if (c === best) return 'least risk, fewest acts'
  const [risk, acts] = [c.errand.risk - best.errand.risk, c.errand.acts.length - best.errand.acts.length]
  const more = `${Math.abs(acts)} ${Math.abs(acts) === 1 ? 'act' : 'acts'} ${acts < 0 ? 'fewer' : 'more'}`
  const reasons = [risk > 0 ? WHY[c.way.how] : '', acts ? more : ''].filter(Boolean)
  return reasons.join(', ') || 'as good'
}
/** What could go wrong on a way that has more risk than another. */
const WHY: Record<Choice['way']['how'], string> = {
  unscrew: 'a thread can be crossed',
  pull: 'wires can be strained',
  pressPull: 'a catch can slip',
  turnPull: 'what it holds can turn along',
  slide: 'what it slides past can be scraped',
  lift: 'what is lifted out can drop or short',
}

const NONE: readonly Act[] = []
/** Which way a hand goes in an act, seen on the drawing. */
function wayOf(s: Saber, a: Assembly, act: Act): ActOnDrawing['way'] {
  const d = wordsOf(s, a, act)?.direction
  if (d === 'clockwise' || d === 'anticlockwise') return d
  const to = act.towards ?? 'emitter'
  if (act.do === 'takeOff') return to === 'aside' ? 'up' : to
  return act.do === 'putOn' ? ({ aside: 'down', pommel: 'emitter', emitter: 'pommel' } as const)[to] : undefined
}

/** How much a hand has to do: out, and back again. */
const count = (e: Errand) => (e.ok ? [e.turn, e.acts.length - e.turn].filter((n) => n > 0).join(' + ') || '–' : 'no')

/** The saber as a machine: what somebody will want of it, the shortest way there and back, act by act on the drawing. */
export function Machine() {
  const saber = useSaber()
  const layApart = useBench((b) => b.layApart)
  const { assembly, rest } = useMemo(() => machineOf(saber), [saber])
  const goals = useMemo(() => goalsOf(saber, assembly), [saber, assembly])
  const errands = useMemo(() => goals.map((g) => errand(assembly, rest, g)), [goals, assembly, rest])
  const [chosen, setChosen] = useState(0)
  const [done, setDone] = useState(0)
  const [way, setWay] = useState(0)
  const at = Math.min(chosen, goals.length - 1)
  const asked = goals[at]
  const choices = useMemo(() => (asked ? choicesOf(assembly, rest, asked) : []), [assembly, rest, asked])
  const e = choices[way]?.errand ?? errands[at]
  const acts = e?.ok ? e.acts : NONE
  const n = Math.min(done, acts.length)
  const from = e?.ok ? e.from : rest
  const { state } = useMemo(() => runAll(assembly, from, acts.slice(0, n)), [assembly, from, acts, n])
  const apart = useMemo(() => apartIn(saber, assembly, state), [saber, assembly, state])
  useEffect(() => {
    const act = acts[n - 1]
    const ref = act && (wordsOf(saber, assembly, act)?.place ?? act.at)
    layApart(n ? { ...apart, act: act && ref ? { ref, n, way: wayOf(saber, assembly, act) } : undefined } : undefined)
    return () => layApart(undefined)
  }, [apart, n, acts, saber, assembly, layApart])
  const pick = (i: number) => {
    setChosen(i)
    setWay(0)
    setDone(0)
  }
  const goal = goals[at]
  return (
    <div className="grid grid-cols-[230px_minmax(0,1fr)_260px] gap-7">
      <section aria-label="What somebody will want to do">
        <h2 className="h2">What they will want to do</h2>
        {goals.map((g, i) => (
          <button
            key={`${g.kind} ${g.at}`}
            type="button"
            aria-pressed={i === at}
            className={`border-rule flex w-full items-center gap-2 border-b px-1 py-1.5 text-left ${i === at ? 'bg-ink text-paper' : 'hover:bg-card'}`}
            onClick={() => pick(i)}
          >
            <span className="min-w-0 flex-1 truncate">{goalWords(g, goals)}</span>
            <span className="shrink-0 opacity-80">{count(errands[i]!)}</span>
          </button>
        ))}
        {goals.length ? null : (
          <p className="text-quiet">Nothing of this saber comes apart yet: enter its hilt and its parts.</p>
        )}
      </section>
      {goal && e ? (
        <Play
          {...{ saber, assembly, goal, e, n, choices, way, onStep: setDone }}
          onWay={(i) => {
            setWay(i)
            setDone(0)
          }}
          words={goalWords(goal, goals)}
        />
      ) : (
        <span />
      )}
      <div className="space-y-5">
        <Poles saber={saber} />
        <Lying saber={saber} assembly={assembly} state={state} />
        <Joints saber={saber} assembly={assembly} />
      </div>
    </div>
  )
}

const BY = {
  unscrew: 'unscrewing',
  pull: 'pulling',
  pressPull: 'pressing and pulling',
  turnPull: 'turning and pulling',
  slide: 'sliding',
  lift: 'lifting',
} as const
const DIRECTION = {
  clockwise: '↻',
  anticlockwise: '↺',
  pull: '⇠ pull',
  push: '⇢ push',
  lift: '↑ lift',
  slide: '↔ slide',
  none: '',
} as const

/** One errand, act by act: arrows walk it, the slider scrubs; the turning point is where the way back begins. */
function Play({
  saber,
  assembly,
  goal,
  e,
  n,
  words,
  choices,
  way,
  onWay,
  onStep,
}: {
  saber: Saber
  assembly: Assembly
  goal: Goal
  e: Errand
  n: number
  words: string
  choices: readonly Choice[]
  way: number
  onWay: (i: number) => void
  onStep: (n: number) => void
}) {
  const light = useLight()
  if (!e.ok)
    return (
      <section aria-label={words}>
        <h2 className="h2">{words}</h2>
        <p className="text-stop mt-1 flex items-center gap-2 font-semibold">
          <Mark level="stop" size={16} /> It cannot be done:{' '}
          {e.blocked.length === 1 ? 'one thing stands' : `${e.blocked.length} things stand`} in the way.
        </p>
        <ul className="mt-1 space-y-1">
          {e.blocked.map((b) => (
            <li key={`${b.code} ${b.at}`}>
              <button type="button" className="hover:underline" onClick={() => light(b.at)}>
                {blockedText(b)}
              </button>
            </li>
          ))}
        </ul>
      </section>
    )
  const step = (to: number) => {
    const next = Math.max(0, Math.min(e.acts.length, to))
    onStep(next)
    if (next) light(e.acts[next - 1]!.at)
  }
  const keys = (k: KeyboardEvent) => {
    const by = { ArrowRight: 1, PageDown: 1, ArrowLeft: -1, PageUp: -1 }[k.key]
    if (!by || (k.target as HTMLElement).matches('input,textarea')) return
    k.preventDefault()
    step(n + by)
  }
  return (
    <section aria-label={words} onKeyDown={keys}>
      <div className="flex items-baseline gap-3">
        <h2 className="h2">{words}</h2>
        <span className="text-quiet ml-auto">
          {goal.hands === 'maker' ? 'for the maker only' : e.risk ? 'least risk, then fewest acts' : 'fewest acts'}
        </span>
      </div>
      <div className="my-1.5 flex items-center gap-3">
        <button type="button" className="btn" aria-label="one act back" disabled={n === 0} onClick={() => step(n - 1)}>
          ←
        </button>
        <button
          type="button"
          className="btn"
          aria-label="next act"
          disabled={n === e.acts.length}
          onClick={() => step(n + 1)}
        >
          →
        </button>
        <span className="text-quiet shrink-0">
          {n} of {e.acts.length}
        </span>
        <input
          type="range"
          aria-label="Act by act, and closed again"
          className="h-5 min-w-0 flex-1 accent-[#8a5f17]"
          min={0}
          max={e.acts.length}
          value={n}
          onChange={(x) => step(Number(x.target.value))}
        />
        <span className="text-quiet shrink-0">{e.turn < e.acts.length ? 'and closed again' : 'done'}</span>
      </div>
      {choices.length > 1 ? (
        <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="label">by</span>
          {choices.map((c, i) => (
            <button
              key={`${c.way.how} ${c.way.towards} ${c.way.after.join()}`}
              type="button"
              aria-pressed={i === way}
              className={i === way ? 'font-semibold' : 'text-brass hover:underline'}
              onClick={() => onWay(i)}
            >
              {BY[c.way.how]} {c.way.towards === 'aside' ? '' : `at the ${c.way.towards}`} {count(c.errand)}
              <span className="text-quiet font-normal"> {whyBehind(choices[0]!, c)}</span>
            </button>
          ))}
        </div>
      ) : null}
      <ol className="mt-1">
        {e.acts.map((act, i) => (
          <ActRow
            key={i}
            act={act}
            words={wordsOf(saber, assembly, act)}
            n={i + 1}
            back={i === e.turn}
            now={i === n - 1}
            past={i < n - 1}
            onGo={() => step(i + 1)}
          />
        ))}
      </ol>
    </section>
  )
}

function ActRow({
  act,
  words,
  n,
  back,
  now,
  past,
  onGo,
}: {
  act: Act
  words: ReturnType<typeof wordsOf>
  n: number
  back: boolean
  now: boolean
  past: boolean
  onGo: () => void
}) {
  const direction = words ? DIRECTION[words.direction] : ''
  return (
    <>
      {back ? <li className="label text-brass pt-2 pb-0.5">and back</li> : null}
      <li>
        <button
          type="button"
          aria-current={now ? 'step' : undefined}
          className={`border-rule flex w-full items-baseline gap-3 border-b border-l-3 py-1.5 pr-1 pl-2 text-left ${now ? 'border-l-brassline bg-card' : 'border-l-transparent hover:bg-card'} ${past ? 'text-quiet' : ''}`}
          onClick={onGo}
        >
          <span className="text-brass w-5 shrink-0 text-right font-semibold">{n}</span>
          <span className="min-w-0 flex-1">
            {words?.text ?? `Which way round? Nobody has said: ${act.at}`}
            {now && words?.caution ? <span className="text-brass block">{words.caution}</span> : null}
          </span>
          <span className="text-quiet shrink-0">{[direction, words?.tool].filter(Boolean).join(' · ')}</span>
        </button>
      </li>
    </>
  )
}
