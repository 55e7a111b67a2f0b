import { type Assembly, blockedText, type Choice, type Errand, type Goal, wordsOf } from '@nubrin/core/machine'
import type { Act, Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import type { KeyboardEvent } from 'react'
import { Mark } from '../kit'

/** How much a hand has to do: out, and back again. */
export const handsFull = (e: Errand) =>
  e.ok ? [e.turn, e.acts.length - e.turn].filter((n) => n > 0).join(' + ') || '–' : 'no'

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

type Possible = Extract<Errand, { ok: true }>

/** One errand, act by act: arrows walk it, the slider scrubs; the turning point is where the way back begins. */
export function ErrandPlayer({
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
  onLight,
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
  /** Shows a thing on the drawing. */
  onLight: (ref: string) => void
}) {
  if (!e.ok) return <Blocked words={words} blocked={e.blocked} onLight={onLight} />
  const step = (to: number) => {
    const next = Math.max(0, Math.min(e.acts.length, to))
    onStep(next)
    if (next) onLight(e.acts[next - 1]!.at)
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
      <Scrub e={e} n={n} step={step} />
      {choices.length > 1 ? <Ways choices={choices} way={way} onWay={onWay} /> : null}
      <ol className="mt-1">
        {e.acts.map((act, i) => (
          <ActRow
            key={i}
            act={act}
            words={wordsOf(MAKER, saber, assembly, act)}
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

/** What stands in the way, each to be shown. */
const Blocked = ({
  words,
  blocked,
  onLight,
}: {
  words: string
  blocked: Extract<Errand, { ok: false }>['blocked']
  onLight: (ref: string) => void
}) => (
  <section aria-label={words}>
    <h2 className="h2">{words}</h2>
    <p className="text-stop mt-1 flex items-center gap-2 font-semibold">
      <Mark level="stop" size={16} /> It cannot be done:{' '}
      {blocked.length === 1 ? 'one thing stands' : `${blocked.length} things stand`} in the way.
    </p>
    <ul className="mt-1 space-y-1">
      {blocked.map((b) => (
        <li key={`${b.code} ${b.at}`}>
          <button type="button" className="hover:underline" onClick={() => onLight(b.at)}>
            {blockedText(b)}
          </button>
        </li>
      ))}
    </ul>
  </section>
)

/** One act back or on, and the slider over all of them. */
const Scrub = ({ e, n, step }: { e: Possible; n: number; step: (to: number) => void }) => (
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
)

/** The ways there are, and why each stands where it does. */
const Ways = ({ choices, way, onWay }: { choices: readonly Choice[]; way: number; onWay: (i: number) => void }) => (
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
        {BY[c.way.how]} {c.way.towards === 'aside' ? '' : `at the ${c.way.towards}`} {handsFull(c.errand)}
        <span className="text-quiet font-normal"> {whyBehind(choices[0]!, c)}</span>
      </button>
    ))}
  </div>
)

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
