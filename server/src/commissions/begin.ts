import type { Api, BodyOf } from '@nubrin/core/api'
import { asCopy, blankCommission, type Commission, unconfirmed, withoutSpecimen } from '@nubrin/core/record'
import { newId, today } from '../base/ids'
import type { Client } from '../db/models'

const fresh = () => newId('n')

/** A new commission, with what the shop knows of its client. */
export function blankFor(body: BodyOf<Api['begin']>, client: string, known: Client | null): Commission {
  const record = blankCommission(fresh, {
    title: body.title.trim(),
    client,
    job: body.job ?? 'install',
    purpose: body.purpose ?? 'display',
    ordered: today(),
  })
  if (known)
    record.client = {
      name: known.name,
      ...(known.country ? { country: known.country } : {}),
      ...(known.contact ? { contact: known.contact } : {}),
      ...(known.note ? { note: known.note } : {}),
    }
  return record
}

/** A commission begun from a model sheet: everything measured on another saber has to be confirmed on this one. */
export function beginFrom(record: Commission, model: Commission): Commission {
  const sabers = asCopy(model, fresh).sabers.map((s, i) => ({
    ...withoutSpecimen(s, i === 0 ? record.title : s.name, record.job),
    ...unconfirmed({ hilt: s.hilt, parts: withoutSpecimen(s, s.name, s.job).parts, blades: s.blades }),
  }))
  return { ...record, sabers }
}

/** A model sheet: a commission without a client, that keeps what was measured. */
export function modelOf(from: Commission, saber: number, title: string): Commission {
  const copy = asCopy(from, fresh).sabers[saber]!
  const record = blankCommission(fresh, { title: title.trim(), client: '', job: 'model', purpose: from.purpose })
  record.sabers = [withoutSpecimen(copy, title.trim(), 'model')]
  return record
}
