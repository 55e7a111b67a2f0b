import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
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
  await db.shops.create({ id: shopId, name: SHOP.name }, { transaction })
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
  for (const c of year) await store.create(maren, c)
  await db.orderLines.bulkCreate(
    demoOrders(today(), year).map((l) => ({ ...l, shopId, fault: null, note: null, by: SHOP.maker })),
    { transaction },
  )
}
