import { drawSection } from '@nubrin/core/drawing'
import {
  apartIn,
  type Errand,
  errand,
  type Goal,
  goalsOf,
  goalText,
  machineOf,
  runAll,
  wordsOf,
} from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { say, whether } from '@nubrin/core/words'
import { useEffect, useMemo, useState } from 'react'
import { useReader } from '../base/reader'
import { ActMark } from '../drawing/ActMark'
import { SceneView } from '../drawing/SceneView'
import { useWidth } from '../drawing/useWidth'
import { wayOf } from '../play/wayOf'
import { Sheet } from './Sheet'

/** So long a step stands before it goes on by itself, s. */
const STANDS = 25
const AIR = 24

/** One step at a time on the whole page: what to do, drawn as the saber lies then, to follow with both hands. */
export function OpenWith({
  saber,
  keep,
  start,
  onLeave,
}: {
  saber: Saber
  keep: string
  /** What is wanted of it, where that was said already. */
  start?: Goal['kind'] | undefined
  onLeave: () => void
}) {
  const reader = useReader()
  const { assembly, rest } = useMemo(() => machineOf(saber), [saber])
  const goals = useMemo(() => goalsOf(saber, assembly).filter((g) => g.hands === 'client'), [saber, assembly])
  const errands = useMemo(() => goals.map((g) => errand(assembly, rest, g)), [goals, assembly, rest])
  // Who lays it down comes back to the step where he was.
  const [{ chosen, n }, setAt] = useState<{ chosen: number | undefined; n: number }>(() => {
    const wanted = start ? goals.findIndex((g, i) => g.kind === start && errands[i]!.ok) : -1
    if (wanted >= 0) return { chosen: wanted, n: 0 }
    try {
      const at = JSON.parse(localStorage.getItem(keep) ?? 'null') as { chosen: number; n: number } | null
      return at && errands[at.chosen]?.ok ? at : { chosen: undefined, n: 0 }
    } catch {
      return { chosen: undefined, n: 0 }
    }
  })
  const go = (at: { chosen: number | undefined; n: number }) => {
    setAt(at)
    if (at.chosen === undefined) localStorage.removeItem(keep)
    else localStorage.setItem(keep, JSON.stringify(at))
  }
  const e = chosen === undefined ? undefined : errands[chosen]
  return (
    <Sheet label={say(reader, 'page.openWith')} onLeave={onLeave}>
      {e?.ok && chosen !== undefined ? (
        <Steps
          saber={saber}
          goal={goals[chosen]!}
          goals={goals}
          e={e}
          n={Math.min(n, e.acts.length - 1)}
          onGo={(to) => go({ chosen, n: to })}
          onBack={() => go({ chosen: undefined, n: 0 })}
        />
      ) : (
        <>
          <button type="button" className="text-brass self-end" onClick={onLeave}>
            {say(reader, 'page.leave')}
          </button>
          <h2 className="text-[1.7rem] leading-tight">{say(reader, 'page.choose')}</h2>
          <ul className="mt-3">
            {goals.map((g, i) => (
              <li key={`${g.kind} ${g.at}`} className="border-rule border-b">
                {errands[i]!.ok ? (
                  <button
                    type="button"
                    className="w-full py-3 text-left text-[1.25rem] font-semibold"
                    onClick={() => go({ chosen: i, n: 0 })}
                  >
                    {goalText(reader, g, goals)}
                  </button>
                ) : (
                  <p className="text-quiet py-3 text-[1.25rem]">
                    {goalText(reader, g, goals)}
                    <span className="block text-[1rem]">{say(reader, 'page.cannot')}</span>
                  </p>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </Sheet>
  )
}

/** Goes on by itself after a while, unless it is told to wait; never past the last step. */
function useGoesOn(n: number, last: boolean, onGo: (n: number) => void) {
  const [waits, setWaits] = useState(false)
  const [left, setLeft] = useState(STANDS)
  useEffect(() => {
    setLeft(STANDS)
    if (waits || last) return
    const t = setInterval(() => setLeft((s) => s - 1), 1000)
    return () => clearInterval(t)
  }, [n, waits, last])
  useEffect(() => {
    if (left <= 0 && !last) onGo(n + 1)
  }, [left, last, n, onGo])
  return { waits, left, setWaits }
}

function GoesOn({ waits, left, onWait }: { waits: boolean; left: number; onWait: () => void }) {
  const reader = useReader()
  return (
    <p className="text-quiet py-3 text-center">
      {waits ? '' : `${say(reader, 'page.goesOn', { seconds: left })} `}
      <button type="button" className="underline" onClick={onWait}>
        {say(reader, 'page.wait', { waits: whether(waits) })}
      </button>
    </p>
  )
}

function Buttons({
  n,
  last,
  onGo,
  onBack,
}: {
  n: number
  last: boolean
  onGo: (n: number) => void
  onBack: () => void
}) {
  const reader = useReader()
  return (
    <div className="flex gap-3 pb-2">
      <button type="button" className="btn px-6 py-3 text-[1.15rem]" disabled={n === 0} onClick={() => onGo(n - 1)}>
        {say(reader, 'page.back')}
      </button>
      <button
        type="button"
        className="btn btn-main flex-1 py-3 text-[1.15rem]"
        onClick={() => (last ? onBack() : onGo(n + 1))}
      >
        {say(reader, 'page.next', { last: whether(last) })}
      </button>
    </div>
  )
}

function Steps({
  saber,
  goal,
  goals,
  e,
  n,
  onGo,
  onBack,
}: {
  saber: Saber
  goal: Goal
  goals: readonly Goal[]
  e: Extract<Errand, { ok: true }>
  n: number
  onGo: (n: number) => void
  onBack: () => void
}) {
  const reader = useReader()
  const [ref, width] = useWidth<HTMLDivElement>()
  const last = n === e.acts.length - 1
  const { waits, left, setWaits } = useGoesOn(n, last, onGo)
  const { assembly } = useMemo(() => machineOf(saber), [saber])
  const act = e.acts[n]!
  const words = wordsOf(reader, saber, assembly, act)
  const place = words?.place ?? act.at
  // Drawn as it lies before the step, with the way of the hand.
  const scene = useMemo(() => {
    const { state } = runAll(assembly, e.from, e.acts.slice(0, n))
    const apart = apartIn(saber, assembly, state)
    const wide = Math.max(320, width)
    return drawSection(reader, saber, {
      ...{ width: wide, height: Math.min(260, wide * 0.55), apart },
      ...{ from: apart.from - AIR, to: apart.to + AIR, quiet: wide < 600 },
    })
  }, [saber, assembly, e, n, width])
  const back = e.acts.length - e.turn
  return (
    <>
      <div className="flex items-baseline gap-4">
        <button type="button" className="text-brass" onClick={onBack}>
          ← {goalText(reader, goal, goals)}
        </button>
        <span className="text-quiet ml-auto">
          {n < e.turn
            ? say(reader, 'page.acts', { n: n + 1, of: e.turn, back })
            : say(reader, 'page.acts', { n: n + 1 - e.turn, of: back, back: 0 })}
        </span>
      </div>
      <div ref={ref} className="my-4">
        <SceneView scene={scene} title={words?.text ?? ''} lit={place} className="block w-full">
          <ActMark scene={scene} act={{ ref: place, n: n + 1, way: wayOf(reader, saber, assembly, act) }} />
        </SceneView>
      </div>
      <div aria-live="polite" className="flex-1">
        <p className="text-[1.75rem] leading-tight font-semibold">{words?.text}</p>
        {words?.tool ? <p className="text-quiet mt-2 text-[1.2rem]">{words.tool}</p> : null}
        {words?.caution ? <p className="border-brass mt-4 border-l-4 pl-3 text-[1.2rem]">{words.caution}</p> : null}
      </div>
      {last ? null : <GoesOn waits={waits} left={left} onWait={() => setWaits(!waits)} />}
      <Buttons n={n} last={last} onGo={onGo} onBack={onBack} />
    </>
  )
}
