import type { Commission } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import type { Transaction } from 'sequelize'
import type { User } from '../db/models'
import { Conflict } from '../http/problem'

export interface Saved {
  record: Commission
  revision: number
  savedAt: string
  savedBy: string
}
export type Maker = Pick<User, 'id' | 'shopId' | 'name' | 'role'>

/** One line of a commission's history. */
export interface Revised {
  revision: number
  by: string
  at: string
  ops: Op[]
  /** The id that the browser gave the change. */
  change?: string
}
/** A record after a change, and every revision after the one it was made on, its own among them. */
export type Changed = Saved & { since: Revised[] }

/** What is done in the same transaction. */
export type Alongside = (transaction?: Transaction) => Promise<void>
export interface Made {
  /** The row of a client whom a person said it is. */
  client?: string | undefined
  alongside?: Alongside | undefined
}

export interface MadeOn {
  /** The change's own id: it is done once, however often it is sent, and on whatever it is sent. */
  change?: string | undefined
  /** When the revision it was made on was saved, as whoever made it knows it. */
  at?: string | undefined
  /** Also of what was taken off the rack. */
  offRack?: boolean | undefined
}

/** What a tab has read is no revision of this record: it was put back to an earlier one since. */
export const otherHistory = (revision: number) =>
  new Conflict(
    'This record has been put back since it was read. Read it again.',
    { path: '/base', rule: 'otherHistory', message: 'is no revision of this record any more' },
    { revision },
  )

/**
 * Commissions of shops. A change is a list of operations made against a revision; what others did meanwhile is kept, unless
 * both changed the same field. A revision that is none of this record, as after a restore, is refused. Who makes it must be
 * allowed what it changes. Errors are problems: NotFound, Conflict, Invalid, not allowed.
 */
export interface Commissions {
  /** `offRack`: also what was taken off the rack. */
  load(shopId: string, id: string, how?: { offRack?: boolean }): Promise<Saved>
  /** The same as JSON text, as it travels. */
  text(shopId: string, id: string): Promise<string>
  /** Takes a whole, already validated record in as revision 1, and does what belongs to it in the same transaction. */
  create(who: Maker, record: Commission, made?: Made): Promise<Saved>
  change(who: Maker, id: string, base: number, ops: readonly Op[], made?: MadeOn): Promise<Changed>
  /** The revisions after one, oldest first; `at`: when that one was saved, as whoever asks knows it. */
  changes(shopId: string, id: string, after: number, at?: string): Promise<Revised[]>
  /** Refuses where there is no such commission. */
  there(shopId: string, id: string): Promise<void>
  archive(shopId: string, id: string, alongside?: Alongside): Promise<void>
  unarchive(shopId: string, id: string): Promise<void>
  /** Newest first, at most 200. */
  history(shopId: string, id: string): Promise<Revised[]>
}
