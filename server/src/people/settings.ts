import type { Api, GoodOf } from '@nubrin/core/api'
import type { Tables } from '../db/models'

export type Settings = Required<GoodOf<Api['settings']>>
const EMPTY = {
  ...{ address: '', contact: '', signature: '', closing: '', publicUrl: '', linkDays: 0 },
  ...{ currency: 'EUR', hourRate: 0, margin: 0, pricesFor: 'owner' as const },
}

/** What a shop says of itself; what was never said is empty. */
export async function settingsOf(db: Tables, shopId: string): Promise<Settings> {
  const shop = await db.shops.findByPk(shopId)
  return { ...EMPTY, ...((shop?.settings ?? {}) as Partial<Settings>), name: shop?.name ?? '' }
}
