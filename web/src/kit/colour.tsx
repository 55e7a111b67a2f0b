/** A colour, chosen on the picker of the system. */
export function ColourCell({
  value,
  onCommit,
  onBegin,
  label,
  className = 'h-8 w-14',
}: {
  value: string
  onCommit: (hex: string) => void
  /** Before the first of the colours that dragging goes through. */
  onBegin?: () => void
  label: string
  className?: string
}) {
  return (
    <input
      type="color"
      aria-label={label}
      className={className}
      value={value}
      onFocus={onBegin}
      onChange={(e) => onCommit(e.target.value)}
    />
  )
}
