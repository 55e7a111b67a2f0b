import { EVENTS, FONT_KINDS, Font, type Saber, type Sound } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { evened, missingSounds } from '@nubrin/core/voice'
import { memo, useState } from 'react'
import { refusalText, useFontLibrary } from '../../data'
import { bound, CheckBox, FactField, Refused, RemoveButton, SelectCell, TextCell } from '../../kit'
import { MoneyCell } from '../../shared/Money'
import { Notes } from '../../shared/Notes'
import { useEditThing, useOrder, useRemove } from '../../store/commission'
import { SoundsIn } from './Intake'
import { SoundView } from './SoundView'
import { eventWords, KIND_WORDS, secondsOf, signed } from './words'

/** One font: whose it is and on what terms, how loud it plays, and its sounds. */
export function FontSheet({ font: f, saber, onRemoved }: { font: Font; saber: Saber; onRemoved: () => void }) {
  const edit = useEditThing('fonts')
  const remove = useRemove()
  const set = (run: (x: Font) => void) => edit('font', f.id, run)
  const missing = [...new Set(saber.presets.filter((p) => p.font === f.id).flatMap((p) => missingSounds(saber, p)))]
  return (
    <section aria-label={`Font ${f.name}`}>
      <Head
        font={f}
        set={set}
        onRemove={() => {
          remove(`font:${f.id}`)
          onRemoved()
        }}
      />
      <Loud font={f} set={set} saber={saber} />
      <div className="mt-3 flex items-baseline gap-3">
        <h3 className="h2">Sounds</h3>
        {missing.length ? (
          <span className="text-stop font-semibold">✕ none for {missing.map(eventWords).join(', ')}</span>
        ) : f.sounds.length ? (
          <span className="text-fine">✓ one for every event that the controls reach</span>
        ) : (
          <span className="text-quiet">none recorded</span>
        )}
      </div>
      <SoundList font={f} />
      <SoundsIn label={`Drop sounds, a folder or a ZIP here for ${f.name}`} font={f.id} />
      <Terms font={f} set={set} />
      <Keep font={f} set={set} />
    </section>
  )
}

type Setting = { font: Font; set: (run: (x: Font) => void) => void }
function Head({ font: f, set, onRemove }: Setting & { onRemove: () => void }) {
  const { choice, text } = bound(f, set)
  return (
    <div className="grid grid-cols-[minmax(0,2fr)_6.5rem_minmax(0,1.6fr)_minmax(0,1.6fr)_auto] items-end gap-3">
      <TextCell
        title="font"
        label="Font name"
        className="text-[1.1rem] font-semibold"
        value={f.name}
        onCommit={(v) => set((x) => void (x.name = v || x.name))}
      />
      <SelectCell
        title="what it is"
        label="What it is"
        options={FONT_KINDS}
        words={(v) => KIND_WORDS[v]}
        {...choice('is')}
      />
      <TextCell title="made by" label="Made by" {...text('author')} />
      <TextCell title="where it is from" label="Where it is from" {...text('from')} />
      <RemoveButton what={f.name} onClick={onRemove} />
    </div>
  )
}

/** How loud it plays, and beside the others. */
function Loud({ font: f, set, saber }: Setting & { saber: Saber }) {
  const even = evened(saber.fonts).find((e) => e.font === f)
  return (
    <div className="mt-1 grid grid-cols-[9rem_minmax(0,1fr)] items-end gap-4">
      <FactField label="gain" of={Font.properties.gain} source="configured" {...bound(f, set).given('gain')} />
      {even?.louder !== undefined && saber.fonts.filter((x) => x.is === 'font').length > 1 ? (
        <p className="text-quiet pb-1 text-[0.92rem]">
          {Math.abs(even.louder) < 0.05
            ? 'as loud as the middle of the fonts'
            : `${formatNumber(MAKER, Math.abs(even.louder), 1)} dB ${even.louder > 0 ? 'louder' : 'softer'} than the middle of the fonts`}
          ; evens out at {signed(even.gain)}
        </p>
      ) : null}
    </div>
  )
}

/** On what terms it is there, and what it costs. */
function Terms({ font: f, set }: Setting) {
  const order = useOrder()
  const { maybe, text, tick } = bound(f, set)
  return (
    <div className="mt-4">
      <h3 className="h2">Terms</h3>
      <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,1.2fr)_minmax(0,1.6fr)] items-end gap-3">
        <TextCell title="licence" label="Licence" {...text('licence')} />
        <div>
          <span className="label">price, as an extra</span>
          <MoneyCell
            label="Price as an extra"
            value={f.price}
            usual={order.requests.find((r) => r.price)?.price?.currency ?? 'EUR'}
            onCommit={(v) =>
              set((x) => {
                if (v) x.price = v
                else delete x.price
              })
            }
          />
        </div>
        <SelectCell
          title="offered by the wish"
          label="Offered by the wish"
          options={['', ...order.requests.map((r) => r.id)]}
          words={(id) => order.requests.find((r) => r.id === id)?.text ?? 'none'}
          {...maybe('wish')}
        />
      </div>
      <CheckBox className="text-quiet mt-1" {...tick('mayCopy')}>
        its licence allows it on the client’s page
      </CheckBox>
      <Notes of={f} what={f.name} onEdit={set} className="mt-1" />
    </div>
  )
}

/** Into the shop's library, or there anew; what the library has then is what this font is. */
function Keep({ font: f, set }: Setting) {
  const { list, keep } = useFontLibrary()
  const there = list.data?.some((x) => x.font.id === f.library)
  const put = async () => {
    const id = f.library ?? f.id
    await keep.mutateAsync({ ...f, id: id as Font['id'] })
    set((x) => void (x.library = id))
  }
  return (
    <div className="mt-3 flex items-center gap-3">
      <button type="button" className="btn" disabled={keep.isPending} onClick={() => void put().catch(() => {})}>
        {there ? 'update it in the library' : 'keep in the library'}
      </button>
      <span className="text-quiet text-[0.92rem]">
        {there ? 'It is in the shop’s library; other sabers keep what they have.' : 'For every saber from now on.'}
      </span>
      <Refused why={keep.error ? refusalText(keep.error) : ''} />
    </div>
  )
}

/** The sounds of a font in the order of events; one is opened to be seen and heard. */
function SoundList({ font: f }: { font: Font }) {
  const [open, setOpen] = useState<string>()
  const inOrder = [...f.sounds].sort((a, b) => EVENTS.indexOf(a.event) - EVENTS.indexOf(b.event))
  return (
    <ul>
      {inOrder.map((s) => (
        <SoundRow key={s.id} sound={s} font={f} open={open === s.id} onOpen={setOpen} />
      ))}
    </ul>
  )
}

interface RowProps {
  sound: Sound
  font: Font
  open: boolean
  onOpen: (id: string | undefined) => void
}
/** One sound; it is shown anew only where it changed itself, since hundreds may stand beside it. */
const SoundRow = memo(
  function SoundRow({ sound: s, font: f, open, onOpen }: RowProps) {
    const edit = useEditThing('fonts')
    const remove = useRemove()
    const set = (run: (x: Sound) => void) =>
      edit('sound', f.id, (x) => {
        const found = x.sounds.find((y) => y.id === s.id)
        if (found) run(found)
      })
    return (
      <li className="border-rule border-b py-0.5 text-[0.95rem]">
        <div className="grid grid-cols-[100px_minmax(0,1fr)_auto_auto_auto] items-center gap-2">
          <SelectCell
            label={`Event of ${s.name}`}
            value={s.event}
            options={EVENTS}
            words={eventWords}
            onCommit={(event) => set((x) => void (x.event = event))}
          />
          <TextCell
            label={`Name of the ${eventWords(s.event)} sound ${s.name}`}
            value={s.name}
            onCommit={(v) => set((x) => void (x.name = v || x.name))}
          />
          <span className="text-quiet whitespace-nowrap">{shortly(s)}</span>
          <button
            type="button"
            aria-expanded={open}
            className="text-brass"
            onClick={() => onOpen(open ? undefined : s.id)}
          >
            {open ? 'close' : 'look and listen'}
          </button>
          <RemoveButton what={s.name} onClick={() => remove(`sound:${s.id}`)} />
        </div>
        {open ? <SoundView sound={s} font={f} /> : null}
      </li>
    )
  },
  (a, b) => a.sound === b.sound && a.open === b.open && a.font.id === b.font.id && a.font.gain === b.font.gain,
)

function shortly(s: Sound): string {
  if (s.seconds === undefined) return s.media ? 'not measured' : 'no file'
  const level =
    s.loudnessLufs !== undefined
      ? `${formatNumber(MAKER, s.loudnessLufs, 1)} LUFS`
      : s.rmsDb !== undefined
        ? `${formatNumber(MAKER, s.rmsDb, 1)} dBFS`
        : undefined
  return [secondsOf(s.seconds), level].filter(Boolean).join(' · ')
}
