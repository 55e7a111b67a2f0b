import { fact } from '@nubrin/core/facts'
import { LOOKS, Preset, type Saber, STATUSES } from '@nubrin/core/record'
import { CheckBox, ColourFactField, FactField, Labelled, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditThing, useRemove } from '../../store/commission'
import { Notes } from '../../things/Notes'
import { Effects } from './Effects'
import { Sounds } from './Sounds'

const LOOK_WORDS = { '': 'its blade colour', battery: 'the state of the cell', party: 'many colours, moving' }

/** One preset: its colours, why it is there, its times, and its sounds. */
export function PresetSheet({ saber, preset: p, n }: { saber: Saber; preset: Preset; n: number }) {
  const edit = useEditThing('presets')
  const remove = useRemove()
  const set = (run: (x: Preset) => void) => edit('preset', p.id, run)
  const ignite = p.sounds.find((s) => s.event === 'ignite' && s.seconds)
  return (
    <section aria-label={`Preset ${p.name}`}>
      <div className="flex items-end gap-3">
        <Labelled label="blade" className="shrink-0">
          <ColourFactField label="Blade colour" value={p.colour} onCommit={(f) => set((x) => void (x.colour = f))} />
        </Labelled>
        <Labelled label={`preset ${n}`} className="flex-1">
          <TextCell
            label="Preset name"
            className="text-[1.1rem] font-semibold"
            value={p.name}
            onCommit={(v) => set((x) => void (x.name = v || x.name))}
          />
        </Labelled>
        <RemoveButton what={p.name} onClick={() => remove(`preset:${p.id}`)} />
      </div>
      <CheckBox
        className="text-quiet"
        checked={p.mayCopy ?? false}
        onChange={(on) => set((x) => void (on ? (x.mayCopy = true) : delete x.mayCopy))}
      >
        its licence lets the client’s page carry it
      </CheckBox>
      <div className="mt-1 grid grid-cols-4 gap-3">
        <Labelled label="font">
          <TextCell label="Font" value={p.font} onCommit={(v) => set((x) => void (x.font = v))} />
        </Labelled>
        <Labelled label="style">
          <TextCell label="Style" value={p.style ?? ''} onCommit={(v) => set((x) => setText(x, 'style', v))} />
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
          of={Preset.properties.extendMs}
          source="configured"
          onCommit={(f) => set((x) => void (x.extendMs = f))}
        />
        <FactField
          label="goes back in"
          value={p.retractMs}
          of={Preset.properties.retractMs}
          source="configured"
          onCommit={(f) => set((x) => void (x.retractMs = f))}
        />
        <FactField
          label="flashes, a second"
          value={p.flickerHz}
          of={Preset.properties.flickerHz}
          source="configured"
          onCommit={(f) => set((x) => void (x.flickerHz = f))}
        />
        <Labelled label="tracks, by comma">
          <TextCell
            label="Tracks"
            value={p.tracks.join(', ')}
            onCommit={(v) =>
              set((x) => {
                x.tracks = v
                  .split(',')
                  .map((t) => t.trim())
                  .filter(Boolean)
              })
            }
          />
        </Labelled>
        <Labelled label="looks like">
          <SelectCell
            label="Look of the blade"
            value={p.look ?? ''}
            options={['', ...LOOKS]}
            words={(v) => LOOK_WORDS[v]}
            onCommit={(v) => set((x) => void (v ? (x.look = v) : delete x.look))}
          />
        </Labelled>
      </div>
      <Effects preset={p} onEdit={set} />
      <Notes of={p} what={p.name} onEdit={set} className="mt-2" />
      <Sounds saber={saber} preset={p} onEdit={set} />
      {p.extendMs === undefined && ignite ? (
        <button
          type="button"
          className="btn-plain btn"
          onClick={() =>
            set((x) => {
              const ms = Math.round(ignite.seconds! * 1000)
              x.extendMs = fact(ms, 'ms', 'computed', { with: 'length of the ignite sound' })
            })
          }
        >
          let the blade extend as long as the ignite sound
        </button>
      ) : null}
    </section>
  )
}
