import { Radio, RadioGroup } from '@headlessui/react'

/** One of a few, side by side; walked with the arrow keys. */
export function Segments<T extends string>({
  label,
  value,
  options,
  words = (v) => v,
  onChange,
}: {
  label: string
  value: T | undefined
  options: readonly T[]
  words?: (v: T) => string
  onChange: (v: T) => void
}) {
  return (
    <RadioGroup aria-label={label} value={value ?? null} onChange={(v) => v && onChange(v)} className="flex">
      {options.map((o) => (
        <Radio
          key={o}
          value={o}
          className="border-ink bg-card data-checked:bg-ink data-checked:text-paper -ml-px cursor-pointer border px-2.5 py-1 select-none first:ml-0"
        >
          {words(o)}
        </Radio>
      ))}
    </RadioGroup>
  )
}
