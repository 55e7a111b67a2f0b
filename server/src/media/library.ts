import type { Transaction } from 'sequelize'
import type { Tables } from '../db/models'
import { NotFound } from '../http/problem'
import type { Accepted } from './accept'
import type { Files } from './files'

/** The files of each shop. Bytes are kept once for all, and reached only by a shop that was given them itself. */
export class Library {
  constructor(
    private readonly db: Tables,
    private readonly files: Files,
  ) {}

  /** Keeps a file that came through the door, and notes that the shop has it. */
  async keep(shopId: string, { bytes, type }: Accepted, transaction?: Transaction): Promise<string> {
    const hash = await this.files.put(bytes)
    await this.db.media.upsert(
      { hash, shopId, type, bytes: bytes.length, createdAt: new Date() },
      transaction ? { transaction } : {},
    )
    return hash
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
}
