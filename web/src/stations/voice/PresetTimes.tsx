import { fact, known } from '@nubrin/core/facts'
import { fontOf, type Preset, type Saber } from '@nubrin/core/record'
import { timesBySound } from '@nubrin/core/voice'
import { useRef, useState } from 'react'
import { useDrawn } from './useDrawn'
import { Waveform } from './Waveform'
import { secondsOf } from './words'

const WAYS = {
  extendMs: { event: 'ignite', words: 'out', sound: 'ignite' },
  retractMs: { event: 'retract', words: 'in', sound: 'retract' },
} as const
type Way = keyof typeof WAYS
/** A step of the arrow keys, ms; the longest that a blade takes. */
const [STEP, MOST] = [10, 20_000]

/** The blade over its sounds: how long it takes out and in against when the sound has arrived, dragged, or taken as the sound has it. */
export function PresetTimes({
  saber,
  preset: p,
  set,
}: {
  saber: Saber
  preset: Preset
  set: (run: (x: Preset) => void) => void
}) {
  const by = timesBySound(saber, p)
  const ways = (Object.keys(WAYS) as Way[]).filter((w) => by[w] !== undefined)
  if (!ways.length) return null
  const take = (w: Way, ms: number, sound: boolean) =>
    set((x) => {
      x[w] = sound
        ? fact(ms, 'ms', 'computed', { with: `where the ${WAYS[w].sound} sound has arrived` })
        : fact(ms, 'ms', 'configured')
    })
  return (
    <div className="mt-3 grid grid-cols-2 gap-4">
      {ways.map((w) => (
        <Ramp key={w} saber={saber} preset={p} way={w} by={by[w]!} onTake={(ms, sound) => take(w, ms, sound)} />
      ))}
    </div>
  )
}

function Ramp({
  saber,
  preset: p,
  way,
  by,
  onTake,
}: {
  saber: Saber
  preset: Preset
  way: Way
  by: number
  onTake: (ms: number, sound: boolean) => void
}) {
  const { event, words } = WAYS[way]
  const sound = fontOf(saber, p)?.sounds.find((s) => s.event === event)
  const { data: drawn } = useDrawn(sound?.media)
  const [dragged, setDragged] = useState<number>()
  const box = useRef<HTMLDivElement>(null)
  const ms = dragged ?? known(p[way])
  const outline = drawn?.outline ?? { seconds: sound?.seconds ?? by / 1000, low: [], high: [] }
  const span = Math.max(outline.seconds, (ms ?? 0) / 1000, by / 1000) * 1.15
  const at = (e: { clientX: number }) => {
    const b = box.current!.getBoundingClientRect()
    return Math.max(STEP, Math.min(MOST, Math.round((((e.clientX - b.left) / b.width) * span * 1000) / STEP) * STEP))
  }
  const label = `Blade of ${p.name} is ${words} after`
  return (
    <figure>
      <figcaption className="flex items-baseline gap-2 text-[0.92rem] whitespace-nowrap [font-stretch:84%]">
        <span className="font-medium">blade {words}</span>
        <span className="text-quiet">{ms === undefined ? 'not set' : secondsOf(ms / 1000)}</span>
        {ms === undefined || Math.abs(ms - by) >= STEP ? (
          <button type="button" className="text-brass ml-auto hover:underline" onClick={() => onTake(by, true)}>
            match the sound: {secondsOf(by / 1000)}
          </button>
        ) : (
          <span className="text-fine ml-auto">✓ with its sound</span>
        )}
      </figcaption>
      <div ref={box} className="relative touch-none">
        <Waveform
          outline={outline}
          until={span}
          wide={240}
          label={`${sound?.name ?? event} with the blade over it`}
          over={(x, high) => (
            <>
              <path d={`M${x(by / 1000)} 0v${high}`} stroke="#8a6a2f" strokeDasharray="3 2" />
              {ms === undefined ? null : (
                <path
                  d={
                    way === 'extendMs'
                      ? `M0 ${high}L${x(ms / 1000)} 2H${x(span)}V${high}Z`
                      : `M0 2L${x(ms / 1000)} ${high}H0Z`
                  }
                  fill="#a63a2b"
                  fillOpacity="0.16"
                  stroke="#a63a2b"
                  strokeWidth="1.4"
                />
              )}
            </>
          )}
        />
        {ms === undefined ? null : (
          <button
            type="button"
            role="slider"
            aria-label={label}
            aria-valuemin={STEP}
            aria-valuemax={MOST}
            aria-valuenow={ms}
            aria-valuetext={secondsOf(ms / 1000)}
            className="absolute top-0 bottom-4 w-4 -translate-x-1/2 cursor-ew-resize"
            style={{ left: `${(ms / 1000 / span) * 100}%` }}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId)
              setDragged(at(e))
            }}
            onPointerMove={(e) => dragged !== undefined && setDragged(at(e))}
            onPointerUp={() => {
              if (dragged !== undefined && dragged !== known(p[way])) onTake(dragged, false)
              setDragged(undefined)
            }}
            onKeyDown={(e) => {
              const by = { ArrowLeft: -STEP, ArrowRight: STEP, PageDown: -100, PageUp: 100 }[e.key]
              if (by === undefined) return
              e.preventDefault()
              onTake(Math.max(STEP, Math.min(MOST, ms + by)), false)
            }}
          >
            <span className="bg-stop mx-auto block h-full w-[3px]" />
          </button>
        )}
      </div>
    </figure>
  )
}
