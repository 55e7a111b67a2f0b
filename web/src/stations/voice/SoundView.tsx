import type { Font, Sound } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { gainOf, LOOPS } from '@nubrin/core/voice'
import { Play, Repeat, Square } from 'lucide-react'
import { useAudition } from './useAudition'
import { useDrawn } from './useDrawn'
import { Waveform } from './Waveform'

const n = (x: number, digits = 1) => formatNumber(MAKER, x, digits)

/** What was measured of a sound, each with its unit, in the order in which one asks for it. */
function measuresOf(s: Sound): [string, string][] {
  const all: [string, string | undefined][] = [
    [
      'format',
      s.rate === undefined
        ? undefined
        : `${n(s.rate / 1000, 2)} kHz, ${s.bits} bits, ${s.channels === 1 ? 'one channel' : `${s.channels} channels`}`,
    ],
    ['loudness', s.loudnessLufs === undefined ? undefined : `${n(s.loudnessLufs)} LUFS`],
    ['range', s.loudnessRangeLu === undefined ? undefined : `${n(s.loudnessRangeLu)} LU`],
    ['energy', s.rmsDb === undefined ? undefined : `${n(s.rmsDb)} dBFS`],
    ['peak', s.peakDb === undefined ? undefined : `${n(s.peakDb)} dBFS`],
    ['true peak', s.truePeakDb === undefined ? undefined : `${n(s.truePeakDb)} dBTP`],
    [
      'cut off',
      s.clips === undefined ? undefined : s.clips ? `in ${s.clips} ${s.clips === 1 ? 'place' : 'places'}` : 'nowhere',
    ],
    ['offset', s.dc === undefined ? undefined : `${n(s.dc * 100, 2)} %`],
    [
      'silence',
      s.leadSilence === undefined ? undefined : `${n(s.leadSilence, 2)} s before, ${n(s.tailSilence ?? 0, 2)} s after`,
    ],
    ['arrives', s.arrives === undefined ? undefined : `${n(s.arrives, 2)} s`],
    ['seam', LOOPS.has(s.event) && s.seconds !== undefined ? (s.seamClicks ? 'clicks' : 'no click') : undefined],
  ]
  return all.filter((x): x is [string, string] => x[1] !== undefined && x[1] !== '')
}

/** One sound seen and heard: its waveform, from where one points at it, its seam, and what was measured of it. */
export function SoundView({ sound: s, font }: { sound: Sound; font: Font }) {
  const { data: drawn, error } = useDrawn(s.media)
  const heard = useAudition(drawn, gainOf(font))
  if (!s.media) return <p className="text-quiet py-1">No file yet: only its name is recorded.</p>
  if (error || drawn === null) return <p className="text-stop py-1">The sound cannot be fetched or read.</p>
  return (
    <div className="py-1.5">
      {drawn ? (
        <Waveform
          outline={drawn.outline}
          label={`Waveform of ${s.name}, ${n(drawn.outline.seconds, 2)} s`}
          at={heard.at}
          onPoint={heard.play}
          over={(x, high) =>
            s.arrives === undefined ? null : (
              <path d={`M${x(s.arrives)} 0v${high}`} stroke="#8a6a2f" strokeWidth="1" strokeDasharray="3 2" />
            )
          }
        />
      ) : (
        <div className="bg-card h-[92px]" />
      )}
      <div className="mt-1 flex items-start gap-2">
        {heard.at === undefined ? (
          <button type="button" className="btn" onClick={() => heard.play(0)} disabled={!drawn}>
            <Play size={14} aria-hidden /> play
          </button>
        ) : (
          <button type="button" className="btn" onClick={heard.stop}>
            <Square size={14} aria-hidden /> stop
          </button>
        )}
        {LOOPS.has(s.event) ? (
          <button type="button" className="btn-plain btn whitespace-nowrap" onClick={heard.seam} disabled={!drawn}>
            <Repeat size={14} aria-hidden /> play the seam
          </button>
        ) : null}
        <dl className="ml-2 flex flex-1 flex-wrap gap-x-4 text-[0.88rem]">
          {measuresOf(s).map(([what, is]) => (
            <div key={what} className="flex gap-1.5">
              <dt className="text-quiet">{what}</dt>
              <dd className="whitespace-nowrap">{is}</dd>
            </div>
          ))}
        </dl>
      </div>
    </div>
  )
}
