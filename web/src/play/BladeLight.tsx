import type { Scene } from '@nubrin/core/drawing'
import { known } from '@nubrin/core/facts'
import { type Look, ledFrame, rgbOf } from '@nubrin/core/light'
import { aroundOf, type Lamp, lampsOf, setTo, shownOn } from '@nubrin/core/looks'
import { pixels } from '@nubrin/core/power'
import { type Blade, refTo, type Saber } from '@nubrin/core/record'
import { useEffect, useMemo, useRef } from 'react'
import { usePlay } from './usePlay'

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

/** A blade on the drawing: where it leaves the hilt, which way, how long and thick, px, and how many LEDs lie along it. */
export interface DrawnBlade {
  id: string
  leds: number
  x: number
  y: number
  /** Along the hilt, or up and down from a crossguard. */
  way: 'along' | 'up' | 'down'
  length: number
  thick: number
}
const TURN = { along: 0, up: -Math.PI / 2, down: Math.PI / 2 } as const
/** How far a crossguard's blade is drawn beyond its arm, px. */
const BEYOND = 46

/** LEDs along a blade, as far as they are known: the groups of a string, else its pixels; of strips that lie side by side there is one of each. */
export function ledsAlong(saber: Saber, b: Blade): number | undefined {
  const counted = b.kind === 'string' ? known(b.groups) : undefined
  const all = pixels(saber, b)
  return counted ?? (all.ok ? all.value / Math.max(1, known(b.strips) ?? 1) : undefined)
}
/** As many as are drawn. */
export const ledsDrawn = (n: number | undefined): number =>
  Math.max(1, Math.min(MOST_LEDS, Math.round(n ?? USUAL_LEDS)))

/** Blades that shine on a drawing, one a socket, without those that are off. */
export function bladesOn(saber: Saber, scene: Scene, off: readonly string[]): DrawnBlade[] {
  return saber.blades.flatMap((b): DrawnBlade[] => {
    const spot = scene.spots.find((s) => s.ref === `blade:${b.id}`)
    const socket = scene.spots.find((s) => s.ref === `socket:${b.socket}`)
    if (!spot || b.kind === 'plug' || b.kind === 'inHilt' || off.includes(`blade:${b.id}`)) return []
    const leds = ledsDrawn(ledsAlong(saber, b))
    const [w, h] = [Math.abs(spot.x1 - spot.x0), Math.abs(spot.y1 - spot.y0)]
    // A blade of the hilt lies on its axis; one of a crossguard stands beside it.
    if (Math.min(spot.y0, spot.y1) < scene.axisY && Math.max(spot.y0, spot.y1) > scene.axisY) {
      const x = Math.min(spot.x1 - 60, socket ? socket.x1 : spot.x0)
      return [
        { ...{ id: b.id, leds, x, y: (spot.y0 + spot.y1) / 2, way: 'along' }, length: spot.x1 - 26 - x, thick: h },
      ]
    }
    const x = (spot.x0 + spot.x1) / 2
    const up = (spot.y0 + spot.y1) / 2 < scene.axisY
    const ends = [socket ?? spot].flatMap((q) => [q.y0, q.y1])
    const y = up ? Math.min(...ends) : Math.max(...ends)
    const room = up ? y - 6 : scene.height - 6 - y
    return [
      { ...{ id: b.id, leds, x, y, way: up ? 'up' : 'down' }, length: Math.max(8, Math.min(BEYOND, room)), thick: w },
    ]
  })
}
export const turnOf = (b: DrawnBlade): number => TURN[b.way]

/** Lights in the hilt that are drawn: where, and whether they follow the blade or shine by themselves while it is awake. */
function zonesOn(saber: Saber, scene: Scene) {
  return lampsOf(saber).flatMap((lamp) => {
    const z = saber.zones.find((x) => refTo('zone', x.id) === lamp.ref)
    const spot = z?.part ? scene.spots.find((s) => s.ref === `part:${z.part}`) : undefined
    return z && spot ? [{ lamp, follows: lamp.leader !== undefined || z.kind === 'crystal', spot }] : []
  })
}
/** What of a light of the hilt is seen at a moment: its own colour in the preset, or that of the blade, through what is before it. */
function zoneColour(saber: Saber, lamp: Lamp, { look, preset }: Now): readonly number[] {
  const own = preset && lamp.ref.startsWith('zone:') ? setTo(saber, preset, lamp) : undefined
  const blade = `#${look.colour.map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`
  const follows = lamp.leader !== undefined || own === undefined
  return rgbOf(shownOn(lamp, follows ? blade : own).seen)
}

/** A blade with its pages: one of its LEDs, one of its light in the air, faded towards the edges. */
export function stripOf(b: DrawnBlade) {
  const page = document.createElement('canvas')
  page.width = b.leds
  page.height = 1
  const ink = page.getContext('2d')!
  const air = document.createElement('canvas')
  const reach = b.thick * REACH
  air.width = Math.ceil(b.length + reach)
  air.height = Math.ceil(b.thick + 2 * reach)
  const sky = air.getContext('2d')!
  const fade = sky.createLinearGradient(0, 0, 0, air.height)
  for (const [at, alpha] of FALL) {
    fade.addColorStop(at, `rgba(0,0,0,${alpha})`)
    fade.addColorStop(1 - at, `rgba(0,0,0,${alpha})`)
  }
  return { b, page, ink, data: ink.createImageData(b.leds, 1), air, sky, fade, reach }
}
type Now = NonNullable<ReturnType<ReturnType<typeof usePlay.getState>['look']>>

/** Paints a blade as far as it is lit: its air, its LEDs, and its middle nearly white, as the eye sees it. */
export function paintBlade(g: CanvasRenderingContext2D, strip: ReturnType<typeof stripOf>, look: Look, t: number) {
  const { b, page, ink, data, air, sky, fade, reach } = strip
  ledFrame(b.leds, look, t, data.data)
  ink.putImageData(data, 0, 0)
  const [w, h] = [b.length, b.thick]
  const lit = look.extended * w
  if (lit <= 0) return
  sky.globalCompositeOperation = 'copy'
  sky.drawImage(page, 0, 0, w, air.height)
  sky.globalCompositeOperation = 'destination-in'
  sky.fillStyle = fade
  sky.fillRect(0, 0, air.width, air.height)
  g.save()
  g.translate(b.x, b.y)
  g.rotate(turnOf(b))
  g.drawImage(air, 0, -h / 2 - reach)
  tube(g, 0, lit, 1 - h / 2, h / 2 - 1)
  g.clip()
  g.drawImage(page, 0, -h / 2, w, h)
  g.globalAlpha = 0.6
  g.fillStyle = '#fff'
  tube(g, 0, Math.max(0, lit - h * 0.25), -h * 0.16, h * 0.16)
  g.fill()
  g.restore()
}

/** Paints a light of the hilt: what follows the blade glows with it; what is lit by itself shines as long as the board is awake. */
function paintZone(
  g: CanvasRenderingContext2D,
  { lamp, follows, spot }: ReturnType<typeof zonesOn>[number],
  saber: Saber,
  now: Now,
) {
  const lit = follows ? now.look.extended : now.awake ? 1 : 0
  if (lit <= 0) return
  const [x, y] = [(spot.x0 + spot.x1) / 2, (spot.y0 + spot.y1) / 2]
  const r = Math.max(12, (spot.x1 - spot.x0) * 0.8)
  const glow = g.createRadialGradient(x, y, 1, x, y, r)
  const colour = zoneColour(saber, lamp, now).join()
  glow.addColorStop(0, `rgba(${colour},${0.85 * lit})`)
  glow.addColorStop(1, `rgba(${colour},0)`)
  g.fillStyle = glow
  g.fillRect(x - r, y - r, 2 * r, 2 * r)
}

/** The light of every blade, drawn LED by LED over the drawing, for every frame while something moves. */
export function BladeLight({ saber, scene }: { saber: Saber; scene: Scene }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const off = usePlay((p) => p.machine?.off)
  const blades = useMemo(() => bladesOn(saber, scene, off ?? []), [saber, scene, off])
  const zones = useMemo(() => zonesOn(saber, scene), [saber, scene])
  useEffect(() => {
    const c = canvas.current
    const g = c?.getContext('2d')
    if (!c || !g) return
    // What each blade is seen through is its own.
    const lamps = new Map(lampsOf(saber).map((l) => [l.ref, l]))
    const strips = blades.map((b) => {
      const lamp = lamps.get(refTo('blade', b.id))
      return { ...stripOf(b), seen: lamp ? aroundOf(saber, lamp) : {} }
    })
    let frame = 0
    let drawn = ''
    const draw = () => {
      frame = requestAnimationFrame(draw)
      const { tick, look } = usePlay.getState()
      tick()
      const now = look()
      if (!now) return
      // A blade that only shines is not drawn again.
      const key = `${now.look.colour.join()} ${now.look.extended} ${now.awake}`
      if (!now.moving && key === drawn) return
      drawn = now.moving ? '' : key
      g.clearRect(0, 0, c.width, c.height)
      for (const z of zones) paintZone(g, z, saber, now)
      for (const s of strips) paintBlade(g, s, { ...now.look, ...s.seen }, now.t)
    }
    frame = requestAnimationFrame(draw)
    return () => cancelAnimationFrame(frame)
  }, [blades, zones])
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
