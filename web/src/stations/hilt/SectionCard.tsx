import { correct, type Fact } from '@nubrin/core/facts'
import { JOINTS, MATERIALS, Section, keyWords as words } from '@nubrin/core/record'
import { todayIso } from '../../data'
import { FactField, RemoveButton, SelectCell, TextCell } from '../../kit'
import { useBench, useEditHilt, useRemove } from '../../store/commission'

const SIZES = [
  ['length', 'sectionLength'],
  ['outside', 'outside'],
  ['bore', 'bore'],
] as const

/** A size that came with a model sheet and was not looked at on this hilt. */
const fromModel = (f: Fact<'mm'>) => f.source === 'assumed' && f.with === 'model sheet' && f.value !== null

/** One section in its place: name, sizes, material and the joint to the next. */
export function SectionCard({ section: x, n }: { section: Section; n: number }) {
  const edit = useEditHilt('sections')
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const remove = useRemove()
  const set = (label: string, run: (y: Section) => void) => edit(label, x.id, run)
  const confirm = () =>
    set('confirm sizes', (y) => {
      for (const [key] of SIZES)
        if (fromModel(y[key]))
          y[key] = correct(y[key], { source: 'measured', with: 'checked on this hilt', on: todayIso() })
    })
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: focusing any field inside lights the section
    <div
      data-of={`section:${x.id}`}
      className={`border-t-[3px] bg-card w-[168px] min-w-[150px] flex-1 px-2 pb-2 ${lit === `section:${x.id}` ? 'border-brassline' : 'border-ink'}`}
      onFocus={() => light(`section:${x.id}`)}
    >
      <div className="flex items-center">
        <TextCell
          label={`Name of section ${n}`}
          field="name"
          value={x.name}
          className="font-semibold"
          onCommit={(v) => set('section name', (y) => void (y.name = v || x.role))}
        />
        <RemoveButton what={x.name} onClick={() => remove(`section:${x.id}`)} />
      </div>
      <div className="grid grid-cols-3 gap-1.5">
        {SIZES.map(([key, kind]) => (
          <FactField
            key={key}
            field={key}
            compact
            label={key}
            kind={kind}
            value={x[key]}
            of={Section.properties[key]}
            onCommit={(f) => set(`section ${key}`, (y) => void (y[key] = f))}
          />
        ))}
      </div>
      {SIZES.some(([key]) => fromModel(x[key])) ? (
        <button type="button" className="btn mt-1 min-h-7! w-full px-2! py-0.5! text-[0.87rem]" onClick={confirm}>
          confirm these sizes
        </button>
      ) : null}
      <div className="mt-1 grid grid-cols-2 gap-1.5">
        <SelectCell
          className="text-[0.88rem] [font-stretch:70%]"
          label={`Material of ${x.name}`}
          field="material"
          value={x.material}
          options={MATERIALS}
          onCommit={(v) => set('material', (y) => void (y.material = v))}
        />
        <SelectCell
          className="text-[0.88rem] [font-stretch:70%]"
          label={`Joint of ${x.name} to the next`}
          field="joint/kind"
          value={x.joint.kind}
          options={JOINTS}
          words={(j) => (j === 'none' ? 'no joint' : words(j))}
          onCommit={(v) => set('joint', (y) => void (y.joint.kind = v))}
        />
      </div>
    </div>
  )
}
