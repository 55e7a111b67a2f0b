import { ROLES } from '@nubrin/core/record'
import { Empty } from '../../kit'
import { useEditSaber, useSaber } from '../../store/commission'
import { addSection } from './addSection'
import { Inspector } from './Inspector'
import { SectionCard } from './SectionCard'
import { Unrolled } from './Unrolled'

/** The hilt from the pommel forward: its sections, its outside unrolled, and what is lit in figures. */
export default function Hilt() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const add = (role: (typeof ROLES)[number]) => editSaber('add section', (s) => addSection(s, role))
  if (!saber.hilt.sections.length)
    return (
      <Empty
        title="A bare bench"
        action={
          <>
            <button
              type="button"
              className="btn btn-main"
              onClick={() => {
                for (const r of ['pommel', 'grip', 'neck', 'emitter'] as const) add(r)
              }}
            >
              Lay out pommel, grip, neck and emitter
            </button>
            {ROLES.map((r) => (
              <button key={r} type="button" className="btn" onClick={() => add(r)}>
                {r}
              </button>
            ))}
          </>
        }
      >
        Begin at the pommel and work forward. Sizes can come later: what nobody measured is drawn dotted.
      </Empty>
    )
  return (
    <div className="space-y-4">
      <section aria-label="Sections, from the pommel forward" className="flex items-start gap-2 overflow-x-auto pb-1">
        {saber.hilt.sections.map((x, i) => (
          <SectionCard key={x.id} section={x} n={i + 1} />
        ))}
        <div className="flex w-24 shrink-0 flex-col gap-1">
          <span className="label">add a section</span>
          {ROLES.map((r) => (
            <button key={r} type="button" className="text-brass text-left leading-tight" onClick={() => add(r)}>
              + {r}
            </button>
          ))}
        </div>
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-5">
        <Unrolled saber={saber} />
        <Inspector saber={saber} />
      </div>
    </div>
  )
}
