import type { Api, GoodOf } from '@nubrin/core/api'
import type { Tables } from '../db/models'

export type Settings = GoodOf<Api['settings']>
const EMPTY = { address: '', contact: '', signature: '', closing: '', publicUrl: '', linkDays: 0 }

/** What a shop says of itself; what was never said is empty. */
export async function settingsOf(db: Tables, shopId: string): Promise<Settings> {
  const shop = await db.shops.findByPk(shopId)
  return { ...EMPTY, ...((shop?.settings ?? {}) as Partial<Settings>), name: shop?.name ?? '' }
}
