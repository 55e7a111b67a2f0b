import { duelReasonText, judgeDuel } from '@nubrin/core/fit'
import type { Blade, Saber } from '@nubrin/core/record'
import { useMemo } from 'react'

const VERDICT = {
  notForContact: '✕ Not for contact',
  lightContact: '△ Light contact at most',
  nothingAgainst: 'Nothing recorded speaks against contact',
  unknown: 'Contact: cannot be judged yet',
}

/** The judgement on contact, with its reasons. */
export function DuelNote({ saber, blade }: { saber: Saber; blade: Blade }) {
  const j = useMemo(() => judgeDuel(saber, blade), [saber, blade])
  const lines = [
    ...j.against.map((r) => ['✕', duelReasonText(r)] as const),
    ...j.limits.map((r) => ['△', duelReasonText(r)] as const),
    ...j.unknown.map((r) => ['?', `needs ${duelReasonText(r)}`] as const),
  ]
  return (
    <div className="mt-2">
      <p className="font-semibold">{VERDICT[j.verdict]}</p>
      <ul className="text-[0.92rem]">
        {lines.map(([mark, t]) => (
          <li key={t} className="flex gap-2">
            <span aria-hidden="true">{mark}</span>
            <span>{t}</span>
          </li>
        ))}
      </ul>
      <p className="text-quiet text-[0.87rem]">A judgement with reasons, not a certificate.</p>
    </div>
  )
}
