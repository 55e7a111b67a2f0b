import type { Saber } from '@nubrin/core/record'

/** All places of a saber that something can be linked to, by group. */
export function placesOf(s: Saber): { group: string; items: { ref: string; name: string }[] }[] {
  const of = (kind: string, list: { id: string; name: string }[]) =>
    list.map((x) => ({ ref: `${kind}:${x.id}`, name: x.name }))
  return [
    { group: 'sections', items: of('section', s.hilt.sections) },
    { group: 'screws', items: of('fastener', s.hilt.fasteners) },
    { group: 'openings', items: of('opening', s.hilt.openings) },
    { group: 'sockets', items: of('socket', s.hilt.sockets) },
    { group: 'parts', items: of('part', s.parts) },
    { group: 'blades', items: of('blade', s.blades) },
    { group: 'inputs', items: of('input', s.inputs) },
    { group: 'presets', items: of('preset', s.presets) },
  ].filter((g) => g.items.length)
}

export function RefPicker({
  saber,
  value,
  onCommit,
  label,
}: {
  saber: Saber
  value: string | undefined
  onCommit: (ref: string | undefined) => void
  label: string
}) {
  return (
    <select
      className="cell"
      aria-label={label}
      value={value ?? ''}
      onChange={(e) => onCommit(e.target.value || undefined)}
    >
      <option value="">–</option>
      {placesOf(saber).map((g) => (
        <optgroup key={g.group} label={g.group}>
          {g.items.map((i) => (
            <option key={i.ref} value={i.ref}>
              {i.name}
            </option>
          ))}
        </optgroup>
      ))}
    </select>
  )
}
