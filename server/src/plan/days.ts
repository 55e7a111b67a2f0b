import { type Work, workName } from '@nubrin/core/schedule'
import type { Stock } from '@nubrin/core/stock'
import ical, { ICalCalendarMethod } from 'ical-generator'

interface Days {
  shop: string
  open: readonly { id: string; title: string; client: string; promise?: string; work: readonly Work[] }[]
  stock: Stock
}

/** Promises, arrivals and days that work is set for, a whole day each, as calendars read them. */
export function daysOf({ shop, open, stock }: Days): string {
  const calendar = ical({
    name: shop,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'nubrin', product: 'plan' },
  })
  const day = (id: string, on: string, summary: string, description?: string) =>
    calendar.createEvent({
      ...{ id: `${id}@nubrin`, start: new Date(`${on}T00:00:00Z`), allDay: true, timezone: 'UTC', summary },
      ...(description ? { description } : {}),
    })
  for (const o of open) {
    if (o.promise) day(`promise-${o.id}`, o.promise, `${o.title} promised`, o.client)
    for (const w of o.work)
      if (w.on && !w.done) day(`work-${o.id}-${w.key.replace('/', '-')}`, w.on, `${o.title}: ${workName(w.kind)}`)
  }
  const lines = new Map(
    stock.standings.flatMap(({ had, chosen }) =>
      had.is === 'ordered' ? [[had.line.id, { line: had.line, chosen }] as const] : [],
    ),
  )
  for (const { line, chosen } of lines.values())
    if (line.expectedOn)
      day(`arrival-${line.id}`, line.expectedOn, `${chosen.name} from ${line.supplier}`, chosen.title)
  return calendar.toString()
}
