import { kindRule, SPECS } from '@nubrin/core/parts'
import { FACINGS, type FittedPart, RATINGS, type Saber, SpecMap } from '@nubrin/core/record'
import type { Unit } from '@nubrin/core/units'
import {
  bound,
  ChoiceFactField,
  DateCell,
  FactField,
  type FactSchema,
  Labelled,
  SelectCell,
  TextCell,
  TextFactField,
} from '../../kit'
import { Notes } from '../../shared/Notes'
import { SuppliedCell } from '../../shared/Supplied'
import { useEditThing } from '../../store/commission'
import { OtherEnd } from './OtherEnd'
import { PartOfKind } from './PartOfKind'

/** One part in full: where and how it lies, its figures, and what is particular to its kind. */
export function PartSheet({ saber, part: p }: { saber: Saber; part: FittedPart }) {
  const edit = useEditThing('parts')
  const rule = kindRule(p.kind)
  const set = (run: (p: FittedPart) => void) => edit('part', p.id, run)
  const { day, given, maybe, text } = bound(p, set)
  return (
    <section aria-label={`Part ${p.name}`} className="bg-card border-brassline mt-3 border-t-2 p-3">
      <div className="grid grid-cols-4 gap-x-3 gap-y-1">
        <TextCell
          title={rule.label}
          span="col-span-2"
          label="Part name"
          field="name"
          className="font-semibold"
          value={p.name}
          onCommit={(v) => set((x) => void (x.name = v || x.name))}
        />
        <TextFactField label="exact type" source="datasheet" placeholder="as read off it" {...given('type')} />
        {p.kind === 'cell' ? null : (
          <SelectCell
            title="lies beside"
            label="Lies beside"
            options={['', ...saber.parts.filter((q) => q.id !== p.id && q.kind === 'cell').map((q) => q.id)]}
            words={(v) => saber.parts.find((q) => q.id === v)?.name ?? 'on the axis'}
            {...maybe('beside')}
          />
        )}
        <ChoiceFactField
          label={p.kind === 'cell' ? 'plus pole faces' : 'front faces'}
          options={FACINGS}
          looked={p.kind === 'cell'}
          {...given('faces')}
        />
        <PartOfKind saber={saber} part={p} onEdit={set} />
        <Labelled label="comes from">
          <SuppliedCell of={p} what={p.name} onEdit={set} />
        </Labelled>
        <TextCell title="lot" label="Lot" {...text('lot')} />
        <DateCell title="reserved on" label="Reserved on" {...day('reservedOn')} />
        <DateCell title="installed on" label="Installed on" {...day('fittedOn')} />
        {[...rule.needs, ...rule.extras].map((k) => (
          <FactField<Unit>
            key={k}
            field={`specs/${k}`}
            label={SPECS[k].label}
            value={p.specs[k]}
            of={SpecMap.properties[k] as unknown as FactSchema<Unit>}
            source="datasheet"
            looked={RATINGS.has(k)}
            onCommit={(v) => set((x) => Object.assign(x.specs, { [k]: v }))}
          />
        ))}
        {p.kind === 'chargePort' || p.kind === 'board' ? <OtherEnd part={p} onEdit={set} /> : null}
        <Notes of={p} what={p.name} onEdit={set} />
      </div>
    </section>
  )
}
