import { type Fact, known, type Source, unitOf } from '@nubrin/core/facts'
import { formatNumber, inchFraction, MAKER, type SizeKind, suggestNominal, type Unit } from '@nubrin/core/units'
import type { TSchema } from '@sinclair/typebox'
import { Refused } from '../state'
import { Rivals } from './Rivals'
import { PLAIN, SourcePicker } from './SourcePicker'
import { useStated } from './useStated'

/** The schema of a fact, whose unit the field takes on. */
export type FactSchema<U extends Unit> = TSchema & { static: Fact<U> }

/**
 * A value with its source. What is typed is a statement: it fills what was unknown, corrects the same reading, and stands
 * beside a different one until somebody settles it. A hedged entry ("about 24") is taken as recalled. Wrong input stays in
 * the field with the rule beside it; the record is not touched.
 */
export function FactField<U extends Unit>({
  label,
  value,
  of,
  kind,
  source = 'measured',
  onCommit,
  hideLabel,
  compact,
  confirms,
  looked,
  field: key,
}: {
  label: string
  value: Fact<U> | undefined
  of: FactSchema<U>
  kind?: SizeKind
  /** What a statement typed here usually is. */
  source?: Source
  onCommit: (f: Fact<U>) => void
  hideLabel?: boolean
  /** In a narrow column: no unit, and the source only where it is not measured. */
  compact?: boolean
  /** Enter on a value as it stands says that it was made sure of. */
  confirms?: boolean
  /** It can hurt somebody: from an assumption it becomes more only by looking. */
  looked?: boolean
  /** The field of its thing, by which one is led to it. */
  field?: string | undefined
}) {
  const unit = unitOf(of) as U
  const field = useStated({ value, unit, source, compact: !!compact, confirms: !!confirms, onCommit })
  const stands = known(value)
  const doubt = kind && stands !== undefined ? suggestNominal(stands, kind) : undefined
  const echo = unit === 'mm' && stands ? inchFraction(stands, 0.03) : undefined
  return (
    <div className={`min-w-0 ${compact && value?.rivals?.length ? 'col-span-full' : ''}`}>
      {hideLabel ? null : <div className="label truncate">{label}</div>}
      <div className="flex items-baseline gap-1">
        <input
          className={`cell font-medium ${field.wrong ? 'border-stop!' : ''} ${value && !PLAIN.has(value.source) ? 'text-brass' : ''}`}
          aria-label={label}
          aria-invalid={!!field.wrong}
          data-field={key}
          inputMode="decimal"
          placeholder="–"
          value={field.draft}
          onFocus={field.focus}
          onChange={(e) => field.setDraft(e.target.value)}
          onBlur={() => field.commit(false)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              // The same press must not also answer the question that it may raise.
              e.preventDefault()
              field.commit(true)
            }
            if (e.key === 'Escape') field.putBack()
          }}
        />
        {compact ? null : <span className="label">{unit === '×' ? '' : unit === 'deg' ? '°' : unit}</span>}
      </div>
      {field.wrong ? (
        <Refused why={field.wrong} className="text-[0.8rem]" />
      ) : value && stands !== undefined ? (
        <div className="flex items-baseline justify-between gap-1 text-[0.78rem]">
          <SourcePicker label={label} value={value} compact={!!compact} looked={!!looked} onCommit={onCommit} />
          {echo && !compact ? <span className="text-quiet shrink-0">{echo} in</span> : null}
        </div>
      ) : null}
      {doubt ? (
        <p className="text-brass text-[0.8rem] leading-tight">
          {[
            doubt.usual
              ? `usually ${formatNumber(MAKER, doubt.usual[0])} to ${formatNumber(MAKER, doubt.usual[1])}`
              : '',
            doubt.nearest ? `${doubt.nearest.text}?` : '',
          ]
            .filter(Boolean)
            .join('; ')}
        </p>
      ) : null}
      {value?.rivals?.length ? (
        <Rivals label={label} value={value} focusNewest={field.justTyped} onCommit={onCommit} />
      ) : null}
    </div>
  )
}
