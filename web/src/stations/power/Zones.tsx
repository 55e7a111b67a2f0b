import { fact } from '@nubrin/core/facts'
import { type Saber, ZONE_KINDS, Zone } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, bound, FactField, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditSaber, useEditThing, useRemove } from '../../store/commission'

/** Name, kind, LEDs, what one draws lit and idle, whose colour it shows. */
const COLUMNS = 'grid grid-cols-[minmax(0,1fr)_76px_50px_56px_56px_88px_32px] gap-2'

/** Every run of LEDs beside the blade: crystal, accents, chassis strips; one may follow another’s colour and still draws its own current. */
export function Zones({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const add = (name: string) =>
    editSaber(
      'add light',
      (s) =>
        void s.zones.push({
          ...{ id: freshId(), name, kind: 'accent' },
          leds: fact(null, '×'),
          channelCurrent: fact(null, 'mA'),
          idleCurrent: fact(0.6, 'mA', 'assumed'),
        }),
    )
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
      {saber.zones.map((z, i) => (z.blade ? null : <ZoneRow key={z.id} saber={saber} zone={z} n={i + 1} />))}
      <AddLine label="another light: crystal, accent, strip" onAdd={add} />
    </section>
  )
}

function ZoneRow({ saber, zone: z, n }: { saber: Saber; zone: Zone; n: number }) {
  const edit = useEditThing('zones')
  const remove = useRemove()
  const set = (run: (x: Zone) => void) => edit('light', z.id, run)
  const { choice, given, text } = bound(z, set)
  const { properties: OF } = Zone
  return (
    <div className={`border-rule items-start border-b ${COLUMNS}`}>
      <TextCell label={`Name of light ${n}`} value={z.name} onCommit={(v) => set((x) => void (x.name = v || x.name))} />
      <SelectCell label={`Kind of ${z.name}`} options={ZONE_KINDS} {...choice('kind')} />
      <FactField hideLabel compact label={`LEDs in ${z.name}`} of={OF.leds} {...given('leds')} />
      <FactField
        hideLabel
        compact
        label={`mA per channel of ${z.name}`}
        of={OF.channelCurrent}
        source="datasheet"
        {...given('channelCurrent')}
      />
      <FactField
        hideLabel
        compact
        label={`idle mA of an LED of ${z.name}`}
        of={OF.idleCurrent}
        source="datasheet"
        {...given('idleCurrent')}
      />
      <SelectCell
        label={`${z.name} follows`}
        options={['', ...saber.zones.filter((o) => o.id !== z.id && o.follows !== z.id).map((o) => o.id)]}
        words={(v) => (v ? `with ${saber.zones.find((o) => o.id === v)?.name}` : 'its own')}
        {...text('follows')}
      />
      <RemoveButton what={z.name} onClick={() => remove(`zone:${z.id}`)} />
      <Notes of={z} what={z.name} onEdit={set} />
    </div>
  )
}
