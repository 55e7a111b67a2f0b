import { known } from '@nubrin/core/facts'
import { layoutWords, reviewLayout } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo, useState } from 'react'
import { CheckBox, dayText, Refused } from '../../kit'
import type { Search } from './useLayouts'

/** The spacers of a saber in a line. */
function spacerWords(saber: Saber): string {
  const lengths = saber.parts
    .filter((p) => p.kind === 'spacer')
    .map((p) => formatNumber(MAKER, known(p.specs.length) ?? 0, 1))
  return lengths.length
    ? `with ${lengths.length === 1 ? 'a spacer' : 'spacers'} of ${lengths.join(', ')} mm`
    : 'no gap needs a spacer'
}

/** The layout picked: what it is, what it gives up, and the reason it is chosen for. */
export function PickedLayout({ search }: { search: Search }) {
  const { ready, layout, arrangement, planned, gaveUp, spacers } = search
  const [why, setWhy] = useState('')
  const [wrong, setWrong] = useState('')
  if (!layout || !ready || !arrangement) return null
  const cell = ready.problem.cells[layout.cell]!
  const weak = ready.weak.find((w) => w.id === cell.id)
  const take = () => {
    if (why.trim().length < 3) {
      setWrong('Say why, in a few words: it is what you will want to know when something changes.')
      return
    }
    search.choose(why.trim())
    setWhy('')
    setWrong('')
  }
  return (
    <div className="border-brassline bg-card mt-2 border-t-2 px-2 py-1.5">
      <p className="leading-tight font-medium">{layoutWords(ready.problem, arrangement, layout)}</p>
      <p className="mt-1">
        {formatNumber(MAKER, cell.score, 0)} {ready.score} · slack {formatNumber(MAKER, layout.slack, 1)} · balance{' '}
        {formatNumber(MAKER, layout.balance, 0)}
        {layout.at.chamber === undefined ? '' : ` · chamber ${formatNumber(MAKER, layout.chamber, 1)}`}
      </p>
      {weak ? (
        <p className="text-stop">
          ✕ full white draws {formatNumber(MAKER, weak.draws, 1)} A, this cell gives{' '}
          {formatNumber(MAKER, weak.gives, 1)}
        </p>
      ) : null}
      <p className="text-quiet">{gaveUp ? `gives up ${gaveUp}` : 'gives up nothing'}</p>
      <CheckBox checked={spacers} onChange={search.setSpacers}>
        {spacers && planned ? spacerWords(planned) : 'with spacers cut for the gaps'}
      </CheckBox>
      <form
        className="mt-1 flex items-center gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          take()
        }}
      >
        <input
          className="cell"
          aria-label="Why this layout"
          aria-invalid={!!wrong}
          placeholder="why this one?"
          maxLength={240}
          value={why}
          onChange={(e) => setWhy(e.target.value)}
        />
        <button type="submit" className="btn btn-main" disabled={search.searching}>
          choose it
        </button>
      </form>
      <Refused why={wrong} className="text-[0.9rem]" />
    </div>
  )
}

/** The layout this saber has, by whom and why. */
export function ChosenLayout({ saber }: { saber: Saber }) {
  const chosen = useMemo(() => reviewLayout(saber), [saber])
  if (!chosen) return null
  const { by, on, why, gaveUp } = chosen.decision
  return (
    <p className="text-quiet mt-2 text-[0.92rem]">
      Chosen by {by}, {dayText(on)}: “{why}”{gaveUp ? ` Given up: ${gaveUp}.` : ''}
    </p>
  )
}
