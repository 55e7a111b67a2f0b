/** A colour, chosen on the picker of the system. */
export function ColourCell({
  value,
  onCommit,
  onBegin,
  label,
  className = 'h-8 w-14',
  field,
}: {
  value: string
  onCommit: (hex: string) => void
  /** Before the first of the colours that dragging goes through. */
  onBegin?: () => void
  label: string
  className?: string
  /** The field of its thing, by which one is led to it. */
  field?: string | undefined
}) {
  return (
    <input
      type="color"
      data-field={field}
      aria-label={label}
      className={className}
      value={value}
      onFocus={onBegin}
      onChange={(e) => onCommit(e.target.value)}
    />
  )
}
