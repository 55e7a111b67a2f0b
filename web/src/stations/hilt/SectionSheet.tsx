import { Section } from '@nubrin/core/record'
import { bound, CheckBox, FactField } from '../../kit'
import { Notes } from '../../shared/Notes'
import { useEditHilt, useRemove } from '../../store/commission'
import { JointFields } from './JointFields'
import { Profile } from './Profile'
import { Sheet } from './Sheet'

/** The shape of one section: its profiles point by point, its joint, its weight. */
export function SectionSheet({ section: x }: { section: Section }) {
  const edit = useEditHilt('sections')
  const remove = useRemove()
  const set = (run: (y: Section) => void) => edit('section', x.id, run)
  const { given } = bound(x, set)
  return (
    <Sheet
      what="Section"
      name={x.name}
      onName={(v) => set((y) => void (y.name = v))}
      onRemove={() => remove(`section:${x.id}`)}
    >
      <div className="grid grid-cols-2 gap-3">
        <Profile section={x} which="outer" />
        <Profile section={x} which="bore" />
      </div>
      {x.joint.kind === 'none' ? null : <JointFields section={x} onEdit={set} />}
      <div className="grid grid-cols-[90px_minmax(0,1fr)] gap-2">
        <FactField label="weighed" of={Section.properties.mass} {...given('mass')} />
        <Notes of={x} what={x.name} onEdit={set} />
      </div>
      <CheckBox field="sharp" checked={!!x.sharp} onChange={(on) => set((y) => void (y.sharp = on))}>
        has points or edges that can hurt
      </CheckBox>
    </Sheet>
  )
}
