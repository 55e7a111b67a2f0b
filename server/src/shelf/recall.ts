import { API, type GoodOf } from '@nubrin/core/api'
import { recallMessage } from '@nubrin/core/handoff'
import type { Commission, Id } from '@nubrin/core/record'
import type { Router } from 'express'
import { QueryTypes } from 'sequelize'
import { sha256, today } from '../base/ids'
import type { Commissions, Maker } from '../commissions/store'
import type { Tables } from '../db/models'
import { Conflict } from '../http/problem'
import { serve } from '../http/serve'
import { addressIn, type Outbox } from '../mail/outbox'
import { settingsOf } from '../people/settings'

/** Found by one of three indexes, each for itself: a lot, a part of the catalogue, or how a name begins. A part of which nobody wrote down the lot may be of the one that the shelf had. */
const CARRYING = `
  SELECT f.name AS part, f.lot, f.kind, s.id AS saberId, s.name AS saber, c.id AS commission, c.title, c.shipped, k.name AS client,
    CASE WHEN c.erased_at IS NOT NULL THEN 'erased' WHEN c.place = 'archived' THEN 'off' ELSE 'rack' END AS place
  FROM (
    SELECT commission_id, id FROM fitted_parts WHERE lot = :q
    UNION SELECT u.commission_id, u.id FROM fitted_parts u JOIN parts p ON p.id = u.catalogue_id AND p.shop_id = :shop
      WHERE p.lot = :q AND u.lot IS NULL
    UNION SELECT commission_id, id FROM fitted_parts WHERE catalogue_id = :q
    UNION SELECT commission_id, id FROM fitted_parts WHERE name LIKE :like
  ) hit
  JOIN fitted_parts f ON f.commission_id = hit.commission_id AND f.id = hit.id
  JOIN commissions c ON c.id = f.commission_id
  JOIN sabers s ON s.commission_id = f.commission_id AND s.id = f.saber_id
  LEFT JOIN clients k ON k.id = c.client_id
  WHERE c.shop_id = :shop
  ORDER BY c.title, s.position`
/** So many are shown; all are counted, and all are written to. */
const SHOWN = 500

type Carried = GoodOf<(typeof API)['recall']>['carried'][number]
type Message = GoodOf<(typeof API)['recallMessages']>['messages'][number]

interface With {
  db: Tables
  store: Commissions
  outbox: Outbox
}

/** Which sabers carry a part or a lot, wherever they are by now, and letters to the people who have them. */
export function recallRoutes(r: Router, { db, store, outbox }: With): void {
  const carrying = (shop: string, asked: string) => {
    const q = asked.trim()
    const like = `${q.replace(/[%_\\]/g, '\\$&')}%`
    return db.sequelize.query<Carried>(CARRYING, { type: QueryTypes.SELECT, replacements: { shop, q, like } })
  }
  serve(r, API.recall, async ({ query, who }) => {
    const carried = await carrying(who.shopId, query.q)
    const places = [...new Map(carried.map((c) => [`${c.commission} ${c.saberId}`, c.place])).values()]
    const erased = places.filter((p) => p === 'erased').length
    return { carried: carried.slice(0, SHOWN), sabers: places.length, erased }
  })

  serve(r, API.recallMessages, async ({ body, who }) => {
    const found = await carrying(who.shopId, body.q)
    const { name, contact } = await settingsOf(db, who.shopId)
    const from = addressIn(contact)
    if (body.send && !from)
      throw new Conflict('The shop has no address to write from: its settings name no e-mail address as contact.', {
        path: '/settings/contact',
        rule: 'email',
        message: 'holds no e-mail address',
        got: contact,
      })
    const of = new Map<string, Carried[]>()
    for (const c of found) of.set(c.commission, [...(of.get(c.commission) ?? []), c])
    const messages: Message[] = []
    for (const [id, mine] of of) {
      if (mine[0]!.place === 'erased') continue
      const { record, revision } = await store.load(who.shopId, id, { offRack: true })
      const lots = new Set(mine.flatMap((c) => c.lot ?? []))
      const said = recallMessage(
        record,
        [...new Set(mine.map((c) => c.saber))],
        { ...{ part: mine[0]!.part, lot: lots.size === 1 ? [...lots][0]! : '' }, why: body.why, todo: body.todo },
        name,
      )
      const written = record.client.contact ?? ''
      const to = addressIn(written)
      // Who cannot be written to is told so, and nothing is put down as said.
      const sent = body.send && !!from && !!to
      if (sent) {
        const letter = { to: { name: record.client.name, address: to }, from: { name, address: from }, ...said }
        await outbox.put(`${body.id}-${id}`, letter)
        await db.letters.bulkCreate(
          [
            {
              ...{
                id: body.id,
                commissionId: id,
                kind: 'recall',
                ...said,
                toAddress: to,
                at: new Date(),
                by: who.name,
              },
              rests: mine.map((c) => `saber:${c.saberId}`),
            },
          ],
          { ignoreDuplicates: true },
        )
        await noteRecall(who, record, revision, body.id, said.subject)
      }
      const { title, client } = record
      messages.push({ commission: id, title, client: client.name, contact: written, to: to ?? '', ...said, sent })
    }
    return { messages, erased: of.size - messages.length }
  })
  /** In the log of the commission, once for each recall. */
  const noteRecall = async (who: Maker, record: Commission, revision: number, recall: string, subject: string) => {
    const entry = `rc-${sha256(`${recall} ${record.id}`).slice(0, 16)}` as Id<'entry'>
    if (record.log.some((l) => l.id === entry)) return
    const item = { id: entry, on: today(), kind: 'told', by: who.name, text: `Recall: ${subject}` }
    const after = record.log.at(-1)?.id ?? null
    await store.change(who, record.id, revision, [{ op: 'insert', at: '/log', item, after }], { offRack: true })
  }
}
