import { useState } from 'react'
import { useSaber } from '../../store/commission'
import { Currents } from './Currents'
import { Looks } from './Looks'
import { Ratings } from './Ratings'
import { TimeAndVolume } from './TimeAndVolume'
import { Zones } from './Zones'

/** The power bench: what the current passes, what every light draws in every look, how long it runs and keeps. */
export default function Power() {
  const saber = useSaber()
  const [presetId, setPresetId] = useState('')
  const preset = saber.presets.find((p) => p.id === presetId) ?? saber.presets[0]
  return (
    <div className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-6">
      <section aria-label="Ratings">
        <Ratings saber={saber} preset={preset} />
        <Looks saber={saber} preset={preset} onPreset={setPresetId} />
        <Currents saber={saber} preset={preset} />
        <Zones saber={saber} />
      </section>
      <TimeAndVolume saber={saber} preset={preset} />
    </div>
  )
}
