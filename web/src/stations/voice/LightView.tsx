import { known } from '@nubrin/core/facts'
import { HELD_EFFECTS, isLedEffect, rgbOf, slowedBy } from '@nubrin/core/light'
import { flashingOf, type Lamp, lookOf, setTo, styleOf } from '@nubrin/core/looks'
import { type LightEvent, type Preset, refTo, type Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useEffect, useRef } from 'react'
import { ledsAlong, ledsDrawn, paintBlade, stripOf } from '../../play/BladeLight'
import { USUAL_COLOUR } from '../../play/lights'

/** How it is looked at: in the dark, by day, or by a camera that is set too bright. */
export const LOOKED_AT = ['dark', 'day', 'camera'] as const
export type LookedAt = (typeof LOOKED_AT)[number]

const [WIDTH, HEIGHT, THICK] = [900, 66, 18]
/** An event is shown anew so often, and a held one held so long, s. */
const [AGAIN, HELD] = [2.6, 1.6]
/** How much more light a camera takes in than it can hold; for the picture only. */
const OVER = 5
const USUAL_MS = 350

/** One light in one look, drawn LED by LED and moving as it does. */
export function LightView({
  saber,
  preset: p,
  lamp,
  event,
  at,
}: {
  saber: Saber
  preset: Preset
  lamp: Lamp
  event: LightEvent | undefined
  at: LookedAt
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const blade = saber.blades.find((b) => refTo('blade', b.id) === lamp.ref)
  const counted = blade ? ledsAlong(saber, blade) : lamp.leds.ok ? lamp.leds.value : undefined
  const leds = ledsDrawn(counted)
  const flashes = Math.max(0, ...flashingOf(saber, p).map((f) => f.hz))
  const slowed = slowedBy(flashes)
  useEffect(() => {
    const g = canvas.current?.getContext('2d')
    if (!g) return
    const strip = stripOf({
      ...{ id: lamp.ref, leds, x: 24, y: HEIGHT / 2, way: 'along' as const, length: WIDTH - 60, thick: THICK },
    })
    const look = lookOf(saber, p, lamp)
    const set = event && p.effects?.[event]
    const colour = rgbOf(
      (event && setTo(saber, p, lamp, event)) ?? (event && isLedEffect(event) ? USUAL_COLOUR[event] : '#ffffff'),
    )
    const through = at === 'camera' ? (look.through ?? [1, 0, 0, 0, 1, 0, 0, 0, 1]).map((v) => v * OVER) : look.through
    const ms = (event === 'retract' ? known(p.retractMs) : known(p.extendMs)) ?? USUAL_MS
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches
    let frame = 0
    const began = performance.now() / 1000
    const draw = () => {
      const t = still ? 0.4 : performance.now() / 1000 - began
      const since = Math.floor(t / AGAIN) * AGAIN
      const way = Math.min(1, ((t - since) * 1000) / Math.max(10, ms))
      const extended = event === 'ignite' ? way : event === 'retract' ? 1 - way : 1
      const held = event !== undefined && HELD_EFFECTS.has(event) && t - since < HELD
      g.clearRect(0, 0, WIDTH, HEIGHT)
      const now = {
        ...{ ...look, extended },
        ...(through ? { through } : {}),
        effects:
          event && isLedEffect(event) && set?.is !== 'notThere'
            ? [
                {
                  ...{ kind: event, since: since + 0.3, colour, at: 0.55, held },
                  ...(set?.moves ? { moves: styleOf(set.moves) } : {}),
                },
              ]
            : [],
      }
      paintBlade(g, strip, now, t)
      if (at === 'day') {
        // Daylight lies over all of it alike.
        g.fillStyle = 'rgba(236,230,216,0.5)'
        g.fillRect(0, 0, WIDTH, HEIGHT)
      }
      if (!still) frame = requestAnimationFrame(draw)
    }
    draw()
    return () => cancelAnimationFrame(frame)
  }, [saber, p, lamp.ref, event, at, leds])
  return (
    <figure>
      <canvas
        ref={canvas}
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`${lamp.name} in ${p.name}, ${leds} LEDs`}
        className={`w-full ${at === 'day' ? 'bg-[#cfc8b6]' : 'bg-[#0f1415]'}`}
        data-leds={leds}
      />
      <figcaption className="text-quiet text-[0.86rem]">
        {counted === undefined ? `its LEDs are not counted: drawn with ${leds}` : `${leds} LEDs along it`}
        {lamp.tint ? `, seen through ${lamp.tint.what}` : ''}
        {slowed < 1
          ? `. Shown ${formatNumber(MAKER, 1 / slowed, 1)} times slower: it flashes ${formatNumber(MAKER, flashes, 1)} times a second.`
          : ''}
        {at === 'camera' ? ' A camera set too bright clips like this; how yours does is not known.' : ''}
      </figcaption>
    </figure>
  )
}
