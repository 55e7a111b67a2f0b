import { type AnyFact, known, retract, type Source, setAnew, state } from '@nubrin/core/facts'
import { useEffect, useRef, useState } from 'react'
import { todayIso } from '../../data'
import { useSession } from '../../store/session'
import { ColourCell } from '../colour'
import { SelectCell } from '../select'
import { Rivals } from './Rivals'
import { SourcePicker } from './SourcePicker'

interface Props<V extends string> {
  label: string
  value: AnyFact<V> | undefined
  /** What a statement made here usually is. */
  source?: Source
  onCommit: (f: AnyFact<V>) => void
  /** The field of its thing, by which one is led to it. */
  field?: string | undefined
}

/** A statement made here and now. */
function useSaying() {
  const me = useSession((s) => s.person?.name)
  return <V extends string>(value: V, source: Source): AnyFact<V> => ({
    ...{ value, source, on: todayIso() },
    ...(me ? { by: me } : {}),
  })
}

/** Where it comes from, and what contradicts it, under any worded fact. */
function Standing<V extends string>({
  label,
  value,
  onCommit,
  fresh,
  looked = false,
}: Props<V> & { fresh: boolean; looked?: boolean }) {
  if (!value || value.value === null) return null
  return (
    <>
      <div className="text-[0.78rem]">
        <SourcePicker label={label} value={value} compact={false} looked={looked} onCommit={onCommit} />
      </div>
      {value.rivals?.length ? <Rivals label={label} value={value} focusNewest={fresh} onCommit={onCommit} /> : null}
    </>
  )
}

/** Words with their source. A question mark at the end says that nobody has made sure: it is taken as recalled. */
export function TextFactField({
  label,
  value,
  source = 'configured',
  onCommit,
  placeholder = '–',
  confirms,
  field,
}: Props<string> & { placeholder?: string; confirms?: boolean }) {
  const saying = useSaying()
  const stands = known(value) ?? ''
  const [draft, setDraft] = useState(stands)
  const [fresh, setFresh] = useState(false)
  const focused = useRef(false)
  useEffect(() => {
    if (!focused.current) setDraft(stands)
  }, [stands])
  const commit = (entered: boolean) => {
    focused.current = false
    setFresh(entered)
    const text = draft.trim()
    if (text === stands && !(confirms && entered && text)) return
    if (!text) {
      if (value) onCommit(retract(value))
      return
    }
    const unsure = text.endsWith('?')
    const said = saying(unsure ? text.replace(/\s*\?$/, '') : text, unsure ? 'recalled' : source)
    const next = state(value, said)
    setDraft(next.value ?? '')
    if (next !== value) onCommit(next)
  }
  return (
    <div className="min-w-0">
      <div className="label truncate">{label}</div>
      <input
        className="cell"
        data-field={field}
        aria-label={label}
        placeholder={placeholder}
        maxLength={240}
        value={draft}
        onFocus={() => {
          focused.current = true
        }}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={() => commit(false)}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            e.preventDefault()
            commit(true)
          }
          if (e.key === 'Escape') setDraft(stands)
        }}
      />
      <Standing label={label} value={value} onCommit={onCommit} fresh={fresh} />
    </div>
  )
}

/** One of some choices, with its source. */
export function ChoiceFactField<C extends string>({
  label,
  value,
  source = 'measured',
  onCommit,
  options,
  words,
  none = 'not recorded',
  looked = false,
  field,
}: Props<C> & { options: readonly C[]; words?: (v: C) => string; none?: string; looked?: boolean }) {
  const saying = useSaying()
  const stands = known(value)
  return (
    <div className="min-w-0">
      <div className="label truncate">{label}</div>
      <SelectCell<C | ''>
        label={label}
        field={field}
        value={stands ?? ''}
        options={['', ...options]}
        words={(v) => (v === '' ? none : (words?.(v) ?? v))}
        onCommit={(v) => {
          const next = v === '' ? value && retract(value) : state(value, saying(v, source))
          if (next && next !== value) onCommit(next)
        }}
      />
      <Standing label={label} value={value} onCommit={onCommit} fresh={false} looked={looked} />
    </div>
  )
}

/**
 * A colour with its source. Picking takes the place of what was picked or set on the board; what somebody else said stands beside it until
 * it is settled. While the picker is dragged, only the colour it began from is kept as what was before.
 */
export function ColourFactField({ label, value, onCommit, className, field }: Props<string> & { className?: string }) {
  const saying = useSaying()
  const began = useRef<AnyFact<string> | undefined>(undefined)
  return (
    <div className="min-w-0">
      <ColourCell
        field={field}
        label={label}
        className={`${className ?? 'h-8 w-14'} ${known(value) === undefined ? 'border-quiet border border-dashed opacity-50' : ''}`}
        value={known(value) ?? '#ffffff'}
        onBegin={() => {
          began.current = value
        }}
        onCommit={(hex) => {
          const from = began.current ?? value
          // Picked is not yet set on the board: who has seen it there says so beneath.
          const said = saying(hex, 'assumed')
          const own = from?.source === 'configured' || from?.source === 'assumed'
          onCommit(own ? setAnew(from, said) : state(from, said))
        }}
      />
      {known(value) === undefined ? <div className="text-quiet text-[0.78rem]">not set</div> : null}
      <Standing label={label} value={value} onCommit={onCommit} fresh={false} />
    </div>
  )
}
