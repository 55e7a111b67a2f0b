import { axialSlack, clampOf, grilleAir } from '@nubrin/core/fit'
import type { Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { FigureView } from '../../kit'
import { useWorker } from '../../workers/useWorker'

const DRAWS = 100_000

/** Whether it closes: slack, its spread and its chance, the clamp of a chassis held by length, air before the speaker. */
export function Closing({ saber }: { saber: Saber }) {
  const slack = useMemo(() => axialSlack(saber), [saber])
  const clamp = useMemo(() => clampOf(saber), [saber])
  const air = useMemo(() => grilleAir(saber), [saber])
  const room = slack.nominal.ok ? slack.nominal.value : undefined
  // Drawn again only when a figure changes, not with every edit of the saber.
  const figures = slack.tols.join()
  const ask = useMemo(
    () => (room === undefined ? undefined : ({ kind: 'chance', room, tols: slack.tols, draws: DRAWS } as const)),
    [room, figures],
  )
  const { result, progress } = useWorker<'chance'>(ask)
  const chance = result?.result
  return (
    <>
      <FigureView name="axial slack" figure={slack.nominal} digits={1} />
      {room !== undefined ? (
        <div className="border-rule border-b py-0.5 text-[0.87rem] leading-snug">
          <p className="text-quiet flex justify-between gap-2">
            <span>worst case</span>
            <span className={room - slack.worst < 0 ? 'text-stop font-semibold' : ''}>
              {formatNumber(MAKER, room - slack.worst, 1)} mm
            </span>
          </p>
          <p className="text-quiet flex justify-between gap-2">
            <span>root sum of squares</span>
            <span>
              {formatNumber(MAKER, room - slack.rss, 1)} to {formatNumber(MAKER, room + slack.rss, 1)} mm
            </span>
          </p>
          <p
            className="flex justify-between gap-2"
            title="Every length drawn from its tolerance, ±tolerance as three sigma"
          >
            <span className="text-quiet">closes, of {DRAWS.toLocaleString('en')} drawn</span>
            <span className={`font-semibold ${chance && chance.share < 0.99 ? 'text-stop' : ''}`} aria-live="polite">
              {progress !== undefined || !chance
                ? '…'
                : chance.share === 1
                  ? 'all'
                  : `${formatNumber(MAKER, chance.share * 100, chance.share > 0.99 ? 2 : 1)} %`}
            </span>
          </p>
        </div>
      ) : null}
      {room !== undefined && !clamp && room - slack.worst >= 1 ? (
        <p className="border-rule text-quiet flex justify-between gap-2 border-b py-0.5 text-[0.87rem]">
          <span>spacers that always close</span>
          <span className="whitespace-nowrap">
            up to {formatNumber(MAKER, Math.floor((room - slack.worst) * 10) / 10, 1)} mm
          </span>
        </p>
      ) : null}
      {clamp ? (
        <>
          <FigureView name="clamp on the chassis" figure={clamp.clamp} digits={2} />
          {clamp.changeMm ? (
            <p className="text-brass pb-1 text-[0.87rem] font-medium">
              {clamp.changeMm > 0
                ? `a spacer of ${formatNumber(MAKER, clamp.changeMm)} mm brings it to 0.35`
                : `${formatNumber(MAKER, -clamp.changeMm)} mm off brings it to 0.35`}
            </p>
          ) : null}
        </>
      ) : null}
      {air.map((a) => (
        <FigureView key={a.speaker.id} name="air before the speaker" figure={a.air} digits={1} />
      ))}
    </>
  )
}
