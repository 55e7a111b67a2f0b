import { Plus, X } from 'lucide-react'
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react'

/** A text that is committed when the field is left or Enter is pressed; Escape brings the old one back. */
export function TextCell({
  value,
  onCommit,
  label,
  placeholder,
  lines,
  list,
  className = '',
}: {
  value: string
  onCommit: (v: string) => void
  label: string
  placeholder?: string
  lines?: number
  list?: string
  className?: string
}) {
  const [draft, setDraft] = useState(value)
  const focused = useRef(false)
  useEffect(() => {
    if (!focused.current) setDraft(value)
  }, [value])
  const commit = () => {
    focused.current = false
    if (draft !== value) onCommit(draft)
  }
  const shared = {
    value: draft,
    'aria-label': label,
    placeholder: placeholder ?? '',
    className: `cell ${className}`,
    onFocus: () => {
      focused.current = true
    },
    onBlur: commit,
  }
  if (lines)
    return (
      <textarea
        {...shared}
        rows={lines}
        onChange={(e) => setDraft(e.target.value)}
        onKeyDown={(e) => e.key === 'Escape' && setDraft(value)}
      />
    )
  return (
    <input
      {...shared}
      list={list}
      onChange={(e) => setDraft(e.target.value)}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit()
        if (e.key === 'Escape') setDraft(value)
      }}
    />
  )
}

export function SelectCell<T extends string>({
  value,
  options,
  onCommit,
  label,
  words,
  className = '',
}: {
  value: T
  options: readonly T[]
  onCommit: (v: T) => void
  label: string
  words?: (v: T) => string
  className?: string
}) {
  return (
    <select
      className={`cell ${className}`}
      aria-label={label}
      value={value}
      onChange={(e) => onCommit(e.target.value as T)}
    >
      {options.map((o) => (
        <option key={o} value={o}>
          {words ? words(o) : o}
        </option>
      ))}
    </select>
  )
}

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

export function RemoveButton({ what, onClick }: { what: string; onClick: () => void }) {
  return (
    <button
      type="button"
      className="text-quiet hover:text-stop grid h-7 w-7 shrink-0 place-items-center"
      aria-label={`Remove ${what}`}
      title={`Remove ${what}`}
      onClick={onClick}
    >
      <X size={15} />
    </button>
  )
}

/** What an empty place teaches: the next step, and a button that does it. */
export function Empty({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <div className="border-rule my-4 max-w-xl border-l-2 pl-4">
      <p className="font-semibold">{title}</p>
      <p className="text-quiet mt-1">{children}</p>
      {action ? <div className="mt-3 flex flex-wrap gap-2">{action}</div> : null}
    </div>
  )
}

/** Sets an optional text: an empty one is taken out of the record. */
export function setText<T extends object, K extends keyof T>(o: T, key: K, value: string) {
  if (value.trim()) o[key] = value as T[K]
  else delete o[key]
}

/** A button that takes files; the same file may be given twice. */
export function FileButton({
  label,
  accept,
  multiple = false,
  disabled = false,
  className = 'btn',
  onFiles,
}: {
  label: string
  accept: string
  multiple?: boolean
  disabled?: boolean
  className?: string
  onFiles: (files: File[]) => void
}) {
  return (
    <label className={className}>
      {label}
      <input
        type="file"
        className="sr-only"
        accept={accept}
        multiple={multiple}
        disabled={disabled}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])]
          e.target.value = ''
          if (files.length) onFiles(files)
        }}
      />
    </label>
  )
}

/** What was refused, and why; nothing while nothing is wrong. */
export const Refused = ({ why, className = '' }: { why: string | undefined; className?: string }) =>
  why ? (
    <p role="alert" className={`text-stop ${className}`}>
      {why}
    </p>
  ) : null
