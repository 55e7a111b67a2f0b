/** @jest-environment jsdom */
import { readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { lampsOf } from '@nubrin/core/looks'
import {
  BLADE_KINDS,
  type Commission,
  type Id,
  KINDS,
  type KindRule,
  LIGHT_EVENTS,
  type PartKind,
  type Ref,
  SPECS,
  type SpecKey,
} from '@nubrin/core/record'
import { diffOps } from '@nubrin/core/record/ops'
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import type { ComponentType } from 'react'
import { MemoryRouter } from 'react-router'
import { drawn, LONG } from '../../core/test/drawn'
import { full } from '../../core/test/full'
import { JointSheet } from '../src/stations/access/Joints'
import { ModeSheet } from '../src/stations/controls/ModeSheet'
import { RowSheet } from '../src/stations/controls/RowSheet'
import { BladeSheet } from '../src/stations/fit/BladeSheet'
import { PartSheet } from '../src/stations/fit/PartSheet'
import { SectionSheet } from '../src/stations/hilt/SectionSheet'
import { CellSheet } from '../src/stations/voice/CellSheet'
import { useBench, useSaber } from '../src/store/commission'
import { bench, lay, VIEWS } from './lay'

/** On which screens each field of the format is entered; written again by `NUBRIN_DOCS=1 NUBRIN_LONG=1 npx jest web/test/entered`. */
const PAGE = 'web/test/entered.txt'
const { record, leaves, choices } = full()
/** Where something was entered, as fields: `/sabers/parts/specs/length`, and on which screens. */
const entered = new Map<string, Set<string>>()
let screenNow = ''
const bare = (at: string) => at.replace(/\/@[^/]+/g, '')
useBench.subscribe((now, was) => {
  if (!now.record || !was.record || now.record === was.record || now.record.id !== was.record.id) return
  for (const op of diffOps(was.record, now.record))
    if (op.op === 'set' || op.op === 'unset')
      entered.set(bare(op.at), (entered.get(bare(op.at)) ?? new Set()).add(screenNow))
})

const SAYS = ['wording', '13', '9', '#3a7bd5', '2031-02-03']
/** Writes into a field what it takes, as a hand would: typed, Enter, gone on. */
function write(field: HTMLInputElement | HTMLTextAreaElement) {
  for (const text of SAYS) {
    if (!field.isConnected || field.value === text) continue
    const before = bench().record
    fireEvent.focus(field)
    fireEvent.change(field, { target: { value: text } })
    fireEvent.keyDown(field, { key: 'Enter' })
    fireEvent.blur(field)
    if (bench().record !== before) return
  }
}
const seen = new WeakSet<Element>()
const fresh = <E extends Element>(within: string, selector: string) =>
  [...document.querySelectorAll(within)]
    .flatMap((home) => [...home.querySelectorAll<E>(selector)])
    .filter((e) => !seen.has(e) && e.isConnected)

/** All that are on the page, found by what they are: asking for names and roles of hundreds of fields takes most of the time. */
const all = (selector: string) => [...document.querySelectorAll<HTMLElement>(selector)]

/** Chooses from a list what changes the record, if anything there does: the last choice first, since the first one often is none. */
async function choose(button: HTMLElement) {
  const before = bench().record
  for (let n = 1; n < 4 && bench().record === before && button.isConnected; n++) {
    await act(async () => void fireEvent.click(button))
    const others = all('[role=option]').filter((o) => o.getAttribute('aria-selected') !== 'true')
    const other = others.at(-n)
    await act(async () => void (other ? fireEvent.click(other) : fireEvent.keyDown(document.activeElement!, ESCAPE)))
    if (!other) return
  }
}
const ESCAPE = { key: 'Escape' }
/** Takes another day from the calendar. */
async function chooseDay(button: HTMLElement) {
  await act(async () => void fireEvent.click(button))
  const month = await screen.findByRole('grid')
  const day = [...month.querySelectorAll<HTMLElement>('td:not([data-selected]) button')][7]!
  await act(async () => void fireEvent.click(day))
}

/** Opens all that can be opened, and enters something into every field of what is shown. */
async function enterAll(within = 'body') {
  for (let round = 0; round < 3; round++) {
    for (const d of document.querySelectorAll('details')) d.open = true
    for (const more of all('button[aria-expanded=false]'))
      if (/^More on/.test(more.getAttribute('aria-label') ?? more.textContent))
        await act(async () => void fireEvent.click(more))
    for (const field of fresh<HTMLInputElement>(
      within,
      'input:not([type=checkbox]):not([type=file]):not([type=radio]),textarea',
    )) {
      seen.add(field)
      await act(async () => write(field))
    }
    // From the end: what a choice uncovers stands behind it.
    for (const [selector, take] of [
      ['button[data-date]', chooseDay],
      ['button[data-select]', choose],
    ] as const)
      for (const button of fresh<HTMLElement>(within, selector).reverse()) {
        seen.add(button)
        if (button.isConnected) await take(button)
      }
    for (const box of all('[role=checkbox], [role=switch], input[type=checkbox]').filter((b) => !seen.has(b))) {
      seen.add(box)
      if (box.isConnected) await act(async () => void fireEvent.click(box))
    }
  }
}

/** What opens beside the unrolled surface for a thing. */
const SHEETS = { fastener: 'Screw', opening: 'Opening', socket: 'Socket', '': 'Screws, openings and sockets' } as const

const laid = (view: keyof typeof VIEWS, run?: (c: Commission) => void) =>
  lay(view, 'reed-warden', (c) => {
    for (const k of Object.keys(c)) delete (c as unknown as Record<string, unknown>)[k]
    Object.assign(c, structuredClone(record), { id: 'reed-warden' })
    run?.(c)
  })
/** A sheet that opens beside the drawing, by itself. */
async function sheet(Sheet: ComponentType) {
  await act(async () => void render(<Sheet />, { wrapper: MemoryRouter }))
  await enterAll()
}
/** As few kinds of parts as have every figure among them. */
const KINDS_OF_PARTS = (() => {
  const left = new Set(Object.keys(SPECS) as SpecKey[])
  const figures = (k: PartKind) =>
    [...(KINDS as Record<PartKind, KindRule>)[k].needs, ...(KINDS as Record<PartKind, KindRule>)[k].extras].filter(
      (x) => left.has(x),
    )
  const out: PartKind[] = []
  while (left.size) {
    const best = (Object.keys(KINDS) as PartKind[]).toSorted((a, b) => figures(b).length - figures(a).length)[0]!
    const some = figures(best)
    if (!some.length) break
    for (const x of some) left.delete(x)
    out.push(best)
  }
  // A tool has its key, a switch its clock angle, a key the port that it sits in.
  return [...new Set<PartKind>([...out, 'tool', 'switch', 'killKey'])]
})()

/** Words and numbers that are entered in another way, and what holds it. `*` stands for any steps. */
const OTHERWISE: [string, string][] = [
  ['/id', 'made with the record'],
  ['/title', 'written when it is begun: e2e main job'],
  ['/client/id', 'the client is chosen, not typed: stations.test'],
  ['/packing/what', 'added by name: stations.test'],
  ['/packing/key', 'what a line was drafted from'],
  ['/media/*', 'taken from the picture: e2e main job'],
  ['/translations/text', 'the words that are translated: translation.test'],
  ['/translations/language', 'the client’s: translation.test'],
  ['/untranslated', 'one of two: translation.test'],
  ['*Profile/*', 'dragged and typed on the profile: e2e hilt'],
  ['*/joint/overTravel', 'asked where nothing stops the thread: stations.test'],
  ['*/parts/kind', 'what was taken from the shelf, or made: e2e fit'],
  ['*/inputs/kind', 'which of two buttons added it: stations.test'],
  ['*/sections/role', 'what was added: e2e hilt'],
  ['*/steps/act/*', 'comes with the step that is drafted: stations.test'],
  ['*/access/goal', 'the goal whose act is spoken of: stations.test'],
  ['*/access/looked/*', 'by the button that says that it was gone through: stations.test'],
  ['*/steps/direction', 'comes with the act, or with a file'],
  ['*/steps/does/how', 'by the way of the joint'],
  ['*/steps/does/towards', 'by the way of the joint'],
  ['*/steps/does/leads', 'by what is recorded of the cell'],
  ['*/beats/task', 'chosen among what a beat performs: beats.test'],
  ['*/parts/catalogue', 'the row of the shelf it was fitted from'],
  ['*/parts/at', 'dragged on the drawing, typed in the list of what is fitted: e2e fit'],
  ...[
    'media',
    'seconds',
    'rate',
    'channels',
    'bits',
    'peakDb',
    'truePeakDb',
    'rmsDb',
    'loudnessLufs',
    'loudnessRangeLu',
  ].map((k): [string, string] => [`*/fonts/sounds/${k}`, 'measured of the file: e2e sounds']),
  ...['clips', 'dc', 'leadSilence', 'tailSilence', 'begins', 'arrives'].map((k): [string, string] => [
    `*/fonts/sounds/${k}`,
    'measured of the file: e2e sounds',
  ]),
  ['*/cards/readings/*', 'read off the card: e2e card'],
  ['*/fonts/library', 'by keeping it there, or taking it from there: fonts.test'],
  ['*/controls/standard', 'comes with the map that was taken over: stations.test'],
  ['*/mapFrom', 'comes with the map that was taken over: stations.test'],
  ['*/fasteners/confirmed/*', 'by the button that says it is so: fitting.test'],
  ['*/repairs/at', 'the moment in which it is written down'],
  ['*/tests/key', 'which element the test is of'],
  ['*/tests/readings/*', 'taken as a reading: e2e main job'],
  ['*/beats/*', 'written in the script: e2e main job'],
  ['*/takes/*', 'made while it is filmed: e2e main job'],
  ['*/leftOut/*', 'left out by name: stations.test'],
  ['/handoff/waivers/*', 'set aside by name: e2e main job'],
  ['/handoff/issued/*', 'made when it is issued: e2e main job'],
  ['/work/kind', 'which piece of work it is said of: it follows from the record'],
  ['/log/began', 'by the clock: server plan.test'],
  ['/log/was/*', 'kept when hours are corrected: work.test, desks.test'],
  ['/questions/askedBy', 'comes from the client’s page: e2e client'],
  ['/handoff/receipts/*', 'comes from the client’s page: e2e client'],
  ['/handoff/films/*', 'an address or a file, held against its rule: stations.test'],
]
const matches = (at: string, pattern: string) =>
  new RegExp(`^${pattern.replace(/[/.]/g, '\\/').replaceAll('*', '.*')}$`).test(at)

/** Every screen on which something is entered: the stations and desks, and the sheets that open beside them. */
const SCREENS: [string, () => Promise<void>][] = [
  ...(Object.keys(VIEWS) as (keyof typeof VIEWS)[]).map((v): [string, () => Promise<void>] => [v, () => whole(v)]),
  [
    'the joint of a section to the next',
    async () => {
      await laid('brief', (c) => void (c.sabers[0]!.hilt.sections[0]!.joint.kind = 'thread'))
      cleanup()
      await sheet(function Joint() {
        const s = useSaber()
        return <SectionSheet section={s.hilt.sections[0]!} />
      })
    },
  ],
  ['the log of a delay', () => whole('ledger', (c) => void (c.log[0]!.kind = 'delay'))],
  ['the log of work', () => whole('ledger', (c) => void (c.log[0]!.kind = 'work'))],
  [
    'the sheet of a mode',
    async () => {
      await laid('brief', (c) => void c.sabers[0]!.modes.push({ id: 'own-other', name: 'another', is: 'menu' }))
      cleanup()
      await sheet(function Mode() {
        const s = useSaber()
        return <ModeSheet saber={s} mode={s.modes[0]!} />
      })
    },
  ],
  ...(['hold', 'chord'] as const).map((gesture): [string, () => Promise<void>] => [
    `the sheet of a control: ${gesture}`,
    async () => {
      await laid('brief', (c) => {
        const s = c.sabers[0]!
        s.controls[0]!.gesture = gesture
        s.modes.push({ id: 'own-more', name: 'another', is: 'menu' })
        s.inputs.push({ id: 'own-second', name: 'second', kind: 'button' })
      })
      cleanup()
      await sheet(function Row() {
        const s = useSaber()
        return <RowSheet saber={s} row={s.controls[0]!} />
      })
    },
  ]),
  [
    'what is said of a joint',
    async () => {
      await laid(
        'brief',
        (c) => void c.sabers[0]!.hilt.fasteners.push({ ...c.sabers[0]!.hilt.fasteners[0]!, id: 'own-other' }),
      )
      cleanup()
      await sheet(function Said() {
        const s = useSaber()
        const joint = {
          body: s.joints[0]!.body,
          name: 'it',
          ways: [],
          held: [],
          who: 'client',
          loads: [],
          blocked: [],
        } as const
        return <JointSheet saber={s} joint={structuredClone(joint) as never} asks={[]} />
      })
    },
  ],
  [
    'what is said of acts',
    async () => {
      const at = 'fastener:rw-f1' as const
      const steps = [
        { id: 'said', act: { do: 'loosen' as const, at }, text: 'x', irreversible: true },
        { id: 'own-act', text: 'y', place: at, does: [] as never[] },
      ]
      await lay('access', 'reed-warden', (c) => {
        c.sabers[0]!.access = [{ id: 'own', goal: 'bladeIn', at: 'blade:rw-b1', steps }]
      })
      const press = (name: string | RegExp) =>
        act(async () => void fireEvent.click(screen.getAllByRole('button', { name })[0]!))
      await press(/^Put the blade in/)
      for (let n = 1; n < 4; n++) {
        await press('next act')
        if (n > 1) await enterAll()
      }
      cleanup()
    },
  ],
  ...KINDS_OF_PARTS.map((kind): [string, () => Promise<void>] => [
    `the sheet of a part: ${kind}`,
    async () => {
      await laid('brief', (c) => {
        const { parts } = c.sabers[0]!
        parts[0]!.kind = kind
        if (kind === 'killKey') parts.push({ ...structuredClone(parts[0]!), id: 'own-port', kind: 'chargePort' })
        // What is asked of several: how they are joined.
        parts.push({ ...structuredClone(parts[0]!), id: 'own-other' as Id<'part'> })
      })
      cleanup()
      await sheet(function Part() {
        const s = useSaber()
        return <PartSheet saber={s} part={s.parts[0]!} />
      })
    },
  ]),
  // A light of the hilt that is no blade's own run.
  [
    'the power bench, with a light of its own',
    async () => {
      await laid('power', (c) => {
        const [z] = c.sabers[0]!.zones
        delete z!.blade
        delete z!.follows
        c.sabers[0]!.zones.push({ ...structuredClone(z!), id: 'own-leader' })
      })
      await enterAll()
      cleanup()
    },
  ],
  // A spark has every figure that a way to move has.
  ...(['shines', ...LIGHT_EVENTS, { zone: 'own-zone' }] as const).map((at): [string, () => Promise<void>] => [
    `the cell of the light sheet: ${typeof at === 'string' ? at : 'a light'}`,
    async () => {
      await laid('brief', (c) => {
        const s = c.sabers[0]!
        delete s.zones[0]!.blade
        const [p] = s.presets
        p!.moves = { ...p!.moves!, is: 'spark' }
        p!.lights[0]!.moves = { ...p!.lights[0]!.moves!, is: 'spark' }
        for (const look of Object.values(p!.effects!)) {
          delete look.is
          look.moves!.is = 'spark'
        }
      })
      cleanup()
      await sheet(function Cell() {
        const s = useSaber()
        return <CellSheet saber={s} preset={s.presets[0]!} at={at} lamp={lampsOf(s)[0]!} chosen={false} />
      })
    },
  ]),
  ...BLADE_KINDS.map((kind): [string, () => Promise<void>] => [
    `the sheet of a blade: ${kind}`,
    async () => {
      await laid('brief', (c) => void (c.sabers[0]!.blades[0]!.kind = kind))
      cleanup()
      await sheet(function Blade() {
        const s = useSaber()
        return <BladeSheet saber={s} blade={s.blades[0]!} />
      })
    },
  ]),
]

async function whole(view: keyof typeof VIEWS, run?: (c: Commission) => void) {
  await laid(view, (c) => {
    run?.(c)
    // Hours, kind and waits are of what the shop does.
    if (view === 'to-do') for (const t of c.toDos) t.who = 'shop'
    // What is open lies on the desk; what is done is not shown there.
    if (view === 'facts') c.sabers[0]!.hilt.sections[0]!.length.source = 'recalled'
    for (const t of c.toDos) t.done = false
    if (view === 'translation') {
      Object.assign(c, { writtenIn: 'en' }).client.language = 'de'
      c.translations = [{ id: 'own-translation', language: 'de', text: c.requests[0]!.text, says: 'Wunsch' }]
      c.sabers[0]!.spoken = [{ id: 'own-spokenname', of: 'input:own-input', language: 'de', name: 'Knopf' }]
    }
  })
  await enterAll()
  if (view === 'voice') {
    await act(async () => void fireEvent.click(screen.getByRole('tab', { name: 'Fonts' })))
    const card = await screen.findByRole('region', { name: 'Fonts on the card' })
    await enterAll()
    // What was added first stands open; the one with a sound is below.
    await act(async () => void fireEvent.click(card.querySelector('li button')!))
    await enterAll()
    await act(async () => void fireEvent.click(screen.getByRole('tab', { name: 'Card' })))
    await screen.findByRole('region', { name: 'Memory cards' })
    await enterAll()
  }
  if (view === 'controls') {
    await act(async () => void fireEvent.click(screen.getByRole('tab', { name: 'The map' })))
    await screen.findByRole('region', { name: 'Gesture timing' })
    await enterAll()
  }
  if (view === 'handoff')
    for (const [name, region] of [
      ['The box', 'Parcels'],
      ['Afterwards', 'Service visits'],
    ] as const) {
      await act(async () => void fireEvent.click(screen.getByRole('tab', { name })))
      await screen.findByRole('region', { name: region })
      await enterAll()
    }
  cleanup()
  if (view !== 'hilt') return
  await laid(view, (c) => void (c.sabers[0]!.hilt.openings[0]!.face = 'rear'))
  await act(async () => bench().light('opening:own-opening'))
  await screen.findByRole('region', { name: 'Opening' })
  await enterAll('section[aria-label=Opening]')
  cleanup()
  for (const kind of Object.keys(SHEETS) as (keyof typeof SHEETS)[]) {
    await laid(view)
    if (kind) await act(async () => bench().light(`${kind}:own-${kind}` as Ref))
    await screen.findByRole('region', { name: SHEETS[kind] })
    // A section that is written to would be lit instead.
    await enterAll(`section[aria-label="${SHEETS[kind]}"]`)
    cleanup()
  }
}

describe('every field can be entered', () => {
  const some = drawn(SCREENS, 1 / 6)
  test.each(some)('%s', async (name, enter) => {
    screenNow = name
    await enter()
  })
  const every = [...new Set([...leaves.map((l) => l.at), ...choices.map((c) => c.way.replace(/\/\d+/g, ''))])]
  /** On which of the screens that were laid a field was entered, as the page has it: `/title: brief, saber`. */
  const where = (at: string, on: readonly string[]) =>
    on.filter((name) => [...entered].some(([e, screens]) => (at === e || at.startsWith(`${e}/`)) && screens.has(name)))
  test('each is entered on the screens that the page names, or has a reason not to be', () => {
    const names = SCREENS.map(([name]) => name)
    if (LONG && process.env.NUBRIN_DOCS === '1')
      writeFileSync(PAGE, every.map((at) => `${at}: ${where(at, names).join(', ')}\n`).join(''))
    const page = new Map(
      readFileSync(PAGE, 'utf8')
        .trim()
        .split('\n')
        .map((l) => {
          const at = l.slice(0, l.indexOf(': '))
          return [
            at,
            l
              .slice(at.length + 2)
              .split(', ')
              .filter(Boolean),
          ] as const
        }),
    )
    expect([...page.keys()]).toEqual(every)
    expect(every.filter((at) => !page.get(at)!.length && !OTHERWISE.some(([p]) => matches(at, p)))).toEqual([])
    const laidOut = some.map(([name]) => name)
    const missing = every.flatMap((at) =>
      page
        .get(at)!
        .flatMap((name) => (laidOut.includes(name) && !where(at, laidOut).includes(name) ? [`${at}: ${name}`] : [])),
    )
    expect(missing).toEqual([])
  })
  test('every reason is of a field that there is', () => {
    for (const [p] of OTHERWISE) expect(`${p} ${every.some((at) => matches(at, p))}`).toBe(`${p} true`)
  })
})
