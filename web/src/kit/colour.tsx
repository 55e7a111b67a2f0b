/** A colour, chosen on the picker of the system. */
export function ColourCell({
  value,
  onCommit,
  label,
  className = 'h-8 w-14',
}: {
  value: string
  onCommit: (hex: string) => void
  label: string
  className?: string
}) {
  return (
    <input
      type="color"
      aria-label={label}
      className={className}
      value={value}
      onChange={(e) => onCommit(e.target.value)}
    />
  )
}
