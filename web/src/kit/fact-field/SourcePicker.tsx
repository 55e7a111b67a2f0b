import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'
import { type AnyFact, SOURCE_WORDS, SOURCES, type Source, standBehind } from '@nubrin/core/facts'
import { todayIso } from '../../data'
import { useSession } from '../../store/session'

const SHORT: Record<Source, string> = { ...SOURCE_WORDS, configured: 'on the board' }
/** What makes sure of a pole or a rating that was only assumed: somebody has looked, or has the sheet. */
const LOOKED: readonly Source[] = ['measured', 'read', 'datasheet']
/** Sources that stand as plain fact. */
export const PLAIN = new Set<Source>(['measured', 'datasheet', 'configured', 'computed'])

/** Where a value comes from, and another source for the same value. */
export function SourcePicker<F extends AnyFact<unknown>>({
  label,
  value,
  compact,
  looked,
  onCommit,
}: {
  label: string
  value: F
  compact: boolean
  /** It can hurt somebody: from an assumption it becomes more only by looking. */
  looked?: boolean
  onCommit: (f: F) => void
}) {
  const me = useSession((s) => s.person?.name)
  return (
    <Listbox
      value={value.source}
      onChange={(source: Source) => onCommit(standBehind(value, { source, on: todayIso(), ...(me ? { by: me } : {}) }))}
    >
      <ListboxButton
        className={`truncate underline decoration-dotted underline-offset-2 ${compact ? '[font-stretch:72%]' : ''} ${PLAIN.has(value.source) ? 'text-quiet' : 'text-brass'}`}
        aria-label={`Source of ${label}: ${SOURCE_WORDS[value.source]}`}
        title={[value.with, value.by, value.on].filter(Boolean).join(', ')}
      >
        {SHORT[value.source]}
      </ListboxButton>
      <ListboxOptions anchor="bottom start" className="border-ink bg-card z-60 border py-1 shadow-lg">
        {(looked && value.source === 'assumed' ? LOOKED : SOURCES.filter((s) => s !== 'unknown')).map((s) => (
          <ListboxOption key={s} value={s} className="data-focus:bg-ink data-focus:text-paper px-3 py-1.5">
            {SOURCE_WORDS[s]}
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  )
}
