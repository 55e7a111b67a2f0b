import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import { fact, formatFact, type NumberFact, SOURCE_WORDS, SOURCES, type Source, state } from '@nubrin/core/facts'
import { factPaths, isNumberPlace, keyWords, type Saber } from '@nubrin/core/record'
import { writeAt } from '@nubrin/core/record/ops'
import { MAKER, parseFaultText, parseMeasure, quantityOf } from '@nubrin/core/units'
import { current } from 'immer'
import { useState } from 'react'
import { todayIso } from '../data'
import { Modal, Refused, SelectCell } from '../kit'
import { useEditSaber, useSaber } from '../store/commission'
import { useSession } from '../store/session'

const STATED = SOURCES.filter((s) => s !== 'unknown')

/** Every number of a saber that a value can be stated for. */
const numbersOf = (saber: Saber) =>
  factPaths(saber)
    .filter(isNumberPlace)
    .map((p) => ({ ...p, name: `${p.owner}: ${keyWords(p.field)}` }))
type Place = ReturnType<typeof numbersOf>[number]

/** One key from anywhere: state a value for anything. A value that differs from the standing one becomes a contradiction to settle. */
export function AddFact({ close }: { close: () => void }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const me = useSession((s) => s.person?.name)
  const [chosen, setChosen] = useState<Place>()
  const [text, setText] = useState('')
  const [source, setSource] = useState<Source>('measured')
  const [tool, setTool] = useState('')
  const [wrong, setWrong] = useState('')
  const save = () => {
    if (!chosen) return setWrong('Choose what the value belongs to.')
    const { unit } = chosen.fact
    const read = parseMeasure(text, quantityOf(unit), unit)
    if (!read.ok) return setWrong(`“${text}” ${parseFaultText(read)}`)
    const said = fact(read.value, unit, read.hedged ? 'recalled' : source, {
      on: todayIso(),
      ...(read.tol ? { tol: read.tol } : {}),
      ...(tool ? { with: tool } : {}),
      ...(me ? { by: me } : {}),
    })
    editSaber('add a fact', (s) => writeAt<NumberFact>(s, chosen.path, (old) => state(current(old), said)))
    close()
  }
  return (
    <Modal title="Add a fact" close={close}>
      <p className="text-quiet mb-2">If it differs from what is there, both are kept until you settle it.</p>
      <OfWhat saber={saber} chosen={chosen} onChoose={setChosen} />
      {chosen ? (
        <p className="text-quiet mt-1">
          Now: {formatFact(MAKER, chosen.fact)}, {SOURCE_WORDS[chosen.fact.source]}
        </p>
      ) : null}
      <div className="mt-3 grid grid-cols-3 gap-3">
        <input
          aria-label="Value"
          className="cell"
          placeholder={`value in ${chosen?.fact.unit ?? 'mm'}`}
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => e.key === 'Enter' && save()}
        />
        <SelectCell
          label="Source"
          value={source}
          options={STATED}
          words={(s) => SOURCE_WORDS[s]}
          onCommit={setSource}
        />
        <input
          aria-label="Measured with"
          className="cell"
          placeholder="with, e.g. calliper"
          value={tool}
          onChange={(e) => setTool(e.target.value)}
        />
      </div>
      <Refused why={wrong} className="mt-2" />
      <div className="mt-4 flex gap-2">
        <button type="button" className="btn btn-main" onClick={save}>
          Record it
        </button>
        <button type="button" className="btn" onClick={close}>
          Not now
        </button>
      </div>
    </Modal>
  )
}

/** Finds a number of the saber by any words of its name. */
function OfWhat({
  saber,
  chosen,
  onChoose,
}: {
  saber: Saber
  chosen: Place | undefined
  onChoose: (p: Place | undefined) => void
}) {
  const [query, setQuery] = useState('')
  const all = numbersOf(saber)
  const needles = query.toLowerCase().split(/\s+/)
  const hits = all.filter((p) => needles.every((w) => p.name.toLowerCase().includes(w))).slice(0, 30)
  return (
    <Combobox
      value={chosen?.path ?? null}
      onChange={(path: string | null) => onChoose(all.find((p) => p.path === path))}
      immediate
    >
      <ComboboxInput
        aria-label="Of what?"
        autoFocus
        className="cell"
        placeholder="of what? e.g. grip length"
        displayValue={() => chosen?.name ?? query}
        onChange={(e) => setQuery(e.target.value)}
      />
      <ComboboxOptions
        modal={false}
        anchor="bottom start"
        className="border-ink bg-card z-60 max-h-60 w-(--input-width) overflow-auto border"
      >
        {hits.map((p) => (
          <ComboboxOption
            key={p.path}
            value={p.path}
            className="data-focus:bg-ink data-focus:text-paper flex justify-between gap-3 px-3 py-1"
          >
            <span>{p.name}</span>
            <span className="opacity-70">{formatFact(MAKER, p.fact)}</span>
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  )
}
