import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'
import { ChevronDown } from 'lucide-react'
import { useId } from 'react'
import { type Titled, Under } from './text'

interface Choice<T extends string> {
  value: T
  words: string
}
export interface Group<T extends string> {
  title: string
  choices: readonly Choice<T>[]
}

/** One of some choices, in groups where they have titles. Typing finds, arrows walk, Enter takes. */
export function GroupedSelect<T extends string>({
  value,
  groups,
  onCommit,
  label,
  placeholder = '–',
  className = '',
  field,
  ...titled
}: Titled & {
  value: T | undefined
  groups: readonly Group<T>[]
  onCommit: (v: T) => void
  label: string
  placeholder?: string
  className?: string
}) {
  const [name, shown] = [useId(), useId()]
  const now = groups.flatMap((g) => g.choices).find((c) => c.value === value)
  return (
    <Under {...titled}>
      <Listbox value={value ?? ('' as T)} onChange={onCommit}>
        <ListboxButton
          data-select={label}
          data-field={field}
          aria-labelledby={`${name} ${shown}`}
          className={`cell flex items-center gap-1 text-left [font-stretch:84%] ${className}`}
        >
          <span id={name} className="sr-only">
            {label}
          </span>
          <span id={shown} className={`min-w-0 flex-1 truncate ${now ? '' : 'text-quiet'}`}>
            {now?.words ?? placeholder}
          </span>
          <ChevronDown size={13} className="text-quiet shrink-0" aria-hidden />
        </ListboxButton>
        <ListboxOptions
          anchor={{ to: 'bottom start', gap: 2 }}
          className="border-ink bg-card z-60 max-h-72! min-w-(--button-width) overflow-y-auto border py-1 shadow-lg"
        >
          {groups.map((g) => (
            <div key={g.title || 'all'} role="presentation">
              {g.title ? <div className="label px-3 pt-1">{g.title}</div> : null}
              {g.choices.map((c) => (
                <ListboxOption
                  key={c.value}
                  value={c.value}
                  data-value={c.value}
                  className="data-focus:bg-ink data-focus:text-paper cursor-pointer px-3 py-1 data-selected:font-semibold"
                >
                  {c.words}
                </ListboxOption>
              ))}
            </div>
          ))}
        </ListboxOptions>
      </Listbox>
    </Under>
  )
}

/** One of some choices. */
export function SelectCell<T extends string>({
  options,
  words,
  ...rest
}: Titled & {
  /** Nothing where it only does something and is never at one of them. */
  value: T | undefined
  placeholder?: string
  options: readonly T[]
  onCommit: (v: T) => void
  label: string
  words?: (v: T) => string
  className?: string
}) {
  const choices = options.map((o) => ({ value: o, words: words ? words(o) : o }))
  return <GroupedSelect {...rest} groups={[{ title: '', choices }]} />
}
