import { known } from '@nubrin/core/facts'
import { byId, type Font, LIGHT_EVENTS, LOOKS, Preset, type Saber, STATUSES } from '@nubrin/core/record'
import { missingSounds } from '@nubrin/core/voice'
import { freshId } from '../../data'
import { bound, CheckBox, ColourFactField, FactField, Labelled, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useBench, useEditThing, useRemove } from '../../store/commission'
import { IS_WORDS, Swatch } from './CellSheet'
import { Moving } from './Moving'
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
export function PresetSheet({
  saber,
  preset: p,
  n,
  onSheet,
}: {
  saber: Saber
  preset: Preset
  n: number
  /** Goes to where its events are set. */
  onSheet: () => void
}) {
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
        <Labelled label="asked for" className="shrink-0">
          <ColourFactField label="Colour asked for" className="h-8 w-9" {...given('asked')} />
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
      <Events preset={p} onSheet={onSheet} />
      <Notes of={p} what={p.name} onEdit={set} className="mt-2" />
      <Tracks saber={saber} preset={p} />
    </section>
  )
}

/** What its events look like, at a glance; they are set on the sheet of all presets. */
function Events({ preset: p, onSheet }: { preset: Preset; onSheet: () => void }) {
  const set = LIGHT_EVENTS.filter((e) => p.effects?.[e])
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <span className="label">events</span>
      {set.map((e) => {
        const look = p.effects![e]!
        const hex = known(look.colour)
        return (
          <span key={e}>
            {hex && !look.is ? <Swatch hex={hex} /> : null}
            {eventWords(e)} {look.is ? IS_WORDS[look.is] : ''}
          </span>
        )
      })}
      <button type="button" className="text-brass hover:underline" onClick={onSheet}>
        {set.length ? 'set them' : 'set its events'} →
      </button>
    </div>
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
  const { choice, given, maybe, put, text, tick } = bound(p, set)
  return (
    <div className="mt-1 grid grid-cols-4 gap-x-3 gap-y-1">
      <FontChoice saber={saber} preset={p} set={set} />
      <TextCell title="its style" label="Style" {...text('style')} />
      <Moving of={p.moves} what={p.name} onEdit={(m) => put('moves', m)} />
      <TextCell title="asked for by" label="Asked for by" {...text('askedBy')} />
      <TextCell title="why, for the client" label="Why this preset" {...text('why')} />
      <TextCell title="why, for the shop" label="Why this preset, for the shop" {...text('shopWhy')} />
      <TextCell title="exceptions" label="What is otherwise in this preset" {...text('exceptions')} />
      <TextCell title="display shows" label="What the display shows in it" {...text('picture')} />
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
      <FactField
        label="needs lit, at least"
        of={Preset.properties.needsLength}
        source="computed"
        {...given('needsLength')}
      />
      <div className="col-span-full flex items-end gap-6 whitespace-nowrap">
        <CheckBox {...tick('needsTip')}>a lit tip</CheckBox>
        <CheckBox {...tick('needsPlug')}>the plug</CheckBox>
        <CheckBox {...tick('favourite')}>a favourite</CheckBox>
      </div>
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
