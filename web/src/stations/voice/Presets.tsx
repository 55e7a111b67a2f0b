import { stated } from '@nubrin/core/facts'
import { orderedBy, PRESET_ORDERS, type PresetOrder } from '@nubrin/core/looks'
import { colourOf, fontOf, hueText, type Preset } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { freshId } from '../../data'
import { AddLine, Empty, SortableList } from '../../kit'
import { useBench, useEditSaber, useSaber } from '../../store/commission'
import { PresetSheet } from './PresetSheet'

const ORDER_WORDS: Record<PresetOrder, string> = { colour: 'order by colour', favourites: 'favourites first' }

/** Presets in the saber's order, each with its font, colours and sounds. */
export function Presets({ onSheet }: { onSheet: () => void }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const chosen = saber.presets.find((p) => lit === `preset:${p.id}`) ?? saber.presets[0]
  const add = (name: string) =>
    editSaber('add preset', (s) => {
      const bare = {
        colour: stated('#2a6cff', 'assumed'),
        tracks: [],
        lights: [],
        status: 'configured' as const,
      }
      s.presets.push({ id: freshId(), name, ...bare })
    })
  /** Another one like it behind it, with ids of its own. */
  const double = (p: Preset) =>
    editSaber('another preset like it', (s) => {
      const copy: Preset = {
        ...structuredClone(p),
        ...{ id: freshId(), name: `${p.name} 2`, status: 'unsure' },
        lights: p.lights.map((l) => ({ ...structuredClone(l), id: freshId() })),
      }
      s.presets.splice(s.presets.findIndex((x) => x.id === p.id) + 1, 0, copy)
      light(`preset:${copy.id}`)
    })
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-7">
      <section aria-label="Presets in order">
        <h2 className="h2">Presets, in order</h2>
        {saber.presets.length ? null : (
          <Empty title="No preset yet">
            A preset is a font, a colour and a reason in one position of the list. Name the first below.
          </Empty>
        )}
        <SortableList
          items={saber.presets}
          name={(p) => p.name}
          onMove={(next) => editSaber('order of presets', (s) => void (s.presets = next))}
        >
          {(p, i) => (
            <button
              type="button"
              className={`flex w-full items-center gap-3 py-2 text-left ${chosen?.id === p.id ? 'bg-card' : ''}`}
              onClick={() => light(`preset:${p.id}`)}
            >
              <span className="text-brass w-5 text-right font-semibold">{i + 1}</span>
              <svg width="74" height="16" aria-hidden="true">
                <rect x="1" y="3" width="72" height="10" rx="5" fill={colourOf(p)} stroke="#1e2a2b" strokeWidth="0.6" />
                <rect x="3" y="6.5" width="66" height="3" rx="1.5" fill="#fff" opacity="0.7" />
              </svg>
              <span className="min-w-0 flex-1">
                <span className="block truncate font-semibold">
                  {p.name}
                  {p.favourite ? <span className="text-brass"> ★</span> : null}
                </span>
                <span className="text-quiet block truncate text-[0.88rem]">
                  {hueText(MAKER, colourOf(p), saber.presets.map(colourOf))}, {fontOf(saber, p)?.name ?? 'no font'}
                  {p.askedBy ? `, for ${p.askedBy}` : ''}
                </span>
              </span>
            </button>
          )}
        </SortableList>
        <AddLine label="name of a preset" onAdd={add} />
        {chosen ? (
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="btn" onClick={() => double(chosen)}>
              another like {chosen.name}
            </button>
            {PRESET_ORDERS.map((by) => (
              <button
                key={by}
                type="button"
                className="btn"
                onClick={() => editSaber('order of presets', (s) => void (s.presets = orderedBy(s.presets, by)))}
              >
                {ORDER_WORDS[by]}
              </button>
            ))}
          </div>
        ) : null}
      </section>
      {chosen ? (
        <PresetSheet
          key={chosen.id}
          saber={saber}
          preset={chosen}
          n={saber.presets.indexOf(chosen) + 1}
          onSheet={onSheet}
        />
      ) : null}
    </div>
  )
}
