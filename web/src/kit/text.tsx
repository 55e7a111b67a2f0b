import { eitherOr, parseNumber } from '@nubrin/core/units'
import { Plus } from 'lucide-react'
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react'

/** What a field shows while it is being typed in, and how it is committed or put back. */
export function useDraft(value: string, onCommit: (v: string) => void) {
  const [draft, setDraft] = useState(value)
  const focused = useRef(false)
  useEffect(() => {
    if (!focused.current) setDraft(value)
  }, [value])
  const commit = () => {
    focused.current = false
    if (draft !== value) onCommit(draft)
  }
  return {
    draft,
    setDraft,
    commit,
    putBack: () => setDraft(value),
    focus: () => {
      focused.current = true
    },
  }
}

/** A text that is committed when the field is left or Enter is pressed; Escape brings the old one back. */
export function TextCell({
  value,
  onCommit,
  label,
  placeholder = '',
  lines,
  className = '',
  field,
  ...titled
}: Titled & {
  value: string
  onCommit: (v: string) => void
  label: string
  placeholder?: string
  lines?: number
  className?: string
}) {
  const d = useDraft(value, onCommit)
  const shared = {
    value: d.draft,
    'data-field': field,
    'aria-label': label,
    placeholder,
    className: `cell ${className}`,
    onFocus: d.focus,
    onBlur: d.commit,
  }
  return (
    <Under {...titled}>
      {lines ? (
        <textarea
          {...shared}
          rows={lines}
          onChange={(e) => d.setDraft(e.target.value)}
          onKeyDown={(e) => e.key === 'Escape' && d.putBack()}
        />
      ) : (
        <input
          {...shared}
          onChange={(e) => d.setDraft(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') d.commit()
            if (e.key === 'Escape') d.putBack()
          }}
        />
      )}
    </Under>
  )
}

/** A whole number within limits; what is not one stays in the field with the rule beside it. */
export function CountCell(
  props: Titled & {
    value: number
    onCommit: (v: number) => void
    label: string
    min?: number
    max: number
    className?: string
  },
) {
  const { min = 1, max, onCommit, value, ...rest } = props
  return (
    <RuledCell
      {...rest}
      value={String(value)}
      rule={`a whole number from ${min} to ${max}`}
      onCommit={(text) => {
        const n = Number(text)
        const good = text !== '' && Number.isInteger(n) && n >= min && n <= max
        if (good) onCommit(n)
        return good
      }}
    />
  )
}

/** A number within limits that may be left out; a comma is taken for a point. */
export function NumberCell(
  props: Titled & {
    value: number | undefined
    onCommit: (v: number | undefined) => void
    label: string
    max: number
    placeholder?: string
    className?: string
  },
) {
  const { max, onCommit, value, ...rest } = props
  return (
    <RuledCell
      {...rest}
      value={value === undefined ? '' : String(value)}
      rule={`a number from 0 to ${max}`}
      onCommit={(text) => {
        const read = parseNumber(text)
        const n = read.ok ? read.value : undefined
        const good = text === '' || (n !== undefined && n >= 0 && n <= max)
        if (good) onCommit(n)
        return good || eitherOr(read, '')
      }}
    />
  )
}

/** A field that says its rule when what was typed does not keep it; the typed text stays. */
function RuledCell({
  value,
  onCommit,
  label,
  rule,
  placeholder,
  className = '',
  field,
  ...titled
}: Titled & {
  value: string
  /** False where the rule is not kept, or why it cannot be told. */
  onCommit: (text: string) => boolean | string
  label: string
  rule: string
  placeholder?: string
  className?: string
}) {
  const [wrong, setWrong] = useState('')
  const d = useDraft(value, (text) => {
    const came = onCommit(text.trim())
    setWrong(came === true ? '' : came || rule)
  })
  return (
    <Under {...titled}>
      <span className={className}>
        <input
          className="cell"
          inputMode="decimal"
          data-field={field}
          aria-label={label}
          aria-invalid={!!wrong}
          placeholder={placeholder}
          value={d.draft}
          onFocus={d.focus}
          onBlur={d.commit}
          onChange={(e) => d.setDraft(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') d.commit()
            if (e.key === 'Escape') d.putBack()
          }}
        />
        {wrong ? (
          <span role="alert" className="text-stop text-[0.8rem]">
            {wrong}
          </span>
        ) : null}
      </span>
    </Under>
  )
}

/** What stands over a field, where it stands by itself in a form, how much of the form it takes, and which field it is. */
export interface Titled {
  title?: string | undefined
  span?: string | undefined
  /** The field of its thing, by which one is led to it. */
  field?: string | undefined
}
export const Under = ({ title, span, children }: Omit<Titled, 'field'> & { children: ReactNode }) =>
  title === undefined ? (
    children
  ) : (
    <Labelled label={title} {...(span ? { className: span } : {})}>
      {children}
    </Labelled>
  )

export function Labelled({
  label,
  children,
  className = '',
}: {
  label: string
  children: ReactNode
  className?: string
}) {
  return (
    <div className={`min-w-0 ${className}`}>
      <div className="label">{label}</div>
      {children}
    </div>
  )
}

/** One line that adds an item on Enter and stays ready for the next. */
export function AddLine({ label, onAdd }: { label: string; onAdd: (text: string) => void }) {
  const [text, setText] = useState('')
  const add = () => {
    if (!text.trim()) return
    onAdd(text.trim())
    setText('')
  }
  return (
    <div className="flex items-center gap-2">
      <Plus size={16} className="text-brass shrink-0" aria-hidden />
      <input
        className="cell"
        aria-label={label}
        placeholder={label}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={add}
        onKeyDown={(e: KeyboardEvent) => e.key === 'Enter' && add()}
      />
    </div>
  )
}

/** Sets an optional text: an empty one is taken out of the record. */
export function setText<T extends object, K extends keyof T>(o: T, key: K, value: string) {
  if (value.trim()) o[key] = value as T[K]
  else delete o[key]
}
