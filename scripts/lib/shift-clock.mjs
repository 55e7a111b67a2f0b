// Loaded first by every process of a test run under another clock: what asks for the time hears another day.
// The same few lines serve Node (by --import), the tests' own realms and the page.

/** Makes a realm's Date run `ms` later. Everything else about it, and whatever is made of a given moment, stays as it is. */
export function shiftClock(realm, ms) {
  const Real = realm.Date
  const now = () => Real.now() + ms
  realm.Date = new Proxy(Real, {
    construct: (target, given, as) => Reflect.construct(target, given.length ? given : [now()], as),
    apply: () => new Real(now()).toString(),
    get: (target, key, receiver) => (key === 'now' ? now : Reflect.get(target, key, receiver)),
  })
}

const shift = typeof process === 'undefined' ? 0 : Number(process.env.NUBRIN_CLOCK_SHIFT ?? 0)
if (shift) shiftClock(globalThis, shift)
