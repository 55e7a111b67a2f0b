import { flashingOf, lookOf } from '@nubrin/core/looks'
import type { Saber } from '@nubrin/core/record'
import { formatNumber } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { useMemo } from 'react'
import { usePlay } from './usePlay'

/** Says where a blade is shown slower than it is, since it would flash too fast for a screen. */
export function Slowed({ saber, className = '' }: { saber: Saber; className?: string }) {
  const reader = usePlay((p) => p.reader)
  const preset = saber.presets[usePlay((p) => p.state?.preset ?? 0)]
  const times = useMemo(() => {
    if (!preset || !flashingOf(saber, preset).some((f) => !f.counted)) return 1
    return 1 / (lookOf(saber, preset, undefined).slowed ?? 1)
  }, [saber, preset])
  return times > 1 ? (
    <p className={className}>{say(reader, 'play.slowed', { times: formatNumber(reader, times, 1) })}</p>
  ) : null
}
