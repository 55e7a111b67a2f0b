import {
  lookedAt,
  ownAfter,
  type Possible,
  procedureIn,
  type Told,
  type ToldAct,
  WHY_UNUSED,
} from '@nubrin/core/access'
import { blockedText, type Choice } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import type { KeyboardEvent } from 'react'
import { freshId } from '../../data'
import { AddLine, dayText, Mark, RemoveButton } from '../../kit'
import { useEditSaber, useRemove } from '../../store/commission'
import { ActSheet } from './ActSheet'
import { useLookThrough } from './useLookThrough'
import { Ways } from './Ways'

const DIRECTION = {
  clockwise: '↻',
  anticlockwise: '↺',
  pull: '⇠ pull',
  push: '⇢ push',
  lift: '↑ lift',
  slide: '↔ slide',
  none: '',
} as const

interface Shown {
  saber: Saber
  told: Told
  /** How many of its acts are done. */
  n: number
  words: string
  choices: readonly Choice[]
  onStep: (n: number) => void
  /** Shows a thing on the drawing. */
  onLight: (ref: string) => void
}

/** One procedure, act by act: arrows walk it, the slider scrubs; the act in hand opens for what is said of it. */
export function Procedure({ saber, told: p, n, words, choices, onStep, onLight }: Shown) {
  const editSaber = useEditSaber()
  if (!p.ok) return <Blocked words={words} told={p} onLight={onLight} />
  const keys = (k: KeyboardEvent) => {
    const by = { ArrowRight: 1, PageDown: 1, ArrowLeft: -1, PageUp: -1 }[k.key]
    if (!by || (k.target as HTMLElement).matches('input,textarea,select,button[role=combobox]')) return
    k.preventDefault()
    onStep(n + by)
  }
  const last = p.acts[n - 1] ?? p.acts.at(-1)
  return (
    <section aria-label={words} onKeyDown={keys}>
      <div className="flex items-baseline gap-3">
        <h2 className="h2">{words}</h2>
        {p.goal.hands === 'maker' ? <span className="text-quiet ml-auto">for the maker only</span> : null}
      </div>
      {p.goal.hands === 'client' ? <LookedAt saber={saber} told={p} /> : null}
      <Scrub told={p} n={n} step={onStep} />
      {choices.length > 1 ? <Ways saber={saber} told={p} choices={choices} /> : null}
      <ol className="mt-1">
        {p.acts.map((act, i) => (
          <ActRow
            key={act.key}
            act={act}
            n={i + 1}
            back={i === p.turn}
            now={i === n - 1}
            past={i < n - 1}
            onGo={() => onStep(i + 1)}
          >
            {i === n - 1 && act.key !== 'dark' ? <ActSheet saber={saber} told={p} act={act} n={i + 1} /> : null}
          </ActRow>
        ))}
      </ol>
      {p.goal.hands === 'client' ? (
        <AddLine
          label={last ? `an act of your own after ${n || p.acts.length}` : 'an act of your own'}
          onAdd={(text) =>
            editSaber('act of your own', (s) => void ownAfter(procedureIn(s, p, freshId), p, last?.key, text, freshId))
          }
        />
      ) : null}
      <NotUsed told={p} />
    </section>
  )
}

/** Who has gone through it and when; drafted and changed ones ask for it, and say what came and what went. */
function LookedAt({ saber, told: p }: { saber: Saber; told: Possible }) {
  const look = useLookThrough(saber)
  const { is, came, gone } = lookedAt(p)
  const looked = p.said?.looked
  const names = (keys: readonly string[]) => keys.map((k) => p.acts.find((x) => k.startsWith(x.key))?.text ?? k)
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p className={is === 'looked' ? 'text-quiet' : 'text-brass'}>
        {is === 'drafted' ? 'Drafted from the drawing: nobody has gone through it with the saber in hand.' : null}
        {is === 'looked' ? `Gone through by ${looked!.who || 'somebody'} on ${dayText(looked!.on)}.` : null}
        {is === 'changed'
          ? `Changed since ${looked!.who || 'somebody'} went through it on ${dayText(looked!.on)}${came.length ? `; new: ${names(came).join(', ')}` : ''}${gone.length ? `; ${gone.length} gone` : ''}.`
          : null}
      </p>
      {is === 'looked' ? null : (
        <button
          type="button"
          className="btn ml-auto"
          onClick={() => look((g) => g.kind === p.goal.kind && g.at === p.goal.at)}
        >
          I have gone through it
        </button>
      )}
    </div>
  )
}

/** What stands in the way, each to be shown. */
const Blocked = ({
  words,
  told: p,
  onLight,
}: {
  words: string
  told: Extract<Told, { ok: false }>
  onLight: (ref: string) => void
}) => (
  <section aria-label={words}>
    <h2 className="h2">{words}</h2>
    <p className="text-stop mt-1 flex items-center gap-2 font-semibold">
      <Mark level="stop" size={16} /> It cannot be done:{' '}
      {p.blocked.length === 1 ? 'one thing stands' : `${p.blocked.length} things stand`} in the way.
    </p>
    <ul className="mt-1 space-y-1">
      {p.blocked.map((b) => (
        <li key={`${b.code} ${b.at}`}>
          <button type="button" className="hover:underline" onClick={() => onLight(b.at)}>
            {blockedText(b)}
          </button>
        </li>
      ))}
    </ul>
    <p className="mt-2">The client is told that it is for the shop.</p>
    <NotUsed told={p} />
  </section>
)

/** One act back or on, and the slider over all of them. */
const Scrub = ({ told: p, n, step }: { told: Possible; n: number; step: (to: number) => void }) => (
  <div className="my-1.5 flex items-center gap-3">
    <button type="button" className="btn" aria-label="one act back" disabled={n === 0} onClick={() => step(n - 1)}>
      ←
    </button>
    <button
      type="button"
      className="btn"
      aria-label="next act"
      disabled={n === p.acts.length}
      onClick={() => step(n + 1)}
    >
      →
    </button>
    <span className="text-quiet shrink-0">
      {n} of {p.acts.length}
    </span>
    <input
      type="range"
      aria-label="Act by act, and closed again"
      className="h-5 min-w-0 flex-1 accent-[#8a5f17]"
      min={0}
      max={p.acts.length}
      value={n}
      onChange={(x) => step(Number(x.target.value))}
    />
    <span className="text-quiet shrink-0">{p.turn < p.acts.length ? 'and closed again' : 'done'}</span>
  </div>
)

function ActRow({
  act,
  n,
  back,
  now,
  past,
  onGo,
  children,
}: {
  act: ToldAct
  n: number
  back: boolean
  now: boolean
  past: boolean
  onGo: () => void
  children: React.ReactNode
}) {
  return (
    <>
      {back ? <li className="label text-brass pt-2 pb-0.5">and back</li> : null}
      <li className={`border-l-3 ${now ? 'border-l-brassline bg-card' : 'border-l-transparent'}`}>
        <button
          type="button"
          aria-current={now ? 'step' : undefined}
          className={`border-rule hover:bg-card flex w-full items-baseline gap-3 border-b py-1.5 pr-1 pl-2 text-left ${past ? 'text-quiet' : ''}`}
          onClick={onGo}
        >
          <span className="text-brass w-5 shrink-0 text-right font-semibold">{n}</span>
          <span className="min-w-0 flex-1">
            {act.unsaid ? 'Which way round? Nobody has said.' : act.text}
            {act.ownWords ? <span className="text-quiet"> · in your words</span> : null}
            {now && act.cue ? <span className="text-quiet block">{act.cue}</span> : null}
            {now && act.caution ? <span className="text-brass block">{act.caution}</span> : null}
          </span>
          <span className="text-quiet shrink-0">
            {[DIRECTION[act.direction], act.tool].filter(Boolean).join(' · ')}
          </span>
        </button>
        {children}
      </li>
    </>
  )
}

/** What was said once and hangs on nothing any more: kept until somebody takes it away. */
function NotUsed({ told: p }: { told: Told }) {
  const remove = useRemove()
  if (!p.unused.length) return null
  return (
    <div className="mt-3">
      <p className="label">no longer used</p>
      <ul aria-label="No longer used">
        {p.unused.map(({ step, why }) => (
          <li key={`${step.id} ${why}`} className="border-rule flex items-center gap-2 border-b py-1">
            <Mark level="caution" size={14} />
            <span className="min-w-0 flex-1">
              {step.text ?? `${step.act?.do ?? ''} ${step.act?.at ?? ''}`}{' '}
              <span className="text-quiet">({WHY_UNUSED[why]})</span>
            </span>
            <RemoveButton
              what={`what is said: ${step.text ?? step.act?.do ?? ''}`}
              onClick={() => remove(`step:${step.id}`)}
            />
          </li>
        ))}
      </ul>
    </div>
  )
}
