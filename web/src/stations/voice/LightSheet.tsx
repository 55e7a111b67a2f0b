import { type Cell, lampsOf, lightSheet, lookCount, ownLights, type SheetRow } from '@nubrin/core/looks'
import { hueText, LIGHT_EVENTS, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { useMemo, useState } from 'react'
import { CheckBox, Empty, Segments, SelectCell } from '../../kit'
import { useBench, useSaber } from '../../store/commission'
import { type CellAt, CellSheet } from './CellSheet'
import { LightView, LOOKED_AT, type LookedAt } from './LightView'
import { movesWords } from './Moving'
import { eventWords } from './words'

const LOOKED_AT_WORDS: Record<LookedAt, string> = { dark: 'dark', day: 'day', camera: 'camera' }
const keyOf = (at: CellAt) => (typeof at === 'string' ? at : `zone:${at.zone}`)

/** The whole saber preset by event: seen at once, set cell by cell, and the cell that is looked at shown alive above it. */
export function LightSheet() {
  const saber = useSaber()
  const lit = useBench((b) => b.lit)
  const light = useBench((b) => b.light)
  const rows = useMemo(() => lightSheet(saber), [saber])
  const lamps = useMemo(() => lampsOf(saber), [saber])
  const [at, setAt] = useState<CellAt>('shines')
  const [lampRef, setLampRef] = useState<string>()
  const [looked, setLooked] = useState<LookedAt>('dark')
  const [comparing, setComparing] = useState(false)
  const [chosen, setChosen] = useState(false)
  const row = rows.find((r) => lit === `preset:${r.preset.id}`) ?? rows[0]
  if (!row)
    return <Empty title="No preset yet">A preset is begun under Presets; here all of them are seen at once.</Empty>
  const own = typeof at === 'object' ? lamps.find((l) => l.ref === `zone:${at.zone}`) : undefined
  const lamp = own ?? lamps.find((l) => l.ref === lampRef) ?? lamps[0]
  const event = typeof at === 'string' && at !== 'shines' ? at : undefined
  return (
    <section aria-label="Presets by event">
      <div className="mb-1 flex items-end gap-4">
        <Counted saber={saber} />
        {lamps.length > 1 ? (
          <SelectCell
            title="light"
            label="Light that is looked at"
            className="w-44"
            value={lamp?.ref ?? ''}
            options={lamps.map((l) => l.ref as string)}
            words={(r) => lamps.find((l) => l.ref === r)?.name ?? ''}
            onCommit={(r) => {
              setLampRef(r)
              if (typeof at === 'object') setAt('shines')
            }}
          />
        ) : null}
        <Segments
          label="How it is looked at"
          value={looked}
          options={LOOKED_AT}
          words={(v) => LOOKED_AT_WORDS[v]}
          onChange={setLooked}
        />
        <CheckBox checked={comparing} onChange={setComparing} className="pb-1">
          mark what differs
        </CheckBox>
      </div>
      {lamp ? <LightView saber={saber} preset={row.preset} lamp={lamp} event={event} at={looked} /> : null}
      <Sheet
        saber={saber}
        rows={rows}
        at={at}
        row={row.preset.id}
        comparing={comparing}
        onAt={(preset, next) => {
          light(`preset:${preset}`)
          setAt(next)
          setChosen(true)
        }}
      />
      {lamp ? (
        <CellSheet
          key={`${row.preset.id} ${keyOf(at)}`}
          saber={saber}
          preset={row.preset}
          at={at}
          lamp={lamp}
          chosen={chosen}
        />
      ) : null}
    </section>
  )
}

/** How many looks there are to be seen. */
function Counted({ saber }: { saber: Saber }) {
  const { presets, blades, all, whole } = lookCount(saber)
  return (
    <p className="mr-auto">
      <span className="text-[1.1rem] font-semibold">{presets === 1 ? '1 preset' : `${presets} presets`}</span>
      <span className="text-quiet">
        {' '}
        on {blades === 1 ? '1 blade' : `${blades} blades`}: {all === 1 ? '1 look' : `${all} looks`}
        {whole < all ? `, ${whole} of them seen whole` : ''}
      </span>
    </p>
  )
}

function Sheet({
  saber,
  rows,
  at,
  row: chosen,
  comparing,
  onAt,
}: {
  saber: Saber
  rows: readonly SheetRow[]
  at: CellAt
  row: string
  comparing: boolean
  onAt: (preset: string, at: CellAt) => void
}) {
  const zones = ownLights(saber)
  const base = rows.find((r) => r.preset.id === chosen) ?? rows[0]!
  const among = rows.flatMap((r) => r.shines.colour ?? [])
  const columns: { key: string; head: string; at: CellAt; of: (r: SheetRow) => Cell & { follows?: string } }[] = [
    { key: 'shines', head: 'shines', at: 'shines', of: (r) => r.shines },
    ...LIGHT_EVENTS.map((e) => ({ key: e, head: eventWords(e), at: e, of: (r: SheetRow) => r.events[e] })),
    ...zones.map((z) => ({
      ...{ key: z.id, head: z.name, at: { zone: z.id } },
      of: (r: SheetRow) => r.lights[z.id]!,
    })),
  ]
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="w-full table-fixed border-collapse text-[0.86rem] [font-stretch:82%]">
        <thead>
          <tr>
            <th scope="col" className="label w-[118px] text-left">
              preset
            </th>
            {columns.map((c) => (
              <th key={c.key} scope="col" className="label truncate pr-1 text-left" title={c.head}>
                {c.head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <tr key={r.preset.id} className={`border-rule border-t ${r.preset.id === chosen ? 'bg-card' : ''}`}>
              <th scope="row" className="truncate text-left font-semibold" title={r.preset.name}>
                <span className="text-brass mr-1">{i + 1}</span>
                {r.preset.name}
              </th>
              {columns.map((c) => {
                const cell = c.of(r)
                const differs = comparing && r !== base && !sameCell(cell, c.of(base))
                const here = r.preset.id === chosen && keyOf(at) === keyOf(c.at)
                return (
                  <td key={c.key} className="p-px align-top">
                    <button
                      type="button"
                      aria-label={`${r.preset.name}, ${c.head}: ${said(cell, among)}`}
                      aria-pressed={here}
                      title={said(cell, among)}
                      onClick={() => onAt(r.preset.id, c.at)}
                      className={`block h-[33px] w-full overflow-hidden px-1 text-left leading-[1.1] ${here ? 'outline-ink outline-2' : ''} ${differs ? 'bg-brass/15' : ''}`}
                    >
                      <CellView cell={cell} among={c.key === 'shines' ? among : []} />
                    </button>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-quiet mt-1 text-[0.84rem]">
        ○ the board’s default · — not there · ≈ varies · ? not recorded · ♪ no sound for it
      </p>
    </div>
  )
}

const sameCell = (a: Cell & { follows?: string }, b: Cell & { follows?: string }): boolean =>
  a.is === b.is && a.colour === b.colour && a.follows === b.follows && a.moves?.is === b.moves?.is
/** A cell in words. */
const said = (cell: Cell & { follows?: string }, among: readonly string[]): string => {
  if (cell.follows !== undefined) return `follows ${cell.follows}`
  const state = { set: '', boardDefault: 'the board’s default', notThere: 'not there', varies: 'varies' }
  const words = cell.is === 'notRecorded' ? 'not recorded' : state[cell.is]
  const colour = cell.colour ? hueText(MAKER, cell.colour, among) : ''
  return [words, colour, cell.moves ? movesWords(cell.moves.is) : '', cell.silent ? 'no sound' : '']
    .filter(Boolean)
    .join(', ')
}
const SIGNS = { boardDefault: '○', notThere: '—', varies: '≈', notRecorded: '?' } as const

function CellView({ cell, among }: { cell: Cell & { follows?: string }; among: readonly string[] }) {
  if (cell.follows !== undefined) return <span className="text-quiet">as {cell.follows}</span>
  return (
    <span className="flex h-full gap-1">
      {cell.colour ? (
        <span aria-hidden className="border-ink my-0.5 w-2 shrink-0 border" style={{ backgroundColor: cell.colour }} />
      ) : null}
      <span className="min-w-0">
        {cell.is === 'set' ? null : (
          <span className={cell.is === 'notRecorded' ? 'text-brass font-semibold' : 'text-quiet'}>
            {SIGNS[cell.is]}{' '}
          </span>
        )}
        {cell.colour ? hueText(MAKER, cell.colour, among, true) : null}
        {cell.moves ? `${cell.colour ? ', ' : ''}${movesWords(cell.moves.is)}` : ''}
        {cell.silent ? <span className="text-stop font-semibold"> ♪</span> : null}
      </span>
    </span>
  )
}
