import { plannedTests } from '@nubrin/core/proof'
import {
  blankCommission,
  blankSaber,
  type Commission,
  type Saber,
  WORK_OF_ALL,
  type WorkKind,
} from '@nubrin/core/record'
import { lasting, shareOf, WORK, WORK_OF_JOB } from '@nubrin/core/schedule'
import { MAKER, weekdayOf } from '@nubrin/core/units'
import { day, font, opening, part, pixelBlade, preset, screw, section, socket, tested } from './build'
import { SHOP } from './commissions'

/** A row of numbers that are the same every time the demo is filled. */
function luck(seed: number) {
  let n = 0
  const share = () => shareOf(seed, ++n * 7919)
  return {
    share,
    one: <T>(list: readonly T[]): T => list[Math.floor(share() * list.length)]!,
    between: (least: number, most: number) => least + Math.floor(share() * (most - least + 1)),
  }
}
type Luck = ReturnType<typeof luck>

/** A small saber with all that a year of figures needs: a hilt, a cell, a board, a speaker, a blade. */
function small(id: string, name: string, job: Saber['job'], by: Luck): Saber {
  const grip = by.between(130, 190)
  const colour = by.one(['#3f8fd6', '#58b368', '#c94b4b', '#c9a24b', '#8a63c9', '#d9d4c7'])
  return {
    ...blankSaber(() => `${id}-x`, name, job),
    id: `${id}-s`,
    hilt: {
      origin: by.one(['bought', 'kit', 'clientOwn', 'inherited'] as const),
      clearance: { value: 0.3, unit: 'mm', source: 'configured' },
      sections: [
        section({
          id: `${id}-a`,
          name: 'pommel',
          role: 'pommel',
          l: by.between(24, 38),
          o: 36,
          b: 29.5,
          joint: { kind: 'thread' },
        }),
        section({
          id: `${id}-b`,
          name: 'grip',
          role: 'grip',
          l: grip,
          o: by.between(34, 37),
          b: 29.4,
          joint: { kind: 'setScrew' },
        }),
        section({
          id: `${id}-c`,
          name: 'emitter',
          role: 'emitter',
          l: by.between(50, 66),
          o: by.between(36, 41),
          b: 25.5,
        }),
      ],
      fasteners: [screw(`${id}-f`, 'blade screw', 'M4', '2 mm', grip + 70, 0, {})],
      openings: [opening(`${id}-o`, 'pommel vents', 'vent', 9, 0, 8, 24)],
      sockets: [socket(`${id}-k`, `${id}-c`, 25.5, 45, [`${id}-f`])],
    },
    parts: [
      part(`${id}-p1`, by.one(['cell-18650-p', 'cell-18650-p15', 'cell-21700-hc']), 36),
      part(`${id}-p2`, by.one(['board-s', 'board-m']), 110),
      part(`${id}-p3`, by.one(['speaker-24-8-2', 'speaker-28-8-2']), 12),
      part(`${id}-p4`, 'sw-tact-6', 150),
    ],
    blades: [pixelBlade(`${id}-d`, 'duelling blade', `${id}-k`, 25.4, by.one([820, 920]))],
    fonts: [font(`${id}-n`, by.one(['Brook', 'Kiln', 'Long Night', 'Reedbed', 'Tide Mill', 'Anvil']))],
    presets: [preset(`${id}-q`, 'first', `${id}-n`, colour)],
  }
}

const CLIENTS = [
  ...['Anselm Dray', 'Brida Coulter', 'Corvin Hale', 'Dessa Marlowe', 'Edric Thorne', 'Fenna Ostler', 'Garrick Moss'],
  ...['Hesper Lowe', 'Ivo Tarrant', 'Jessamy Rook', 'Kester Vane', 'Lorne Abbot'],
]
const NAMES = [
  ...[
    'Wren Hollow',
    'Salt Beacon',
    'Kingsbarrow',
    'Quiet Harrow',
    'Millrace',
    'Fallow Star',
    'Copper Tarn',
    'Long Ferry',
  ],
  ...['Bramble Gate', 'North Sluice', 'Candle Moor', 'Greyling', 'Hobbin’s Oak', 'Sedge Light', 'Winter Ford', 'Oxbow'],
  ...[
    'Lantern Hythe',
    'Three Alders',
    'Cold Kiln',
    'Marrow Bridge',
    'Thistledown',
    'Barley Moon',
    'Old Weir',
    'Rookery',
  ],
  ...[
    'Pale Harbour',
    'Fenwick’s Pride',
    'Ashlar',
    'Stone Curlew',
    'Heron’s Gift',
    'Tallow Lane',
    'Bitter Spring',
    'Far Acre',
  ],
] as const

/** The next day on which somebody works, so many working days after another. */
function workday(from: string, n: number): string {
  let at = from
  for (let left = n; left > 0; ) {
    at = day(at, 1)
    if (weekdayOf(at) < 5) left--
  }
  return at
}

/** How long the demo shop takes beside the rule of thumb: it wires faster and proves slower. */
const PACE: Partial<Record<WorkKind, number>> = { wire: 0.8, prove: 1.5, setUp: 1.2, film: 1.3 }
const HELPS: readonly WorkKind[] = ['measure', 'bore', 'print', 'finish', 'pack']

/** Hours of the log, kind by kind, from a day on; gives the day after the last. */
function logged(c: Commission, kinds: readonly WorkKind[], from: string, by: Luck): string {
  let on = from
  for (const kind of kinds) {
    const hours = lasting({ median: WORK[kind].hours * (PACE[kind] ?? 1), spread: 1.4 }, 0, by.share())
    const who = HELPS.includes(kind) && by.share() < 0.6 ? SHOP.second : SHOP.maker
    c.log.push({
      ...{ id: `${c.id}-l${c.log.length}`, on, text: '', kind: 'work', by: who, work: kind },
      ...(WORK_OF_ALL.some((k) => k === kind) ? {} : { saber: c.sabers[0]!.id }),
      hours: Math.round(hours * 10) / 10 || 0.1,
    })
    on = workday(on, hours > 5 ? 2 : 1)
  }
  return on
}

/** What the demo shop's strips and boards really draw: less than the datasheets say, and one lot more than the others. */
const DRAWS: Readonly<Record<string, number>> = {
  'lit-current': -0.14,
  'peak-current': -0.1,
  'sleep-current': 0.06,
  mass: 0.03,
}

/** A saber as it was handed over: built in, its board measured, its figures read on the bench. */
function measuredOn(s: Saber, on: string, by: Luck): Saber {
  const lot = by.one(['B-77', 'B-79'])
  const parts = s.parts.map((p) => {
    const idle = p.specs.idleCurrent
    if (p.kind !== 'board' || !idle?.value) return { ...p, fittedOn: on }
    const value = idle.value * (lot === 'B-79' ? 1.24 : 0.93) * (1 + (by.share() - 0.5) * 0.06)
    const measured = { ...idle, value: Math.round(value * 10) / 10, source: 'measured' as const, with: 'bench meter' }
    return { ...p, lot, fittedOn: on, specs: { ...p.specs, idleCurrent: measured } }
  })
  const built = { ...s, parts }
  const tests = plannedTests(MAKER, built).flatMap((p, i) => {
    const e = p.test.key in DRAWS ? p.predicts?.() : undefined
    if (!e) return []
    const share = DRAWS[p.test.key]! + (by.share() - 0.5) * 0.12
    const { min: _min, max: _max, ...test } = p.test
    return [
      tested(
        `${s.id}-t${i}`,
        test.key,
        test.what,
        `${on}T10:00:00Z`,
        SHOP.maker,
        {
          value: Number((e.value * (1 + share)).toPrecision(3)),
        },
        { ...(test.unit ? { unit: test.unit } : {}) },
      ),
    ]
  })
  return { ...built, tests }
}

/** What clients ask again and again. */
const ASKED = [
  'How do I charge it?',
  'May it get wet?',
  'How do I make it quieter?',
  'Which spare cell may I buy?',
] as const
/** Some come back within weeks. */
function cameBack(s: Saber, on: string, today: string, by: Luck): Saber {
  if (by.share() > 0.18 || on > today) return s
  const place = s.parts.find((p) => p.kind === by.one(['switch', 'board'] as const))
  const repair = {
    ...{ id: `${s.id}-r`, on, fix: 'new wire, routed clear', retest: [] },
    ...{ cause: 'a wire was pinched', ...(place ? { place: `part:${place.id}` as const } : {}) },
  }
  return { ...s, repairs: [repair] }
}

function begun(id: string, title: string, client: string, job: Saber['job'], by: Luck): Commission {
  const c = blankCommission(() => id, {
    title,
    client,
    job,
    purpose: by.one(['display', 'duelling', 'costume'] as const),
  })
  return { ...c, sabers: [small(id, title, job, by)] }
}

/** What was handed over in the year behind: small, but with its hours, questions and parts. */
function handedOver(today: string): Commission[] {
  const by = luck(4)
  return Array.from({ length: 26 }, (_, i): Commission => {
    const job = by.one(['install', 'install', 'conversion', 'repair', 'scratch'] as const)
    const c = begun(`year-${i + 1}`, NAMES[i]!, CLIENTS[(i * 5) % CLIENTS.length]!, job, by)
    const ordered = day(today, -360 + i * 13)
    const asked = workday(ordered, by.between(1, 4))
    c.questions = [
      {
        ...{
          id: `${c.id}-u`,
          text: by.one([
            'Which blade length?',
            'Which of the two reds?',
            'How loud may it be?',
            'With or without display?',
          ]),
        },
        ...{
          askedOn: asked,
          answeredOn: day(asked, by.between(1, 9)),
          answer: by.one(['The first.', 'As you think best.', 'The shorter one.']),
        },
        blocks: false,
      },
    ]
    if (by.share() < 0.4)
      c.questions.push({
        ...{ id: `${c.id}-v`, text: by.one(ASKED), askedBy: 'client', askedOn: day(ordered, 40), blocks: false },
        ...(by.share() < 0.8 ? { answer: 'Answered by letter.', answeredOn: day(ordered, 42) } : {}),
      })
    const end = logged(c, [...WORK_OF_JOB[job].filter((k) => k !== 'print'), ...WORK_OF_ALL], asked, by)
    const late = by.share() < 0.25
    return {
      ...c,
      ...{ ordered, shipped: end, deadline: day(end, late ? -by.between(1, 6) : by.between(0, 5)), brief: '' },
      sabers: c.sabers.map((s) => cameBack(measuredOn(s, end, by), day(end, 30), today, by)) as Commission['sabers'],
    }
  })
}

/** What is open beside the larger ones: as far as it has come, and what it waits for. */
function underWay(today: string): Commission[] {
  const by = luck(9)
  const plans: [title: string, client: string, job: Saber['job'], due: number, done: number][] = [
    ['Marsh Lantern', 'Hesper Lowe', 'install', 3, 4],
    ['Gull Rock', 'Ivo Tarrant', 'conversion', 7, 2],
    ['Second Harrow', 'Anselm Dray', 'install', 15, 0],
    ['Stillwater', 'Fenna Ostler', 'repair', 5, 0],
    ['Kestrel Down', 'Brida Coulter', 'scratch', 34, 1],
  ]
  return plans.map(([title, client, job, due, done], i) => {
    const c = begun(`open-${i + 1}`, title, client, job, by)
    const kinds = WORK_OF_JOB[job].filter((k) => k !== 'print')
    logged(c, kinds.slice(0, done), day(today, -2 * done - 6), by)
    const built = done >= 4
    return {
      ...c,
      ...{ ordered: day(today, -20 - i * 3), deadline: day(today, due), brief: '' },
      work: kinds.slice(0, done).map((kind) => ({
        ...{ id: `${c.id}-w-${kind.toLowerCase()}`, kind, saber: c.sabers[0]!.id },
        ...{ doneOn: day(today, -3), doneBy: SHOP.maker },
      })),
      sabers: c.sabers.map((s) => ({
        ...s,
        parts: [
          ...s.parts.map((p) => (built ? { ...p, fittedOn: day(today, -4) } : p)),
          // Chosen, and none in hand.
          ...(title === 'Second Harrow' ? [part(`${c.id}-p5`, 'oled-069', null)] : []),
        ],
      })),
    }
  })
}

/** A smaller shelf of commissions: what the demo shop did in a year, and what else is open. */
export const demoYear = (today: string): Commission[] => [...underWay(today), ...handedOver(today)]

/** When the two work: one all week, the other some afternoons, and away for two days next week. */
export const demoWorks = (today: string) => ({
  [SHOP.maker]: { week: [7, 7, 7, 7, 5, 0, 0], skills: [], off: [] },
  [SHOP.second]: {
    ...{ week: [4, 4, 0, 4, 4, 5, 0], skills: [...HELPS, 'wire' as const] },
    off: [{ from: day(today, 7), to: day(today, 8) }],
  },
})

/** A line of an order, as the server keeps it. */
export interface DemoLine {
  id: string
  catalogueId: string
  name: string
  supplier: string
  quantity: number
  commissionId: string | null
  partId: string | null
  orderedOn: string
  expectedOn: string | null
  arrivedOn: string | null
  lot: string | null
}
/** What was ordered: a year of arrivals, something that is late, something that is on its way. */
export function demoOrders(today: string, open: readonly Commission[]): DemoLine[] {
  const by = luck(16)
  const past = Array.from({ length: 34 }, (_, i): DemoLine => {
    const [catalogueId, name, supplier, days] = by.one([
      ['cell-18650-p', 'cell 18650, protected', 'Tarn Cell Works', 6],
      ['speaker-28-8-2', 'speaker 28 mm', 'Oxbow Cones', 12],
      ['board-m', 'sound board, medium', 'Lantern Circuit Guild', 17],
      ['tube-1-20-920', 'blade tube', 'Quillet & Daughters', 4],
    ] as const)
    const orderedOn = day(today, -355 + i * 10)
    const lead = Math.round(lasting({ median: days, spread: 1.35 }, 0, by.share()))
    return {
      ...{
        id: `line-${i + 1}`,
        catalogueId,
        name,
        supplier,
        quantity: by.between(1, 6),
        commissionId: null,
        partId: null,
      },
      ...{ orderedOn, expectedOn: day(orderedOn, days), arrivedOn: day(orderedOn, Math.max(1, lead)) },
      lot: `${name.slice(0, 1).toUpperCase()}-${2500 + i}`,
    }
  }).filter((l) => l.arrivedOn! <= today)
  const speaker = open.find((c) => c.id === 'open-2')?.sabers[0]?.parts.find((p) => p.kind === 'speaker')
  const coming: DemoLine[] = speaker?.catalogue
    ? [
        {
          ...{
            id: 'line-late',
            catalogueId: speaker.catalogue,
            name: speaker.name,
            supplier: 'Oxbow Cones',
            quantity: 1,
          },
          ...{ commissionId: 'open-2', partId: speaker.id, orderedOn: day(today, -16), expectedOn: day(today, -4) },
          ...{ arrivedOn: null, lot: null },
        },
      ]
    : []
  return [...past, ...coming]
}
