import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import type { Saber } from '@nubrin/core/record'
import { liveText, sayableFacts } from '@nubrin/core/script'
import { useMemo, useRef, useState } from 'react'
import { useDraft } from '../../kit'
import { useClient } from '../../store/commission'

/** What is said, in the maker's own words. An @ asks for a fact: it stays what it is in the record, whatever it becomes. */
export function SayField({
  saber,
  label,
  value,
  onCommit,
  onCaret,
}: {
  saber: Saber
  label: string
  value: string
  onCommit: (v: string) => void
  onCaret: (at: number) => void
}) {
  const d = useDraft(value, onCommit)
  const client = useClient()
  const text = useRef<HTMLTextAreaElement>(null)
  const [asking, setAsking] = useState<number>()
  const live = d.draft.includes('[[')
  const put = (token: string) => {
    const at = asking ?? d.draft.length
    const next = `${d.draft.slice(0, at)}${token}${d.draft.slice(at + 1)}`
    d.setDraft(next)
    setAsking(undefined)
    onCommit(next)
    text.current?.focus()
  }
  return (
    <div className="min-w-0 flex-1">
      <textarea
        ref={text}
        aria-label={label}
        className="cell text-[1.05rem]"
        rows={Math.min(7, 1 + Math.ceil(d.draft.length / 62))}
        value={d.draft}
        onFocus={d.focus}
        onBlur={() => asking === undefined && d.commit()}
        onSelect={(e) => onCaret(e.currentTarget.selectionStart)}
        onChange={(e) => {
          const { value: v, selectionStart: at } = e.target
          d.setDraft(v)
          if (v.length > d.draft.length && v[at - 1] === '@') setAsking(at - 1)
        }}
        onKeyDown={(e) => e.key === 'Escape' && d.putBack()}
      />
      {asking === undefined ? null : (
        <FactMenu
          saber={saber}
          onPick={put}
          onLeave={() => {
            setAsking(undefined)
            text.current?.focus()
          }}
        />
      )}
      {live ? <p className="text-quiet px-1 pt-1 italic">{liveText(client, saber, d.draft)}</p> : null}
    </div>
  )
}

/** Facts by whose they are; what is typed narrows them. */
function FactMenu({ saber, onPick, onLeave }: { saber: Saber; onPick: (token: string) => void; onLeave: () => void }) {
  const facts = useMemo(() => sayableFacts(saber), [saber])
  const [asked, setAsked] = useState('')
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean)
  const hits = facts.filter((f) => words.every((w) => f.name.toLowerCase().includes(w))).slice(0, 9)
  return (
    <Combobox onChange={(token: string | null) => token && onPick(token)}>
      <ComboboxInput
        autoFocus
        aria-label="Which fact"
        placeholder="which fact: cell capacity, hilt length…"
        className="cell border-brass! mt-1"
        onChange={(e) => setAsked(e.target.value)}
        onKeyDown={(e) => e.key === 'Escape' && onLeave()}
      />
      <ComboboxOptions static modal={false} className="border-ink bg-card max-h-52 overflow-auto border empty:hidden">
        {hits.map((f) => (
          <ComboboxOption
            key={f.token}
            value={f.token}
            className="data-focus:bg-ink data-focus:text-paper flex justify-between gap-4 px-3 py-0.5"
          >
            <span className="min-w-0 truncate">{f.name}</span>
            <span className="shrink-0">{f.value}</span>
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  )
}
