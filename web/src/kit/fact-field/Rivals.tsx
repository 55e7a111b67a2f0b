import { type AnyFact, type Claim, correct, SOURCE_WORDS, settle } from '@nubrin/core/facts'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useEffect, useRef } from 'react'

const said = (c: Claim<unknown>, unit: string) =>
  [
    typeof c.value === 'number' ? `${formatNumber(MAKER, c.value)}${unit}` : c.value === null ? '?' : String(c.value),
    SOURCE_WORDS[c.source],
    c.with,
    c.by,
    c.on,
  ]
    .filter(Boolean)
    .join(', ')

/** Values that contradict each other, to be settled with one press; the losers stay in the trail. What was just typed is offered first. */
export function Rivals<F extends AnyFact<unknown>>({
  label,
  value,
  focusNewest,
  onCommit,
}: {
  label: string
  value: F
  focusNewest: boolean
  onCommit: (f: F) => void
}) {
  const rivals = value.rivals ?? []
  const newest = useRef<HTMLButtonElement>(null)
  const count = rivals.length
  useEffect(() => {
    if (focusNewest && count) newest.current?.focus()
  }, [focusNewest, count])
  const all: Claim<unknown>[] = [value, ...rivals]
  const unit = 'unit' in value && value.unit !== '×' ? ` ${String(value.unit)}` : ''
  const last = rivals.at(-1)
  return (
    <fieldset className="border-stop mt-1 border-l-2 pl-2 text-[0.82rem]" aria-label={`Two values for ${label}`}>
      <span className="text-stop font-semibold">{all.length === 2 ? 'Two values.' : `${all.length} values.`}</span>{' '}
      Which is right?
      {all.map((c, i) => (
        <button
          type="button"
          key={`${String(c.value)}-${c.source}-${c.by ?? ''}-${c.on ?? ''}`}
          ref={i === all.length - 1 ? newest : undefined}
          className="btn mt-1 w-full justify-start text-left whitespace-normal!"
          onClick={() => onCommit(settle(value, i))}
        >
          {said(c, unit)}
        </button>
      ))}
      {last && rivals.length === 1 ? (
        <button
          type="button"
          className="text-brass mt-1 text-left"
          onClick={() => {
            const { rivals: _r, ...alone } = value
            onCommit(correct(alone as F, { value: last.value, ...(last.tol ? { tol: last.tol } : {}) }))
          }}
        >
          the first was a typo
        </button>
      ) : null}
    </fieldset>
  )
}
