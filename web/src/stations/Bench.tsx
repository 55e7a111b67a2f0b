import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import { STATIONS, type Station, stationStates } from '@nubrin/core/findings'
import { blankSaber } from '@nubrin/core/record'
import { differenceInCalendarDays, format, parseISO } from 'date-fns'
import { type ComponentType, useEffect, useMemo, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { freshId } from '../api'
import { BenchDrawing } from '../drawing/BenchDrawing'
import { STATION_NAME } from '../rack/Rack'
import { useBench, useEdit, useOrder, useStationFindings } from '../store/commission'
import { FindingsPanel } from '../ui/Findings'
import { Mark, STATE_MARK, STATE_WORD } from '../ui/marks'
import { AddFact } from './AddFact'
import { KeepModel } from './KeepModel'

/** One station's work area; `cut` is where the cross-section stands, for those that show one. */
export interface StationProps {
  cut: number
}
type View = ComponentType<StationProps>
const LOAD: Record<Station, () => Promise<{ default: View }>> = {
  brief: () => import('./Brief'),
  hilt: () => import('./Hilt'),
  fit: () => import('./Fit'),
  power: () => import('./Power'),
  voice: () => import('./Voice'),
  controls: () => import('./Controls'),
  access: () => import('./Access'),
  proof: () => import('./Proof'),
  walkthrough: () => import('./Walkthrough'),
  handoff: () => import('./Handoff'),
}
const loaded = new Map<Station, View>()

/** The code of a station, fetched when it is first asked for. */
function useView(station: Station): View | undefined {
  const [, ready] = useState(0)
  useEffect(() => {
    if (loaded.has(station)) return
    void LOAD[station]().then((m) => {
      loaded.set(station, m.default)
      ready((n) => n + 1)
    })
  }, [station])
  return loaded.get(station)
}

export default function Bench() {
  const { id, station: name } = useParams()
  const station = (STATIONS as readonly string[]).includes(name ?? '') ? (name as Station) : 'brief'
  const open = useBench((b) => b.open)
  const ready = useBench((b) => !!b.record && b.id === id)
  const error = useBench((b) => b.error)
  useEffect(() => {
    void open(id!)
  }, [id, open])
  if (error)
    return (
      <p className="p-6">
        {error}{' '}
        <Link to="/" className="text-brass underline">
          Back to the rack
        </Link>
      </p>
    )
  return ready ? <Laid station={station} /> : <p className="text-quiet p-6">Fetching it from the rack…</p>
}

function Laid({ station }: { station: Station }) {
  const order = useOrder()
  const all = useBench((b) => b.findings)
  const saberId = useBench((b) => b.saberId)
  const choose = useBench((b) => b.chooseSaber)
  const edit = useEdit()
  const here = useStationFindings(station)
  const navigate = useNavigate()
  const [adding, setAdding] = useState(false)
  const [keeping, setKeeping] = useState(false)
  const [cut, setCut] = useState(80)
  const cutting = useBench((b) => b.cutting)
  const states = useMemo(() => stationStates(order, all), [order, all])
  const View = useView(station)
  const elsewhere = all.filter((f) => f.station !== station && f.level !== 'note')

  useEffect(() => {
    document.title = `${order.title} · ${STATION_NAME[station]} · Nubrin`
  }, [order.title, station])
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      const bench = useBench.getState()
      const typing = (e.target as Element).closest('input:not([type=range]),textarea,select,[role=dialog]')
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !typing) {
        e.preventDefault()
        if (e.shiftKey) bench.redoLast()
        else bench.undoLast()
        return
      }
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return
      if (/^[0-9]$/.test(e.key)) navigate(`/commission/${order.id}/${STATIONS[(Number(e.key) + 9) % 10]}`)
      if (e.key === 'f') {
        e.preventDefault()
        setAdding(true)
      }
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [navigate, order.id])

  const days = order.deadline ? differenceInCalendarDays(parseISO(order.deadline), new Date()) : undefined
  return (
    <div className="bench flex h-screen min-h-[640px] flex-col">
      <header className="border-rule flex h-[50px] shrink-0 items-center gap-3 border-b px-5">
        <Link to="/" className="text-brass" aria-label="Back to the rack" title="Back to the rack">
          ←
        </Link>
        <h1 className="truncate text-[1.32rem]">{order.title}</h1>
        <p className="text-quiet hidden truncate min-[1100px]:block">
          {order.job === 'model' ? 'model sheet' : order.client.name ? `for ${order.client.name}` : 'no client yet'}
          {order.shipped
            ? ` · shipped ${format(parseISO(order.shipped), 'd MMM')}`
            : order.deadline
              ? ` · ships ${format(parseISO(order.deadline), 'EEE d MMM')}${days !== undefined && days >= 0 ? `, ${days} days` : ', late'}`
              : ''}
        </p>
        {order.sabers.length > 1 ? (
          <div role="tablist" aria-label="Sabers in this order" className="flex gap-1">
            {order.sabers.map((s) => (
              <button
                key={s.id}
                type="button"
                role="tab"
                aria-selected={s.id === saberId}
                className={`border-b-2 px-2 py-1 ${s.id === saberId ? 'border-ink font-semibold' : 'text-quiet border-transparent'}`}
                onClick={() => choose(s.id)}
              >
                {s.name}
              </button>
            ))}
          </div>
        ) : null}
        <div className="ml-auto flex shrink-0 items-center gap-3">
          <SaveMark />
          <button type="button" className="btn-plain btn text-ink!" onClick={() => setAdding(true)}>
            <span className="key">F</span> add a fact
          </button>
          <Menu>
            <MenuButton className="btn">more</MenuButton>
            <MenuItems anchor="bottom end" className="border-ink bg-card z-50 border py-1 shadow-lg">
              {[
                [
                  'Add another saber to this order',
                  () =>
                    edit(
                      'add a saber',
                      (d) => void d.sabers.push(blankSaber(freshId, `Saber ${d.sabers.length + 1}`, d.job)),
                    ),
                ],
                ['Keep this hilt as a model sheet', () => setKeeping(true)],
                ...(['dxf', 'svg', 'csv'] as const).map((kind) => [
                  `Cavity and keep-outs for CAD (${kind.toUpperCase()}${kind === 'svg' ? ', 1:1' : ''})`,
                  () => location.assign(`/api/commissions/${order.id}/cavity.${kind}?saber=${saberId}`),
                ]),
                ['Save as a file (JSON)', () => location.assign(`/api/commissions/${order.id}/export.json`)],
                ['Save with its media (ZIP)', () => location.assign(`/api/commissions/${order.id}/export.zip`)],
                ['Undo the last change (Ctrl Z)', () => useBench.getState().undoLast()],
                ['Redo it (Ctrl Shift Z)', () => useBench.getState().redoLast()],
              ].map(([label, run]) => (
                <MenuItem key={label as string}>
                  <button
                    type="button"
                    className="data-focus:bg-ink data-focus:text-paper block w-full px-4 py-1.5 text-left"
                    onClick={run as () => void}
                  >
                    {label as string}
                  </button>
                </MenuItem>
              ))}
            </MenuItems>
          </Menu>
        </div>
      </header>
      <BenchDrawing station={station} findings={here} {...(cutting ? { cut, onCut: setCut } : {})} />
      <nav aria-label="Stations" className="border-ink relative flex h-[36px] shrink-0 border-b px-5">
        {STATIONS.map((s, i) => (
          <Link
            key={s}
            to={`/commission/${order.id}/${s}`}
            aria-current={s === station ? 'page' : undefined}
            className={`ruler relative flex flex-1 items-center gap-1.5 border-l border-[#1e2a2b] px-2 text-[0.95rem] last:border-r ${s === station ? 'bg-ink text-paper' : states[s] === 'empty' ? 'text-quiet hover:bg-card' : 'hover:bg-card'}`}
            style={{ fontStretch: '86%' }}
          >
            <span className={s === station ? 'text-[#e3bd78]' : 'text-brass'}>{(i + 1) % 10}</span>
            <span className="truncate font-semibold">{STATION_NAME[s]}</span>
            <span
              className={`ml-auto ${s === station ? 'rounded-full bg-[#f4efe4] p-px' : ''}`}
              title={STATE_WORD[states[s]]}
            >
              <Mark level={STATE_MARK[states[s]]} size={15} />
              <span className="sr-only">{STATE_WORD[states[s]]}</span>
            </span>
          </Link>
        ))}
      </nav>
      <Trouble />
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(270px,340px)]">
        <main className="relative min-h-0 overflow-y-auto px-5 py-3">{View ? <View cut={cut} /> : null}</main>
        <aside className="border-rule min-h-0 border-l px-4 py-3">
          <FindingsPanel list={here} elsewhere={elsewhere} />
        </aside>
      </div>
      {adding ? <AddFact close={() => setAdding(false)} /> : null}
      {keeping ? <KeepModel close={() => setKeeping(false)} /> : null}
    </div>
  )
}

function SaveMark() {
  const save = useBench((b) => b.save)
  const savedAt = useBench((b) => b.savedAt)
  const revision = useBench((b) => b.revision)
  const pending = useBench((b) => b.pending.length)
  const text = {
    saved: `saved ${savedAt ? format(new Date(savedAt), 'HH:mm') : ''} · revision ${revision}`,
    saving: 'saving…',
    waiting: 'saving…',
    offline: `no connection · ${pending} kept here`,
    conflict: 'someone else saved',
    refused: 'not saved',
  }[save]
  return (
    <span
      role="status"
      data-save={save}
      className={
        save === 'saved'
          ? 'text-fine'
          : save === 'saving' || save === 'waiting'
            ? 'text-quiet'
            : 'text-stop font-semibold'
      }
    >
      {text}
    </span>
  )
}

/** What went wrong with saving, and how to mend it. */
function Trouble() {
  const save = useBench((b) => b.save)
  const conflict = useBench((b) => b.conflict)
  const problems = useBench((b) => b.problems)
  const settle = useBench((b) => b.settleConflict)
  const undo = useBench((b) => b.undoLast)
  if (save === 'conflict' && conflict)
    return (
      <div role="alert" className="bg-card border-stop flex flex-wrap items-center gap-3 border-b-2 px-5 py-2">
        <Mark level="stop" />
        <p className="flex-1">
          {conflict.by} saved this commission meanwhile and changed {conflict.paths.join(', ') || 'it'}. Yours is kept
          here.
        </p>
        <button type="button" className="btn" onClick={() => void settle('mine')}>
          Put mine on top of theirs
        </button>
        <button type="button" className="btn" onClick={() => void settle('theirs')}>
          Take theirs
        </button>
      </div>
    )
  if (save === 'refused')
    return (
      <div role="alert" className="bg-card border-stop flex flex-wrap items-center gap-3 border-b-2 px-5 py-2">
        <Mark level="stop" />
        <p className="flex-1">
          Not saved:{' '}
          {problems
            .slice(0, 3)
            .map((p) => `${p.path} ${p.message}${p.got ? ` (${p.got})` : ''}`)
            .join('; ')}
        </p>
        <button type="button" className="btn" onClick={undo}>
          Undo the last change
        </button>
      </div>
    )
  return null
}
