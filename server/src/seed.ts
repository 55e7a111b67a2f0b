import { lift } from '@nubrin/core/import'
import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
import { draftQuote } from '@nubrin/core/quote'
import type { Commission } from '@nubrin/core/record'
import { guessesFrom } from '@nubrin/core/schedule'
import { dayAfter } from '@nubrin/core/units'
import { measuresOf, readWav } from '@nubrin/core/voice'
import {
  benchPicture,
  demoCommissions,
  demoOrders,
  demoWorks,
  demoYear,
  makeSounds,
  proveSounds,
  SHELF,
  SHOP,
} from '@nubrin/demo'
import type { Transaction } from 'sequelize'
import sharp from 'sharp'
import { newId, today } from './base/ids'
import { SqlCommissions } from './commissions/sql-store'
import type { Tables } from './db/models'
import { transact } from './db/transact'
import type { Files } from './media/files'
import { Library } from './media/library'
import { likeness } from './people/likeness'
import { hashPassword } from './people/passwords'
import { rowOf } from './shelf/rows'

/** The demo shop's sign-in, printed at the start. */
export const DEMO_SIGN_IN = { signIn: 'maren', password: 'brass-and-light' }

/** Loads the demo shop into an empty database: shop, two makers, catalogue, commissions, sounds and pictures made by code. */
export async function seed(db: Tables, files: Files): Promise<void> {
  // Whole or not at all: half a demo would stay for ever.
  await transact(db.sequelize, (transaction) => fill(db, files, transaction))
}

async function fill(db: Tables, files: Files, transaction: Transaction): Promise<void> {
  const store = new SqlCommissions(db, async () => [], transaction)
  const shopId = newId('s')
  await db.shops.create({ id: shopId, name: SHOP.name, settings: SHOP.terms }, { transaction })
  const passwordHash = await hashPassword(DEMO_SIGN_IN.password)
  const works = demoWorks(today())
  const maren = {
    id: newId('u'),
    shopId,
    name: SHOP.maker,
    signIn: DEMO_SIGN_IN.signIn,
    signInKey: likeness(DEMO_SIGN_IN.signIn),
    passwordHash,
    role: 'owner' as const,
    works: works[SHOP.maker],
  }
  await db.users.bulkCreate(
    [
      maren,
      {
        id: newId('u'),
        shopId,
        name: SHOP.second,
        signIn: SHOP.second.toLowerCase(),
        signInKey: likeness(SHOP.second),
        passwordHash,
        role: 'maker' as const,
        works: works[SHOP.second],
      },
    ],
    { transaction },
  )
  await db.parts.bulkCreate(
    GENERIC_CATALOGUE.map((p) => rowOf({ ...p, ...SHELF[p.id] }, shopId)),
    { transaction },
  )
  const library = new Library(db, files)
  let pitch = 86
  for (const c of demoCommissions(today())) {
    for (const s of c.sabers) {
      for (const f of s.fonts) {
        if (f.is !== 'font') continue
        pitch += 7
        for (const [i, made] of makeSounds(
          pitch,
          f.sounds.map((q) => q.event),
          f.id === 'co-vow' ? 0.4 : 1,
        ).entries()) {
          const wav = readWav(made.bytes)
          if (!wav.ok) throw new Error(`demo sound: ${wav.message}`)
          const media = await library.keep(shopId, { bytes: made.bytes, type: 'audio/wav' }, { transaction })
          Object.assign(f.sounds[i]!, { media, ...measuresOf(wav) })
        }
      }
      proveSounds(s)
    }
    const first = c.sabers[0]!
    const jpeg = await sharp(Buffer.from(benchPicture(first)))
      .jpeg({ quality: 82 })
      .toBuffer()
    c.media.push({
      id: `${c.id}-m1`.slice(0, 48),
      hash: await library.keep(shopId, { bytes: jpeg, type: 'image/jpeg' }, { transaction }),
      type: 'image/jpeg',
      name: 'bench.jpg',
      caption: 'on the bench',
      ...(first.hilt.sections[0] ? { place: `section:${first.hilt.sections[0].id}` } : {}),
      bytes: jpeg.length,
    })
    await store.create(maren, c)
  }
  const year = demoYear(today())
  // Who comes again is the same person, as somebody has said.
  const known = new Map<string, string>()
  for (const c of year) {
    await store.create(maren, c, { client: known.get(c.client.name) })
    const row = await db.commissions.findOne({ where: { id: c.id }, attributes: ['clientId'], transaction })
    if (row?.clientId) known.set(c.client.name, row.clientId)
  }
  await seedQuote(db, transaction)
  await db.orderLines.bulkCreate(
    demoOrders(today(), year).map((l) => ({ ...l, shopId, fault: null, note: null, by: SHOP.maker })),
    { transaction },
  )
}

/** One quote that was sent, with an option that is held out, and a deposit. */
async function seedQuote(db: Tables, transaction: Transaction): Promise<void> {
  const row = await db.commissions.findOne({ where: { id: 'crosswind' }, transaction })
  if (!row) return
  const costs = new Map(Object.entries(SHELF).map(([id, s]) => [id, s.cost]))
  let n = 0
  const draft = draftQuote(lift(row.record) as Commission, {
    ...{ number: 1, on: dayAfter(today(), -20), by: SHOP.maker, guesses: guessesFrom({}) },
    terms: { currency: SHOP.terms.currency, rate: SHOP.terms.hourRate * 100, margin: SHOP.terms.margin },
    ...{ costOf: (id: string) => costs.get(id), newId: () => `crosswind-q${n++}` },
  })
  const quote = {
    ...draft,
    ...{ state: 'accepted', sentOn: draft.on, accepted: { on: dayAfter(today(), -17), by: 'his letter' } },
    options: [{ id: 'crosswind-opt', what: 'A font of its own, recorded for it', price: 3500 }],
    payments: [{ id: 'crosswind-pay', on: dayAfter(today(), -15), kind: 'deposit', amount: 30_000 }],
  }
  await db.quotes.create(
    { commissionId: 'crosswind', number: 1, quote, revision: 1, savedAt: new Date(), savedBy: SHOP.maker },
    { transaction },
  )
}
