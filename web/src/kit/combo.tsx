import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { type Titled, Under, useDraft } from './text'

/** Free text with suggestions from what is known; what is typed counts, whether or not it is among them. */
export function ComboCell({
  value,
  onCommit,
  label,
  suggestions,
  className = '',
  field,
  ...titled
}: Titled & {
  value: string
  onCommit: (v: string) => void
  label: string
  suggestions: readonly string[]
  className?: string
}) {
  const d = useDraft(value, onCommit)
  const hits = suggestions
    .filter((s) => s !== d.draft && s.toLowerCase().includes(d.draft.trim().toLowerCase()))
    .slice(0, 12)
  return (
    <Under {...titled}>
      <Combobox
        value={d.draft}
        onChange={(v: string | null) => {
          if (v === null) return
          d.setDraft(v)
          if (v !== value) onCommit(v)
        }}
      >
        <ComboboxInput
          aria-label={label}
          data-field={field}
          className={`cell ${className}`}
          onFocus={d.focus}
          onBlur={d.commit}
          onChange={(e) => d.setDraft(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter' && !hits.length) d.commit()
          }}
        />
        <ComboboxOptions
          modal={false}
          anchor="bottom start"
          className="border-ink bg-card z-60 max-h-60! w-(--input-width) overflow-auto border empty:hidden"
        >
          {d.draft.trim() && hits.length ? (
            <ComboboxOption value={d.draft} className="data-focus:bg-ink data-focus:text-paper px-3 py-1">
              {d.draft}
            </ComboboxOption>
          ) : null}
          {hits.map((h) => (
            <ComboboxOption key={h} value={h} className="data-focus:bg-ink data-focus:text-paper px-3 py-1">
              {h}
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </Combobox>
    </Under>
  )
}
