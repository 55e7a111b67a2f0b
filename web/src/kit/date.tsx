import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react'
import { isValid, lightFormat, parseISO } from 'date-fns'
import { CalendarDays, X } from 'lucide-react'
import { lazy, Suspense, useId } from 'react'
import { dayText } from './days'
import { type Titled, Under } from './text'

const load = () => import('./calendar')
const Calendar = lazy(load)

/** A day, chosen from a calendar and shown in the reader's own format; it can be taken out again. */
export function DateCell({
  value,
  onCommit,
  label,
  className = '',
  field,
  ...titled
}: Titled & {
  /** ISO date, or nothing. */
  value: string | undefined
  onCommit: (iso: string | undefined) => void
  label: string
  className?: string
}) {
  const [name, shown] = [useId(), useId()]
  const day = value ? parseISO(value) : undefined
  return (
    <Under {...titled}>
      <div className={`flex items-center ${className}`}>
        <Popover className="min-w-0 flex-1">
          <PopoverButton
            data-date={label}
            data-field={field}
            aria-labelledby={`${name} ${shown}`}
            className="cell flex items-center gap-1 text-left"
            onFocus={() => void load()}
            onPointerEnter={() => void load()}
          >
            <span id={name} className="sr-only">
              {label}
            </span>
            <span id={shown} className={`min-w-0 flex-1 truncate ${value ? '' : 'text-quiet'}`}>
              {value ? dayText(value) : 'no day'}
            </span>
            {value ? null : <CalendarDays size={13} className="text-quiet shrink-0" aria-hidden />}
          </PopoverButton>
          <PopoverPanel anchor="bottom start" className="calendar border-ink bg-card z-60 border p-2 shadow-lg">
            {({ close }) => (
              <Suspense>
                <Calendar
                  day={day && isValid(day) ? day : undefined}
                  onSelect={(d) => {
                    if (d) onCommit(lightFormat(d, 'yyyy-MM-dd'))
                    close()
                  }}
                />
              </Suspense>
            )}
          </PopoverPanel>
        </Popover>
        {value ? (
          <button
            type="button"
            className="text-quiet hover:text-stop grid h-7 w-6 shrink-0 place-items-center"
            aria-label={`No day for ${label}`}
            onClick={() => onCommit(undefined)}
          >
            <X size={13} />
          </button>
        ) : null}
      </div>
    </Under>
  )
}
