import { type Fact, fact, retract, type Source, state } from '@nubrin/core/facts'
import { formatNumber, MAKER, parseFaultText, parseMeasure, quantityOf, type Unit } from '@nubrin/core/units'
import { useEffect, useRef, useState } from 'react'
import { todayIso } from '../../data'
import { useSession } from '../../store/session'

const show = (f: Fact | undefined, bare: boolean) =>
  f && f.value !== null
    ? `${formatNumber(MAKER, f.value)}${f.tol && !bare ? ` ± ${formatNumber(MAKER, f.tol)}` : ''}`
    : ''

/** What a fact's field holds while it is typed in, and the statement it becomes. */
export function useStated<U extends Unit>({
  value,
  unit,
  source,
  compact,
  confirms,
  onCommit,
}: {
  value: Fact<U> | undefined
  unit: U
  source: Source
  compact: boolean
  /** Enter on a value as it stands says that somebody has made sure of it. */
  confirms: boolean
  onCommit: (f: Fact<U>) => void
}) {
  const me = useSession((s) => s.person?.name)
  const [draft, setDraft] = useState(show(value, compact))
  const [wrong, setWrong] = useState<string>()
  /** A statement was just entered with Enter: if it made a rival, that is offered first. */
  const [justTyped, setJustTyped] = useState(false)
  const focused = useRef(false)
  useEffect(() => {
    if (focused.current) return
    setDraft(show(value, compact))
    setWrong(undefined)
  }, [value, compact])

  const commit = (entered: boolean) => {
    focused.current = false
    setJustTyped(entered)
    const asItStands = draft.trim() === show(value, compact)
    if (asItStands && !(confirms && entered && draft.trim())) return setWrong(undefined)
    if (!draft.trim()) {
      setWrong(undefined)
      if (value) onCommit(retract(value))
      return
    }
    const read = parseMeasure(draft, quantityOf(unit), unit)
    if (!read.ok) return setWrong(`“${draft}” ${parseFaultText(read)}`)
    setWrong(undefined)
    const said = fact(read.value, unit, read.hedged ? 'recalled' : source, {
      // A narrow field does not show the tolerance, so leaving it out there does not take it away.
      ...(read.tol !== undefined ? { tol: read.tol } : compact && value?.tol ? { tol: value.tol } : {}),
      on: todayIso(),
      ...(me ? { by: me } : {}),
    })
    const next = state(value, said)
    if (next === value || next.value !== said.value) setDraft(show(value, compact))
    if (next !== value) onCommit(next)
  }
  return {
    draft,
    setDraft,
    wrong,
    justTyped,
    commit,
    putBack: () => {
      setDraft(show(value, compact))
      setWrong(undefined)
    },
    focus: () => {
      focused.current = true
    },
  }
}
