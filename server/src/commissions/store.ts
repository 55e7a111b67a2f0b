import type { Commission } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import type { Transaction } from 'sequelize'
import type { User } from '../db/models'

export interface Saved {
  record: Commission
  revision: number
  savedAt: string
  savedBy: string
}
export type Maker = Pick<User, 'id' | 'shopId' | 'name'>

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

/**
 * Commissions of shops. A change is a list of operations made against a revision; what others did meanwhile is kept, unless
 * both changed the same field. A change with an id is done once, however often it is sent. Errors are problems: NotFound,
 * Conflict, Invalid.
 */
export interface Commissions {
  load(shopId: string, id: string): Promise<Saved>
  /** The same as JSON text, as it travels. */
  text(shopId: string, id: string): Promise<string>
  /** Takes a whole, already validated record in as revision 1, and does what belongs to it in the same transaction. */
  create(who: Maker, record: Commission, made?: Made): Promise<Saved>
  change(who: Maker, id: string, base: number, ops: readonly Op[], change?: string): Promise<Changed>
  /** The revisions after one, oldest first. */
  changes(shopId: string, id: string, after: number): Promise<Revised[]>
  archive(shopId: string, id: string, alongside?: Alongside): Promise<void>
  unarchive(shopId: string, id: string): Promise<void>
  /** Newest first, at most 200. */
  history(shopId: string, id: string): Promise<Revised[]>
}
