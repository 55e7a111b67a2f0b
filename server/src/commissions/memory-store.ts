import type { Commission } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import { Conflict, NotFound } from '../http/problem'
import { mayMake } from './authority'
import { merge } from './merge'
import { type Gate, mayShip } from './shipping'
import {
  type Alongside,
  type Changed,
  type Commissions,
  type Made,
  type MadeOn,
  type Maker,
  otherHistory,
  type Revised,
  type Saved,
} from './store'

export interface StoredRow extends Saved {
  shopId: string
  archived: boolean
  history: Revised[]
}

/** Commissions in memory, for tests: the same behaviour as in the database. */
export class MemoryCommissions implements Commissions {
  private readonly kept = new Map<string, StoredRow>()
  private last = 0

  constructor(private readonly gate: Gate) {}

  /** A moment of its own for every revision: by it two of one number are told apart. */
  private now(): string {
    this.last = Math.max(Date.now(), this.last + 1)
    return new Date(this.last).toISOString()
  }

  /** All of it, to be put back later, as a backup is. */
  copy(): ReadonlyMap<string, StoredRow> {
    return structuredClone(this.kept)
  }
  putBack(copy: ReadonlyMap<string, StoredRow>): void {
    this.kept.clear()
    for (const [id, kept] of structuredClone(copy)) this.kept.set(id, kept)
  }
  private find(shopId: string, id: string, { offRack = false }: Pick<MadeOn, 'offRack'> = {}): StoredRow {
    const k = this.kept.get(id)
    if (!k || k.shopId !== shopId || (k.archived && !offRack))
      throw new NotFound(`There is no commission ${id} in this shop.`)
    return k
  }
  private shown({ record, revision, savedAt, savedBy }: StoredRow): Saved {
    return structuredClone({ record, revision, savedAt, savedBy })
  }

  async load(shopId: string, id: string, how: { offRack?: boolean } = {}): Promise<Saved> {
    return this.shown(this.find(shopId, id, how))
  }
  async text(shopId: string, id: string): Promise<string> {
    return JSON.stringify(await this.load(shopId, id))
  }
  async create(who: Maker, record: Commission, { alongside }: Made = {}): Promise<Saved> {
    if (this.kept.has(record.id)) throw taken(record.id)
    mayMake(who.role, undefined, record)
    await alongside?.()
    const at = this.now()
    const kept: StoredRow = {
      record: structuredClone(record),
      revision: 1,
      savedAt: at,
      savedBy: who.name,
      shopId: who.shopId,
      archived: false,
      history: [{ revision: 1, by: who.name, at, ops: [] }],
    }
    this.kept.set(record.id, kept)
    return this.shown(kept)
  }
  async change(
    who: Maker,
    id: string,
    base: number,
    ops: readonly Op[],
    { change, at, offRack }: MadeOn = {},
  ): Promise<Changed> {
    const kept = this.find(who.shopId, id, { offRack })
    this.sameHistory(kept, base, at)
    const since = () => structuredClone(kept.history.filter((h) => h.revision > base))
    if (change && kept.history.some((h) => h.change === change)) return { ...this.shown(kept), since: since() }
    const merged = merge(kept.record, ops, since())
    mayMake(who.role, kept.record, merged.record)
    const was = kept.revision
    await mayShip(this.gate, who, kept.record, merged.record)
    // Somebody was quicker: it is put onto that.
    if (kept.revision !== was) return this.change(who, id, base, ops, { change, at, offRack })
    if (merged.ops.length) {
      kept.record = merged.record
      kept.revision++
      kept.savedAt = this.now()
      kept.savedBy = who.name
      kept.history.push({
        revision: kept.revision,
        by: who.name,
        at: kept.savedAt,
        ops: merged.ops,
        ...(change ? { change } : {}),
      })
    }
    return { ...this.shown(kept), since: since() }
  }
  async changes(shopId: string, id: string, after: number, at?: string): Promise<Revised[]> {
    const kept = this.find(shopId, id)
    this.sameHistory(kept, after, at)
    return structuredClone(kept.history.filter((h) => h.revision > after))
  }
  async there(shopId: string, id: string): Promise<void> {
    this.find(shopId, id)
  }
  private sameHistory({ history }: StoredRow, base: number, at: string | undefined) {
    const of = history.find((h) => h.revision === base)
    if (base && (!of || (at !== undefined && of.at !== at))) throw otherHistory(history.length)
  }
  async archive(shopId: string, id: string, alongside?: Alongside): Promise<void> {
    const kept = this.find(shopId, id)
    await alongside?.()
    kept.archived = true
  }
  async unarchive(shopId: string, id: string): Promise<void> {
    const k = this.kept.get(id)
    if (!k?.archived || k.shopId !== shopId) throw new NotFound(`There is no commission ${id} in this shop.`)
    k.archived = false
  }
  async history(shopId: string, id: string): Promise<Revised[]> {
    return this.find(shopId, id).history.toReversed().slice(0, 200)
  }
}

export const taken = (id: string) =>
  new Conflict(`A commission with the id ${id} is already here.`, {
    path: '/id',
    rule: 'uniqueId',
    message: 'is already used; import it as a copy',
    got: id,
  })
