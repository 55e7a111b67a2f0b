import { EVENTS, type Preset, type Saber, type Sound, keyWords as words } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { missingSounds } from '@nubrin/core/voice'
import { useState } from 'react'
import { urlOf } from '../../data'
import { FileButton, Refused, RemoveButton, SelectCell } from '../../kit'
import { useOrder, useRemove } from '../../store/commission'
import { takeSound } from './takeSound'

/** The sounds of a preset, each for an event, measured when it is brought in. */
export function Sounds({
  saber,
  preset: p,
  onEdit,
}: {
  saber: Saber
  preset: Preset
  onEdit: (run: (x: Preset) => void) => void
}) {
  const [wrong, setWrong] = useState('')
  const { id } = useOrder()
  const missing = missingSounds(saber, p)
  const take = async (files: File[]) => {
    setWrong('')
    for (const f of files) {
      const taken = await takeSound(f, id)
      if (taken.ok) onEdit((x) => void x.sounds.push(taken.sound))
      else setWrong(`${f.name}: ${taken.why}`)
    }
  }
  return (
    <>
      <div className="mt-3 flex items-center gap-3">
        <h3 className="h2">Sounds</h3>
        {missing.length ? (
          <span className="text-stop font-semibold">✕ none for {missing.map(words).join(', ')}</span>
        ) : p.sounds.length ? (
          <span className="text-fine">✓ one for every event its controls reach</span>
        ) : null}
        <FileButton
          label="attach WAV"
          className="btn ml-auto"
          accept=".wav,audio/wav"
          multiple
          onFiles={(f) => void take(f)}
        />
      </div>
      <Refused why={wrong} />
      <ul>
        {p.sounds.map((s) => (
          <SoundRow
            key={s.id}
            sound={s}
            onRefused={setWrong}
            onEvent={(v) =>
              onEdit((x) => {
                const y = x.sounds.find((z) => z.id === s.id)
                if (y) y.event = v
              })
            }
          />
        ))}
      </ul>
    </>
  )
}

function SoundRow({
  sound: s,
  onEvent,
  onRefused,
}: {
  sound: Sound
  onEvent: (v: Sound['event']) => void
  onRefused: (why: string) => void
}) {
  const remove = useRemove()
  const play = (hash: string) =>
    void new Audio(urlOf('stored', { params: { hash } }))
      .play()
      .catch(() => onRefused('This browser cannot play it here.'))
  return (
    <li className="border-rule grid grid-cols-[88px_minmax(0,1fr)_auto_auto_auto] items-center gap-2 border-b py-0.5 text-[0.92rem]">
      <SelectCell label={`Event of ${s.name}`} value={s.event} options={EVENTS} words={words} onCommit={onEvent} />
      <span className="truncate">{s.name}</span>
      <span className="text-quiet whitespace-nowrap">
        {s.seconds === undefined
          ? 'not read'
          : `${formatNumber(MAKER, s.seconds)} s · ${formatNumber(MAKER, (s.rate ?? 0) / 1000, 1)} kHz · peak ${formatNumber(MAKER, s.peakDb ?? 0, 1)} dB`}
      </span>
      {s.media ? (
        <button type="button" className="text-brass" aria-label={`Play ${s.name}`} onClick={() => play(s.media!)}>
          ▶
        </button>
      ) : (
        <span />
      )}
      <RemoveButton what={s.name} onClick={() => remove(`sound:${s.id}`)} />
    </li>
  )
}
