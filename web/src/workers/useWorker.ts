import { useEffect, useRef, useState } from 'react'
import type { Answer, Ask } from './bench.worker'

export interface Work<T> {
  /** 0…1 while it runs; undefined when nothing runs. */
  progress: number | undefined
  result: T | undefined
  error: string | undefined
  /** Ends the running work; what was found before stays. */
  cancel: () => void
}

/**
 * Runs a question in a worker of its own, a moment after it last changed. The worker is kept for the next question; one
 * that is still at work when a newer question comes, or is stopped, is ended. `ask` is one question as long as it is the
 * same object, so callers memoise it. Without a question nothing runs.
 */
export function useWorker<K extends Ask['kind']>(
  ask: Extract<Ask, { kind: K }> | undefined,
): Work<Extract<Answer, { kind: K }>> {
  type Found = Extract<Answer, { kind: K }>
  const [progress, setProgress] = useState<number>()
  const [result, setResult] = useState<Found>()
  const [error, setError] = useState<string>()
  const worker = useRef<Worker>(undefined)
  const busy = useRef(false)
  const rest = () => {
    busy.current = false
    setProgress(undefined)
  }
  const end = () => {
    worker.current?.terminate()
    worker.current = undefined
    rest()
  }
  const stop = () => {
    if (busy.current) end()
  }
  useEffect(() => {
    if (!ask) {
      setResult(undefined)
      return
    }
    const timer = setTimeout(() => {
      setError(undefined)
      setProgress(0)
      worker.current ??= new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' })
      worker.current.onmessage = (e: MessageEvent<Answer>) => {
        if (e.data.kind === 'progress') {
          setProgress(e.data.share)
          return
        }
        if (e.data.kind === 'failed') setError(e.data.message)
        else setResult(e.data as Found)
        rest()
      }
      worker.current.onerror = () => {
        setError('The calculation stopped. Change a figure to try again.')
        end()
      }
      busy.current = true
      worker.current.postMessage(ask)
    }, 120)
    return () => {
      clearTimeout(timer)
      stop()
    }
  }, [ask])
  useEffect(() => end, [])
  return { progress, result, error, cancel: stop }
}
