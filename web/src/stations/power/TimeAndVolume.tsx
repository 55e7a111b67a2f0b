import { fact, known } from '@nubrin/core/facts'
import {
  chargeTime,
  loudestSound,
  runtime,
  safePlaying,
  safeVolume,
  speakerWatts,
  wattHours,
  wattsPlaying,
} from '@nubrin/core/power'
import type { Preset, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { lazyView } from '../../base/lazy'
import { FigureView } from '../../kit'
import { useEditSaber } from '../../store/commission'
import { LeftInADrawer } from './LeftInADrawer'
import { UseProfile } from './UseProfile'

const Discharge = lazyView(() => import('./Discharge').then((m) => m.Discharge))

/** How long it runs in its use, how long it keeps, how it charges, and how loud it may be. */
export function TimeAndVolume({ saber, preset }: { saber: Saber; preset: Preset | undefined }) {
  const run = useMemo(() => runtime(saber, preset), [saber, preset])
  return (
    <section aria-label="Time and volume">
      <h2 className="h2">How long it runs</h2>
      <UseProfile saber={saber} />
      {run.minutes.ok ? (
        <Discharge
          curve={run.curve}
          cutoff={known(saber.parts.find((p) => p.kind === 'cell')?.specs.cutoffVolts) ?? 3}
        />
      ) : null}
      <FigureView name="runtime in use" figure={run.minutes} digits={0} />
      <LeftInADrawer saber={saber} />
      <h2 className="h2 mt-2">Charge and sound</h2>
      <FigureView name="charging" figure={chargeTime(saber)} digits={1} />
      <FigureView name="energy" figure={wattHours(saber)} digits={1} />
      <Loudness saber={saber} />
    </section>
  )
}

/** The shipped volume and the highest, the power at each, whatever plays and with the sounds on its card. */
function Loudness({ saber }: { saber: Saber }) {
  const edit = useEditSaber()
  const volume = known(saber.use.volume)
  const highest = saber.use.highestVolume
  const safe = safeVolume(saber)
  const loudest = loudestSound(saber)
  return (
    <>
      <FigureView name="speaker at the shipped volume" figure={speakerWatts(saber, saber.use.volume)} digits={2} />
      {loudest ? (
        <FigureView name="with its own sounds" figure={wattsPlaying(saber, saber.use.volume)} digits={2} />
      ) : null}
      {volume !== undefined && volume > 0 ? (
        <p className="text-quiet text-[0.87rem]">
          {formatNumber(MAKER, volume, 0)} of 100 is {formatNumber(MAKER, volume ** 2 / 100, 0)} % of the power,{' '}
          {formatNumber(MAKER, 20 * Math.log10(volume / 100), 1)} dB
        </p>
      ) : null}
      <FigureView name="highest safe volume, whatever plays" figure={safe} digits={0} />
      {loudest ? <FigureView name="highest safe with its own sounds" figure={safePlaying(saber)} digits={0} /> : null}
      {known(highest) === undefined ? (
        safe.ok ? (
          <button
            type="button"
            className="btn mt-1"
            onClick={() =>
              edit('highest volume', (s) => {
                s.use.highestVolume = fact(safe.value, '%', 'computed', { with: 'the speaker’s rating' })
              })
            }
          >
            record {formatNumber(MAKER, safe.value, 0)} as the highest volume
          </button>
        ) : null
      ) : (
        <FigureView name="speaker at the highest volume" figure={speakerWatts(saber, highest)} digits={2} />
      )}
    </>
  )
}
