import { byId, fontOf, type Preset, type Saber, tracksOf } from '@nubrin/core/record'
import { freshId } from '../../data'
import { AddLine, RemoveButton, SelectCell } from '../../kit'
import { useEditSaber } from '../../store/commission'

/** The tracks of a preset: those of its font, and those it names of a music bank; a new one goes into the bank by its name. */
export function Tracks({ saber, preset: p }: { saber: Saber; preset: Preset }) {
  const editSaber = useEditSaber()
  const edit = (run: (x: Preset, s: Saber) => void) =>
    editSaber('tracks', (s) => {
      const x = byId(s.presets, p.id)
      if (x) run(x, s)
    })
  const tracks = tracksOf(saber, p)
  const own = new Set((fontOf(saber, p)?.sounds ?? []).map((x) => x.id))
  const others = saber.fonts.flatMap((f) => f.sounds).filter((x) => x.event === 'track' && !tracks.includes(x))
  return (
    <section className="mt-2" aria-label={`Tracks of ${p.name}`}>
      <span className="label">tracks</span>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {tracks.map((t) => (
          <span key={t.id} className="flex items-center">
            {t.name}
            {own.has(t.id) ? (
              <span className="text-quiet ml-1.5 text-[0.88rem]">of its font</span>
            ) : (
              <RemoveButton
                what={t.name}
                onClick={() => edit((x) => void (x.tracks = x.tracks.filter((id) => id !== t.id)))}
              />
            )}
          </span>
        ))}
        {others.length ? (
          <SelectCell
            label="Add a track"
            className="w-40"
            value={undefined}
            placeholder="from the card"
            options={others.map((t) => t.id)}
            words={(id) => byId(others, id)!.name}
            onCommit={(id) => edit((x) => void x.tracks.push(id))}
          />
        ) : null}
        <AddLine
          label="name of a track"
          onAdd={(name) =>
            edit((x, s) => {
              let bank = s.fonts.find((f) => f.is === 'musicBank')
              if (!bank) {
                bank = { id: freshId(), name: 'Music', is: 'musicBank', sounds: [] }
                s.fonts.push(bank)
              }
              const id = freshId()
              bank.sounds.push({ id, event: 'track', name })
              x.tracks.push(id)
            })
          }
        />
      </div>
    </section>
  )
}
