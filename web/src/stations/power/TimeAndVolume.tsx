import { known } from '@nubrin/core/facts'
import { chargeTime, runtime, safeVolume, speakerWatts, wattHours } from '@nubrin/core/power'
import type { Preset, Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { lazyView } from '../../base/lazy'
import { FigureView } from '../../kit'
import { LeftInADrawer } from './LeftInADrawer'
import { UseProfile } from './UseProfile'

const Discharge = lazyView(() => import('./Discharge').then((m) => m.Discharge))

/** How long it runs in its use, how long it keeps, how it charges, and how loud it may be. */
export function TimeAndVolume({ saber, preset }: { saber: Saber; preset: Preset | undefined }) {
  const run = useMemo(() => runtime(saber, preset), [saber, preset])
  const volume = known(saber.use.volume)
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
      <FigureView name="speaker at the shipped volume" figure={speakerWatts(saber, saber.use.volume)} digits={2} />
      {volume !== undefined && volume > 0 ? (
        <p className="text-quiet text-[0.87rem]">
          {formatNumber(MAKER, volume, 0)} of 100 is {formatNumber(MAKER, volume ** 2 / 100, 0)} % of the power,{' '}
          {formatNumber(MAKER, 20 * Math.log10(volume / 100), 1)} dB
        </p>
      ) : null}
      <FigureView name="highest safe volume" figure={safeVolume(saber)} digits={0} />
    </section>
  )
}
