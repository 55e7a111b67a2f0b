import { Section } from '@nubrin/core/record'
import { CheckBox, FactField, Labelled, SelectCell, setText, TextCell } from '../../kit'
import { useEditHilt, useRemove } from '../../store/commission'
import { Profile } from './Profile'
import { Sheet } from './Sheet'

/** The shape of one section: its profiles point by point, its joint, its weight. */
export function SectionSheet({ section: x }: { section: Section }) {
  const edit = useEditHilt('sections')
  const remove = useRemove()
  const set = (run: (y: Section) => void) => edit('section', x.id, run)
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
      {x.joint.kind === 'thread' ? <Thread section={x} onEdit={set} /> : null}
      <div className="grid grid-cols-[90px_minmax(0,1fr)] gap-2">
        <FactField
          label="weighed"
          value={x.mass}
          of={Section.properties.mass}
          onCommit={(v) => set((y) => void (y.mass = v))}
        />
        <Labelled label="note">
          <TextCell label="Section note" value={x.note ?? ''} onCommit={(v) => set((y) => setText(y, 'note', v))} />
        </Labelled>
      </div>
      <CheckBox checked={!!x.sharp} onChange={(on) => set((y) => void (y.sharp = on))}>
        has points or edges that can hurt
      </CheckBox>
    </Sheet>
  )
}

/** The thread towards the next section: how long, which hand, and what stops it. */
function Thread({ section: x, onEdit }: { section: Section; onEdit: (run: (y: Section) => void) => void }) {
  return (
    <div className="grid grid-cols-3 gap-2">
      <FactField
        label="thread length"
        value={x.joint.length}
        of={Section.properties.joint.properties.length}
        onCommit={(v) => onEdit((y) => void (y.joint.length = v))}
      />
      <Labelled label="hand">
        <SelectCell
          label="Hand of the thread"
          value={x.joint.hand ?? 'right'}
          options={['right', 'left'] as const}
          onCommit={(v) => onEdit((y) => void (y.joint.hand = v))}
        />
      </Labelled>
      <Labelled label="it is stopped by">
        <SelectCell
          label="What stops the thread"
          value={x.joint.lockedForLife ? 'locked' : x.joint.stop === false ? 'nothing' : 'shoulder'}
          options={['shoulder', 'nothing', 'locked'] as const}
          words={(v) => ({ shoulder: 'a shoulder', nothing: 'nothing', locked: 'locked for life' })[v]}
          onCommit={(v) =>
            onEdit((y) => {
              if (v === 'nothing') y.joint.stop = false
              else delete y.joint.stop
              if (v === 'locked') y.joint.lockedForLife = true
              else delete y.joint.lockedForLife
            })
          }
        />
      </Labelled>
      {x.joint.stop === false ? (
        <FactField
          label="closes too far by"
          value={x.joint.overTravel}
          of={Section.properties.joint.properties.overTravel}
          onCommit={(v) => onEdit((y) => void (y.joint.overTravel = v))}
        />
      ) : null}
    </div>
  )
}
