import { drawSection } from '@nubrin/core/drawing'
import { type FrozenAct, type FrozenProcedure, statesIn } from '@nubrin/core/handoff'
import { apartIn, machineOf } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { say, whether } from '@nubrin/core/words'
import { useEffect, useMemo, useRef, useState } from 'react'
import { useReader } from '../base/reader'
import { ActMark } from '../drawing/ActMark'
import { SceneView } from '../drawing/SceneView'
import { useWidth } from '../drawing/useWidth'
import { wayOf } from '../play/wayOf'
import { Sheet } from './Sheet'

/** So long an act stands before it goes on by itself, s. */
const STANDS = 25
const AIR = 24

interface At {
  chosen: number | undefined
  n: number
}

/** Where somebody laid it down, as long as there is such a place. */
function keptAt(keep: string, all: readonly FrozenProcedure[]): At {
  try {
    const at = JSON.parse(localStorage.getItem(keep) ?? 'null') as At | null
    const p = at?.chosen === undefined ? undefined : all[at.chosen]
    return at && p && at.n < p.acts.length ? at : { chosen: undefined, n: 0 }
  } catch {
    return { chosen: undefined, n: 0 }
  }
}

/** One act at a time on the whole page: what to do, drawn as the saber lies then, to follow with both hands. */
export function Disassembly({
  saber,
  procedures: all,
  keep,
  start,
  onLeave,
}: {
  saber: Saber
  /** What hands do with it, as it was issued. */
  procedures: readonly FrozenProcedure[]
  keep: string
  /** What is wanted of it, where that was said already. */
  start?: FrozenProcedure | undefined
  onLeave: () => void
}) {
  const reader = useReader()
  // Who lays it down comes back to the act where he was.
  const [{ chosen, n }, setAt] = useState<At>(() => (start ? { chosen: all.indexOf(start), n: 0 } : keptAt(keep, all)))
  const go = (at: At) => {
    setAt(at)
    if (at.chosen === undefined) localStorage.removeItem(keep)
    else localStorage.setItem(keep, JSON.stringify(at))
  }
  const p = chosen === undefined ? undefined : all[chosen]
  return (
    <Sheet label={say(reader, 'page.openWith')} onLeave={onLeave}>
      {p && !p.cannot ? (
        <Acts
          saber={saber}
          procedure={p}
          n={n}
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
            {all.map((x, i) => (
              <li key={`${x.goal} ${x.at}`} className="border-rule border-b">
                {x.cannot ? (
                  <p className="text-quiet py-3 text-[1.25rem]">
                    {x.title}
                    <span className="block text-[1rem]">{x.cannot}</span>
                  </p>
                ) : (
                  <button
                    type="button"
                    className="w-full py-3 text-left text-[1.25rem] font-semibold"
                    onClick={() => go({ chosen: i, n: 0 })}
                  >
                    {x.title}
                  </button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </Sheet>
  )
}

/** Goes on by itself after a while, one act at a time, unless the act or somebody asks it to wait; never past the last. */
function useGoesOn(n: number, stays: boolean, onGo: (n: number) => void) {
  const [waits, setWaits] = useState(false)
  const [left, setLeft] = useState(STANDS)
  const next = useRef(onGo)
  next.current = onGo
  useEffect(() => {
    let rest = STANDS
    setLeft(rest)
    if (waits || stays) return
    const t = setInterval(() => {
      rest--
      if (rest > 0) return setLeft(rest)
      clearInterval(t)
      next.current(n + 1)
    }, 1000)
    return () => clearInterval(t)
  }, [n, waits, stays])
  return { waits, left, setWaits }
}

function GoesOn({ act, waits, left, onWait }: { act: FrozenAct; waits: boolean; left: number; onWait: () => void }) {
  const reader = useReader()
  if (act.waits) return <p className="text-quiet py-3 text-center">{say(reader, 'page.waits', { why: act.waits })}</p>
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

function Acts({
  saber,
  procedure: p,
  n,
  onGo,
  onBack,
}: {
  saber: Saber
  procedure: FrozenProcedure
  n: number
  onGo: (n: number) => void
  onBack: () => void
}) {
  const reader = useReader()
  const [ref, width] = useWidth<HTMLDivElement>()
  const act = p.acts[n]!
  const last = n === p.acts.length - 1
  const { waits, left, setWaits } = useGoesOn(n, last || act.waits !== undefined, onGo)
  // Drawn as it lies before the act, with the way of the hand.
  const scene = useMemo(() => {
    const apart = apartIn(saber, machineOf(saber).assembly, statesIn(saber, p)[n]!)
    const wide = Math.max(320, width)
    return drawSection(reader, saber, {
      ...{ width: wide, height: Math.min(260, wide * 0.55), apart },
      ...{ from: apart.from - AIR, to: apart.to + AIR, quiet: wide < 600 },
    })
  }, [reader, saber, p, n, width])
  const back = p.acts.length - p.turn
  return (
    <>
      <div className="flex items-baseline gap-4">
        <button type="button" className="text-brass" onClick={onBack}>
          ← {p.title}
        </button>
        <span className="text-quiet ml-auto">
          {n < p.turn
            ? say(reader, 'page.acts', { n: n + 1, of: p.turn, back })
            : say(reader, 'page.acts', { n: n + 1 - p.turn, of: back, back: 0 })}
        </span>
      </div>
      <div ref={ref} className="my-4">
        <SceneView scene={scene} title={act.text} lit={act.place} className="block w-full">
          {act.place ? <ActMark scene={scene} act={{ ref: act.place, n: n + 1, way: wayOf(act) }} /> : null}
        </SceneView>
      </div>
      <div aria-live="polite" className="flex-1" data-act={n + 1}>
        <p className="text-[1.75rem] leading-tight font-semibold">{act.text}</p>
        {act.tool ? <p className="text-quiet mt-2 text-[1.2rem]">{act.tool}</p> : null}
        {act.cue ? <p className="mt-2 text-[1.2rem]">{act.cue}</p> : null}
        {act.caution ? <p className="border-brass mt-4 border-l-4 pl-3 text-[1.2rem]">{act.caution}</p> : null}
      </div>
      <p className="text-quiet flex justify-center gap-5 pt-2">
        {n > 0 ? (
          <button type="button" className="underline" onClick={() => onGo(0)}>
            {say(reader, 'page.over')}
          </button>
        ) : null}
        {back > 0 && n < p.turn ? (
          <button type="button" className="underline" onClick={() => onGo(p.turn)}>
            {say(reader, 'page.wayBack')}
          </button>
        ) : null}
      </p>
      {last ? null : <GoesOn act={act} waits={waits} left={left} onWait={() => setWaits(!waits)} />}
      <Buttons n={n} last={last} onGo={onGo} onBack={onBack} />
    </>
  )
}
