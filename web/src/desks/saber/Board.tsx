import { Saber, SENSES, type Settings, TRIED_WITH } from '@nubrin/core/record'
import { freshId } from '../../data'
import {
  bound,
  CheckBox,
  FactField,
  Labelled,
  RemoveButton,
  SelectCell,
  setText,
  TextCell,
  TextFactField,
} from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditSaber, useSaber } from '../../store/commission'

const FACTS = [
  ['sleepAfter', 'sleeps after'],
  ['displayTimeout', 'display goes dark after'],
  ['displayAngle', 'picture rotated by'],
  ['volumeSteps', 'volume steps'],
] as const
const OF = Saber.properties.settings.properties
type Sense = Settings['sensitivities'][number]

/** Board settings, beside its sounds and controls. */
export function Board() {
  const { settings } = useSaber()
  const editSaber = useEditSaber()
  const set = (run: (x: Settings) => void) => editSaber('board settings', (s) => run(s.settings))
  const link = (run: (l: NonNullable<Settings['link']>) => void) =>
    set((x) => {
      const l = { ...x.link }
      run(l)
      if (Object.keys(l).length) x.link = l
      else delete x.link
    })
  return (
    <section aria-label="Board settings">
      <h2 className="h2 mb-1">Board settings</h2>
      <div className="grid grid-cols-4 gap-x-4 gap-y-2">
        {FACTS.map(([key, label]) => (
          <FactField
            key={key}
            field={key}
            label={label}
            value={settings[key]}
            of={OF[key]}
            source="configured"
            onCommit={(f) => set((x) => Object.assign(x, { [key]: f }))}
          />
        ))}
        <TextCell
          title="display greeting"
          span="col-span-2"
          label="Greeting of the display"
          value={settings.greeting ?? ''}
          onCommit={(v) => set((x) => setText(x, 'greeting', v))}
        />
        <TextCell
          title="display picture"
          span="col-span-2"
          label="Picture of the display"
          value={settings.picture ?? ''}
          onCommit={(v) => set((x) => setText(x, 'picture', v))}
        />
        <TextCell
          title="link name"
          label="Name of the link"
          value={settings.link?.name ?? ''}
          onCommit={(v) => link((l) => setText(l, 'name', v))}
        />
        <TextFactField
          label="pairing code"
          value={settings.link?.code}
          onCommit={(f) => link((l) => void (l.code = f))}
        />
        <TextCell
          title="phone app"
          span="col-span-2"
          label="Program of the link"
          value={settings.link?.program ?? ''}
          onCommit={(v) => link((l) => setText(l, 'program', v))}
        />
      </div>
      <h3 className="label mt-2">sensitivity, and what it was tried with</h3>
      {settings.sensitivities.map((x) => (
        <Sensitivity key={x.id} of={x} onEdit={set} />
      ))}
      <button
        type="button"
        className="text-brass mt-1"
        onClick={() =>
          set((x) => {
            const free = SENSES.find((q) => !x.sensitivities.some((y) => y.sense === q)) ?? 'swing'
            x.sensitivities.push({
              ...{ id: freshId(), sense: free, triedWith: [] },
              value: { value: null, source: 'unknown' },
            })
          })
        }
      >
        + a sensitivity
      </button>
    </section>
  )
}

function Sensitivity({ of: x, onEdit }: { of: Sense; onEdit: (run: (s: Settings) => void) => void }) {
  const set = (run: (y: Sense) => void) =>
    onEdit((s) => {
      const y = s.sensitivities.find((q) => q.id === x.id)
      if (y) run(y)
    })
  const { choice, given } = bound(x, set)
  return (
    <div className="border-rule grid grid-cols-[110px_minmax(0,1fr)_minmax(0,1.4fr)_1.75rem] items-start gap-3 border-b pb-1">
      <SelectCell title="of" label="Sense" options={SENSES} {...choice('sense')} />
      <TextFactField label={`${x.sense} is set to`} {...given('value')} />
      <Labelled label="tried with">
        <span className="flex gap-3">
          {TRIED_WITH.map((t) => (
            <CheckBox
              key={t}
              checked={x.triedWith.includes(t)}
              onChange={(on) =>
                set((y) => void (y.triedWith = on ? [...y.triedWith, t] : y.triedWith.filter((q) => q !== t)))
              }
            >
              <span className="sr-only">{x.sense} tried with </span>
              {t}
            </CheckBox>
          ))}
        </span>
      </Labelled>
      <RemoveButton
        what={`the sensitivity of ${x.sense}`}
        onClick={() => onEdit((s) => void (s.sensitivities = s.sensitivities.filter((q) => q.id !== x.id)))}
      />
      <Notes of={x} what={`the ${x.sense} sensitivity`} onEdit={set} />
    </div>
  )
}
