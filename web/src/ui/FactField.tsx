import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'
import { fact, type NumberFact, SOURCE_WORDS, SOURCES, type Source, settle } from '@nubrin/core/record'
import {
  formatNumber,
  inchFraction,
  parseMeasure,
  type Quantity,
  type SizeKind,
  suggestNominal,
  type Unit,
} from '@nubrin/core/units'
import { useEffect, useRef, useState } from 'react'
import { todayIso } from '../api'

const SHORT: Record<Source, string> = {
  measured: 'measured',
  datasheet: 'datasheet',
  configured: 'on the board',
  computed: 'computed',
  client: 'client said',
  recalled: 'from memory',
  assumed: 'assumed',
  unknown: 'not recorded',
}
const PLAIN = new Set<Source>(['measured', 'datasheet', 'configured', 'computed'])

const show = (f: NumberFact | undefined, bare?: boolean) =>
  f && f.value !== null ? `${formatNumber(f.value)}${f.tol && !bare ? ` ± ${formatNumber(f.tol)}` : ''}` : ''

/**
 * A value with its source. Typing over it corrects it and keeps the old one in the trail; a hedged entry ("about 24") is
 * taken as recalled. Wrong input stays in the field with the rule beside it; the record is not touched.
 */
export function FactField({
  label,
  value,
  unit,
  quantity,
  kind,
  source = 'measured',
  onCommit,
  hideLabel,
  compact,
}: {
  label: string
  value: NumberFact | undefined
  unit: Unit
  quantity: Quantity
  kind?: SizeKind
  source?: Source
  onCommit: (f: NumberFact) => void
  hideLabel?: boolean
  /** In a narrow column: no unit, and the source only where it is not measured. */
  compact?: boolean
}) {
  const [draft, setDraft] = useState(show(value, compact))
  const [wrong, setWrong] = useState<string>()
  const focused = useRef(false)
  useEffect(() => {
    if (!focused.current) {
      setDraft(show(value, compact))
      setWrong(undefined)
    }
  }, [value])

  const commit = () => {
    focused.current = false
    if (draft.trim() === show(value, compact)) return setWrong(undefined)
    const trail =
      value && value.value !== null
        ? {
            trail: [
              ...(value.trail ?? []),
              {
                value: value.value,
                source: value.source,
                ...(value.tol ? { tol: value.tol } : {}),
                ...(value.with ? { with: value.with } : {}),
                why: 'corrected',
                on: todayIso(),
              },
            ].slice(-60),
          }
        : value?.trail
          ? { trail: value.trail }
          : {}
    if (!draft.trim()) return onCommit(fact(null, unit, 'unknown', trail))
    const read = parseMeasure(draft, quantity, unit)
    if (!read.ok) {
      setWrong(
        read.code === 'unknownUnit'
          ? `unit “${read.got}”? one of ${read.accepts.slice(0, 4).join(', ')}`
          : read.code === 'negative'
            ? 'cannot be negative'
            : read.code === 'zeroDenominator'
              ? 'divides by zero'
              : `“${read.got}” is not a number`,
      )
      return
    }
    setWrong(undefined)
    const was = value && value.value !== null && value.source !== 'unknown' ? value.source : source
    onCommit(
      fact(read.value, unit, read.hedged ? 'recalled' : was === 'assumed' || was === 'recalled' ? source : was, {
        // A narrow field does not show the tolerance, so leaving it out there does not take it away.
        ...(read.tol !== undefined ? { tol: read.tol } : compact && value?.tol ? { tol: value.tol } : {}),
        on: todayIso(),
        ...trail,
      }),
    )
  }

  const doubt = kind && value && value.value !== null ? suggestNominal(value.value, kind) : undefined
  const echo = unit === 'mm' && value?.value ? inchFraction(value.value, 0.03) : undefined
  const current = value?.source ?? 'unknown'
  return (
    <div className={`min-w-0 ${compact && value?.rivals?.length ? 'col-span-full' : ''}`}>
      {hideLabel ? null : <div className="label truncate">{label}</div>}
      <div className="flex items-baseline gap-1">
        <input
          className={`cell font-medium ${wrong ? 'border-stop!' : ''} ${value && !PLAIN.has(current) ? 'text-brass' : ''}`}
          aria-label={label}
          aria-invalid={!!wrong}
          inputMode="decimal"
          placeholder="–"
          value={draft}
          onFocus={() => {
            focused.current = true
          }}
          onChange={(e) => setDraft(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => {
            if (e.key === 'Enter') commit()
            if (e.key === 'Escape') setDraft(show(value, compact))
          }}
        />
        {compact ? null : <span className="label">{unit === '×' ? '' : unit === 'deg' ? '°' : unit}</span>}
      </div>
      {wrong ? (
        <p role="alert" className="text-stop text-[0.8rem]">
          {wrong}
        </p>
      ) : value && value.value !== null ? (
        <div className="flex items-baseline justify-between gap-1 text-[0.78rem]">
          <Listbox value={current} onChange={(s: Source) => onCommit({ ...value, source: s })}>
            <ListboxButton
              className={`truncate underline decoration-dotted underline-offset-2 ${compact ? '[font-stretch:72%]' : ''} ${PLAIN.has(current) ? 'text-quiet' : 'text-brass'}`}
              aria-label={`Source of ${label}: ${SOURCE_WORDS[current]}`}
            >
              {SHORT[current]}
            </ListboxButton>
            <ListboxOptions anchor="bottom start" className="border-ink bg-card z-50 border py-1 shadow-lg">
              {SOURCES.filter((s) => s !== 'unknown').map((s) => (
                <ListboxOption key={s} value={s} className="data-focus:bg-ink data-focus:text-paper px-3 py-1.5">
                  {SOURCE_WORDS[s]}
                </ListboxOption>
              ))}
            </ListboxOptions>
          </Listbox>
          {echo && !compact ? <span className="text-quiet shrink-0">{echo} in</span> : null}
        </div>
      ) : null}
      {doubt ? (
        <p className="text-brass text-[0.8rem] leading-tight">
          {[
            doubt.usual ? `usually ${formatNumber(doubt.usual[0])} to ${formatNumber(doubt.usual[1])}` : '',
            doubt.nearest ? `${doubt.nearest.text}?` : '',
          ]
            .filter(Boolean)
            .join('; ')}
        </p>
      ) : null}
      {value?.rivals?.length ? (
        <div className="border-stop mt-1 border-l-2 pl-2 text-[0.82rem]">
          <span className="text-stop font-semibold">Two values.</span> Which holds?
          {[value, ...value.rivals].map((c, i) => (
            <button
              type="button"
              key={`${c.value}-${c.source}`}
              className="btn mt-1 w-full justify-start text-left whitespace-normal!"
              onClick={() => onCommit(settle(value, i, 'settled on the bench'))}
            >
              {c.value === null ? '?' : formatNumber(c.value)} {unit}, {SOURCE_WORDS[c.source]}
              {c.with ? `, ${c.with}` : ''}
            </button>
          ))}
        </div>
      ) : null}
    </div>
  )
}
