import type { Pose } from '@nubrin/core/controls'
import type { Saber } from '@nubrin/core/record'
import { type KeyboardEvent, useState } from 'react'
import { Segments } from '../kit'
import { keyOf, MOTIONS } from './keys'
import { usePlay } from './usePlay'

const POSES = ['up', 'level', 'down'] as const satisfies readonly Pose[]
const HELD: Record<Pose, string> = { any: 'any way', up: 'blade up', level: 'level', down: 'blade down' }

/** How far it is tilted, and the pose that the board takes that for. */
function Tilt() {
  const [tilt, setTilt] = useState(0)
  const { pose } = usePlay.getState()
  const to = (deg: number) => {
    setTilt(deg)
    const timing = usePlay.getState().board?.timing
    if (timing) pose(deg >= timing.upFrom ? 'up' : deg <= -timing.downFrom ? 'down' : 'level')
  }
  return (
    <label className="flex items-center gap-2">
      <span className="label">tilt</span>
      <input
        type="range"
        className="h-5 w-32 accent-[#8a5f17]"
        min={-90}
        max={90}
        step={5}
        value={tilt}
        onChange={(e) => to(Number(e.target.value))}
      />
      <span className="text-quiet w-10">{tilt}°</span>
    </label>
  )
}

/** Everything a hand can do, as keys of the screen and of the keyboard. */
export function Hands({ saber }: { saber: Saber }) {
  const held = usePlay((p) => p.state?.held)
  const pose = usePlay((p) => p.state?.pose)
  const { press, release, move, turn, pose: hold } = usePlay.getState()
  const buttons = saber.inputs.filter((i) => i.kind === 'button')
  const others = saber.inputs.filter((i) => i.kind !== 'button' && i.kind !== 'motion')
  return (
    <section aria-label="Hands" className="space-y-2.5">
      <div className="flex flex-wrap gap-2">
        {buttons.map((i) => {
          const on = !!held?.some((h) => h.input === i.id)
          const space = (k: KeyboardEvent, run: (id: string) => void) => {
            if (k.key !== ' ' && k.key !== 'Enter') return
            k.preventDefault()
            run(i.id)
          }
          return (
            <button
              key={i.id}
              type="button"
              aria-pressed={on}
              className={`border-ink flex min-h-11 items-center gap-2 border-2 px-3 select-none ${on ? 'bg-brassline text-card' : 'bg-card'}`}
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId)
                press(i.id)
              }}
              onPointerUp={() => release(i.id)}
              onPointerCancel={() => release(i.id)}
              onKeyDown={(k) => !k.repeat && space(k, press)}
              onKeyUp={(k) => space(k, release)}
              onBlur={() => release(i.id)}
            >
              <span className="key text-ink!">{keyOf(saber.inputs.indexOf(i))}</span>
              {i.name}
            </button>
          )
        })}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Segments label="How it is held" value={pose} options={POSES} words={(p) => HELD[p]} onChange={hold} />
        <Tilt />
      </div>
      <div className="flex flex-wrap gap-1.5">
        {MOTIONS.map(([m, key]) => (
          <button key={m} type="button" className="btn" onClick={() => move(m)}>
            <span className="key">{key}</span> {m}
          </button>
        ))}
        <button type="button" className="btn" aria-label="turn it back by one" onClick={() => turn(-1)}>
          <span className="key">←</span> turn
        </button>
        <button type="button" className="btn" aria-label="turn it on by one" onClick={() => turn(1)}>
          <span className="key">→</span> turn
        </button>
        {others.flatMap((i) =>
          (i.kind === 'slide' ? (['slide'] as const) : (['insert', 'twist'] as const)).map((m) => (
            <button key={`${i.id} ${m}`} type="button" className="btn" onClick={() => move(m, i.id)}>
              {m} {i.name}
            </button>
          )),
        )}
      </div>
    </section>
  )
}
