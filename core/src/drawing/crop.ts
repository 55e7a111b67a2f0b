import type { Prim, Pt, Scene } from './scene'

/** Half the height of a line of words and its width for a letter, px. */
const WORDS = { half: 8, letter: 5.6 }

/** The same drawing on no more paper than it needs, with some air round it, px; what is empty stays as it is. */
export function cropped(scene: Scene, air: number): Scene {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity]
  const see = ([x, y]: Pt, dx = 0, dy = dx) => {
    x0 = Math.min(x0, x - dx)
    x1 = Math.max(x1, x + dx)
    y0 = Math.min(y0, y - dy)
    y1 = Math.max(y1, y + dy)
  }
  for (const p of scene.prims) {
    // The axis runs over the whole page, whatever lies on it.
    if (p.t === 'path' && p.role === 'centre') continue
    if (p.t === 'path') for (const at of p.pts) see(at)
    else if (p.t === 'circle') see(p.at, p.r)
    else see(p.at, p.text.length * WORDS.letter * (p.anchor === 'middle' ? 0.5 : 1), WORDS.half)
  }
  if (!(x1 > x0)) return scene
  const left = Math.max(0, x0 - air)
  const right = Math.min(scene.width, x1 + air)
  const top = Math.max(0, y0 - air)
  const bottom = Math.min(scene.height, y1 + air)
  const move = ([x, y]: Pt): Pt => [x - left, y - top]
  const moved = (p: Prim): Prim => (p.t === 'path' ? { ...p, pts: p.pts.map(move) } : { ...p, at: move(p.at) })
  return {
    ...scene,
    ...{ width: right - left, height: bottom - top, axisY: scene.axisY - top },
    prims: scene.prims.map(moved),
    spots: scene.spots.map((s) => ({ ...s, x0: s.x0 - left, x1: s.x1 - left, y0: s.y0 - top, y1: s.y1 - top })),
    x: (mm) => scene.x(mm) - left,
    mm: (px) => scene.mm(px + left),
  }
}
