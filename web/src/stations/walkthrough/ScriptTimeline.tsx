import type { Beat, Saber } from '@nubrin/core/record'
import { type Rehearsal, spokenLength, targetOf } from '@nubrin/core/script'
import { Pause, Play } from 'lucide-react'
import { useEffect, useState } from 'react'
import { useBeatOnDrawing } from './useBeatOnDrawing'

const clock = (s: number) => `${Math.floor(s / 60)}:${String(Math.round(s) % 60).padStart(2, '0')}`
/** How fast a rehearsal runs: as it will be spoken, or to look through it. */
const FAST = 6

/** The whole script as a strip of time: each beat as long as it takes, what cannot be done marked, and the head that runs over it. */
export function ScriptTimeline({
  saber,
  run,
  chosen,
  onChoose,
  onTrim,
}: {
  saber: Saber
  run: Rehearsal
  chosen: string | undefined
  onChoose: (id: string) => void
  onTrim: () => void
}) {
  useBeatOnDrawing(saber, run.states, chosen)
  const spoken = saber.beats.filter((b) => !b.leftTo)
  const length = spokenLength(saber.beats)
  const target = targetOf(saber)
  const [speed, setSpeed] = useState<number>()
  const i = spoken.findIndex((b) => b.id === chosen)
  useEffect(() => {
    if (!speed) return
    const next = spoken[i + 1]
    const t = setTimeout(
      () => (next ? onChoose(next.id) : setSpeed(undefined)),
      i < 0 ? 0 : (spoken[i]!.seconds * 1000) / speed,
    )
    return () => clearTimeout(t)
  }, [speed, i, spoken, onChoose])
  const before = spoken.slice(0, Math.max(0, i)).reduce((a, b) => a + b.seconds, 0)
  const bad = new Set(run.troubles.map((t) => t.beat.id))
  const over = target !== undefined && length > target
  const play = (at: number) => () => setSpeed(speed ? undefined : at)
  return (
    <div className="my-1.5">
      <nav className="flex h-5 gap-px" aria-label="The script in time">
        {spoken.map((b) => (
          <button
            key={b.id}
            type="button"
            tabIndex={-1}
            title={`${saber.beats.indexOf(b) + 1}. ${b.say.slice(0, 90)}`}
            aria-label={`Beat ${saber.beats.indexOf(b) + 1}`}
            className={`h-full min-w-[3px] ${tone(b, bad.has(b.id), b.id === chosen)}`}
            style={{ flexGrow: b.seconds, flexBasis: 0 }}
            onClick={() => onChoose(b.id)}
          />
        ))}
      </nav>
      <div className="mt-1 flex items-center gap-3">
        <button type="button" className="btn flex items-center gap-1.5" onClick={play(1)}>
          {speed ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />}
          {speed ? 'stop' : 'rehearse'}
        </button>
        {speed ? null : (
          <button type="button" className="btn-plain btn" onClick={play(FAST)}>
            at {FAST} times the speed
          </button>
        )}
        <span className="text-quiet tabular-nums" role="timer">
          {clock(before)} of {clock(length)}
          {target === undefined ? '' : `, may take ${clock(target)}`}
        </span>
        {over ? (
          <button type="button" className="btn border-brass! text-brass ml-auto" onClick={onTrim}>
            {clock(length - target)} too long: leave to paper what can be read
          </button>
        ) : run.troubles.length ? (
          <span className="text-stop ml-auto font-medium">
            {run.troubles.length === 1 ? 'one thing' : `${run.troubles.length} things`} cannot be done as told
          </span>
        ) : (
          <span className="text-ok ml-auto">all of it can be done, in this order</span>
        )}
      </div>
    </div>
  )
}

const tone = (b: Beat, bad: boolean, here: boolean) =>
  here ? 'bg-ink' : bad ? 'bg-stop' : b.by === 'composed' ? 'bg-[#c9bd9f] hover:bg-brass' : 'bg-brass hover:bg-ink'
