import { lookedAt, proceduresOf, statesOf, type Told, type ToldAct } from '@nubrin/core/access'
import { apartIn, choicesOf, goalText, machineOf } from '@nubrin/core/machine'
import { MAKER } from '@nubrin/core/units'
import { useEffect, useMemo, useState } from 'react'
import { lazyView } from '../../base/lazy'
import { Mark } from '../../kit'
import { wayOf } from '../../play'
import { useBench, useLight, useSaber } from '../../store/commission'
import { HandState } from './HandState'
import { Poles } from './Poles'
import { Procedure } from './Procedure'
import { useLookThrough } from './useLookThrough'

const Joints = lazyView(() => import('./Joints').then((m) => m.Joints))

const NONE: readonly ToldAct[] = []

/** How many acts a procedure has, out and back again. */
const handsFull = (p: Told) =>
  p.ok ? [p.turn, p.acts.length - p.turn].filter((n) => n > 0).join(' + ') || '–' : 'no way'

/** Every procedure of the saber, the chosen one act by act on the drawing, and what holds what. */
export function Procedures() {
  const saber = useSaber()
  const layApart = useBench((b) => b.layApart)
  const light = useLight()
  const { assembly, rest } = useMemo(() => machineOf(saber), [saber])
  const all = useMemo(() => proceduresOf(MAKER, saber), [saber])
  const goals = all.map((p) => p.goal)
  const [chosen, setChosen] = useState(0)
  const [done, setDone] = useState(0)
  const at = Math.min(chosen, all.length - 1)
  const p = all[at]
  const acts = p?.ok ? p.acts : NONE
  const n = Math.min(done, acts.length)
  const states = useMemo(() => (p?.ok ? statesOf(saber, p) : [rest]), [saber, p, rest])
  const state = states[n] ?? rest
  const apart = useMemo(() => apartIn(saber, assembly, state), [saber, assembly, state])
  const choices = useMemo(() => (p ? choicesOf(assembly, rest, p.goal) : []), [assembly, rest, p])
  useEffect(() => {
    const act = acts[n - 1]
    const ref = act?.place
    layApart(n ? { ...apart, act: act && ref ? { ref, n, way: wayOf(act) } : undefined } : undefined)
    return () => layApart(undefined)
  }, [apart, n, acts, layApart])
  const step = (to: number) => {
    const next = Math.max(0, Math.min(acts.length, to))
    setDone(next)
    const ref = next ? acts[next - 1]!.place : undefined
    if (ref) light(ref)
  }
  return (
    <div className="grid grid-cols-[250px_minmax(0,1fr)_250px] gap-7">
      <section aria-label="What somebody will want to do">
        <h2 className="h2">Client tasks</h2>
        {all.map((x, i) => (
          <GoalRow
            key={`${x.goal.kind} ${x.goal.at}`}
            told={x}
            words={goalText(MAKER, x.goal, goals)}
            here={i === at}
            onPick={() => {
              setChosen(i)
              setDone(0)
            }}
          />
        ))}
        {all.length ? (
          <LookAll />
        ) : (
          <p className="text-quiet">Nothing comes apart yet: enter the hilt and its parts.</p>
        )}
      </section>
      {p ? (
        <Procedure
          key={`${p.goal.kind} ${p.goal.at}`}
          {...{ saber, told: p, n, choices, onStep: step, onLight: light }}
          words={goalText(MAKER, p.goal, goals)}
        />
      ) : (
        <span />
      )}
      <div className="space-y-5">
        <Poles saber={saber} />
        <HandState saber={saber} assembly={assembly} state={state} />
        <Joints saber={saber} assembly={assembly} />
      </div>
    </div>
  )
}

/** Whether somebody has gone through it as it is now; what is the maker's alone needs nobody. */
const STATE = { drafted: 'drafted', looked: '', changed: 'changed' } as const

function GoalRow({ told: p, words, here, onPick }: { told: Told; words: string; here: boolean; onPick: () => void }) {
  const mine = p.goal.hands === 'maker'
  const is = mine ? 'looked' : lookedAt(p).is
  return (
    <button
      type="button"
      aria-pressed={here}
      className={`border-rule flex w-full items-center gap-2 border-b px-1 py-1.5 text-left ${here ? 'bg-ink text-paper' : 'hover:bg-card'}`}
      onClick={onPick}
    >
      {p.ok ? null : <Mark level="stop" size={14} />}
      {p.ok && is === 'changed' ? <Mark level="caution" size={14} /> : null}
      <span className="min-w-0 flex-1 truncate">{words}</span>
      <span className="shrink-0 opacity-80">{[p.ok ? STATE[is] : '', handsFull(p)].filter(Boolean).join(' · ')}</span>
    </button>
  )
}

/** Stands behind every procedure in one deed, as they are drafted and said now. */
function LookAll() {
  const saber = useSaber()
  const look = useLookThrough(saber)
  const left = useMemo(
    () =>
      proceduresOf(MAKER, saber).filter((p) => p.ok && p.goal.hands === 'client' && lookedAt(p).is !== 'looked').length,
    [saber],
  )
  if (!left) return <p className="text-quiet mt-2">You have gone through all of them.</p>
  return (
    <button type="button" className="btn mt-3 w-full" onClick={() => look()}>
      I have gone through all ({left} left)
    </button>
  )
}
