import { known } from '../facts'
import { KINDS, type SpecKey } from '../parts'
import { latest, plannedTests } from '../proof'
import { type Commission, nameIn, partsOfRef, RATINGS, type Saber, type Test } from '../record'
import { MAKER } from '../units'

/** A figure that was predicted and then measured on a saber. */
export interface Compared {
  /** Which figure it is, whatever saber it is of: `sleep-current`, `extend`. */
  of: string
  what: string
  unit: string
  saber: string
  predicted: number
  measured: number
  on: string
  /** Rows of the shelf that it rests on, with their lots. */
  rows: { row: string; lot?: string }[]
}
/** A figure of a part from the shelf, measured on the part itself. */
export interface Own {
  row: string
  spec: SpecKey
  value: number
  saber: string
  lot?: string
}
/** Something that happened: a test that failed at first, a return with its cause, a slip of a film, a client's question. */
export interface Happened {
  is: 'failed' | 'returned' | 'slip' | 'asked'
  what: string
  on?: string
}
export interface Learned {
  compared: Compared[]
  own: Own[]
  happened: Happened[]
  /** What of this client the next saber should know: by what his records show. */
  habits: ('inches' | 'ownCharger' | 'reprograms' | 'duels')[]
}

/** What a figure is called, whatever saber it is of; of the others the test's own words are used. */
const NAMES: Readonly<Record<string, string>> = {
  'sleep-current': 'Current asleep',
  'lit-current': 'Current with the blade lit',
  'peak-current': 'Highest current',
  'far-led': 'Voltage at the last pixel',
  'cell-volts': 'Cell voltage',
  extend: 'Time to extend',
  play: 'Play of the blade in its socket',
  mass: 'Weight, ready to use',
  volume: 'Volume as shipped',
}
/** The figure that a test is of, without whose it is. */
const figureOf = (t: Pick<Test, 'key' | 'place'>): string => {
  const id = t.place && partsOfRef(t.place)?.id
  return id && t.key.endsWith(`-${id}`) ? t.key.slice(0, -id.length - 1) : t.key
}

function comparedIn(s: Saber): Compared[] {
  const measured = new Map(s.tests.map((t) => [t.key, latest(t)]))
  return plannedTests(MAKER, s).flatMap((p): Compared[] => {
    const reading = measured.get(p.test.key)
    if (!p.predicts || reading?.value === undefined) return []
    const e = p.predicts()
    if (!e?.value) return []
    const parts = p.rests.flatMap((r) => {
      const at = partsOfRef(r)
      return at?.kind === 'part' ? s.parts.filter((x) => x.id === at.id) : []
    })
    return [
      {
        ...{ of: figureOf(p.test), unit: e.unit, saber: s.name },
        what: NAMES[figureOf(p.test)] ?? p.test.what,
        ...{ predicted: e.value, measured: reading.value, on: reading.at.slice(0, 10) },
        rows: parts.flatMap((x) => (x.catalogue ? [{ row: x.catalogue, ...(x.lot ? { lot: x.lot } : {}) }] : [])),
      },
    ]
  })
}

/** What is held against a rating: a lower mean would make what is checked look safer than the sheet says. */
const AGAINST_RATINGS: ReadonlySet<SpecKey> = new Set([
  'channelCurrent',
  'forwardVolts',
  'impedance',
  'resistance',
  'ohms',
  'maxOutputVoltsRms',
])
/**
 * Ratings are not learnt: what a cell or a switch may carry is not seen by measuring what it carries. Nor is what is held against
 * one: how that stands is seen in predicted against measured, and the shelf keeps what the sheet says.
 */
const ownIn = (s: Saber): Own[] =>
  s.parts.flatMap((p) =>
    (Object.keys(p.specs) as SpecKey[]).flatMap((spec): Own[] => {
      const f = p.specs[spec]
      const value = known(f)
      if (!p.catalogue || f?.source !== 'measured' || value === undefined) return []
      if (RATINGS.has(spec) || AGAINST_RATINGS.has(spec)) return []
      return [{ row: p.catalogue, spec, value, saber: s.name, ...(p.lot ? { lot: p.lot } : {}) }]
    }),
  )

function happenedIn(c: Commission): Happened[] {
  const where = (ref: string | undefined): string => {
    const at = ref ? partsOfRef(ref) : undefined
    const part = at?.kind === 'part' ? c.sabers.flatMap((s) => s.parts).find((p) => p.id === at.id) : undefined
    return part ? KINDS[part.kind].label : ((ref && nameIn(c, ref as never)) ?? '')
  }
  const tests = c.sabers.flatMap((s) =>
    s.tests.flatMap((t): Happened[] => {
      const first = t.readings.toSorted((a, b) => a.at.localeCompare(b.at))[0]
      return first && !first.pass ? [{ is: 'failed', what: t.what, on: first.at.slice(0, 10) }] : []
    }),
  )
  const back = c.sabers.flatMap((s) =>
    s.repairs
      .filter((r) => c.shipped !== undefined && r.on > c.shipped)
      .map((r): Happened => ({ is: 'returned', what: [where(r.place), r.cause].filter(Boolean).join(': '), on: r.on })),
  )
  const slips = c.sabers.flatMap((s) =>
    s.takes.flatMap((t) =>
      (t.slips ?? []).map((x): Happened => ({ is: 'slip', what: x.text?.trim() || x.kind, on: t.at.slice(0, 10) })),
    ),
  )
  const asked = c.questions
    .filter((q) => q.askedBy === 'client')
    .map((q): Happened => ({ is: 'asked', what: q.text, ...(q.askedOn ? { on: q.askedOn } : {}) }))
  return [...tests, ...back, ...slips, ...asked]
}

/** What a record teaches: predicted against measured, what was measured of parts, what went wrong, and whom it is for. */
export function learnedFrom(c: Commission): Learned {
  const readers = new Set(c.sabers.flatMap((s) => s.telling?.readers ?? []))
  const charger = c.sabers.some((s) => s.items.some((i) => i.kind === 'charger' && i.supplied === 'client'))
  return {
    compared: c.sabers.flatMap(comparedIn),
    own: c.sabers.flatMap(ownIn),
    happened: happenedIn(c),
    habits: [
      ...(c.client.measures === 'inch' ? (['inches'] as const) : []),
      ...(charger ? (['ownCharger'] as const) : []),
      ...(readers.has('reprograms') ? (['reprograms'] as const) : []),
      ...(readers.has('duels') || c.purpose === 'duelling' ? (['duels'] as const) : []),
    ],
  }
}
