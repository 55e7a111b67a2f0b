import {
  type Act,
  byId,
  type DIRECTIONS,
  type Fastener,
  type Material,
  nounOf,
  partsOfRef,
  type Ref,
  refTo,
  type Saber,
  toldNoun,
} from '../record'
import { formatNumber, type Reader } from '../units'
import { BY_HAND, keyText, type Noun, say, whether } from '../words'
import type { Assembly } from './assembly'
import type { Goal } from './goals'
import type { Body, Joint } from './joint'
import { polesOf } from './poles'
import { heldBy } from './run'
import { isOff, type State } from './state'

export type Direction = (typeof DIRECTIONS)[number]
/** What a hand is told of an act: words, direction, tool, what to mind there, and how one knows that it worked. */
export interface Wording {
  text: string
  direction: Direction
  place?: Ref
  tool?: string
  caution?: string
  cue?: string
}
/** How it lies before an act, and what the maker says of it instead of what its joint does. */
export interface Told {
  before?: State | undefined
  landmark?: string | undefined
  turns?: number | undefined
}

const turned = (j: Joint, on: boolean): Direction => (on === (j.hand === 'left') ? 'anticlockwise' : 'clockwise')

/** A goal in words; it is named where there are more of its kind among these. */
export const goalText = (reader: Reader, g: Goal, among: readonly Goal[]): string =>
  say(reader, 'goal', {
    goal: g.kind,
    name: g.name,
    several: whether(among.filter((x) => x.kind === g.kind).length > 1),
  })

/** The tool that a screw takes; none when it is turned by hand or nobody has said. */
export const toolOf = (reader: Reader, f: Fastener): string | undefined =>
  f.key && f.key !== BY_HAND
    ? say(reader, 'tool', { key: keyText(reader, f.key) })
    : keyText(reader, f.key) || undefined

/** What an act is done to, as it is spoken of. */
const thing = (reader: Reader, s: Saber, act: Act, name: string): Noun => toldNoun(reader, s, act.at) ?? { name }

/** Words with how often something is turned. */
export const turnedOften = (reader: Reader, text: string, n: number | undefined): string =>
  n ? say(reader, 'step.turned', { text, n, part: n === 0.25 ? 'quarter' : n === 0.5 ? 'half' : 'whole' }) : text

/** Where it is taken hold of, as the maker says. */
const marked = (reader: Reader, text: string, landmark: string | undefined): string =>
  landmark ? say(reader, 'step.aligned', { text, landmark, told: 'yes', angle: '', turned: 'no' }) : text

/** How something is held when it goes in: by what one recognises it, and at which clock angle. */
function aligned(reader: Reader, j: Joint, text: string, said: string | undefined): string {
  const landmark = said ?? j.landmark
  const angle = j.angle === undefined ? '' : formatNumber(reader, j.angle, 0)
  return landmark || angle
    ? say(reader, 'step.aligned', {
        text,
        landmark: landmark ?? '',
        told: whether(landmark),
        angle,
        turned: whether(angle),
      })
    : text
}

/** What is felt where it is right, and what comes about by itself where it opens. */
function cueOf(reader: Reader, j: Joint, on: boolean): { cue?: string } {
  if (on) return j.feels ? { cue: say(reader, 'joint.feels', { what: j.feels }) } : {}
  const itself = j.byItself ?? 'nothing'
  const cue = [
    itself === 'nothing' ? '' : say(reader, 'step.byItself', { itself }),
    j.tethered && j.body.startsWith('section:') ? say(reader, 'step.tethered') : '',
  ].filter((x) => x)
  return cue.length ? { cue: cue.join(' ') } : {}
}

function screwWords(reader: Reader, s: Saber, a: Assembly, act: Act, told: Told): Wording | undefined {
  const f = byId(s.hilt.fasteners, partsOfRef(act.at)?.id)
  if (!f) return undefined
  const blade = heldBy(a, f.id).some((j) => j.place)
  // With nothing in its socket it has nothing to hold.
  const empty = blade && told.before && heldBy(a, f.id).every((j) => isOff(told.before!, j.body))
  const tool = toolOf(reader, f)
  const screw = thing(reader, s, act, f.name)
  const text =
    act.do === 'tighten'
      ? say(reader, empty ? 'step.keepScrew' : blade ? 'step.tightenBlade' : 'step.tighten', { screw })
      : blade && act.do === 'loosen'
        ? say(reader, 'step.loosenBlade', { screw })
        : say(reader, 'step.loosenJoint', { how: act.do === 'remove' ? 'remove' : 'loosen', screw })
  return {
    text: turnedOften(reader, text, told.turns),
    place: act.at,
    direction: act.do === 'tighten' ? 'clockwise' : 'anticlockwise',
    ...(tool ? { tool } : {}),
  }
}

function sectionWords(reader: Reader, s: Saber, j: Joint, act: Act, on: boolean, told: Told): Wording {
  const section = thing(reader, s, act, j.name)
  const worded = (plain: string) => {
    const text = j.hand === 'left' ? say(reader, 'step.leftHand', { text: plain, way: turned(j, on) }) : plain
    return on ? aligned(reader, j, text, told.landmark) : turnedOften(reader, text, told.turns ?? j.turns)
  }
  const caution = j.hurts
    ? j.hurts
    : say(reader, on ? (j.noStop ? 'step.noStop' : 'step.noWireInThread') : 'step.softSurface')
  const base = { place: act.at, caution, ...cueOf(reader, j, on) }
  if (act.how === 'unscrew')
    return {
      ...base,
      text: worded(say(reader, on ? 'step.screwOn' : 'step.unscrew', { section })),
      direction: turned(j, on),
    }
  if (act.how === 'turn') {
    const text = say(reader, 'step.turn', { section, back: whether(on) })
    return {
      ...cueOf(reader, j, on),
      ...(j.hurts ? { caution: j.hurts } : {}),
      ...{ place: act.at, direction: 'none' },
      text: on ? aligned(reader, j, text, told.landmark) : turnedOften(reader, text, told.turns ?? j.turns),
    }
  }
  if (act.how === 'turnPull')
    return {
      ...base,
      text: worded(say(reader, on ? 'step.turnOn' : 'step.turnOff', { section })),
      direction: turned(j, on),
    }
  if (on) return { ...base, text: worded(say(reader, 'step.pushOn', { section })), direction: 'push' }
  return {
    ...base,
    text: say(reader, act.how === 'pressPull' ? 'step.pressOff' : 'step.pullOff', { section }),
    direction: 'pull',
  }
}

/** What is in a socket, as it is spoken of: blade or plug, and which socket's where there are several. */
function inSocket(reader: Reader, s: Saber, j: Joint) {
  const blade = byId(s.blades, partsOfRef(j.body)?.id)
  const socket = byId(s.hilt.sockets, partsOfRef(j.place ?? '')?.id)
  return (
    socket && {
      how: socket.insertion,
      what: blade?.kind === 'plug' ? ('plug' as const) : ('blade' as const),
      socket: nounOf(reader, s, refTo('socket', socket.id)) ?? socket.name,
      several: whether(s.hilt.sockets.length > 1),
      at: socket,
    }
  )
}

function bladeWords(reader: Reader, s: Saber, j: Joint, on: boolean, said: Told): Wording | undefined {
  const told = inSocket(reader, s, j)
  if (!told) return undefined
  const { at: socket, ...what } = told
  const text = say(reader, on ? 'step.bladeIn' : 'step.bladeOut', what)
  return {
    ...cueOf(reader, j, on),
    ...(j.hurts && on ? { caution: j.hurts } : {}),
    text: on ? aligned(reader, j, text, said.landmark) : marked(reader, text, said.landmark),
    place: refTo('socket', socket.id),
    direction: socket.insertion === 'clockwise' ? 'clockwise' : on ? 'push' : 'pull',
  }
}

/** What snaps where metal would bend. */
const BRITTLE: ReadonlySet<Material> = new Set<Material>(['resin', 'PLA', 'polycarbonate', 'wood'])

/** Words for a part out or in; undefined where a cell goes in and nobody has said which way round. */
function partWords(reader: Reader, s: Saber, j: Joint, act: Act, on: boolean, told: Told): Wording | undefined {
  const p = byId(s.parts, partsOfRef(act.at)?.id)
  if (!p) return undefined
  const base = { place: act.at, ...(j.hurts ? { caution: j.hurts } : {}), ...cueOf(reader, j, on) }
  const how = act.how ?? 'pull'
  const end = act.towards ?? 'pommel'
  const direction: Direction = how === 'unscrew' ? turned(j, on) : how === 'lift' && !on ? 'lift' : on ? 'push' : 'pull'
  if (p.kind === 'cell') {
    const several = whether(s.parts.filter((q) => q.kind === 'cell' && q.removable).length > 1)
    const cell = { cell: thing(reader, s, act, p.name), several, kept: p.heldBy ?? 'none' }
    if (!on)
      return {
        ...{ caution: say(reader, 'step.cellOut.caution'), ...base, direction: how === 'lift' ? 'lift' : 'slide' },
        text: how === 'lift' ? say(reader, 'step.cellOut', cell) : say(reader, 'step.cellSlide', { end, ...cell }),
      }
    const { plus, leads } = polesOf(p)
    if (!plus) return undefined
    const landmark = besidePoles(reader, told.landmark ?? p.landmark, plus)
    const text = say(reader, 'step.cellIn', {
      ...cell,
      plus,
      first: act.leads ?? leads ?? 'unsaid',
      landmark: landmark ?? '',
      told: whether(landmark),
    })
    return { caution: say(reader, 'step.cellIn.caution'), ...base, text, direction: 'push' }
  }
  if (p.kind === 'chassis') {
    const caution = say(reader, 'step.chassis.caution', { brittle: whether(p.material && BRITTLE.has(p.material)) })
    const name = thing(reader, s, act, j.name)
    if (!on)
      return {
        caution,
        ...base,
        text: say(reader, 'step.chassisOut', { name, how, end, tethered: whether(j.tethered) }),
        direction,
      }
    const mark = told.landmark ?? p.landmark
    const text = say(reader, 'step.chassisIn', { name, how, end })
    return { caution, ...base, text: aligned(reader, j, text, j.landmark ? told.landmark : mark), direction }
  }
  if (p.kind === 'card')
    return {
      ...{ caution: say(reader, 'step.card.caution'), ...base, direction },
      text: on ? say(reader, 'step.cardIn') : say(reader, 'step.card'),
    }
  // What covers is lifted off; what lies inside is lifted out.
  const outside = p.kind === 'cover' || p.kind === 'sleeve'
  const lifts = how === 'lift' && !outside ? 'liftOut' : how === 'slide' && outside ? 'slideOff' : how
  const text = say(reader, on ? 'step.partIn' : 'step.partOut', { how: lifts, name: thing(reader, s, act, j.name) })
  return {
    ...base,
    text: on
      ? aligned(reader, j, text, told.landmark)
      : turnedOften(reader, marked(reader, text, told.landmark), told.turns ?? j.turns),
    direction,
  }
}

function powerWords(reader: Reader, s: Saber, a: Assembly, act: Act): Wording | undefined {
  const c = a.cutter
  if (!c) return undefined
  const on = act.do === 'restore'
  const place = act.at
  if (c.key) {
    const move = on ? c.key.restore : c.key.cut
    return {
      place,
      text: say(reader, 'step.key', { move, to: on ? 'on' : 'off', key: thing(reader, s, act, c.name) }),
      direction: move === 'pullOut' ? 'pull' : move === 'pushIn' ? 'push' : 'none',
    }
  }
  return {
    place,
    text: say(reader, 'step.slide', { switch: thing(reader, s, act, c.name), named: 'yes', to: on ? 'on' : 'off' }),
    direction: 'slide',
  }
}

/** An act in words for this saber; undefined where something has to be known first, or the thing is gone. */
export function wordsOf(reader: Reader, s: Saber, a: Assembly, act: Act, told: Told = {}): Wording | undefined {
  switch (act.do) {
    case 'loosen':
    case 'remove':
    case 'tighten':
      return screwWords(reader, s, a, act, told)
    case 'cut':
    case 'restore':
      return powerWords(reader, s, a, act)
    case 'plugIn': {
      const port = byId(s.parts, partsOfRef(act.at)?.id)
      const caution = say(reader, 'step.chargePort.caution')
      if (port?.kind === 'cell')
        return {
          place: act.at,
          text: say(reader, 'step.chargeBeside'),
          direction: 'none',
          caution: say(reader, 'step.chargeCell.caution'),
        }
      if (port?.kind === 'charger')
        return {
          place: act.at,
          text: say(reader, 'step.chargeIn', { charger: thing(reader, s, act, port.name) }),
          direction: 'none',
          caution: say(reader, 'step.chargeCell.caution'),
        }
      return (
        port && {
          place: act.at,
          text: say(reader, 'step.chargePort', { port: thing(reader, s, act, port.name) }),
          direction: 'push',
          caution,
        }
      )
    }
    case 'unplug':
      return { place: act.at, text: say(reader, 'step.unplug'), direction: 'pull' }
    case 'pullCheck': {
      const j = a.joints[act.at as Body]
      const what = (j && inSocket(reader, s, j)?.what) ?? 'blade'
      return {
        place: act.at,
        text: say(reader, 'step.pullCheck', { what }),
        direction: 'pull',
        ...(what === 'blade' ? { caution: say(reader, 'step.pullCheck.caution') } : {}),
      }
    }
    case 'takeOff':
    case 'putOn': {
      const on = act.do === 'putOn'
      const j = a.joints[act.at as Body]
      if (!j) return undefined
      if (act.at.startsWith('section:')) return sectionWords(reader, s, j, act, on, told)
      return j.place ? bladeWords(reader, s, j, on, told) : partWords(reader, s, j, act, on, told)
    }
  }
}

/** A landmark beside the poles that the sentence itself names: what it begins with of them is not said again. */
function besidePoles(reader: Reader, landmark: string | undefined, plus: 'emitter' | 'pommel'): string | undefined {
  const poles = say(reader, 'poles', { plus, first: 'unsaid' })
  if (!landmark?.toLowerCase().startsWith(poles.toLowerCase())) return landmark
  return landmark.slice(poles.length).replace(/^[\s,;:.]+/, '') || undefined
}
