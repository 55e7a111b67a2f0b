/** Minutes of a day. */
export const DAY = 1440
/** So many days are looked ahead: three years. What would end later ends never. */
export const HORIZON = 1096
/** A day's work begins at nine. */
export const BEGINS = 9 * 60

/** When somebody works: hours by weekday, Monday first, and days on which not. */
export interface Hours {
  week: readonly number[]
  /** Days counted from today, on which not. */
  off: ReadonlySet<number>
  /** Hours more on some days. */
  more?: ReadonlyMap<number, number>
}

/** Somebody's working time as minutes counted from the beginning of today, day 0. */
export interface Calendar {
  /** How long each day's work is, and how much work lies before it. */
  minutes: Int32Array
  before: Int32Array
  /** The next day on which there is work, from a day on; HORIZON where there is none. */
  next: Int32Array
}

/** `weekday` is that of day 0: Monday is 0. A day has from 0 to 15 hours; what is said beyond that is held to it. */
export function calendarOf(hours: Hours, weekday: number): Calendar {
  const minutes = new Int32Array(HORIZON + 1)
  const before = new Int32Array(HORIZON + 1)
  const next = new Int32Array(HORIZON + 1).fill(HORIZON)
  for (let d = 0; d < HORIZON; d++) {
    const usual = hours.off.has(d) ? 0 : (hours.week[(weekday + d) % 7] ?? 0)
    minutes[d] = Math.round(60 * Math.min(15, Math.max(0, usual + (hours.more?.get(d) ?? 0))))
    before[d + 1] = before[d]! + minutes[d]!
  }
  for (let d = HORIZON - 1; d >= 0; d--) next[d] = minutes[d]! > 0 ? d : next[d + 1]!
  return { minutes, before, next }
}

export const NEVER = HORIZON * DAY
/** The first minute from t on at which there is work; NEVER where there is none any more. */
export function firstWork(c: Calendar, t: number): number {
  const d = Math.floor(t / DAY)
  if (d >= HORIZON) return NEVER
  const open = d * DAY + BEGINS
  if (c.minutes[d]! > 0 && t < open + c.minutes[d]!) return Math.max(t, open)
  const n = c.next[d + 1]!
  return n >= HORIZON ? NEVER : n * DAY + BEGINS
}
/** When the day's work ends that goes on at a minute. */
export const closes = (c: Calendar, t: number): number => {
  const d = Math.floor(t / DAY)
  return d * DAY + BEGINS + c.minutes[d]!
}
/** When work of so many minutes that begins at a working minute has been done; NEVER where the time is not enough. */
export function doneAt(c: Calendar, start: number, minutes: number): number {
  let d = Math.floor(start / DAY)
  const wanted = c.before[d]! + (start - d * DAY - BEGINS) + minutes
  while (d < HORIZON && c.before[d + 1]! < wanted) d++
  return d >= HORIZON ? NEVER : d * DAY + BEGINS + wanted - c.before[d]!
}
