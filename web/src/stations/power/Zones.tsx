import { fact, type Saber } from '@nubrin/core/record'
import { freshId } from '../../api'
import { useEditSaber } from '../../store/commission'
import { FactField } from '../../ui/FactField'
import { AddLine, RemoveButton, SelectCell, setText, TextCell } from '../../ui/fields'

/** Every run of LEDs beside the blade: crystal, accents, chassis strips; one may follow another's colour and still draws its own current. */
export function Zones({ saber }: { saber: Saber }) {
  const editSaber = useEditSaber()
  const set = (i: number, run: (z: Saber['zones'][number]) => void) => editSaber('light zone', (s) => run(s.zones[i]!))
  return (
    <section aria-label="Light zones" className="mt-4">
      <h2 className="h2">Other lights</h2>
      {saber.zones.map((z, i) =>
        z.blade ? null : (
          <div
            key={z.id}
            className="border-rule grid grid-cols-[minmax(0,1fr)_76px_50px_56px_88px_auto] items-start gap-2 border-b"
          >
            <TextCell
              label={`Name of light ${i + 1}`}
              value={z.name}
              onCommit={(v) => set(i, (x) => void (x.name = v || x.name))}
            />
            <SelectCell
              label={`Kind of ${z.name}`}
              value={z.kind}
              options={['crystal', 'chassis', 'accent', 'connector', 'button', 'quillon', 'blade'] as const}
              onCommit={(v) => set(i, (x) => void (x.kind = v))}
            />
            <FactField
              hideLabel
              compact
              label={`LEDs in ${z.name}`}
              value={z.leds}
              unit="×"
              quantity="count"
              onCommit={(f) => set(i, (x) => void (x.leds = f))}
            />
            <FactField
              hideLabel
              compact
              label={`mA per channel of ${z.name}`}
              value={z.channelCurrent}
              unit="mA"
              quantity="current"
              source="datasheet"
              onCommit={(f) => set(i, (x) => void (x.channelCurrent = f))}
            />
            <SelectCell
              label={`${z.name} follows`}
              value={z.follows ?? ''}
              options={['', ...saber.zones.filter((o) => o.id !== z.id && o.follows !== z.id).map((o) => o.id)]}
              words={(v) => (v ? `with ${saber.zones.find((o) => o.id === v)?.name}` : 'its own')}
              onCommit={(v) => set(i, (x) => setText(x, 'follows', v))}
            />
            <RemoveButton
              what={z.name}
              onClick={() =>
                editSaber('remove light', (s) => {
                  s.zones.splice(i, 1)
                  for (const o of s.zones) if (o.follows === z.id) delete o.follows
                })
              }
            />
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
