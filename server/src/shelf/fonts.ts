import { API } from '@nubrin/core/api'
import type { Font } from '@nubrin/core/record'
import { type NameRule, USUAL_RULES } from '@nubrin/core/voice'
import type { Router } from 'express'
import { QueryTypes } from 'sequelize'
import type { Tables } from '../db/models'
import { transact } from '../db/transact'
import { Invalid, NotFound } from '../http/problem'
import { serve } from '../http/serve'
import type { Library } from '../media/library'

const MOST_FONT_BYTES = 1024 * 1024
const filesOf = (f: Font): string[] => [...new Set(f.sounds.flatMap((s) => s.media ?? []))]

/** The shop's library of fonts, and the words by which files find their event. */
export function fontRoutes(r: Router, { db, library }: { db: Tables; library: Library }): void {
  serve(r, API.fonts, async ({ who: { shopId } }) => {
    const rows = await db.fonts.findAll({ where: { shopId }, order: [['name', 'ASC']] })
    const count = (sql: string) =>
      db.sequelize.query<{ id: string; n: number }>(sql, { replacements: [shopId], type: QueryTypes.SELECT })
    const [orders, bytes] = await Promise.all([
      count(
        'SELECT u.id, COUNT(*) AS n FROM font_uses u JOIN commissions c ON c.id = u.commission_id WHERE c.shop_id = ? GROUP BY u.id',
      ),
      count(
        'SELECT f.font_id AS id, SUM(m.bytes) AS n FROM font_media f JOIN media m ON m.shop_id = f.shop_id AND m.hash = f.hash WHERE f.shop_id = ? GROUP BY f.font_id',
      ),
    ])
    const of = (list: readonly { id: string; n: number }[], id: string) => Number(list.find((x) => x.id === id)?.n ?? 0)
    return rows.map((row) => ({
      ...{ font: row.font as Font, orders: of(orders, row.id), bytes: of(bytes, row.id) },
      changedAt: row.changedAt.toISOString(),
    }))
  })
  serve(
    r,
    API.keepFont,
    async ({ params, body, who: { shopId } }) => {
      // A wish and where it was taken from are of one order.
      const { wish: _w, library: _l, ...rest } = body
      if (body.id !== params.id)
        throw new Invalid('The font was not kept: its id is another than the one in the address.', [
          { path: '/id', rule: 'const', message: `must be ${params.id}`, got: body.id },
        ])
      const font: Font = rest
      const hashes = filesOf(font)
      const here = await library.has(shopId, hashes)
      const foreign = font.sounds.findIndex((s) => s.media && !here.has(s.media))
      if (foreign >= 0)
        throw new Invalid('The font was not kept: the shop has no such file.', [
          {
            path: `/sounds/${foreign}/media`,
            rule: 'stored',
            message: `The file of ${font.sounds[foreign]!.name} is not here.`,
          },
        ])
      await transact(db.sequelize, async (transaction) => {
        await db.fonts.upsert({ id: font.id, shopId, name: font.name, font, changedAt: new Date() }, { transaction })
        await db.fontMedia.destroy({ where: { shopId, fontId: font.id }, transaction })
        if (hashes.length)
          await db.fontMedia.bulkCreate(
            hashes.map((hash) => ({ shopId, fontId: font.id, hash })),
            { transaction },
          )
      })
      return font
    },
    MOST_FONT_BYTES,
  )
  serve(r, API.dropFont, async ({ params, who: { shopId } }) => {
    const n = await db.fonts.destroy({ where: { id: params.id, shopId } })
    if (!n) throw new NotFound(`There is no font ${params.id} in this library.`)
    return undefined
  })
  const rulesOf = async (shopId: string): Promise<NameRule[]> => {
    const shop = await db.shops.findByPk(shopId)
    return (shop?.soundRules as NameRule[] | null | undefined) ?? [...USUAL_RULES]
  }
  serve(r, API.soundRules, async ({ who }) => rulesOf(who.shopId))
  serve(r, API.setSoundRules, async ({ body, who }) => {
    await db.shops.update({ soundRules: body.length ? body : null }, { where: { id: who.shopId } })
    return rulesOf(who.shopId)
  })
}
