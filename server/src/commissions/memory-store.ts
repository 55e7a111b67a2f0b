import type { Commission } from '@nubrin/core/record'
import type { Op } from '@nubrin/core/record/ops'
import { Conflict, NotFound } from '../http/problem'
import { merge } from './merge'
import type { Commissions, Maker, Revised, Saved } from './store'

interface Kept extends Saved {
  shopId: string
  archived: boolean
  history: Revised[]
}

/** Commissions in memory, for tests: the same behaviour as in the database. */
export class MemoryCommissions implements Commissions {
  private readonly kept = new Map<string, Kept>()

  private find(shopId: string, id: string): Kept {
    const k = this.kept.get(id)
    if (!k || k.shopId !== shopId || k.archived) throw new NotFound(`There is no commission ${id} in this shop.`)
    return k
  }
  private shown({ record, revision, savedAt, savedBy }: Kept): Saved {
    return structuredClone({ record, revision, savedAt, savedBy })
  }

  async load(shopId: string, id: string): Promise<Saved> {
    return this.shown(this.find(shopId, id))
  }
  async all(shopId: string): Promise<Saved[]> {
    return [...this.kept.values()].filter((k) => k.shopId === shopId && !k.archived).map((k) => this.shown(k))
  }
  async create(who: Maker, record: Commission, alongside?: () => Promise<void>): Promise<Saved> {
    if (this.kept.has(record.id)) throw taken(record.id)
    await alongside?.()
    const at = new Date().toISOString()
    const kept: Kept = {
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
  async change(who: Maker, id: string, base: number, ops: readonly Op[]): Promise<Saved & { since: Op[] }> {
    const kept = this.find(who.shopId, id)
    const merged = merge(
      kept.record,
      ops,
      kept.history.filter((h) => h.revision > base),
    )
    if (merged.ops.length) {
      kept.record = merged.record
      kept.revision++
      kept.savedAt = new Date().toISOString()
      kept.savedBy = who.name
      kept.history.push({ revision: kept.revision, by: who.name, at: kept.savedAt, ops: merged.ops })
    }
    return { ...this.shown(kept), since: merged.since }
  }
  async archive(shopId: string, id: string): Promise<void> {
    this.find(shopId, id).archived = true
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
