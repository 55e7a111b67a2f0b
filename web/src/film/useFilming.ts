import type { Saber } from '@nubrin/core/record'
import { useCallback, useEffect, useRef, useState } from 'react'
import { freshId } from '../data'
import { useBench } from '../store/commission'
import { useSession } from '../store/session'

const NEXT = ['PageDown', ' ', 'ArrowRight', 'ArrowDown']
const BACK = ['PageUp', 'ArrowLeft', 'ArrowUp']

/** The beat that is told now, the clock, and the keys of the pedal; the times pressed become a take when it ends. */
export function useFilming(saber: Saber | undefined, leave: () => void) {
  const edit = useBench((b) => b.edit)
  const me = useSession((s) => s.person?.name)
  const [at, setAt] = useState(0)
  const [started, setStarted] = useState<number>()
  const [now, setNow] = useState(0)
  const marks = useRef<{ beat: string; atMs: number }[]>([])
  const go = useCallback(
    (step: 1 | -1) => {
      if (!saber) return
      const next = Math.min(Math.max(at + step, 0), saber.beats.length - 1)
      let begin = started
      if (begin === undefined) {
        begin = Date.now()
        setStarted(begin)
        marks.current = [{ beat: saber.beats[at]!.id, atMs: 0 }]
        if (step === 1 && at === 0) return
      }
      if (next === at) return
      setAt(next)
      marks.current.push({ beat: saber.beats[next]!.id, atMs: Date.now() - begin })
    },
    [at, saber, started],
  )
  const stop = useCallback(() => {
    if (marks.current.length > 1 && started !== undefined)
      edit('keep the take', (d) => {
        d.sabers
          .find((s) => s.id === saber?.id)
          ?.takes.push({
            id: freshId(),
            at: new Date(started).toISOString(),
            ...(me ? { by: me } : {}),
            marks: marks.current,
          })
      })
    leave()
  }, [edit, leave, me, saber?.id, started])
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (e.key === 'Escape') stop()
      const step = NEXT.includes(e.key) ? 1 : BACK.includes(e.key) ? -1 : undefined
      if (!step) return
      e.preventDefault()
      go(step)
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [go, stop])
  useEffect(() => {
    if (started === undefined) return
    const t = setInterval(() => setNow(Date.now() - started), 250)
    return () => clearInterval(t)
  }, [started])
  return { at, running: started !== undefined, ms: now, stop }
}
