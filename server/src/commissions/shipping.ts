import type { Finding } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { today } from '../base/ids'
import { Invalid } from '../http/problem'
import type { Work } from '../work/kinds'
import type { Maker } from './store'

/** What stands against shipping a record as it is. */
export type Gate = (record: Commission, who: Maker) => Promise<readonly Pick<Finding, 'key' | 'title' | 'station'>[]>

/** The gate as the checks of today see it. */
export const gateIn =
  (work: Work): Gate =>
  (record, who) =>
    work.run('gate', { record, today: today() }, who)

/** In words, so many things that stand against it. */
export const standing = (n: number): string =>
  `${n} ${n === 1 ? 'issue blocks' : 'issues block'} shipping. Settle ${n === 1 ? 'it' : 'each'}, or waive it with a name and a reason.`

/** Refuses a day of shipping that comes to a record while anything stands against it, whatever change the day comes with. */
export async function mayShip(gate: Gate, who: Maker, before: Commission, after: Commission): Promise<void> {
  if (before.shipped !== undefined || after.shipped === undefined) return
  const { shipped: _day, ...record } = after
  const open = await gate(record, who)
  if (!open.length) return
  const named = open.slice(0, 3).map((f) => `“${f.title}”`)
  const more = open.length - named.length
  throw new Invalid(
    standing(open.length),
    [
      {
        path: '/shipped',
        rule: 'gate',
        message: `is no day yet: ${[...named, ...(more ? [`${more} more`] : [])].join(', ')} ${open.length === 1 ? 'stands' : 'stand'} against shipping`,
      },
    ],
    { open },
  )
}
