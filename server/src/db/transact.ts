import type { Sequelize, Transaction } from 'sequelize'

/** What InnoDB rolls back and says may be tried again: a deadlock, a lock waited for too long, a row changed meanwhile. */
const MAY_RETRY = new Set([1213, 1205, 1020])
const errno = (e: unknown): number | undefined => {
  const x = e as { original?: { errno?: number }; parent?: { errno?: number }; errno?: number }
  return x?.original?.errno ?? x?.parent?.errno ?? x?.errno
}
const TRIES = 8

/**
 * Does something in one transaction, and again when the database says it may be: so it must change nothing outside. Its
 * connection reads committed rows (db/models), so that no gap between rows is locked. Anything else that goes wrong is thrown as it is.
 */
export async function transact<T>(db: Sequelize, run: (transaction: Transaction) => Promise<T>): Promise<T> {
  for (let n = 1; ; n++) {
    try {
      return await db.transaction(run)
    } catch (e) {
      if (n === TRIES || !MAY_RETRY.has(errno(e) ?? 0)) throw e
      await new Promise((r) => setTimeout(r, 5 + Math.random() * 15 * 2 ** n))
    }
  }
}
