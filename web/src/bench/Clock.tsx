import { workName } from '@nubrin/core/schedule'
import { Square } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { useTimer } from '../data'
import { stopClock } from '../store/clock'

const spent = (from: string, to: number) => {
  const min = Math.max(0, Math.floor((to - Date.parse(from)) / 60_000))
  return `${Math.floor(min / 60)}:${String(min % 60).padStart(2, '0')}`
}

/** The clock that one has running, on whatever commission, with a way to stop it. Nothing where none runs. */
export function Clock({ here }: { here: string }) {
  const timer = useTimer()
  const runs = timer.data?.timer
  // The server's clock and this machine's may differ: what counts is how far they have come since.
  const [at, setAt] = useState(() => performance.now())
  const [read, setRead] = useState(at)
  useEffect(() => setRead(performance.now()), [timer.data])
  useEffect(() => {
    if (!runs) return
    const tick = setInterval(() => setAt(performance.now()), 5000)
    return () => clearInterval(tick)
  }, [runs])
  if (!runs || !timer.data) return null
  const now = Date.parse(timer.data.now) + Math.max(0, at - read)
  const what = runs.work ? workName(runs.work) : 'to do'
  return (
    <span className="border-brassline flex shrink-0 items-center gap-2 rounded-sm border px-2 py-0.5 tabular-nums">
      {runs.commission === here ? (
        what
      ) : (
        <Link to={`/commission/${runs.commission}/to-do`} className="max-w-40 truncate underline decoration-dotted">
          {runs.title}
        </Link>
      )}
      <strong>{spent(runs.began, now)}</strong>
      <button type="button" aria-label="Stop the clock" title="Stop the clock" onClick={() => void stopClock(runs.id)}>
        <Square size={14} aria-hidden />
      </button>
    </span>
  )
}
