import { apartIn, choicesOf, errand, goalsOf, goalText, machineOf, runAll, wordsOf } from '@nubrin/core/machine'
import type { Act } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { useEffect, useMemo, useState } from 'react'
import { later } from '../../base/later'
import { wayOf } from '../../play'
import { ErrandPlayer, handsFull } from '../../play/ErrandPlayer'
import { useBench, useLight, useSaber } from '../../store/commission'
import { Lying } from './Lying'
import { Poles } from './Poles'

const Joints = later(() => import('./Joints').then((m) => m.Joints))

const NONE: readonly Act[] = []

/** The saber as a machine: what somebody will want of it, the shortest way there and back, act by act on the drawing. */
export function Machine() {
  const saber = useSaber()
  const layApart = useBench((b) => b.layApart)
  const light = useLight()
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
    const ref = act && (wordsOf(MAKER, saber, assembly, act)?.place ?? act.at)
    layApart(
      n ? { ...apart, act: act && ref ? { ref, n, way: wayOf(MAKER, saber, assembly, act) } : undefined } : undefined,
    )
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
            <span className="min-w-0 flex-1 truncate">{goalText(MAKER, g, goals)}</span>
            <span className="shrink-0 opacity-80">{handsFull(errands[i]!)}</span>
          </button>
        ))}
        {goals.length ? null : (
          <p className="text-quiet">Nothing of this saber comes apart yet: enter its hilt and its parts.</p>
        )}
      </section>
      {goal && e ? (
        <ErrandPlayer
          {...{ saber, assembly, goal, e, n, choices, way, onStep: setDone, onLight: light }}
          onWay={(i) => {
            setWay(i)
            setDone(0)
          }}
          words={goalText(MAKER, goal, goals)}
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
