// The clocks under which tests that read a day are run. Each is the next of its kind, since a browser takes no cookie of the past.
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const DAY = 86_400_000
/** The first moment after `from`, by days at an hour of UTC, that is as wanted. */
function next(from, hour, minute, wanted) {
  for (let n = 0; n < 9 * 366; n++) {
    const d = new Date(Math.floor(from / DAY) * DAY + n * DAY + (hour * 60 + minute) * 60_000)
    if (d.getTime() > from && wanted(d)) return d
  }
  throw new RangeError('no such day')
}
const isDay = (month, day) => (d) => d.getUTCMonth() + 1 === month && d.getUTCDate() === day
const lastSunday = (month) => (d) => d.getUTCMonth() + 1 === month && d.getUTCDay() === 0 && d.getUTCDate() > 24

/** Eight days on which something goes wrong, each with where one is. */
export function clocksAfter(now) {
  return [
    { name: 'the 29th of February', at: next(now, 12, 0, isDay(2, 29)), zone: 'UTC' },
    { name: 'the last of December', at: next(now, 22, 30, isDay(12, 31)), zone: 'UTC' },
    { name: 'the first of January', at: next(now, 0, 30, isDay(1, 1)), zone: 'UTC' },
    { name: 'the 30th', at: next(now, 9, 0, (d) => d.getUTCDate() === 30), zone: 'UTC' },
    // Ten minutes before the clock goes on from two to three, and back from three to two.
    { name: 'summer time begins', at: next(now, 0, 50, lastSunday(3)), zone: 'Europe/Berlin' },
    { name: 'summer time ends', at: next(now, 0, 50, lastSunday(10)), zone: 'Europe/Berlin' },
    // Where it is another day than in UTC.
    { name: 'west of UTC', at: next(now, 3, 0, (d) => d.getUTCDate() === 1), zone: 'America/Los_Angeles' },
    { name: 'east of UTC', at: next(now, 20, 0, (d) => d.getUTCDate() === 12), zone: 'Pacific/Auckland' },
  ]
}

const first = join(dirname(fileURLToPath(import.meta.url)), 'shift-clock.mjs')
/** What a process is given so that it, and every process it starts, goes by a clock. */
export const envOf = ({ name, at, zone }, now) => ({
  TZ: zone,
  NUBRIN_CLOCK: name,
  NUBRIN_CLOCK_SHIFT: String(at.getTime() - now),
  // For processes that a test starts with options of their own.
  NUBRIN_CLOCK_NODE: `--import=${pathToFileURL(first).href}`,
})
