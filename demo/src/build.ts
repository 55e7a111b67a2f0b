import { sortsLedTo, usualModes } from '@nubrin/core/controls'
import { fact, type Source, stated } from '@nubrin/core/facts'
import { fitFrom, GENERIC_CATALOGUE } from '@nubrin/core/parts'
import {
  type Blade,
  type Commission,
  type ControlRow,
  type Fastener,
  type FittedPart,
  type Font,
  type Mode,
  type ModeIs,
  type Opening,
  type Preset,
  type Section,
  type Socket,
  type SoundEvent,
  STATES,
  type Step,
  type Test,
} from '@nubrin/core/record'
import type { Unit } from '@nubrin/core/units'

/** Day arithmetic for demo data that stays fresh: `day(today, -14)`. */
export const day = (today: string, offset: number) =>
  new Date(Date.parse(`${today}T12:00:00Z`) + offset * 86_400_000).toISOString().slice(0, 10)
export const at = (today: string, offset: number, time = '10:00') => `${day(today, offset)}T${time}:00Z`

const calliper = { with: 'calliper' }
export const mm = (value: number | null, source: Source = 'measured', tol?: number) =>
  fact(value, 'mm', source, { ...(source === 'measured' ? calliper : {}), ...(tol ? { tol } : {}) })
export const deg = (value: number | null, source: Source = 'measured') => fact(value, 'deg', source)
export const val = <U extends Unit>(value: number | null, unit: U, source: Source = 'datasheet') =>
  fact(value, unit, source)

type SectionSeed = Partial<Omit<Section, 'length' | 'outside' | 'bore'>> &
  Pick<Section, 'id' | 'name' | 'role'> & { l: number | null; o: number | null; b: number | null; source?: Source }
export function section({ l, o, b, source = 'measured', ...rest }: SectionSeed): Section {
  return {
    material: 'aluminium',
    joint: { kind: 'none' },
    length: mm(l, source, 0.1),
    outside: mm(o, source),
    bore: mm(b, source, 0.05),
    ...rest,
  }
}

export function screw(
  id: string,
  name: string,
  thread: string,
  key: string,
  x: number | null,
  clock: number | null,
  more: Partial<Fastener> = {},
): Fastener {
  return {
    id,
    name,
    thread,
    key,
    head: 'set',
    at: mm(x),
    clock: deg(clock),
    clientMay: 'loosen',
    ...more,
  }
}

export function opening(
  id: string,
  name: string,
  kind: Opening['kind'],
  x: number,
  clock: number,
  length: number,
  width: number,
): Opening {
  return { id, name, kind, at: mm(x), clock: deg(clock), length: mm(length), width: mm(width) }
}

export function socket(
  id: string,
  sectionId: string,
  bore: number | null,
  depth: number | null,
  retention: string[],
  more: Partial<Socket> = {},
): Socket {
  return {
    id,
    name: 'emitter',
    section: sectionId,
    bore: mm(bore, 'measured', 0.02),
    depth: mm(depth, 'measured', 0.2),
    insertion: 'pushAndHold',
    retention,
    ...more,
  }
}

/** A part copied from the generic catalogue and placed. Throws on an unknown row: demo data must not rot. */
export function part(id: string, row: string, x: number | null, more: Partial<FittedPart> = {}): FittedPart {
  const found = GENERIC_CATALOGUE.find((p) => p.id === row)
  if (!found) throw new Error(`demo: no catalogue row ${row}`)
  return fitFrom(found, id, { ...(x === null ? {} : { at: mm(x) }), ...more })
}

export function pixelBlade(
  id: string,
  name: string,
  socketId: string,
  d: number,
  length: number,
  more: Partial<Blade> = {},
): Blade {
  return {
    id,
    name,
    socket: socketId,
    use: 'ship',
    kind: 'pixel',
    outside: mm(d),
    wall: mm(2, 'datasheet'),
    length: mm(length),
    strips: val(2, '×', 'measured'),
    density: val(144, '1/m'),
    channelCurrent: val(12, 'mA'),
    idleCurrent: val(0.6, 'mA'),
    stripResistance: val(100, 'mΩ'),
    tip: 'bullet',
    diffusion: 'film and foam',
    ...more,
  }
}

/** Inputs are called after their saber, `rw-i1`, and so are its modes. */
const prefixOf = (input: string) => input.slice(0, input.lastIndexOf('-'))

/** The modes in which rows stand or to which they lead. */
export function modesFor(rows: readonly ControlRow[]): Mode[] {
  const [first] = rows
  if (!first) return []
  const stands = rows.map((r) => STATES.find((is) => r.mode.endsWith(`-${is}`))!)
  return usualModes(`${prefixOf(first.input)}-mode`, [...stands, ...sortsLedTo(rows)])
}

export function row(
  id: string,
  state: ModeIs,
  input: string,
  gesture: ControlRow['gesture'],
  does: ControlRow['does'],
  more: Partial<ControlRow> & { s?: number } = {},
): ControlRow {
  const { s, ...rest } = more
  return {
    id,
    mode: `${prefixOf(input)}-mode-${state}`,
    pose: 'any',
    input,
    gesture,
    does,
    status: 'configured',
    ...(s === undefined ? {} : { hold: fact(s, 's', 'configured', { with: 'board configuration' }) }),
    ...rest,
  }
}

/** What most fonts of the demo shop have. */
const USUAL: readonly SoundEvent[] = ['hum', 'ignite', 'retract', 'swing', 'clash', 'lock', 'deflect']
/** A font with its sounds by their names; the files are made when the shop is filled. */
export const font = (id: string, name: string, more: Partial<Font> = {}, events = USUAL): Font => ({
  ...{ id, name, is: 'font' },
  sounds: events.map((event, i) => ({ id: `${id}-w${i}`, event, name: `${event}01.wav` })),
  ...more,
})

/** A preset that plays a font of its saber. */
export function preset(id: string, name: string, font: string, colour: string, more: Partial<Preset> = {}): Preset {
  return { id, name, font, colour: stated(colour, 'configured'), tracks: [], lights: [], status: 'configured', ...more }
}

/** What became of all that came under one name. */
export const went = (
  id: string,
  fate: Commission['arrivals'][number]['shares'][number]['fate'],
  count: number,
): Pick<Commission['arrivals'][number], 'shares' | 'faults'> => ({ shares: [{ id, fate, count }], faults: [] })

/** What the maker says of an act of a procedure, in his own words where he has some. */
export const told = (
  id: string,
  verb: NonNullable<Step['act']>['do'],
  at: NonNullable<Step['act']>['at'],
  text?: string,
  more: Partial<Step> = {},
): Step => ({ id, act: { do: verb, at }, ...(text === undefined ? {} : { text }), ...more })

/** An act of his own. */
export const step = (id: string, text: string, more: Partial<Step> = {}): Step => ({ id, text, ...more })

export function tested(
  id: string,
  key: string,
  what: string,
  when: string,
  by: string,
  result: { value?: number; text?: string; pass?: boolean },
  more: Partial<Test> = {},
): Test {
  return {
    id,
    key,
    what,
    readings: [
      {
        id: `${id}-r1`,
        at: when,
        by,
        pass: result.pass ?? true,
        ...(result.value === undefined ? {} : { value: result.value }),
        ...(result.text ? { text: result.text } : {}),
      },
    ],
    ...more,
  }
}
