/** The curve of sRGB (IEC 61966-2-1), as tables: a picture of LEDs is worked out sixty times in a second. */
const TO = Float32Array.from({ length: 256 }, (_, i) => {
  const v = i / 255
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
})
const STEPS = 4096
const FROM = Uint8Array.from({ length: STEPS + 1 }, (_, i) => {
  const v = i / STEPS
  return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055))
})

/** Linear light, 0…1, of a value of 0…255. */
export const toLinear = (v: number): number => TO[Math.min(255, Math.max(0, Math.round(v)))]!
/** The value, 0…255, of linear light; what is beyond 0…1 clips. */
export const fromLinear = (v: number): number => FROM[Math.round(Math.min(1, Math.max(0, v)) * STEPS)]!
