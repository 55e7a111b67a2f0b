import { STATIONS, type Station } from '@nubrin/core/judge'
import { useCallback, useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { fetchWhenIdle, lazyView } from '../base/lazy'
import { STATION_NAME } from '../base/names'
import { KeySheet, type Sheet, useCommands, useKeys } from '../commands'
import { BENCH_COMMANDS } from '../commands/bench'
import { DESK_NAME, DESK_VIEW, type Desk, isDesk } from '../desks'
import { BenchDrawing } from '../drawing/BenchDrawing'
import { Boundary, FindingsPanel } from '../kit'
import { useBench, useOrder, useStationFindings } from '../store/commission'
import { BenchHead } from './BenchHead'
import { SaveProblem } from './SaveProblem'
import { StationRuler } from './StationRuler'
import { VIEW } from './views'

const Dossier = lazyView(() => import('../shared/Dossier').then((m) => m.Dossier))
const AddFact = lazyView(() => import('./AddFact').then((m) => m.AddFact))
const History = lazyView(() => import('./History').then((m) => m.History))
const KeepModel = lazyView(() => import('./KeepModel').then((m) => m.KeepModel))
const Phone = lazyView(() => import('./Phone').then((m) => m.Phone))
const RemovalSheet = lazyView(() => import('./Removal').then((m) => m.RemovalSheet))

/** A commission on the bench: its drawing above, one station's work in the middle, what stands against it at the side. */
export default function Bench() {
  const { id, station: name } = useParams()
  const station = (STATIONS as readonly string[]).includes(name ?? '') ? (name as Station) : 'brief'
  const desk = isDesk(name) ? name : undefined
  const open = useBench((b) => b.open)
  const ready = useBench((b) => !!b.record && b.id === id)
  const error = useBench((b) => b.error)
  const hear = useBench((b) => b.hear)
  const flush = useBench((b) => b.flush)
  useEffect(() => {
    void open(id!)
  }, [id, open])
  useEffect(() => {
    // What others do shows within seconds while the page is looked at.
    const look = () => document.visibilityState === 'visible' && void hear()
    const often = setInterval(look, 8000)
    // What waited for the connection does not wait out its time.
    const back = () => void flush().then(look)
    window.addEventListener('online', back)
    document.addEventListener('visibilitychange', look)
    return () => {
      clearInterval(often)
      window.removeEventListener('online', back)
      document.removeEventListener('visibilitychange', look)
    }
  }, [hear, flush])
  if (error)
    return (
      <p className="p-6">
        {error}{' '}
        <Link to="/" className="text-brass underline">
          Back to the rack
        </Link>
      </p>
    )
  return ready ? <Laid station={station} desk={desk} /> : <p className="text-quiet p-6">Fetching it from the rack…</p>
}

function Laid({ station, desk }: { station: Station; desk: Desk | undefined }) {
  const order = useOrder()
  const all = useBench((b) => b.findings)
  const cutting = useBench((b) => b.cutting)
  const removing = useBench((b) => b.removing !== undefined)
  const here = useStationFindings(station)
  const [sheet, setSheet] = useState<Sheet>()
  const [cut, setCut] = useState(80)
  const View = VIEW[station]
  const DeskView = desk && DESK_VIEW[desk]
  const show = useCallback((s: Sheet) => setSheet(s), [])
  const close = () => setSheet(undefined)
  const commands = useCommands(BENCH_COMMANDS, show, useBench.getState)
  useKeys(commands)
  useEffect(() => fetchWhenIdle(Dossier, AddFact, RemovalSheet, History, KeepModel, Phone), [])
  useEffect(() => {
    document.title = `${order.title} · ${desk ? DESK_NAME[desk] : STATION_NAME[station]} · Nubrin`
  }, [order.title, station, desk])
  const elsewhere = all.filter((f) => f.station !== station && f.level !== 'note')
  return (
    <div className="bench flex h-screen min-h-[640px] flex-col">
      <BenchHead commands={commands} desk={desk} />
      <Boundary what="The drawing" resetKeys={[order]}>
        <BenchDrawing station={station} findings={here} {...(cutting ? { cut, onCut: setCut } : {})} />
      </Boundary>
      <StationRuler station={desk ? undefined : station} />
      <SaveProblem />
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(270px,340px)]">
        <main className="relative min-h-0 overflow-y-auto px-5 py-3">
          <Boundary what={`The station ${STATION_NAME[station]}`} resetKeys={[order, station, desk]}>
            {DeskView ? <DeskView /> : <View cut={cut} />}
          </Boundary>
        </main>
        <aside className="border-rule min-h-0 border-l px-4 py-3">
          {desk ? <Dossier /> : <FindingsPanel list={here} elsewhere={elsewhere} quiet={<Dossier />} />}
        </aside>
      </div>
      {removing ? <RemovalSheet /> : null}
      {sheet === 'addFact' ? <AddFact close={close} /> : null}
      {sheet === 'keepModel' ? <KeepModel close={close} /> : null}
      {sheet === 'history' ? <History close={close} /> : null}
      {sheet === 'phone' ? <Phone close={close} /> : null}
      {sheet === 'keys' ? <KeySheet list={commands.list} drawing close={close} /> : null}
    </div>
  )
}
