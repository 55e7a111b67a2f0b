import { fact } from '@nubrin/core/facts'
import { LOOKS, Preset, type Saber, STATUSES } from '@nubrin/core/record'
import { bound, CheckBox, ColourFactField, FactField, Labelled, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditThing, useRemove } from '../../store/commission'
import { Effects } from './Effects'
import { Sounds } from './Sounds'

const LOOK_WORDS = {
  '': 'its blade colour',
  battery: 'the state of the cell',
  party: 'many colours, moving',
  varies: 'a colour that varies',
}

/** One preset: its colours, why it is there, its times, and its sounds. */
export function PresetSheet({ saber, preset: p, n }: { saber: Saber; preset: Preset; n: number }) {
  const edit = useEditThing('presets')
  const remove = useRemove()
  const set = (run: (x: Preset) => void) => edit('preset', p.id, run)
  const { given, tick } = bound(p, set)
  const ignite = p.sounds.find((s) => s.event === 'ignite' && s.seconds)
  return (
    <section aria-label={`Preset ${p.name}`}>
      <div className="flex items-end gap-3">
        <Labelled label="blade" className="shrink-0">
          <ColourFactField label="Blade colour" {...given('colour')} />
        </Labelled>
        <TextCell
          title={`preset ${n}`}
          span="flex-1"
          label="Preset name"
          className="text-[1.1rem] font-semibold"
          value={p.name}
          onCommit={(v) => set((x) => void (x.name = v || x.name))}
        />
        <RemoveButton what={p.name} onClick={() => remove(`preset:${p.id}`)} />
      </div>
      <CheckBox className="text-quiet" {...tick('mayCopy')}>
        its licence allows it on the client’s page
      </CheckBox>
      <Fields saber={saber} preset={p} set={set} />
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
          match the blade to the ignition sound
        </button>
      ) : null}
    </section>
  )
}

/** Whose wish it is and why it is there, its times, and how it looks. */
function Fields({ saber, preset: p, set }: { saber: Saber; preset: Preset; set: (run: (x: Preset) => void) => void }) {
  const blades = saber.blades.filter((b) => b.use !== 'demo' && b.kind !== 'plug')
  const { choice, given, maybe, text } = bound(p, set)
  return (
    <div className="mt-1 grid grid-cols-4 gap-3">
      <TextCell title="font" label="Font" {...choice('font')} />
      <TextCell title="style" label="Style" {...text('style')} />
      <TextCell title="asked for by" label="Asked for by" {...text('askedBy')} />
      <TextCell title="why" label="Why this preset" {...text('why')} />
      <SelectCell
        title="status"
        label="Status of the preset"
        options={STATUSES}
        words={(v) => (v === 'unsure' ? 'not sure' : v)}
        {...choice('status')}
      />
      <FactField label="extends in" of={Preset.properties.extendMs} source="configured" {...given('extendMs')} />
      <FactField label="retracts in" of={Preset.properties.retractMs} source="configured" {...given('retractMs')} />
      <FactField
        label="flashes per second"
        of={Preset.properties.flickerHz}
        source="configured"
        {...given('flickerHz')}
      />
      <TextCell
        title="tracks (comma-separated)"
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
      <SelectCell
        title="blade look"
        label="Look of the blade"
        options={['', ...LOOKS]}
        words={(v) => LOOK_WORDS[v]}
        {...maybe('look')}
      />
      {blades.length ? (
        <SelectCell
          title="needs, for its full look"
          label="Blade that the look takes"
          options={['', ...blades.map((b) => b.id)]}
          words={(id) => blades.find((b) => b.id === id)?.name ?? 'any blade'}
          {...maybe('needs')}
        />
      ) : null}
    </div>
  )
}
