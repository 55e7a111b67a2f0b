import type { Scene } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import { ledFrame } from '@nubrin/core/light'
import { pixels } from '@nubrin/core/power'
import type { Saber } from '@nubrin/core/record'
import { useEffect, useMemo, useRef } from 'react'
import { lookNow, usePlay } from './usePlay'

/** More than this no page shows, and no board drives. */
const MOST_LEDS = 4000
/** LEDs of a blade that nobody has counted. */
const USUAL_LEDS = 120
/** How far its light reaches beyond the tube, in widths of the tube to each side. */
const REACH = 1.15
/** How strong the light is from the edge of its reach to the middle of the tube. */
const FALL: readonly (readonly [at: number, alpha: number])[] = [
  [0, 0],
  [0.12, 0.04],
  [0.24, 0.16],
  [0.34, 0.42],
  [0.5, 0.6],
]

/** The outline of a tube with a round tip, cut where its light ends. */
function tube(g: CanvasRenderingContext2D, x0: number, x1: number, y0: number, y1: number) {
  const r = Math.min((y1 - y0) / 2, Math.max(0, x1 - x0))
  g.beginPath()
  g.moveTo(x0, y0)
  g.lineTo(x1 - r, y0)
  g.arc(x1 - r, (y0 + y1) / 2, r, -Math.PI / 2, Math.PI / 2)
  g.lineTo(x0, y1)
  g.closePath()
}

/** Blades that shine on a drawing: where, and how many LEDs along each. */
export function bladesOn(saber: Saber, scene: Scene, off: readonly string[]) {
  return saber.blades.flatMap((b) => {
    const spot = scene.spots.find((s) => s.ref === `blade:${b.id}`)
    const socket = scene.spots.find((s) => s.ref === `socket:${b.socket}`)
    if (!spot || b.kind === 'plug' || b.kind === 'inHilt' || off.includes(`blade:${b.id}`)) return []
    const counted = b.kind === 'string' ? known(b.groups) : undefined
    const all = pixels(saber, b)
    const strips = Math.max(1, known(b.strips) ?? 1)
    // Strips lie side by side: along the blade there is one LED of each.
    const leds = counted ?? (all.ok ? all.value / strips : USUAL_LEDS)
    const x0 = Math.min(spot.x1 - 4, socket ? socket.x1 : spot.x0)
    return [
      {
        id: b.id,
        leds: Math.max(1, Math.min(MOST_LEDS, Math.round(leds))),
        name: b.name,
        x0,
        x1: spot.x1 - 26,
        y0: spot.y0,
        y1: spot.y1,
      },
    ]
  })
}

/** The light of every blade, drawn LED by LED over the drawing, for every frame while something moves. */
export function BladeLight({ saber, scene }: { saber: Saber; scene: Scene }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const off = usePlay((p) => p.machine?.off)
  const blades = useMemo(() => bladesOn(saber, scene, off ?? []), [saber, scene, off])
  useEffect(() => {
    const c = canvas.current
    const g = c?.getContext('2d')
    if (!c || !g) return
    const strips = blades.map((b) => {
      const page = document.createElement('canvas')
      page.width = b.leds
      page.height = 1
      const ink = page.getContext('2d')!
      const [w, h] = [b.x1 - b.x0, b.y1 - b.y0]
      // Its light in the air is drawn on a page of its own and faded towards its edges there.
      const air = document.createElement('canvas')
      const reach = h * REACH
      air.width = Math.ceil(w + reach)
      air.height = Math.ceil(h + 2 * reach)
      const sky = air.getContext('2d')!
      const fade = sky.createLinearGradient(0, 0, 0, air.height)
      for (const [at, alpha] of FALL) {
        fade.addColorStop(at, `rgba(0,0,0,${alpha})`)
        fade.addColorStop(1 - at, `rgba(0,0,0,${alpha})`)
      }
      return { b, page, ink, data: ink.createImageData(b.leds, 1), air, sky, fade, reach }
    })
    let frame = 0
    let drawn = ''
    const draw = () => {
      frame = requestAnimationFrame(draw)
      usePlay.getState().tick()
      const now = lookNow()
      if (!now) return
      // A blade that only shines is not drawn again.
      const key = `${now.look.colour.join()} ${now.look.extended}`
      if (!now.moving && key === drawn) return
      drawn = now.moving ? '' : key
      g.clearRect(0, 0, c.width, c.height)
      for (const { b, page, ink, data, air, sky, fade, reach } of strips) {
        ledFrame(b.leds, now.look, now.t, data.data)
        ink.putImageData(data, 0, 0)
        const [w, h, mid] = [b.x1 - b.x0, b.y1 - b.y0, (b.y0 + b.y1) / 2]
        const lit = now.look.extended * w
        if (lit <= 0) continue
        sky.globalCompositeOperation = 'copy'
        sky.drawImage(page, 0, 0, w, air.height)
        sky.globalCompositeOperation = 'destination-in'
        sky.fillStyle = fade
        sky.fillRect(0, 0, air.width, air.height)
        g.drawImage(air, b.x0, mid - h / 2 - reach)
        g.save()
        tube(g, b.x0, b.x0 + lit, b.y0 + 1, b.y1 - 1)
        g.clip()
        g.drawImage(page, b.x0, b.y0, w, h)
        // The middle of the tube is nearly white, as the eye sees it.
        g.globalAlpha = 0.6
        g.fillStyle = '#fff'
        tube(g, b.x0, b.x0 + Math.max(0, lit - h * 0.25), mid - h * 0.16, mid + h * 0.16)
        g.fill()
        g.restore()
      }
    }
    frame = requestAnimationFrame(draw)
    return () => cancelAnimationFrame(frame)
  }, [blades])
  return (
    <canvas
      ref={canvas}
      width={scene.width}
      height={scene.height}
      className="pointer-events-none absolute top-0 left-0"
      aria-hidden
      data-leds={blades.map((b) => b.leds).join(' ')}
    />
  )
}
