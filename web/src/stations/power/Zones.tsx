import { fact, stated } from '@nubrin/core/facts'
import { wouldRing } from '@nubrin/core/looks'
import { type Blade, byId, type PartKind, type Saber, SHINES, ZONE_KINDS, Zone } from '@nubrin/core/record'
import { freshId } from '../../data'
import {
  AddLine,
  bound,
  ChoiceFactField,
  ColourFactField,
  FactField,
  Labelled,
  RemoveButton,
  SelectCell,
  TextCell,
} from '../../kit'
import { DiesCell } from '../../shared/Dies'
import { Notes } from '../../shared/Notes'
import { useEditSaber, useEditThing, useRemove } from '../../store/commission'

/** Parts that shine, or that a light shines through. */
const LIGHTS: ReadonlySet<PartKind> = new Set<PartKind>(['strip', 'accentLed', 'connector', 'chamber', 'switch'])
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
          {['light', 'kind', 'LEDs', 'lit', 'idle', 'follows'].map((head) => (
            <span key={head}>{head}</span>
          ))}
        </div>
      ) : null}
      {saber.zones.map((z, i) => (z.blade ? null : <ZoneRow key={z.id} saber={saber} zone={z} n={i + 1} />))}
      <AddLine label="another light: crystal, accent, strip" onAdd={add} />
    </section>
  )
}

/** The run of LEDs that a blade is, to be followed; made where nobody has needed it yet. */
function runOf(s: Saber, b: Blade): string {
  const had = s.zones.find((o) => o.blade === b.id)
  if (had) return had.id
  const { channelCurrent, idleCurrent } = structuredClone(b)
  s.zones.push({
    id: freshId(),
    name: b.name,
    kind: 'blade',
    leds: fact(null, '×'),
    channelCurrent,
    idleCurrent,
    blade: b.id,
  })
  return s.zones.at(-1)!.id
}

function ZoneRow({ saber, zone: z, n }: { saber: Saber; zone: Zone; n: number }) {
  const edit = useEditThing('zones')
  const remove = useRemove()
  const set = (run: (x: Zone, s: Saber) => void) => edit('light', z.id, run)
  const { choice, given, maybe } = bound(z, set)
  const leaders = [
    ...saber.blades
      .filter((b) => b.kind !== 'plug' && !saber.zones.some((o) => o.blade === b.id))
      .map((b) => ({ id: `blade:${b.id}`, name: b.name })),
    ...saber.zones.filter((o) => !wouldRing(saber, z, o)).map((o) => ({ id: o.id as string, name: o.name })),
  ]
  const follow = (id: string) =>
    set((x, s) => {
      delete x.follows
      if (!id) return
      const blade = id.startsWith('blade:') ? byId(s.blades, id.slice(6)) : undefined
      x.follows = blade ? runOf(s, blade) : id
      x.shines ??= stated('withAnother', 'recalled')
    })
  const lightParts = saber.parts.filter((p) => LIGHTS.has(p.kind))
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
        field="follows"
        value={z.follows ?? ''}
        options={['', ...leaders.map((o) => o.id)]}
        words={(v) => (v ? (leaders.find((o) => o.id === v)?.name ?? '?') : 'none')}
        onCommit={follow}
      />
      <RemoveButton what={z.name} onClick={() => remove(`zone:${z.id}`)} />
      <div className="col-span-full grid grid-cols-3 items-start gap-x-3">
        <ChoiceFactField
          label={`${z.name}: light`}
          options={SHINES}
          words={(v) => (v === 'byItself' ? 'its own' : 'follows another')}
          {...given('shines')}
        />
        <SelectCell
          title="part"
          label={`Part of ${z.name}`}
          options={['', ...lightParts.map((p) => p.id)]}
          words={(id) => lightParts.find((p) => p.id === id)?.name ?? 'none'}
          {...maybe('part')}
        />
        <TextCell
          title="seen through"
          label={`What ${z.name} is seen through`}
          value={z.through?.what ?? ''}
          onCommit={(what) =>
            set((x) => {
              if (what.trim()) x.through = { colour: stated('#ffffff', 'assumed'), ...x.through, what }
              else delete x.through
            })
          }
        />
        {z.through ? (
          <Labelled label="its colour">
            <ColourFactField
              label={`Colour of what ${z.name} is seen through`}
              className="h-7 w-12"
              value={z.through.colour}
              onCommit={(colour) => set((x) => void (x.through = { ...x.through!, colour }))}
            />
          </Labelled>
        ) : null}
        <DiesCell of={z} what={z.name} onEdit={set} />
        <SelectCell
          title="behind"
          label={`Window that ${z.name} lies behind`}
          options={['', ...saber.hilt.openings.map((o) => o.id)]}
          words={(id) => saber.hilt.openings.find((o) => o.id === id)?.name ?? 'no window'}
          {...maybe('behind')}
        />
      </div>
      <Notes of={z} what={z.name} onEdit={set} />
    </div>
  )
}
