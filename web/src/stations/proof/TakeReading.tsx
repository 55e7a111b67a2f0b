import { parseReading } from '@nubrin/core/import'
import { judge, takeReading } from '@nubrin/core/proof'
import type { Test } from '@nubrin/core/record'
import { parseFaultText } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId } from '../../data'
import { Refused } from '../../kit'
import { useEditSaber } from '../../store/commission'
import { useSession } from '../../store/session'

/** A reading where the test has a limit; a verdict where it has none. */
export function TakeReading({ test: t }: { test: Test }) {
  const editSaber = useEditSaber()
  const by = useSession((s) => s.person?.name ?? 'the shop')
  const [draft, setDraft] = useState('')
  const [wrong, setWrong] = useState('')
  const take = (own: boolean, value?: number) => {
    editSaber('reading', (s) =>
      takeReading(s, t.id, {
        ...{ id: freshId(), at: new Date().toISOString(), by, pass: judge(t, value, own) },
        ...(value === undefined ? {} : { value }),
      }),
    )
    setDraft('')
    setWrong('')
  }
  if (t.min === undefined && t.max === undefined)
    return (
      <span className="flex gap-1">
        <button type="button" className="btn min-h-7! px-2! py-0!" onClick={() => take(true)}>
          passes
        </button>
        <button type="button" className="btn min-h-7! px-2! py-0!" onClick={() => take(false)}>
          fails
        </button>
      </span>
    )
  return (
    <span>
      <input
        className="cell"
        aria-label={`Reading of ${t.what}`}
        aria-invalid={!!wrong}
        placeholder={`reading, ${t.unit ?? ''} ↵`}
        inputMode="decimal"
        data-reading
        value={draft}
        onChange={(e) => setDraft(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter') return
          const read = parseReading(draft, t.unit)
          if (!read.ok) setWrong(`“${draft}” ${parseFaultText(read)}`)
          else {
            take(true, read.value)
            const fields = [...document.querySelectorAll<HTMLInputElement>('[data-reading]')]
            fields[fields.indexOf(e.currentTarget) + 1]?.focus()
          }
        }}
      />
      <Refused why={wrong} className="text-[0.85rem]" />
    </span>
  )
}
