const MOST_WORDS = 60
/** A value of the record as it can be held against another one in a line. */
export function valueText(v: unknown): string {
  if (v === undefined || v === null || v === '') return 'nothing'
  if (Array.isArray(v)) return v.length === 1 ? 'one entry' : `${v.length} entries`
  if (typeof v === 'object') {
    const o = v as { value?: unknown; unit?: string; name?: string; text?: string; what?: string; title?: string }
    if ('value' in o) return `${o.value ?? 'unknown'}${o.unit && o.unit !== '×' ? ` ${o.unit}` : ''}`
    return `“${o.name ?? o.text ?? o.what ?? o.title ?? 'an entry'}”`
  }
  const text = typeof v === 'string' ? `“${v}”` : String(v)
  return text.length > MOST_WORDS ? `${text.slice(0, MOST_WORDS)}…` : text
}
