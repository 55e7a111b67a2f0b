import type { Alternative } from '@nubrin/core/fit'
import { formatNumber, MAKER } from '@nubrin/core/units'

/** Whether a part of the shelf would go in where one is fitted, and what it costs. */
export function Verdict({
  alt,
  here,
  slack,
  swap,
}: {
  alt: Alternative
  /** The row is the one fitted now. */
  here: boolean
  /** Axial slack as it is, mm. */
  slack: number | undefined
  swap: () => void
}) {
  const shorter = slack !== undefined && alt.slackMm !== undefined ? alt.slackMm - slack : 0
  const costs = [
    alt.overlapMm > 0 ? `shares ${formatNumber(MAKER, alt.overlapMm, 1)} mm` : '',
    alt.shortMm > 0 ? `${formatNumber(MAKER, alt.shortMm, 1)} mm short of contact` : '',
    alt.runtimeMin !== undefined && Math.abs(alt.runtimeMin) >= 1
      ? `${alt.runtimeMin > 0 ? '+' : ''}${formatNumber(MAKER, alt.runtimeMin, 0)} min`
      : '',
    alt.fits && Math.abs(shorter) >= 0.1
      ? `slack ${shorter > 0 ? '+' : '−'}${formatNumber(MAKER, Math.abs(shorter), 1)}`
      : '',
  ].filter(Boolean)
  return (
    <span className="flex items-baseline gap-2 text-[0.85rem]">
      <span className={alt.fits === false ? 'text-stop' : alt.fits ? 'text-fine' : 'text-quiet'}>
        {alt.spareMm === undefined
          ? 'cannot be judged yet'
          : alt.spareMm < 0
            ? `✕ ${formatNumber(MAKER, -alt.spareMm)} mm too big at ${formatNumber(MAKER, alt.at?.x ?? 0, 0)}`
            : `${alt.fits ? '✓' : '✕'} ${formatNumber(MAKER, alt.spareMm)} mm to spare`}
        {costs.length ? `, ${costs.join(', ')}` : ''}
      </span>
      {here ? (
        <span className="text-quiet ml-auto shrink-0">in now</span>
      ) : (
        <button
          type="button"
          className="text-brass ml-auto shrink-0"
          onClick={swap}
          aria-label={`Swap in ${alt.row.name}`}
        >
          swap in
        </button>
      )}
    </span>
  )
}
