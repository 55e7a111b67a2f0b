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
 * Runs a question in a worker of its own, a moment after it last changed; a newer question ends the older one. `key`
 * stands for the question: the same key is not asked again. Without a question nothing runs.
 */
export function useWorker<K extends 'layouts' | 'chance'>(
  ask: Extract<Ask, { kind: K }> | undefined,
  key: string,
): Work<Extract<Answer, { kind: K }>> {
  type Found = Extract<Answer, { kind: K }>
  const [progress, setProgress] = useState<number>()
  const [result, setResult] = useState<Found>()
  const [error, setError] = useState<string>()
  const worker = useRef<Worker>(undefined)
  const question = useRef(ask)
  question.current = ask
  const stop = () => {
    worker.current?.terminate()
    worker.current = undefined
    setProgress(undefined)
  }
  useEffect(() => {
    if (!question.current) {
      setResult(undefined)
      return
    }
    const timer = setTimeout(() => {
      setError(undefined)
      setProgress(0)
      const w = new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' })
      worker.current = w
      w.onmessage = (e: MessageEvent<Answer>) => {
        if (e.data.kind === 'progress') {
          setProgress(e.data.share)
          return
        }
        if (e.data.kind === 'failed') setError(e.data.message)
        else setResult(e.data as Found)
        stop()
      }
      w.onerror = () => {
        setError('The calculation stopped. Change a figure to try again.')
        stop()
      }
      w.postMessage(question.current)
    }, 120)
    return () => {
      clearTimeout(timer)
      stop()
    }
  }, [key])
  return { progress, result, error, cancel: stop }
}
