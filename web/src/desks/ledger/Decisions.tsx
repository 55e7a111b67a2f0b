import { CHOSE, type Decision } from '@nubrin/core/record'
import { freshId, todayIso } from '../../data'
import { AddLine, bound, CheckBox, DateCell, Labelled, RemoveButton, SelectCell, TextCell } from '../../kit'
import { Notes } from '../../shared/Notes'
import { PlaceCell } from '../../shared/PlaceCell'
import { useEditSaber, useEditThing, useRemove, useSaber } from '../../store/commission'
import { useSession } from '../../store/session'

const WHOSE = { '': 'the shop’s', shop: 'the shop’s', client: 'the client’s', both: 'chosen together' }

/** What was chosen, why, and what was given up for it. */
export function Decisions() {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const me = useSession((s) => s.person?.name)
  return (
    <section aria-label="Decisions">
      <h2 className="h2">What was chosen, and why</h2>
      {saber.decisions.map((d) => (
        <DecisionRow key={d.id} decision={d} />
      ))}
      <AddLine
        label="what was chosen"
        onAdd={(chose) =>
          editSaber(
            'decision',
            (s) => void s.decisions.push({ id: freshId(), on: todayIso(), by: me ?? '', chose, why: '' }),
          )
        }
      />
    </section>
  )
}

function DecisionRow({ decision: d }: { decision: Decision }) {
  const edit = useEditThing('decisions')
  const remove = useRemove()
  const set = (run: (x: Decision) => void) => edit('decision', d.id, run)
  const { choice, maybe, text, tick } = bound(d, set)
  const consent = (key: 'who' | 'on', v: string) =>
    set((x) => {
      x.consent = { who: '', on: todayIso(), ...x.consent, [key]: v }
      if (!x.consent.who) delete x.consent
    })
  return (
    <div className="border-rule border-b py-1">
      <div className="flex items-center gap-2">
        <TextCell
          label={`Decision ${d.chose}`}
          className="font-medium"
          value={d.chose}
          onCommit={(v) => set((x) => void (x.chose = v || x.chose))}
        />
        <RemoveButton what={d.chose} onClick={() => remove(`decision:${d.id}`)} />
      </div>
      <div className="grid grid-cols-3 gap-x-3 pr-8">
        <TextCell title="because" label={`Why ${d.chose}`} {...choice('why')} />
        <TextCell title="given up for it" label={`Given up for ${d.chose}`} {...text('gaveUp')} />
        <Labelled label="concerns">
          <PlaceCell
            label={`What ${d.chose} concerns`}
            value={d.about}
            none="the whole saber"
            onCommit={(v) => set((x) => void (v ? (x.about = v) : delete x.about))}
          />
        </Labelled>
        <TextCell title="by" label={`Who chose ${d.chose}`} {...choice('by')} />
        <DateCell
          title="on"
          label={`Day of ${d.chose}`}
          value={d.on}
          onCommit={(v) => set((x) => void (x.on = v ?? x.on))}
        />
        <SelectCell
          title="whose choice"
          label={`Whose choice ${d.chose} was`}
          options={['', ...CHOSE.filter((x) => x !== 'shop')]}
          words={(v) => WHOSE[v]}
          {...maybe('whose')}
        />
        <CheckBox className="self-end" {...tick('irreversible')}>
          cannot be undone<span className="sr-only">: {d.chose}</span>
        </CheckBox>
        {d.irreversible ? (
          <>
            <TextCell
              title="agreed to by"
              label={`Who agreed to ${d.chose}`}
              value={d.consent?.who ?? ''}
              onCommit={(v) => consent('who', v.trim())}
            />
            {d.consent ? (
              <DateCell
                title="agreed on"
                label={`Agreed to ${d.chose} on`}
                value={d.consent.on}
                onCommit={(v) => v && consent('on', v)}
              />
            ) : null}
          </>
        ) : null}
      </div>
      <Notes of={d} what={d.chose} onEdit={set} className="pr-8" />
    </div>
  )
}
