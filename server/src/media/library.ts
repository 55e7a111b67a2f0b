import { Op, QueryTypes, type Transaction } from 'sequelize'
import { fileHash } from '../base/ids'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { NotFound } from '../http/problem'
import type { Accepted } from '../work/kinds'
import type { Files } from './files'

/** A file that no commission has had so long after it came is nobody's, ms. */
const UNCLAIMED = 24 * 3_600_000

/** Who keeps a file: the shop, for one of its commissions, in a transaction where there is one. */
interface Keeping {
  commission?: string | undefined
  transaction?: Transaction | undefined
}

/**
 * The files of each shop. Bytes are kept once for all, and reached only by a shop that was given them itself; each is counted by
 * the commissions that have or had it, and goes with the last of them that is erased.
 */
export class Library {
  /** What is being done with a file just now: it is neither written while it is dropped, nor the other way round. */
  private readonly busy = new Map<string, Promise<unknown>>()

  constructor(
    private readonly db: Tables,
    private readonly files: Files,
  ) {}

  /** Keeps a file that came through the door, and notes that the shop has it, and for which commission. */
  async keep(shopId: string, { bytes, type }: Accepted, { commission, transaction }: Keeping = {}): Promise<string> {
    const within = transaction ? { transaction } : {}
    const hash = await fileHash(bytes)
    return this.alone(hash, async () => {
      await this.files.put(bytes, hash)
      await this.db.media.upsert({ hash, shopId, type, bytes: bytes.length, createdAt: new Date() }, within)
      if (commission)
        await this.db.mediaOwners.bulkCreate([{ shopId, hash, commissionId: commission }], {
          ignoreDuplicates: true,
          ...within,
        })
      return hash
    })
  }

  /** A file of this shop; NotFound when it was never given one with such a hash. */
  async of(shopId: string, hash: string): Promise<{ bytes: Buffer; type: string }> {
    const row = await this.db.media.findOne({ where: { hash, shopId } })
    if (!row) throw new NotFound('There is no such file.')
    return { bytes: await this.files.get(hash), type: row.type }
  }

  /** Which of these the shop has. */
  async has(shopId: string, hashes: readonly string[]): Promise<Set<string>> {
    const rows = await this.db.media.findAll({ where: { shopId, hash: [...hashes] }, attributes: ['hash'] })
    return new Set(rows.map((r) => r.hash))
  }

  /** Lets a commission's files go, within its erasing; gives those that none other of the shop has or had. */
  async release(shopId: string, commissionId: string, transaction: Transaction): Promise<string[]> {
    const own = (await this.db.mediaOwners.findAll({ where: { commissionId }, transaction })).map((o) => o.hash)
    await this.db.mediaOwners.destroy({ where: { commissionId }, transaction })
    const others = await this.db.mediaOwners.findAll({ where: { shopId, hash: own }, transaction })
    const shelved = await this.db.fontMedia.findAll({ where: { shopId, hash: own }, transaction })
    const alone = own.filter((h) => ![...others, ...shelved].some((o) => o.hash === h))
    if (alone.length) await this.db.media.destroy({ where: { shopId, hash: alone }, transaction })
    return alone
  }

  /** Takes the bytes away of what no shop has any more; what somebody is just bringing in stays. */
  async drop(hashes: readonly string[]): Promise<void> {
    for (const hash of hashes)
      await this.alone(hash, () =>
        transact(this.db.sequelize, async (transaction) => {
          // Also sees what another has written and not finished writing.
          const rows = await this.db.sequelize
            .query('SELECT 1 FROM media WHERE hash = ? LIMIT 1 FOR UPDATE NOWAIT', {
              replacements: [hash],
              type: QueryTypes.SELECT,
              transaction,
            })
            .catch(() => ['being brought in'])
          if (!rows.length) await this.files.drop(hash)
        }),
      )
  }

  /** Takes away what came a day ago or more, no commission ever had, and no font of the library has. Gives how many. */
  async sweep(now = Date.now()): Promise<number> {
    const old = await this.db.media.findAll({
      where: {
        createdAt: { [Op.lt]: new Date(now - UNCLAIMED) },
        [Op.and]: this.db.sequelize.literal(
          'NOT EXISTS (SELECT 1 FROM media_owners o WHERE o.shop_id = media.shop_id AND o.hash = media.hash) AND NOT EXISTS (SELECT 1 FROM font_media f WHERE f.shop_id = media.shop_id AND f.hash = media.hash)',
        ),
      },
      attributes: ['hash', 'shopId'],
      limit: 1000,
    })
    for (const { shopId, hash } of old) await this.db.media.destroy({ where: { shopId, hash } })
    await this.drop(old.map((m) => m.hash))
    return old.length
  }

  private async alone<T>(hash: string, run: () => Promise<T>): Promise<T> {
    const before = this.busy.get(hash) ?? Promise.resolve()
    const mine = before.catch(() => {}).then(run)
    this.busy.set(hash, mine)
    try {
      return await mine
    } finally {
      if (this.busy.get(hash) === mine) this.busy.delete(hash)
    }
  }
}
