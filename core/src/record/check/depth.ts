/** How deep a document may be nested; a commission has a dozen levels. */
export const DEEPEST_JSON = 40

/**
 * Whether JSON text is nested deeper than so many levels, by its brackets outside strings. One pass, so that it costs less
 * than what would come after: reading such a text, or walking what was read, runs out of stack.
 */
export function nestedDeeper(text: string, most: number): boolean {
  let depth = 0
  let quoted = false
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i)
    if (quoted) {
      if (c === 0x5c) i++
      else if (c === 0x22) quoted = false
    } else if (c === 0x22) quoted = true
    else if (c === 0x5b || c === 0x7b) {
      if (++depth > most) return true
    } else if (c === 0x5d || c === 0x7d) depth--
  }
  return false
}
