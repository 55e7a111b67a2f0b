import { type CataloguePart, kindRule, SPECS } from '@nubrin/core/parts'
import { MATERIALS, SpecMap } from '@nubrin/core/record'
import { eitherOr, parseNumber, type Unit } from '@nubrin/core/units'
import { useState } from 'react'
import { CheckBox, FactField, type FactSchema, Labelled, Refused, RemoveButton, SelectCell, TextCell } from '../kit'
import { Recall } from './Recall'

type Plain = 'stock' | 'lot' | 'supplier' | 'cost' | 'material' | 'key' | 'converter'

/** One part: its values with their sources, what is left of it, and which sabers carry it. */
export function PartCard({
  part,
  save,
  drop,
}: {
  part: CataloguePart
  save: (p: CataloguePart) => void
  drop: () => void
}) {
  const rule = kindRule(part.kind)
  /** Sets a plain field, or takes it out. */
  const put = (key: Plain, value: string | number | boolean | undefined) => {
    const { [key]: _before, ...rest } = part
    save(value === undefined ? rest : ({ ...rest, [key]: value } as CataloguePart))
  }
  const line = (key: 'lot' | 'supplier' | 'key', label: string) => (
    <TextCell title={label} label={label} value={part[key] ?? ''} onCommit={(v) => put(key, v.trim() || undefined)} />
  )
  return (
    <section aria-label={`Part ${part.name}`}>
      <div className="flex items-center">
        <TextCell
          label="Part name"
          className="text-[1.1rem] font-semibold"
          value={part.name}
          onCommit={(v) => save({ ...part, name: v.trim() || part.name })}
        />
        <RemoveButton what={part.name} onClick={drop} />
      </div>
      <p className="text-quiet text-[0.87rem]">{rule.label}</p>
      <div className="mt-1 grid grid-cols-3 gap-x-3">
        {[...rule.needs, ...rule.extras].map((k) => (
          <FactField<Unit>
            key={k}
            compact
            label={SPECS[k].unit === '×' ? SPECS[k].label : `${SPECS[k].label}, ${SPECS[k].unit}`}
            value={part.specs[k]}
            of={SpecMap.properties[k] as unknown as FactSchema<Unit>}
            source="datasheet"
            onCommit={(v) => save({ ...part, specs: { ...part.specs, [k]: v } })}
          />
        ))}
        {part.kind === 'chassis' ? (
          <SelectCell
            title="made of"
            label="Chassis material"
            value={part.material ?? ''}
            options={['', ...MATERIALS]}
            words={(v) => v || 'not said'}
            onCommit={(v) => put('material', v || undefined)}
          />
        ) : null}
        {part.kind === 'tool' ? line('key', 'turns') : null}
      </div>
      {part.kind === 'auxBoard' ? (
        <CheckBox checked={!!part.converter} onChange={(on) => put('converter', on || undefined)}>
          converts the pack voltage for the pixels
        </CheckBox>
      ) : null}
      <div className="border-rule mt-2 grid grid-cols-[68px_80px_minmax(0,1fr)_54px] gap-x-3 border-t pt-1">
        <NumberCell label="left" value={part.stock} whole onCommit={(n) => put('stock', n)} />
        {line('lot', 'lot')}
        {line('supplier', 'supplier')}
        <NumberCell label="cost" value={part.cost} onCommit={(n) => put('cost', n)} />
      </div>
      <Recall part={part} />
    </section>
  )
}

/** A number from 0, or nothing; what is neither stays in the field with the rule beside it. */
function NumberCell({
  label,
  value,
  whole = false,
  onCommit,
}: {
  label: string
  value: number | undefined
  whole?: boolean
  onCommit: (n: number | undefined) => void
}) {
  const [wrong, setWrong] = useState('')
  const commit = (text: string) => {
    const read = parseNumber(text)
    const n = read.ok ? read.value : undefined
    const fine = !text.trim() || (n !== undefined && n >= 0 && (!whole || Number.isInteger(n)))
    const why = eitherOr(read, `is not a ${whole ? 'whole ' : ''}number from 0`)
    setWrong(fine ? '' : `${label}: “${text}” ${why}.`)
    if (fine) onCommit(n)
  }
  return (
    <Labelled label={label}>
      <TextCell label={label} value={value === undefined ? '' : String(value)} onCommit={commit} />
      <Refused why={wrong} className="text-[0.9rem]" />
    </Labelled>
  )
}
