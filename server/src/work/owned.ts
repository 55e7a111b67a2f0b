/**
 * The memory that may be handed to another thread instead of being copied: of every array of bytes in a value that has its
 * memory for itself. Small buffers share theirs and are copied.
 */
export function owned(value: unknown): ArrayBuffer[] {
  if (value instanceof Uint8Array) {
    const { buffer, byteLength } = value
    return buffer instanceof ArrayBuffer && byteLength === buffer.byteLength && byteLength > 65_536 ? [buffer] : []
  }
  if (value instanceof Map) return [...value.values()].flatMap(owned)
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return []
  return Object.values(value).flatMap((v) => (v instanceof Uint8Array || v instanceof Map ? owned(v) : []))
}
