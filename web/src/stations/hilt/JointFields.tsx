import { known } from '@nubrin/core/facts'
import { Section, SPIGOTS } from '@nubrin/core/record'
import { FactField, SelectCell } from '../../kit'
import { Notes } from '../../shared/Notes'

const { properties: OF } = Section.properties.joint

/** The joint towards the next section: how the two go into each other, and what a thread is and is stopped by. */
export function JointFields({ section: x, onEdit }: { section: Section; onEdit: (run: (y: Section) => void) => void }) {
  const { joint } = x
  const nested = joint.engagement || joint.passes
  return (
    <section aria-label={`Joint of ${x.name} to the next`} className="space-y-1.5">
      <div className="grid grid-cols-3 gap-2">
        {joint.kind === 'thread' ? <Thread section={x} onEdit={onEdit} /> : null}
        <FactField
          label="engagement"
          field="joint/engagement"
          value={joint.engagement}
          of={OF.engagement}
          onCommit={(v) => onEdit((y) => void (y.joint.engagement = v))}
        />
        <FactField
          label="clear bore Ø"
          field="joint/passes"
          value={joint.passes}
          of={OF.passes}
          onCommit={(v) => onEdit((y) => void (y.joint.passes = v))}
        />
        {nested ? (
          <SelectCell
            title="goes in"
            label="Whose end goes into the other"
            value={joint.spigot ?? 'this'}
            options={SPIGOTS}
            words={(v) => ({ this: 'this one', next: 'the next one' })[v]}
            onCommit={(v) => onEdit((y) => void (y.joint.spigot = v))}
          />
        ) : null}
      </div>
      {known(joint.engagement) ? (
        <p className="text-quiet">Lengths are measured apart; closed, the two are this much shorter.</p>
      ) : null}
      <Notes of={joint} what={`the joint of ${x.name}`} onEdit={(run) => onEdit((y) => run(y.joint))} />
    </section>
  )
}

function Thread({ section: { joint }, onEdit }: { section: Section; onEdit: (run: (y: Section) => void) => void }) {
  return (
    <>
      <FactField
        label="thread length"
        field="joint/length"
        value={joint.length}
        of={OF.length}
        onCommit={(v) => onEdit((y) => void (y.joint.length = v))}
      />
      <SelectCell
        title="hand"
        label="Hand of the thread"
        value={joint.hand ?? 'right'}
        options={['right', 'left'] as const}
        onCommit={(v) => onEdit((y) => void (y.joint.hand = v))}
      />
      <SelectCell
        title="stopped by"
        label="What stops the thread"
        value={joint.lockedForLife ? 'locked' : joint.stop === false ? 'nothing' : 'shoulder'}
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
      {joint.stop === false ? (
        <FactField
          label="over-travel"
          field="joint/overTravel"
          value={joint.overTravel}
          of={OF.overTravel}
          onCommit={(v) => onEdit((y) => void (y.joint.overTravel = v))}
        />
      ) : null}
    </>
  )
}
