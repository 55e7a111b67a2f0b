import { lookThrough } from '@nubrin/core/access'
import type { Goal } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { freshId, todayIso } from '../../data'
import { useEditSaber } from '../../store/commission'
import { useSession } from '../../store/session'

/** Stands behind procedures as they are drafted and said now: all of a client's, or those that are asked for. */
export function useLookThrough(saber: Saber): (asked?: (g: Goal) => boolean) => void {
  const editSaber = useEditSaber()
  const who = useSession((s) => s.person?.name ?? '')
  return (asked) =>
    editSaber('looked through', (s) => void (s.access = lookThrough(saber, { who, on: todayIso() }, freshId, asked)))
}
