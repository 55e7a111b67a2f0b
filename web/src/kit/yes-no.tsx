import { bound } from './bound'
import { SelectCell } from './select'

/** Yes, no, or not said: where no is an answer, and blank is none. */
export function YesNoCell<T extends object, K extends keyof T & string>({
  of,
  field,
  label,
  title,
  onEdit,
}: {
  of: T
  field: K
  label: string
  title: string
  onEdit: (run: (x: T) => void) => void
}) {
  const is = of[field] as boolean | undefined
  return (
    <SelectCell
      field={field}
      title={title}
      label={label}
      value={is === undefined ? '' : is ? 'yes' : 'no'}
      options={['', 'yes', 'no']}
      words={(v) => v || 'not said'}
      onCommit={(v) => bound(of, onEdit).put(field, (v === '' ? undefined : v === 'yes') as T[K] | undefined)}
    />
  )
}
