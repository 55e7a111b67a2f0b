import { describe, expect, test } from '@jest/globals'
import { buildHandoff, drawnSaber, handedSaber } from '@nubrin/core/handoff'
import { readCommission, writeCommission } from '@nubrin/core/import'
import { hueWord } from '@nubrin/core/light'
import type { Commission } from '@nubrin/core/record'
import { dayText, MAKER } from '@nubrin/core/units'
import { drawn } from './drawn'
import { full } from './full'
import { demo, TODAY } from './samples'

/** A colour is said in words and shown, never spelled. */
const isColour = (says: string) => /^#[0-9a-f]{6}$/.test(says)
/** Words and days that no client reads, each with the reason. `*` stands for any steps. */
const INWARD: [string, string][] = [
  ['*/shopNote', 'the shop’s own note'],
  ['*/shopWhy', 'why the shop has it so'],
  ['*/readings/files/*', 'read off the card itself'],
  ['*/readings/unreadable', 'counted; which they are is the shop’s'],
  ['*/readings/configuration/*', 'read off the card itself'],
  ['/id', 'the address of the record'],
  ['/client/id', 'the shop’s own number of the client'],
  ['/client/name', 'page and paper speak to whoever receives it; here that is somebody else'],
  ['/client/country', 'where it is sent is on the parcel'],
  ['/client/contact', 'how the client is reached is the shop’s'],
  ['/client/note', 'what the shop knows of the client'],
  ['/translations/*', 'stand in the record of a client who reads another language; see told.test'],
  ['/ordered', 'days of the order are on its bill'],
  ['/deadline', 'days of the order are on its bill'],
  ['/shipped', 'the record is dated itself'],
  ['/requests/rank', 'how wishes are weighed is the shop’s'],
  ['/parcels/carrier', 'the row of the carriers’ rules'],
  ['/parcels/confirmed*', 'who confirmed what to the carrier is the shop’s'],
  ['/handoff/receipts/*', 'what the client himself has read'],
  ['/questions/to', 'a question to somebody else is not the client’s'],
  ['/questions/text', 'put to somebody else in the full record'],
  ['/questions/answer', 'put to somebody else in the full record'],
  ['/questions/askedOn', 'the answer counts, not the day of asking'],
  ['/questions/answeredOn', 'the answer counts, not its day'],
  ['/log/*', 'the shop’s own log'],
  ['/packing/key', 'what a line was drafted from'],
  ['/media/*', 'pictures are shown, not spelled'],
  ['/handoff/issued/*', 'earlier records'],
  ['*/waivers/key', 'which finding was set aside'],
  ['*/leftOut/key', 'which topic was left out'],
  ['/work/*', 'what is said of the work is the shop’s'],
  ['*/parts/reservedOn', 'what was laid aside when is the shop’s'],
  ['*/parts/fittedOn', 'what was built in when is the shop’s'],
  ['/toDos/*', 'the client reads only what is his to do; see the test below'],
  ['*/parts/catalogue', 'the row of the shelf'],
  ['/sabers/name', 'with one saber the title is its name'],
  ['*/sections/name', 'the parts of the hilt are named where something is said of them'],
  ['*/openings/name', 'named in the drawing and where something is said of them'],
  ['*/fasteners/thread', 'the key is what a hand needs'],
  ['*/fasteners/confirmed', 'who looked at a screw is the shop’s'],
  ['*/access/looked/*', 'who went through a procedure is the shop’s'],
  ['*/parts/dies/colour', 'told by its name: red, teal'],
  ['*/parts/name', 'what is told is what it does; names stand where something is said of it'],
  ['*/parts/key', 'the box names the key'],
  ['*/parts/landmark', 'said in the steps and the caution of the cell'],
  ['*/blades/tip', 'the blade is told by its size'],
  ['*/blades/diffusion', 'the blade is told by its size'],
  ['*/fonts/sounds/*', 'sounds are heard'],
  ['*/fonts/from', 'where the shop has it from is the shop’s'],
  ['*/fonts/library', 'the row of the shop’s library'],
  ['*/inputs/name', 'said in the gestures of the controls'],
  ['*/controls/says', 'said in the controls'],
  ['*/controls/standard', 'how it reads in the shop’s standard'],
  ['*/tests/key', 'which element the test is of'],
  ['*/tests/readings/rested', 'marks to know a change by'],
  ['*/repairs/at', 'printed as a day'],
  ['*/tests/readings/by', 'who read it is the shop’s'],
  ['*/tests/readings/with', 'with what it was read is the shop’s'],
  ['*/tests/readings/at', 'printed as a day'],
  ['*/beats/doText', 'what the maker does on camera'],
  ['*/beats/expect', 'what the maker looks for on camera'],
  ['*/beats/covers', 'which topics a beat tells'],
  ['*/takes/*', 'films are the shop’s'],
  ['*/telling/differs', 'said in the words of the beat'],
  ['*/spoken/name', 'said in the steps and the words of the beats'],
  ['*/losses/cost', 'what a spoilt part cost is the shop’s'],
  ['/aside/*', 'what came from an older file'],
]
const matches = (at: string, pattern: string) =>
  new RegExp(`^${pattern.replace(/[/.]/g, '\\/').replaceAll('*', '.*')}($|\\/)`).test(at)

const { record, leaves, choices } = full()
/** What says a thing in two ways says it in one: a test with figures wants them, one without wants words, one not done says why. */
const inWords = structuredClone(record)
for (const t of inWords.sabers[0]!.tests) {
  delete t.min
  delete t.max
  for (const r of t.readings) delete r.value
}
const undone = structuredClone(record)
for (const t of undone.sabers[0]!.tests) t.readings = []
/**
 * What is said of hands hangs on acts that a saber has: the finished one, with what the full record says of a joint and of an act
 * put on its pommel, one at a time.
 */
function inHand(c: Commission): Commission[] {
  const [proc] = c.sabers[0]!.access
  const [joint] = c.sabers[0]!.joints
  const { act: _a, place: _p, back: _b, does: _d, ...words } = proc!.steps[0]!
  const { how: _h, towards: _t, held: _e, after: _f, who: _w, dark: _k, hand: _n, ...says } = joint!
  const of = (change: (s: Commission['sabers'][number]) => void) => {
    const x = demo('reed-warden')
    x.sabers[0]!.access = []
    change(x.sabers[0]!)
    return x
  }
  const steps = [{ ...words, act: { do: 'takeOff' as const, at: 'section:rw-pommel' as const } }]
  return [
    of((s) => void (s.access = [{ id: 'said', goal: 'cell', at: 'part:rw-p2', steps }])),
    of((s) => void (s.joints = [{ ...says, body: 'section:rw-pommel' }])),
  ]
}
let said: string | undefined
/** What stands in the documents of all three; written when the first test asks. */
const text = (): string => {
  said ??= [record, inWords, undone, ...inHand(record)]
    .map((c) => JSON.stringify(buildHandoff(c, 'Shop', TODAY)))
    .join('\n')
  return said
}

describe('a record with every field filled', () => {
  test('is a record of this version, and goes out and in again as it is', () => {
    const read = readCommission(writeCommission(record))
    if (!read.ok) throw new Error(JSON.stringify(read.problems.slice(0, 5)))
    expect(read.record).toEqual(record)
    expect(leaves.length).toBeGreaterThan(300)
  })
  const worded = leaves.filter((l) => l.says !== '#' && l.says !== 'EUR' && !isColour(l.says))
  test.each(worded.map((l) => [l.at, l.says] as const))('%s is on paper, or has a reason not to be', (at, says) => {
    const why = INWARD.filter(([p]) => matches(at, p))
    const there = text().includes(dayText(MAKER, says))
    if (!there) expect(`${at}: ${why.length ? 'a reason' : 'dropped'}`).toBe(`${at}: a reason`)
  })
  test('every reason is of a field that there is', () => {
    for (const [p] of INWARD.filter(([q]) => q !== '/aside/*'))
      expect(`${p}: ${leaves.some((l) => matches(l.at, p))}`).toBe(`${p}: true`)
  })
  test('no note of the shop is on paper, whatever else is', () => {
    const inward = worded.filter((l) => l.at.endsWith('/shopNote'))
    expect(inward.length).toBeGreaterThan(15)
    for (const l of inward) expect(text()).not.toContain(l.says)
  })
  // Each of them makes the document anew: a share of those of every list.
  const some = drawn(choices, 1 / 2, (c) => [c.way.split('/').slice(1, 3).join('/')])
  test.each(some.map((c) => [c.way, c.words] as const))('%s: none of its keys reaches a reader', (way, words) => {
    const at = way.split('/').slice(1)
    const last = at.pop()!
    for (const word of words.filter((w) => /[a-z][A-Z]/.test(w))) {
      const c = structuredClone(record)
      let home = c as unknown as Record<string, unknown>
      for (const step of at) home = home[step] as Record<string, unknown>
      home[last] = word
      // Where the maker's own words would stand before it, they are taken away.
      if (last === 'does') delete home.says
      const { chapters } = buildHandoff(c, 'Shop', TODAY)
      const said = JSON.stringify(chapters).replace(/"(id|kind|saber|which|ref|task|goal)":"[^"]*"/g, '')
      expect(said.includes(word) ? `${way}: ${word}` : '').toBe('')
    }
  })
  test('what travels to be drawn carries no words but names', () => {
    const drawn = JSON.stringify(drawnSaber(record.sabers[0]!))
    const NAMED = /\/(name|font|style|thread|key|tip|diffusion|tracks)$/
    const words = worded.filter((l) => l.at.startsWith('/sabers/') && !NAMED.test(l.at) && /^q/.test(l.says))
    expect(words.length).toBeGreaterThan(60)
    expect(words.filter((l) => drawn.includes(l.says)).map((l) => l.at)).toEqual([])
  })
  test('what travels to be taken in hand carries no note, source, test or repair', () => {
    const handed = JSON.stringify(handedSaber(record.sabers[0]!))
    const inward =
      /shopNote|\/(tests|repairs|losses|provenance|decisions|beats|takes|access|leftOut|items|before|notFor)\/|\/(with|by|on|trail|standard|why|askedBy)$/
    const there = worded.filter((l) => l.at.startsWith('/sabers/') && inward.test(l.at))
    expect(there.length).toBeGreaterThan(60)
    expect(there.filter((l) => /^q/.test(l.says) && handed.includes(l.says)).map((l) => l.at)).toEqual([])
    for (const key of ['controls', 'modes', 'inputs', 'joints', 'zones'] as const)
      expect(handedSaber(record.sabers[0]!)[key]).toHaveLength(record.sabers[0]![key].length)
  })
  test('of the work that is left the client reads what is his', () => {
    const c = structuredClone(record)
    Object.assign(c.toDos[0]!, { who: 'client', done: false })
    const page = JSON.stringify(buildHandoff(c, 'Shop', TODAY))
    for (const key of ['text', 'person', 'due', 'note'] as const)
      expect(page).toContain(dayText(MAKER, c.toDos[0]![key]!))
    expect(page).not.toContain(c.toDos[0]!.shopNote!)
  })
})

/** Colours that no client reads, each with the reason. */
const INNER_COLOURS: [string, string][] = [
  ['*/asked', 'what was asked for is settled before it ships; what is set is told'],
  ['*/readings/configuration/*', 'read off the card itself'],
  ['*/openings/tint', 'drawn'],
]
/** With nothing in place of the looks that are set for events. */
const asSet = (c: Commission): Commission => {
  const d = structuredClone(c)
  for (const p of d.sabers.flatMap((s) => s.presets)) {
    delete p.look
    for (const look of Object.values(p.effects ?? {})) delete look.is
  }
  return d
}

/** Numbers that no client reads, each with the reason. */
const INNER_NUMBERS: [string, string][] = [
  ['/arrivals/quantity', 'counted by what became of each share'],
  ['/handoff/issued/*', 'earlier records'],
  ['/log/*', 'the shop’s own log'],
  ['/work/*', 'what is said of the work is the shop’s'],
  ['/toDos/hours', 'how long it takes is the shop’s'],
  ['/toDos/cures', 'how long it takes is the shop’s'],
  ['/media/bytes', 'pictures are shown, not spelled'],
  ['/requests/rank', 'how wishes are weighed is the shop’s'],
  ['/parcels/confirmedFor/*', 'what the carrier confirmed is the shop’s'],
  ['/packing/mass', 'what the parcel is held against'],
  ['/parcels/boxMass', 'what the parcel is held against'],
  ['/handoff/receipts/*', 'what the client himself has read'],
  ['*/losses/cost/amount', 'what a spoilt part cost is the shop’s'],
  ['*/beats/seconds', 'how long the maker speaks'],
  ['*/beats/times', 'said in the words of the beat'],
  ['*/telling/target', 'how long it may take is the shop’s'],
  ['*/takes/*', 'films are the shop’s'],
  ['*/telling/differs', 'said in the words of the beat'],
  ['*/spoken/name', 'said in the steps and the words of the beats'],
  ['*/fonts/sounds/*', 'sounds are heard'],
  ['*/cards/cluster', 'what its room is reckoned with'],
  ['*/readings/files/bytes', 'told as the size of all'],
  ['*/readings/configuration/*', 'read off the card itself'],
  ['*/fonts/gain', 'how even the fonts are is heard'],
  ['*/fonts/price/amount', 'what it costs is said by the wish that offers it'],
  ...['hold', 'most', 'beeps'].map((k): [string, string] => [`*/controls/${k}`, 'said where the gesture is a hold']),
  ['*/use/litShare', 'what the hours are reckoned with'],
  ...['outside', 'bore', 'boreProfile', 'outerProfile', 'joint/length', 'joint/engagement', 'joint/passes'].map(
    (k): [string, string] => [`*/sections/${k}`, 'drawn'],
  ),
  ['*/joint/overTravel', 'told as the caution that nothing stops it'],
  ...['at', 'clock', 'fromAxis', 'length', 'width'].map((k): [string, string] => [`*/openings/${k}`, 'drawn']),
  ['*/hilt/clearance', 'what the fit is reckoned with'],
  ['*/hilt/endWall', 'drawn'],
  ['*/parts/clock', 'drawn'],
  ...['groups', 'ledsPerGroup', 'ledsTotal'].map((k): [string, string] => [
    `*/blades/${k}`,
    'told of a string blade; the full one carries pixels',
  ]),
  ...['wall', 'mass', 'channelCurrent', 'idleCurrent', 'stripResistance', 'groupCurrent', 'forwardVolts'].map(
    (k): [string, string] => [`*/blades/${k}`, 'what current, drop and balance are reckoned with'],
  ),
  ...['channelCurrent', 'idleCurrent'].map((k): [string, string] => [
    `*/zones/${k}`,
    'what the current is reckoned with',
  ]),
  // Of a cell and a speaker what has to be asked for is told; the full record's one part is a cell.
  ...['height', 'impedance', 'ratedWatts'].map((k): [string, string] => [`*/parts/specs/${k}`, 'told of a speaker']),
  ...['sleepCurrent', 'deepSleepCurrent', 'idleCurrent', 'channelCurrent', 'chargeCurrent', 'pinCurrent', 'pins']
    .concat([
      'chargeVolts',
      'cutoffVolts',
      'fullVolts',
      'forwardVolts',
      'resistance',
      'ohms',
      'gauge',
      'dies',
      'leds',
      'maxOutputVoltsRms',
    ])
    .concat(['coneArea', 'leastCell', 'cardMegabytes', 'wall', 'width'])
    .map((k): [string, string] => [`*/parts/specs/${k}`, 'what fit and power are reckoned with, or drawn']),
]
describe('a number that changes changes what the client reads', () => {
  const whole = (c: Commission) =>
    [c, asSet(c), ...inHand(c)].map((x) => JSON.stringify(buildHandoff(x, 'Shop', TODAY).chapters)).join('\n')
  let first: string | undefined
  const before = () => {
    first ??= whole(record)
    return first
  }
  const colours = leaves.filter((l) => isColour(l.says))
  test.each(colours.map((l) => [l.at, l.way, l.says] as const))('%s, a colour', (at, way, says) => {
    const c = structuredClone(record)
    const steps = way.split('/').slice(1)
    const last = steps.pop()!
    const home = steps.reduce((v, k) => (v as Record<string, unknown>)[k], c as unknown) as Record<string, string>
    home[last] = hueWord(home[last]!) === 'green' ? '#ff2010' : '#00ff40'
    expect(says).toMatch(/^#/)
    const why = INNER_COLOURS.filter(([p]) => matches(at, p))
    if (whole(c) === before()) expect(`${at}: ${why.length ? 'a reason' : 'dropped'}`).toBe(`${at}: a reason`)
    else expect(why).toEqual([])
  })
  const numbers = leaves.filter((l) => l.says === '#')
  test('there are some hundred of them', () => expect(numbers.length).toBeGreaterThan(100))
  test.each(numbers.map((l) => [l.at, l.way] as const))('%s', (at, way) => {
    const c = structuredClone(record)
    const steps = way.split('/').slice(1)
    const last = steps.pop()!
    const home = steps.reduce((v, k) => (v as Record<string, unknown>)[k], c as unknown) as Record<string, number>
    home[last] = home[last] === 1 ? 2 : home[last]! - 2
    const why = INNER_NUMBERS.filter(([p]) => matches(at, p))
    if (whole(c) === before()) expect(`${at}: ${why.length ? 'a reason' : 'dropped'}`).toBe(`${at}: a reason`)
    else expect(why).toEqual([])
  })
})

test('what travels to be drawn is a saber as the schema wants it', () => {
  const read = readCommission(
    writeCommission({ ...record, sabers: [drawnSaber(record.sabers[0]!)], requests: [], arrivals: [], toDos: [] }),
  )
  expect(read.ok ? [] : read.problems.filter((p) => p.rule !== 'reference')).toEqual([])
})
