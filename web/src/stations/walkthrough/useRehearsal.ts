import type { Commission, Saber } from '@nubrin/core/record'
import type { Rehearsal, Stray } from '@nubrin/core/script'
import { useEffect, useState } from 'react'

interface Rehearsed {
  run: Rehearsal | undefined
  /** What cannot be done as it is told, in words, by beat. */
  troubles: ReadonlyMap<string, readonly string[]>
  strays: readonly Stray[]
}
const NOTHING: Rehearsed = { run: undefined, troubles: new Map(), strays: [] }

/** The script run on the machine, anew with every change; its code comes a moment after the words. */
export function useRehearsal(order: Commission, saber: Saber): Rehearsed {
  const [got, setGot] = useState(NOTHING)
  useEffect(() => {
    let here = true
    import('./compose-code').then(
      ({ rehearse, straysOf, troubleText }) => {
        if (!here) return
        const run = rehearse(saber)
        const troubles = new Map<string, string[]>()
        for (const t of run.troubles) troubles.set(t.beat.id, [...(troubles.get(t.beat.id) ?? []), troubleText(t)])
        setGot({ run, troubles, strays: straysOf(order, saber) })
      },
      () => undefined,
    )
    return () => {
      here = false
    }
  }, [order, saber])
  return got
}
