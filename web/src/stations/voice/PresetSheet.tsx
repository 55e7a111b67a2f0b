import { byId, type Font, LOOKS, Preset, type Saber, STATUSES } from '@nubrin/core/record'
import { missingSounds } from '@nubrin/core/voice'
import { freshId } from '../../data'
import { bound, ColourFactField, FactField, Labelled, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useBench, useEditThing, useRemove } from '../../store/commission'
import { Effects } from './Effects'
import { PresetTimes } from './PresetTimes'
import { Tracks } from './Tracks'
import { eventWords } from './words'

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
  const set = (run: (x: Preset, s: Saber) => void) => edit('preset', p.id, run)
  const { given } = bound(p, set)
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
      <Fields saber={saber} preset={p} set={set} />
      <PresetTimes saber={saber} preset={p} set={set} />
      <Effects preset={p} onEdit={set} />
      <Notes of={p} what={p.name} onEdit={set} className="mt-2" />
      <Tracks saber={saber} preset={p} />
    </section>
  )
}

/** What a piece of the sheet is given. */
interface OfPreset {
  saber: Saber
  preset: Preset
  set: (run: (x: Preset, s: Saber) => void) => void
}
/** Whose wish it is and why it is there, its times, and how it looks. */
function Fields({ saber, preset: p, set }: OfPreset) {
  const blades = saber.blades.filter((b) => b.use !== 'demo' && b.kind !== 'plug')
  const { choice, given, maybe, text } = bound(p, set)
  return (
    <div className="mt-1 grid grid-cols-4 gap-3">
      <FontChoice saber={saber} preset={p} set={set} />
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
      <TextCell title="why the times differ" label="Why the blade differs from its sound" {...text('timesWhy')} />
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

/** The font that it plays, and whether that has all that its controls call for; where it plays none, one is begun for it. */
function FontChoice({ saber, preset: p, set }: OfPreset) {
  const fonts = saber.fonts.filter((f) => f.is === 'font')
  const missing = missingSounds(saber, p)
  const seek = useBench((b) => b.seek)
  const begin = () => {
    const id = freshId() as Font['id']
    set((x, s) => {
      s.fonts.push({ id, name: x.name, is: 'font', sounds: [] })
      x.font = id
    })
    seek(`font:${id}`)
  }
  return (
    <div>
      <SelectCell
        title="font"
        label="Font"
        options={['', ...fonts.map((f) => f.id)]}
        words={(id) => byId(fonts, id)?.name ?? 'none'}
        {...bound(p, set).maybe('font')}
      />
      {missing.length ? (
        <p className="text-stop text-[0.88rem] font-semibold">✕ none for {missing.map(eventWords).join(', ')}</p>
      ) : p.font ? null : (
        <button type="button" className="text-brass text-[0.92rem] hover:underline" onClick={begin}>
          + a font of its own
        </button>
      )}
    </div>
  )
}
