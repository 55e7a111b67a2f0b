import { known } from '@nubrin/core/facts'
import { fitParts } from '@nubrin/core/fit'
import { KINDS } from '@nubrin/core/parts'
import { FittedPart, type Saber } from '@nubrin/core/record'
import { formatNumber, MAKER } from '@nubrin/core/units'
import { useMemo } from 'react'
import { FactField, RemoveButton } from '../../kit'
import { useBench, useEditThing, useRemove } from '../../store/commission'

/** Where a part begins. */
function Place({ part, onCommit }: { part: FittedPart; onCommit: (at: FittedPart['at']) => void }) {
  return (
    <FactField
      hideLabel
      compact
      label={`${part.name}, rear face from the pommel`}
      field="at"
      value={part.at}
      of={FittedPart.properties.at}
      onCommit={onCommit}
    />
  )
}

/** What is fitted, from the pommel forward, each with its place and its room; what lies outside below. */
export function FittedList({ saber }: { saber: Saber }) {
  const edit = useEditThing('parts')
  const remove = useRemove()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const fits = useMemo(() => fitParts(saber), [saber])
  return (
    <>
      {[...fits]
        .sort((a, b) => (known(a.part.at) ?? 999) - (known(b.part.at) ?? 999))
        .map((f) => {
          return (
            <div
              key={f.part.id}
              data-of={`part:${f.part.id}`}
              className={`border-rule grid grid-cols-[minmax(0,1fr)_74px_118px_auto] items-center gap-2 border-b ${lit === `part:${f.part.id}` ? 'bg-card' : ''}`}
            >
              <button
                type="button"
                className="text-left leading-tight font-medium"
                onClick={() => light(`part:${f.part.id}`)}
              >
                {f.part.name}
              </button>
              <Place part={f.part} onCommit={(v) => edit('place', f.part.id, (x) => void (x.at = v))} />
              <span
                className={`text-[0.9rem] ${f.spareMm !== undefined && f.spareMm < 0 ? 'text-stop font-semibold' : 'text-quiet'}`}
              >
                {f.needs.length
                  ? 'not judged'
                  : f.spareMm === undefined
                    ? ''
                    : f.spareMm < 0
                      ? `✕ ${formatNumber(MAKER, -f.spareMm)} mm too big`
                      : `✓ ${formatNumber(MAKER, f.spareMm)} mm to spare`}
              </span>
              <RemoveButton what={f.part.name} onClick={() => remove(`part:${f.part.id}`)} />
            </div>
          )
        })}
      {saber.parts
        .filter((p) => !fits.some((f) => f.part.id === p.id))
        .map((p) => (
          <div key={p.id} className="border-rule flex items-center border-b">
            <button
              type="button"
              className="min-w-0 flex-1 truncate py-1 text-left"
              onClick={() => light(`part:${p.id}`)}
            >
              {p.name} <span className="text-quiet">{KINDS[p.kind].label}</span>
            </button>
            {KINDS[p.kind].glyph === 'frame' ? (
              <span className="mr-2 w-[74px] shrink-0">
                <Place part={p} onCommit={(v) => edit('place', p.id, (x) => void (x.at = v))} />
              </span>
            ) : null}
            <RemoveButton what={p.name} onClick={() => remove(`part:${p.id}`)} />
          </div>
        ))}
    </>
  )
}
