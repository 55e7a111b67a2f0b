import { hueWord } from '@nubrin/core/light'
import { EVENTS, fact, type Preset, STATUSES, words } from '@nubrin/core/record'
import { missingSounds, readWav } from '@nubrin/core/sound'
import { formatNumber } from '@nubrin/core/units'
import { useState } from 'react'
import { freshId, uploadFile } from '../api'
import { useBench, useEditSaber, useSaber } from '../store/commission'
import { FactField } from '../ui/FactField'
import {
  AddLine,
  Empty,
  FileButton,
  Labelled,
  Refused,
  RemoveButton,
  SelectCell,
  setText,
  TextCell,
} from '../ui/fields'
import { SortableList } from '../ui/Sortable'

const EFFECTS = ['clash', 'lock', 'deflect', 'drag', 'melt', 'surge'] as const
/** Guesses the event of a sound from its file name: `ignite02.wav` → ignite. */
const eventOf = (name: string): (typeof EVENTS)[number] =>
  EVENTS.find((e) => name.toLowerCase().includes(e.toLowerCase())) ?? 'hum'

export default function Voice() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const chosen = saber.presets.find((p) => lit === `preset:${p.id}`) ?? saber.presets[0]
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-7">
      <section aria-label="Presets in order">
        <h2 className="h2">Presets, in the saber’s order</h2>
        {saber.presets.length ? null : (
          <Empty title="No preset yet">
            A preset is a font, a colour and a reason in one position of the list. Name the first below.
          </Empty>
        )}
        <SortableList
          items={saber.presets}
          name={(p) => p.name}
          onMove={(next) => editSaber('order of presets', (s) => void (s.presets = next))}
        >
          {(p, i) => (
            <button
              type="button"
              className={`flex w-full items-center gap-3 py-2 text-left ${chosen?.id === p.id ? 'bg-card' : ''}`}
              onClick={() => light(`preset:${p.id}`)}
            >
              <span className="text-brass w-5 text-right font-semibold">{i + 1}</span>
              <svg width="74" height="16" aria-hidden="true">
                <rect x="1" y="3" width="72" height="10" rx="5" fill={p.colour} stroke="#1e2a2b" strokeWidth="0.6" />
                <rect x="3" y="6.5" width="66" height="3" rx="1.5" fill="#fff" opacity="0.7" />
              </svg>
              <span className="min-w-0 flex-1">
                <span className="block truncate font-semibold">{p.name}</span>
                <span className="text-quiet block truncate text-[0.88rem]">
                  {hueWord(p.colour)}, {p.font || 'no font'}
                  {p.askedBy ? `, for ${p.askedBy}` : ''}
                </span>
              </span>
            </button>
          )}
        </SortableList>
        <AddLine
          label="name of a preset"
          onAdd={(name) =>
            editSaber(
              'add preset',
              (s) =>
                void s.presets.push({
                  id: freshId(),
                  name,
                  font: '',
                  colour: '#2a6cff',
                  tracks: [],
                  sounds: [],
                  status: 'configured',
                }),
            )
          }
        />
      </section>
      {chosen ? <PresetSheet key={chosen.id} preset={chosen} index={saber.presets.indexOf(chosen)} /> : null}
    </div>
  )
}

function PresetSheet({ preset: p, index }: { preset: Preset; index: number }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [wrong, setWrong] = useState('')
  const set = (run: (x: Preset) => void) => editSaber('preset', (s) => run(s.presets[index]!))
  const missing = missingSounds(saber, p)
  const take = async (files: File[]) => {
    setWrong('')
    for (const f of files) {
      const wav = readWav(new Uint8Array(await f.arrayBuffer()))
      if (!wav.ok) {
        setWrong(`${f.name}: ${wav.message}`)
        continue
      }
      try {
        const m = await uploadFile(f)
        const round = (v: number, n: number) => Number(v.toFixed(n))
        set(
          (x) =>
            void x.sounds.push({
              id: freshId(),
              event: eventOf(f.name),
              name: f.name.slice(0, 240),
              media: m.hash,
              seconds: round(wav.seconds, 3),
              rate: wav.rate,
              channels: wav.channels,
              bits: wav.bits,
              peakDb: round(wav.peakDb, 2),
              rmsDb: round(wav.rmsDb, 2),
            }),
        )
      } catch (e) {
        setWrong(`${f.name}: ${(e as Error).message}`)
      }
    }
  }
  return (
    <section aria-label={`Preset ${p.name}`}>
      <div className="flex items-end gap-3">
        <label className="shrink-0">
          <span className="label block">blade</span>
          <input
            type="color"
            aria-label="Blade colour"
            className="h-8 w-14"
            value={p.colour}
            onChange={(e) => set((x) => void (x.colour = e.target.value))}
          />
        </label>
        <Labelled label={`preset ${index + 1}`} className="flex-1">
          <TextCell
            label="Preset name"
            className="text-[1.1rem] font-semibold"
            value={p.name}
            onCommit={(v) => set((x) => void (x.name = v || x.name))}
          />
        </Labelled>
        <RemoveButton
          what={p.name}
          onClick={() =>
            editSaber('remove preset', (s) => {
              s.presets.splice(index, 1)
              for (const r of s.controls) if (r.presets) r.presets = r.presets.filter((id) => id !== p.id)
            })
          }
        />
      </div>
      <div className="mt-1 grid grid-cols-4 gap-3">
        <Labelled label="font">
          <TextCell label="Font" value={p.font} onCommit={(v) => set((x) => void (x.font = v))} />
        </Labelled>
        <Labelled label="asked for by">
          <TextCell
            label="Asked for by"
            value={p.askedBy ?? ''}
            onCommit={(v) => set((x) => setText(x, 'askedBy', v))}
          />
        </Labelled>
        <Labelled label="why">
          <TextCell label="Why this preset" value={p.why ?? ''} onCommit={(v) => set((x) => setText(x, 'why', v))} />
        </Labelled>
        <Labelled label="it is">
          <SelectCell
            label="Status of the preset"
            value={p.status}
            options={STATUSES}
            words={(v) => (v === 'unsure' ? 'not sure' : v)}
            onCommit={(v) => set((x) => void (x.status = v))}
          />
        </Labelled>
        <FactField
          label="extends in"
          value={p.extendMs}
          unit="ms"
          quantity="time"
          source="configured"
          onCommit={(f) => set((x) => void (x.extendMs = f))}
        />
        <FactField
          label="flashes, a second"
          value={p.flickerHz}
          unit="Hz"
          quantity="count"
          source="configured"
          onCommit={(f) => set((x) => void (x.flickerHz = { ...f, unit: 'Hz' }))}
        />
        <Labelled label="tracks, by comma" className="col-span-2">
          <TextCell
            label="Tracks"
            value={p.tracks.join(', ')}
            onCommit={(v) =>
              set(
                (x) =>
                  void (x.tracks = v
                    .split(',')
                    .map((t) => t.trim())
                    .filter(Boolean)),
              )
            }
          />
        </Labelled>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        {EFFECTS.map((e) => (
          <label key={e} className="flex items-center gap-1 text-[0.9rem]">
            <input
              type="checkbox"
              checked={!!p.effects?.[e]}
              onChange={(ev) =>
                set((x) => {
                  x.effects ??= {}
                  if (ev.target.checked) x.effects[e] = '#ffffff'
                  else delete x.effects[e]
                })
              }
            />
            {e}
            {p.effects?.[e] ? (
              <input
                type="color"
                aria-label={`${e} colour`}
                className="h-5 w-7"
                value={p.effects[e]}
                onChange={(ev) => set((x) => void (x.effects![e] = ev.target.value))}
              />
            ) : null}
          </label>
        ))}
      </div>
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
        {p.sounds.map((s, i) => (
          <li
            key={s.id}
            className="border-rule grid grid-cols-[88px_minmax(0,1fr)_auto_auto_auto] items-center gap-2 border-b py-0.5 text-[0.92rem]"
          >
            <SelectCell
              label={`Event of ${s.name}`}
              value={s.event}
              options={EVENTS}
              words={words}
              onCommit={(v) => set((x) => void (x.sounds[i]!.event = v))}
            />
            <span className="truncate">{s.name}</span>
            <span className="text-quiet whitespace-nowrap">
              {s.seconds === undefined
                ? 'not read'
                : `${formatNumber(s.seconds)} s · ${formatNumber((s.rate ?? 0) / 1000, 1)} kHz · peak ${formatNumber(s.peakDb ?? 0, 1)} dB`}
            </span>
            {s.media ? (
              <button
                type="button"
                className="text-brass"
                aria-label={`Play ${s.name}`}
                onClick={() =>
                  void new Audio(`/api/media/${s.media}`)
                    .play()
                    .catch(() => setWrong('This browser cannot play it here.'))
                }
              >
                ▶
              </button>
            ) : (
              <span />
            )}
            <RemoveButton what={s.name} onClick={() => set((x) => void x.sounds.splice(i, 1))} />
          </li>
        ))}
      </ul>
      {p.extendMs === undefined && p.sounds.some((s) => s.event === 'ignite' && s.seconds) ? (
        <button
          type="button"
          className="btn-plain btn"
          onClick={() =>
            set(
              (x) =>
                void (x.extendMs = fact(
                  Math.round(p.sounds.find((s) => s.event === 'ignite')!.seconds! * 1000),
                  'ms',
                  'computed',
                  { with: 'length of the ignite sound' },
                )),
            )
          }
        >
          let the blade extend as long as the ignite sound
        </button>
      ) : null}
    </section>
  )
}
