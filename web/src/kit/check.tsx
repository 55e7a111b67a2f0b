import { Checkbox, Field, Label } from '@headlessui/react'
import { Check } from 'lucide-react'
import type { ReactNode } from 'react'

/** A mark that is set or not, with its words beside it. */
export function CheckBox({
  checked,
  onChange,
  children,
  className = '',
  field,
}: {
  checked: boolean
  onChange: (on: boolean) => void
  children: ReactNode
  className?: string
  /** The field of its thing, by which one is led to it. */
  field?: string | undefined
}) {
  return (
    <Field className={`flex items-center gap-1.5 ${className}`}>
      <Checkbox
        data-field={field}
        checked={checked}
        onChange={onChange}
        className="border-ink data-checked:bg-ink data-checked:text-paper grid h-[15px] w-[15px] shrink-0 cursor-pointer place-items-center border bg-white"
      >
        {checked ? <Check size={12} strokeWidth={3} aria-hidden /> : null}
      </Checkbox>
      <Label className="min-w-0 cursor-pointer">{children}</Label>
    </Field>
  )
}
