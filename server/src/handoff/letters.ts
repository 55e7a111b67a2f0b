import { API, type GoodOf } from '@nubrin/core/api'
import { type LetterAbout, letterOf, type Unwritten, unwritten } from '@nubrin/core/handoff'
import type { Commission, Id } from '@nubrin/core/record'
import { itemAt, type Op } from '@nubrin/core/record/ops'
import type { Router } from 'express'
import { today } from '../base/ids'
import type { Commissions } from '../commissions/store'
import type { LetterRow, Tables } from '../db/models'
import { Conflict } from '../http/problem'
import { serve } from '../http/serve'
import { addressIn, type Outbox } from '../mail/outbox'
import { settingsOf } from '../people/settings'

interface With {
  db: Tables
  store: Commissions
  outbox: Outbox
}
type Letter = GoodOf<(typeof API)['letters']>[number]
const LACKS: Record<Unwritten, [path: string, says: string]> = {
  noClient: ['/client/name', 'No client is named to write to.'],
  noQuestion: ['/questions', 'Choose the questions that the letter is about.'],
  noAnswer: ['/questions', 'A question that is to be answered has no answer yet.'],
  noDay: ['/newly', 'Say the new day.'],
}
const shown = (l: LetterRow): Letter => ({
  ...{ id: l.id, kind: l.kind as Letter['kind'], subject: l.subject, text: l.text, to: l.toAddress, by: l.by },
  ...{ at: new Date(l.at).toISOString(), rests: l.rests as string[] },
})

/** Letters to clients: written from the record in their language, read by a person, and put into the outbox. Nothing is sent by itself. */
export function letterRoutes(r: Router, { db, store, outbox }: With): void {
  const written = (c: Commission, about: LetterAbout, shop: string) => {
    const lack = unwritten(c, about)
    if (lack) {
      const [path, says] = LACKS[lack]
      throw new Conflict(says, { path, rule: lack, message: says })
    }
    return letterOf(c, about, shop)
  }
  const toOf = (c: Commission) => addressIn(c.client.contact ?? '') ?? ''

  serve(r, API.letters, async ({ params, who }) => {
    await store.there(who.shopId, params.id)
    const rows = await db.letters.findAll({
      where: { commissionId: params.id },
      order: [
        ['at', 'ASC'],
        ['id', 'ASC'],
      ],
    })
    return rows.map(shown)
  })
  serve(r, API.draftLetter, async ({ params, body, who }) => {
    const { record } = await store.load(who.shopId, params.id)
    const { subject, text } = written(record, body as LetterAbout, who.shop)
    return { subject, text, to: toOf(record) }
  })
  serve(r, API.putLetter, async ({ params, body, who }) => {
    const { id, subject, text, ...about } = body
    const there = await db.letters.findOne({ where: { commissionId: params.id, id } })
    if (there) return shown(there)
    const { record, revision } = await store.load(who.shopId, params.id)
    const { rests } = written(record, about as LetterAbout, who.shop)
    const to = toOf(record)
    const { name, contact } = await settingsOf(db, who.shopId)
    const from = addressIn(contact)
    if (!to)
      throw new Conflict('The client has no address to write to: no e-mail address is named as contact.', {
        ...{ path: '/client/contact', rule: 'email', message: 'holds no e-mail address' },
        got: record.client.contact ?? '',
      })
    if (!from)
      throw new Conflict('The shop has no address to write from: its settings name no e-mail address as contact.', {
        ...{ path: '/settings/contact', rule: 'email', message: 'holds no e-mail address', got: contact },
      })
    // The record first: a letter whose promise was not moved would say what is not so.
    await store.change(who, params.id, revision, opsOf(record, about as LetterAbout, id, subject, who.name), {
      change: `letter-${id}`,
    })
    await outbox.put(`${id}-${params.id}`, {
      ...{ to: { name: record.client.name, address: to }, from: { name, address: from }, subject, text },
    })
    const row = {
      id,
      commissionId: params.id,
      kind: about.kind,
      subject,
      text,
      toAddress: to,
      rests,
      at: new Date(),
      by: who.name,
    }
    await db.letters.create(row)
    return shown(row)
  })
}

/** What a letter does to the record: it is in the log, its questions are asked, its delay moves the promise. */
function opsOf(c: Commission, about: LetterAbout, id: string, subject: string, by: string): Op[] {
  const on = today()
  const entry = (item: Partial<Commission['log'][number]> & { id: string }): Commission['log'][number] => ({
    ...{ on, by, text: subject, kind: 'told' },
    ...item,
    id: item.id.slice(0, 48) as Id<'entry'>,
  })
  const told = entry({ id: `lt-${id}` })
  const delay =
    about.kind === 'delay'
      ? entry({
          ...{ id: `dl-${id}`, kind: 'delay' },
          ...(about.reason ? { reason: about.reason } : {}),
          ...(c.deadline ? { promised: c.deadline } : {}),
          ...(about.newly ? { newly: about.newly } : {}),
        })
      : undefined
  const last = c.log.at(-1)?.id ?? null
  return [
    { op: 'insert', at: '/log', item: told, after: last },
    ...(delay ? [{ op: 'insert' as const, at: '/log', item: delay, after: told.id }] : []),
    ...(delay && about.newly ? [{ op: 'set' as const, at: '/deadline', value: about.newly, was: c.deadline }] : []),
    ...(about.kind === 'question'
      ? c.questions
          .filter((q) => about.questions?.includes(q.id) && !q.askedOn)
          .map((q) => ({ op: 'set' as const, at: `${itemAt('/questions', q.id)}/askedOn`, value: on }))
      : []),
  ]
}
