import { type Commission, readerOf, type Saber, toldSaber } from '@nubrin/core/record'
import type { Rehearsal, Stray } from '@nubrin/core/script'
import { useMemo } from 'react'
import { useCode } from '../../base/lazy'
import { once } from '../../base/once'

/** The composer’s code, for whoever needs it first. */
export const COMPOSER = once(() => import('./compose-code'))

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
  const { now: code } = useCode(COMPOSER)
  return useMemo(() => {
    if (!code) return NOTHING
    const { rehearse, staleSentences, straysOf, troubleText } = code
    const run = rehearse(readerOf(order), toldSaber(order, saber))
    const troubles = new Map<string, string[]>()
    for (const t of run.troubles) troubles.set(t.beat.id, [...(troubles.get(t.beat.id) ?? []), troubleText(t)])
    const now = new Map(
      staleSentences(order, saber).flatMap((x) => (x.code === 'changed' ? [[x.beat.id, x.now] as const] : [])),
    )
    return { run, troubles, strays: straysOf(order, saber), now }
  }, [code, order, saber])
}
