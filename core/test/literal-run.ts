import { type Guesses, lasting, type ShopState, type Stretch, type Work } from '@nubrin/core/schedule'
import { weekdayOf } from '@nubrin/core/units'

const DAY = 1440
interface Job {
  work: Work
  open: number
  left: number
  ready: number
  begun?: string
  endedAt?: number
}
const dayText = (today: string, d: number) => new Date(Date.parse(today) + d * 86_400_000).toISOString().slice(0, 10)
const daysFrom = (today: string, day: string) => (Date.parse(day) - Date.parse(today)) / 86_400_000

/**
 * The rule as it is said, minute by minute: whoever is free and at work takes, of what is ready and what he can do, what stands
 * first; what he has begun he ends before he takes another. Everything takes as long as it does half of the time.
 */
export function literalRun(shop: ShopState, guesses: Guesses, days: number): Stretch[] {
  const jobs: Job[] = shop.open.flatMap((o, open) =>
    o.work
      .filter((w) => !w.done)
      .map((work): Job => {
        const coming = shop.coming.find((c) => c.commission === o.id && work.waits.some((x) => x.id === c.part))
        const already = coming?.orderedOn ? Math.max(0, daysFrom(coming.orderedOn, shop.today)) : 0
        const comes = coming
          ? Math.ceil(lasting(guesses.leadOf(coming.supplier), already, 0.5) - already) * DAY + 12 * 60
          : 0
        const set = work.on ? Math.max(0, daysFrom(shop.today, work.on)) * DAY + 9 * 60 : 0
        const left = Math.max(1, Math.round(60 * (lasting(guesses.hoursOf(work), work.spent, 0.5) - work.spent)))
        return { work, open, left, ready: Math.max(comes, set) }
      }),
  )
  const people = shop.people.toSorted(
    (a, b) => (a.skills.length || 99) - (b.skills.length || 99) || (a.name < b.name ? -1 : 1),
  )
  const can = (p: ShopState['people'][number], w: Work) => {
    if (w.person) return p.name === w.person
    const kind = w.kind === 'toDo' ? w.like : w.kind
    return !kind || !p.skills.length || p.skills.includes(kind)
  }
  const freeOf = (j: Job, t: number) =>
    t >= j.ready &&
    j.work.after.every((k) => {
      const before = jobs.find((x) => x.open === j.open && x.work.key === k)
      return !before || (before.endedAt !== undefined && t >= before.endedAt + before.work.cures * 60)
    })
  const worked = new Map<string, number[]>()
  for (let t = Math.max(shop.minute, 1); t < days * DAY; t++) {
    const d = Math.floor(t / DAY)
    const minute = t - d * DAY
    const today = dayText(shop.today, d)
    for (const p of people) {
      const off = p.off.some((o) => o.from <= today && today <= o.to)
      const hours = off ? 0 : p.week[(weekdayOf(shop.today) + d) % 7]!
      if (minute < 540 || minute >= 540 + hours * 60) continue
      let mine = jobs.find((j) => j.begun === p.name && j.endedAt === undefined)
      if (!mine) {
        mine = jobs.find((j) => !j.begun && freeOf(j, t) && can(p, j.work))
        if (mine) mine.begun = p.name
      }
      if (!mine) continue
      const key = `${p.name}|${jobs.indexOf(mine)}|${d}`
      worked.set(key, [...(worked.get(key) ?? []), minute])
      if (--mine.left === 0) mine.endedAt = t + 1
    }
  }
  // What is not ended within the days is not on the plan.
  return [...worked]
    .map(([key, minutes]): Stretch => {
      const [person, item, day] = key.split('|') as [string, string, string]
      return { person, item: Number(item), day: Number(day), from: minutes[0]!, to: minutes.at(-1)! + 1 }
    })
    .filter((s) => jobs[s.item]!.endedAt !== undefined)
    .sort((a, b) => a.day - b.day || a.from - b.from || a.person.localeCompare(b.person))
}
