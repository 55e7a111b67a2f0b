import { analyse } from '@nubrin/core/controls'
import type { Saber } from '@nubrin/core/record'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Empty } from '../../kit'
import { useSaber } from '../../store/commission'
import { Inputs } from './Inputs'
import { MapFrom } from './MapFrom'
import { ModeColumn } from './ModeColumn'
import { AddMode, ModeSheet } from './ModeSheet'
import { RowSheet } from './RowSheet'
import { TimingFields } from './TimingFields'

/** The map of the board: what hands can do, its modes show done in each, and how it reads time. */
export function MapBench({
  chosen,
  onChoose,
}: {
  chosen: string | undefined
  onChoose: (id: string | undefined) => void
}) {
  const saber = useSaber()
  const [mode, setMode] = useState<string>()
  const wrong = useMemo(() => rowsAmiss(saber), [saber])
  const row = saber.controls.find((r) => r.id === chosen)
  const open = saber.modes.find((m) => m.id === mode)
  const sheet = useRef<HTMLDivElement>(null)
  const shown = row?.id ?? open?.id
  // What was chosen is read below the columns: it comes into view.
  useEffect(() => {
    if (shown) sheet.current?.scrollIntoView?.({ block: 'nearest' })
  }, [shown])
  return (
    <div>
      <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
        <Inputs saber={saber} />
        <MapFrom saber={saber} />
      </div>
      {saber.inputs.length ? null : (
        <Empty title="Nothing to press yet">
          Name the button first, or start from a map you have; then say, for each mode, what pressing and holding does.
        </Empty>
      )}
      <div className="mt-3 flex gap-4 overflow-x-auto pb-1">
        {saber.modes.map((m) => (
          <ModeColumn
            key={m.id}
            saber={saber}
            mode={m}
            wrong={wrong}
            chosen={chosen}
            open={open?.id === m.id}
            onOpen={() => {
              onChoose(undefined)
              setMode(open?.id === m.id ? undefined : m.id)
            }}
            onChoose={(id) => {
              setMode(undefined)
              onChoose(id)
            }}
          />
        ))}
        <AddMode
          saber={saber}
          onDone={(id) => {
            onChoose(undefined)
            setMode(id)
          }}
        />
      </div>
      <div ref={sheet}>
        {row ? <RowSheet key={row.id} saber={saber} row={row} /> : null}
        {open ? <ModeSheet key={open.id} saber={saber} mode={open} /> : null}
      </div>
      <TimingFields saber={saber} />
    </div>
  )
}

/** Rows that something is wrong with, by what the walk through the map says. */
const rowsAmiss = (s: Saber): ReadonlySet<string> =>
  new Set(analyse(s).matters.flatMap((m): readonly string[] => m.rows))
