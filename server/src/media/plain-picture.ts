/** Widest and highest that a picture is kept, pixels. */
export const MOST_SIDE = 2400

/**
 * Whether a JPEG holds nothing but its picture: tables, one frame of one or three colours no larger than is kept, scans, and
 * nothing behind its end. Camera, place, thumbnail and comments stand in other segments. Source: ITU T.81, JFIF 1.02.
 */
export function isPlainJpeg(b: Uint8Array): boolean {
  if (b[0] !== 0xff || b[1] !== 0xd8) return false
  let at = 2
  let frame = false
  while (at + 4 <= b.length) {
    if (b[at] !== 0xff) return false
    const marker = b[at + 1]!
    if (marker === 0xd9) return false
    const size = b[at + 2]! * 256 + b[at + 3]!
    if (size < 2 || at + 2 + size > b.length) return false
    const jfif = marker === 0xe0 && size === 16 && String.fromCharCode(...b.subarray(at + 4, at + 8)) === 'JFIF'
    const table = [0xdb, 0xc4, 0xdd].includes(marker)
    if (marker === 0xc0 || marker === 0xc2) {
      const [h, w, colours] = [b[at + 5]! * 256 + b[at + 6]!, b[at + 7]! * 256 + b[at + 8]!, b[at + 9]!]
      if (frame || !w || !h || Math.max(w, h) > MOST_SIDE || (colours !== 1 && colours !== 3)) return false
      frame = true
    } else if (marker !== 0xda && !jfif && !table) return false
    at += 2 + size
    if (marker === 0xda) {
      // The scan: up to the next marker that is neither a stuffed byte nor a restart.
      while (at + 1 < b.length && !(b[at] === 0xff && b[at + 1] !== 0 && (b[at + 1]! < 0xd0 || b[at + 1]! > 0xd7))) at++
      if (b[at + 1] === 0xd9) return frame && at + 2 === b.length
    }
  }
  return false
}

const PNG_PARTS = new Set(['IHDR', 'PLTE', 'tRNS', 'pHYs', 'IDAT', 'IEND'])

/** The same of a PNG: only the parts that make the picture, no larger than is kept, nothing behind its end. Source: ISO/IEC 15948. */
export function isPlainPng(b: Uint8Array): boolean {
  if (String.fromCharCode(...b.subarray(0, 8)) !== '\x89PNG\r\n\x1a\n' || b.length < 33) return false
  const view = new DataView(b.buffer, b.byteOffset, b.byteLength)
  if (Math.max(view.getUint32(16), view.getUint32(20)) > MOST_SIDE) return false
  let at = 8
  while (at + 12 <= b.length) {
    const size = view.getUint32(at)
    const name = String.fromCharCode(...b.subarray(at + 4, at + 8))
    if (!PNG_PARTS.has(name) || at + 12 + size > b.length) return false
    at += 12 + size
    if (name === 'IEND') return size === 0 && at === b.length
  }
  return false
}
