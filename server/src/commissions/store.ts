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
}

/**
 * Commissions of shops. A change is a list of operations made against a revision; what others did meanwhile is kept, unless
 * both changed the same field. Errors are problems: NotFound, Conflict, Invalid.
 */
export interface Commissions {
  load(shopId: string, id: string): Promise<Saved>
  all(shopId: string): Promise<Saved[]>
  /** Takes a whole, already validated record in as revision 1, and does what belongs to it in the same transaction. */
  create(who: Maker, record: Commission, alongside?: (transaction?: Transaction) => Promise<void>): Promise<Saved>
  /** Carries operations out; `since` is what others changed after `base`. */
  change(who: Maker, id: string, base: number, ops: readonly Op[]): Promise<Saved & { since: Op[] }>
  archive(shopId: string, id: string): Promise<void>
  /** Newest first, at most 200. */
  history(shopId: string, id: string): Promise<Revised[]>
}
