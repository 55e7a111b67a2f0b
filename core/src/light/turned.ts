type Rgb = readonly [r: number, g: number, b: number]

/** A colour turned on by steps of a whole circle, as a board does it: red, green and blue, 0 … 255. */
export function turned([r, g, b]: Rgb, steps: number, circle: number): Rgb {
  if (((steps % circle) + circle) % circle === 0) return [r, g, b]
  const a = (2 * Math.PI * steps) / circle
  const [c, s] = [Math.cos(a), Math.sin(a)]
  // Turning about the grey axis keeps how light it is, as near as three dies allow.
  const k = (1 - c) / 3
  const w = s / Math.sqrt(3)
  const mix = (x: number, y: number, z: number) => Math.max(0, Math.min(255, x * (c + k) + y * (k - w) + z * (k + w)))
  return [mix(r, g, b), mix(g, b, r), mix(b, r, g)]
}
