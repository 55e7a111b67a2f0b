import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
  DialogTitle,
} from '@headlessui/react'
import { fact, factPaths, SOURCE_WORDS, SOURCES, type Source, state, words } from '@nubrin/core/record'
import { formatFact, parseMeasure, quantityOf } from '@nubrin/core/units'
import { useState } from 'react'
import { todayIso } from '../api'
import { useEditSaber, useSaber } from '../store/commission'

/** One key from anywhere: state a value for anything. A value that differs from the standing one becomes a contradiction to settle. */
export function AddFact({ close }: { close: () => void }) {
  const saber = useSaber()
  const editSaber = useEditSaber()
  const [query, setQuery] = useState('')
  const [path, setPath] = useState<string | null>(null)
  const [text, setText] = useState('')
  const [source, setSource] = useState<Source>('measured')
  const [tool, setTool] = useState('')
  const [wrong, setWrong] = useState('')
  const all = factPaths(saber).map((p) => ({ ...p, name: `${p.owner}: ${words(p.field)}` }))
  const hits = all
    .filter((p) =>
      query
        .toLowerCase()
        .split(/\s+/)
        .every((w) => p.name.toLowerCase().includes(w)),
    )
    .slice(0, 30)
  const chosen = all.find((p) => p.path === path)
  const save = () => {
    if (!chosen) return setWrong('Choose what the value is of.')
    const read = parseMeasure(text, quantityOf(chosen.fact.unit), chosen.fact.unit)
    if (!read.ok)
      return setWrong(
        `“${read.got}” cannot be read${read.accepts.length ? `; units: ${read.accepts.slice(0, 5).join(', ')}` : ''}.`,
      )
    const next = fact(read.value, chosen.fact.unit, read.hedged ? 'recalled' : source, {
      on: todayIso(),
      ...(read.tol ? { tol: read.tol } : {}),
      ...(tool ? { with: tool } : {}),
    })
    editSaber('add a fact', (s) => {
      const keys = chosen.path.slice(1).split('/')
      let at = s as unknown as Record<string, unknown>
      for (const k of keys.slice(0, -1)) at = at[k] as Record<string, unknown>
      at[keys.at(-1)!] = state(structuredClone(chosen.fact), next)
    })
    close()
  }
  return (
    <Dialog open onClose={close} className="relative z-50">
      <div className="bg-ink/30 fixed inset-0" aria-hidden="true" />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="bg-card border-ink w-full max-w-md border p-6">
          <DialogTitle className="text-xl font-semibold">Add a fact</DialogTitle>
          <p className="text-quiet mb-2">If it differs from what is there, both are kept until you settle it.</p>
          <Combobox value={path} onChange={setPath} immediate>
            <ComboboxInput
              aria-label="Of what?"
              autoFocus
              className="cell"
              placeholder="of what? e.g. grip length"
              displayValue={() => chosen?.name ?? query}
              onChange={(e) => setQuery(e.target.value)}
            />
            <ComboboxOptions
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
                  <span className="opacity-70">{formatFact(p.fact)}</span>
                </ComboboxOption>
              ))}
            </ComboboxOptions>
          </Combobox>
          {chosen ? (
            <p className="text-quiet mt-1">
              Now: {formatFact(chosen.fact)}, {SOURCE_WORDS[chosen.fact.source]}
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
            <select
              aria-label="Source"
              className="cell"
              value={source}
              onChange={(e) => setSource(e.target.value as Source)}
            >
              {SOURCES.filter((s) => s !== 'unknown').map((s) => (
                <option key={s} value={s}>
                  {SOURCE_WORDS[s]}
                </option>
              ))}
            </select>
            <input
              aria-label="Measured with"
              className="cell"
              placeholder="with, e.g. calliper"
              value={tool}
              onChange={(e) => setTool(e.target.value)}
            />
          </div>
          {wrong ? (
            <p role="alert" className="text-stop mt-2">
              {wrong}
            </p>
          ) : null}
          <div className="mt-4 flex gap-2">
            <button type="button" className="btn btn-main" onClick={save}>
              Write it down
            </button>
            <button type="button" className="btn" onClick={close}>
              Not now
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  )
}
