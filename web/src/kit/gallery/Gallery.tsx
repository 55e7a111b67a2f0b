import { type AnyFact, fact, type NumberFact, state, stated } from '@nubrin/core/facts'
import { MATERIALS, Section } from '@nubrin/core/record'
import { useState } from 'react'
import {
  AddLine,
  CheckBox,
  ColourFactField,
  ComboCell,
  CountCell,
  DateCell,
  Empty,
  FactField,
  FileButton,
  Labelled,
  Mark,
  Modal,
  Refused,
  RemoveButton,
  Segments,
  SelectCell,
  SortableList,
  Tabs,
  TextCell,
  tell,
} from '..'

const disputed = state(fact(24, 'mm', 'measured', { on: '2026-11-02', by: 'Ansa' }), fact(25, 'mm', 'client'))

/** Every piece of the kit in each of its states, for whoever builds a screen. */
export default function Gallery() {
  return (
    <main className="mx-auto max-w-5xl p-6">
      <h1 className="text-[1.6rem]">The kit</h1>
      <Cells />
      <Places />
    </main>
  )
}

/** What is typed, chosen and marked. */
function Cells() {
  const [text, setText] = useState('a line of text')
  const [count, setCount] = useState(3)
  const [day, setDay] = useState<string | undefined>('2026-11-25')
  const [on, setOn] = useState(true)
  const [material, setMaterial] = useState<(typeof MATERIALS)[number]>('brass')
  const [colour, setColour] = useState<AnyFact<string>>(stated('#10d8b0', 'configured'))
  const [size, setSize] = useState<NumberFact>(fact(24, 'mm', 'assumed', { with: 'model sheet' }))
  const [two, setTwo] = useState<NumberFact>(disputed)
  return (
    <div className="mt-4 grid grid-cols-4 gap-6">
      <TextCell title="text" label="Text" value={text} onCommit={setText} />
      <ComboCell
        title="free text with suggestions"
        label="Suggested"
        value={text}
        suggestions={['a line', 'a longer line']}
        onCommit={setText}
      />
      <CountCell title="count" label="Count" value={count} max={12} onCommit={setCount} />
      <DateCell title="day" label="Day" value={day} onCommit={setDay} />
      <SelectCell title="choice" label="Material" value={material} options={MATERIALS} onCommit={setMaterial} />
      <Labelled label="colour">
        <ColourFactField label="Colour" value={colour} onCommit={setColour} />
      </Labelled>
      <CheckBox checked={on} onChange={setOn}>
        a mark that is set or not
      </CheckBox>
      <span className="flex items-center gap-3">
        {(['stop', 'caution', 'note', 'fine', 'empty'] as const).map((l) => (
          <Mark key={l} level={l} />
        ))}
        <RemoveButton what="nothing" onClick={() => undefined} />
      </span>
      <FactField label="assumed" value={size as never} of={Section.properties.length} onCommit={setSize} />
      <FactField label="disputed" value={two as never} of={Section.properties.length} onCommit={setTwo} />
      <FactField label="unknown" value={undefined} of={Section.properties.length} onCommit={setSize} />
      <FactField compact label="narrow" value={size as never} of={Section.properties.length} onCommit={setSize} />
    </div>
  )
}

/** What holds, sorts and says. */
function Places() {
  const [list, setList] = useState([
    { id: 'a', name: 'first' },
    { id: 'b', name: 'second' },
  ])
  const [tab, setTab] = useState(0)
  const [side, setSide] = useState<'up' | 'level' | 'down'>('level')
  const [open, setOpen] = useState(false)
  return (
    <>
      <div className="mt-6 grid grid-cols-2 gap-6">
        <div>
          <Segments label="Segments" value={side} options={['up', 'level', 'down'] as const} onChange={setSide} />
          <Tabs label="Tabs" tabs={['one', 'two']} at={tab} onChange={setTab} panels={(i) => <p>panel {i + 1}</p>} />
          <SortableList items={list} name={(x) => x.name} onMove={setList}>
            {(x) => <span className="block py-1">{x.name}</span>}
          </SortableList>
          <AddLine label="another" onAdd={(name) => setList([...list, { id: name, name }])} />
        </div>
        <div>
          <Refused why="length: must be from 0 to 2000 mm (got 9000)" />
          <Empty
            title="Nothing here yet"
            action={<FileButton label="choose a file" accept=".json" onFiles={() => tell('taken')} />}
          >
            What an empty place teaches: the next step, and a button that does it.
          </Empty>
          <button type="button" className="btn btn-main" onClick={() => setOpen(true)}>
            open a sheet
          </button>
          <button type="button" className="btn ml-2" onClick={() => tell('Kept as a model sheet.')}>
            say something in passing
          </button>
        </div>
      </div>
      {open ? (
        <Modal title="A sheet" close={() => setOpen(false)}>
          <p>Escape puts it away.</p>
        </Modal>
      ) : null}
    </>
  )
}
