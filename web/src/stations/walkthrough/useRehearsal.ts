import { type Commission, readerOf, type Saber } from '@nubrin/core/record'
import type { Rehearsal, Stray } from '@nubrin/core/script'
import { useEffect, useState } from 'react'

interface Rehearsed {
  run: Rehearsal | undefined
  /** What cannot be done as it is told, in words, by beat. */
  troubles: ReadonlyMap<string, readonly string[]>
  strays: readonly Stray[]
  /** What a composed beat would say now, where the record has changed since. */
  now: ReadonlyMap<string, string>
}
const NOTHING: Rehearsed = { run: undefined, troubles: new Map(), strays: [], now: new Map() }

/** The script run on the machine, anew with every change; its code comes a moment after the words. */
export function useRehearsal(order: Commission, saber: Saber): Rehearsed {
  const [got, setGot] = useState(NOTHING)
  useEffect(() => {
    let here = true
    import('./compose-code').then(
      ({ rehearse, staleSentences, straysOf, troubleText }) => {
        if (!here) return
        const run = rehearse(readerOf(order), saber)
        const troubles = new Map<string, string[]>()
        for (const t of run.troubles) troubles.set(t.beat.id, [...(troubles.get(t.beat.id) ?? []), troubleText(t)])
        const now = new Map(
          staleSentences(order, saber).flatMap((x) => (x.code === 'changed' ? [[x.beat.id, x.now] as const] : [])),
        )
        setGot({ run, troubles, strays: straysOf(order, saber), now })
      },
      () => undefined,
    )
    return () => {
      here = false
    }
  }, [order, saber])
  return got
}
