import type { Step } from '@nubrin/core/record'
import { todayIso } from '../../data'
import { DateCell, TextCell } from '../../kit'

/** A consent has a name and a day; without a name there is none. */
function consentOf(s: Step, change: { who?: string; on?: string }) {
  const next = { who: s.consent?.who ?? '', on: s.consent?.on ?? todayIso(), ...change }
  if (next.who.trim()) s.consent = next
  else delete s.consent
}

/** Who agreed to an act that cannot be undone, and when. */
export function Consent({ step: s, n, onEdit }: { step: Step; n: number; onEdit: (run: (x: Step) => void) => void }) {
  return (
    <div className="grid grid-cols-[150px_140px_minmax(0,1fr)] items-center gap-2 pl-7">
      <span className="label">agreed to by, on</span>
      <TextCell
        label={`Who agreed to act ${n}`}
        placeholder="the client’s name"
        value={s.consent?.who ?? ''}
        onCommit={(v) => onEdit((x) => consentOf(x, { who: v }))}
      />
      <DateCell
        label={`Act ${n} was agreed to on`}
        value={s.consent?.on}
        onCommit={(v) => onEdit((x) => consentOf(x, v ? { on: v } : {}))}
      />
    </div>
  )
}
