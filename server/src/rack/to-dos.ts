import type { Api, GoodOf } from '@nubrin/core/api'
import { QueryTypes } from 'sequelize'
import type { Tables } from '../db/models'

/** More than a shop can have open at once; what presses least is cut off. */
const MOST = 500

/** The work that is left on all open commissions of a shop: what has a day first, by its day, else by the day of shipping. */
export const leftToDo = (db: Tables, shopId: string): Promise<GoodOf<Api['toDos']>> =>
  db.sequelize.query(
    `SELECT t.id, c.id AS commission, c.title, k.name AS client, c.revision, t.text, t.about, t.who, t.person,
      CAST(t.due AS CHAR) AS due, t.blocks, CAST(c.deadline AS CHAR) AS ships
     FROM commissions c JOIN to_dos t ON t.commission_id = c.id LEFT JOIN clients k ON k.id = c.client_id
     WHERE c.shop_id = ? AND c.place = 'open' AND NOT t.done
     ORDER BY COALESCE(t.due, c.deadline, '9999-12-31'), t.blocks IS NULL, c.id, t.id LIMIT ${MOST}`,
    { replacements: [shopId], type: QueryTypes.SELECT },
  )
