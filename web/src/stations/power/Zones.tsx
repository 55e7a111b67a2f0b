import { fact } from '@nubrin/core/facts'
import { type Saber, ZONE_KINDS, Zone } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, FactField, RemoveButton, SelectCell, setText, TextCell } from '../../kit'
import { useEditSaber, useEditThing, useRemove } from '../../store/commission'
import { Notes } from '../../things/Notes'

/** Name, kind, LEDs, what one draws lit and idle, whose colour it shows. */
const COLUMNS = 'grid grid-cols-[minmax(0,1fr)_76px_50px_56px_56px_88px_32px] gap-2'

/** Every run of LEDs beside the blade: crystal, accents, chassis strips; one may follow another's colour and still draws its own current. */
export function Zones({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const edit = useEditThing('zones')
  const remove = useRemove()
  const set = (id: string, run: (z: Zone) => void) => edit('light', id, run)
  return (
    <section aria-label="Light zones" className="mt-4">
      <h2 className="h2">Other lights</h2>
      {saber.zones.some((z) => !z.blade) ? (
        <div aria-hidden className={`label ${COLUMNS}`}>
          {['light', 'kind', 'LEDs', 'lit', 'idle', 'its colour'].map((head) => (
            <span key={head}>{head}</span>
          ))}
        </div>
      ) : null}
      {saber.zones.map((z, i) =>
        z.blade ? null : (
          <div key={z.id} className={`border-rule items-start border-b ${COLUMNS}`}>
            <TextCell
              label={`Name of light ${i + 1}`}
              value={z.name}
              onCommit={(v) => set(z.id, (x) => void (x.name = v || x.name))}
            />
            <SelectCell
              label={`Kind of ${z.name}`}
              value={z.kind}
              options={ZONE_KINDS}
              onCommit={(v) => set(z.id, (x) => void (x.kind = v))}
            />
            <FactField
              hideLabel
              compact
              label={`LEDs in ${z.name}`}
              value={z.leds}
              of={Zone.properties.leds}
              onCommit={(f) => set(z.id, (x) => void (x.leds = f))}
            />
            <FactField
              hideLabel
              compact
              label={`mA per channel of ${z.name}`}
              value={z.channelCurrent}
              of={Zone.properties.channelCurrent}
              source="datasheet"
              onCommit={(f) => set(z.id, (x) => void (x.channelCurrent = f))}
            />
            <FactField
              hideLabel
              compact
              label={`idle mA of an LED of ${z.name}`}
              value={z.idleCurrent}
              of={Zone.properties.idleCurrent}
              source="datasheet"
              onCommit={(f) => set(z.id, (x) => void (x.idleCurrent = f))}
            />
            <SelectCell
              label={`${z.name} follows`}
              value={z.follows ?? ''}
              options={['', ...saber.zones.filter((o) => o.id !== z.id && o.follows !== z.id).map((o) => o.id)]}
              words={(v) => (v ? `with ${saber.zones.find((o) => o.id === v)?.name}` : 'its own')}
              onCommit={(v) => set(z.id, (x) => setText(x, 'follows', v))}
            />
            <RemoveButton what={z.name} onClick={() => remove(`zone:${z.id}`)} />
            <Notes of={z} what={z.name} onEdit={(run) => set(z.id, run)} />
          </div>
        ),
      )}
      <AddLine
        label="another light: crystal, accent, strip"
        onAdd={(name) =>
          editSaber(
            'add light',
            (s) =>
              void s.zones.push({
                id: freshId(),
                name,
                kind: 'accent',
                leds: fact(null, '×'),
                channelCurrent: fact(null, 'mA'),
                idleCurrent: fact(0.6, 'mA', 'assumed'),
              }),
          )
        }
      />
    </section>
  )
}
