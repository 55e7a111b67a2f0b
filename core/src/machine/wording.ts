import {
  type Act,
  byId,
  type DIRECTIONS,
  type Fastener,
  nounOf,
  own,
  partsOfRef,
  refTo,
  type Saber,
  type Step,
  toldNoun,
} from '../record'
import type { Reader } from '../units'
import { type Noun, say, whether } from '../words'
import type { Assembly } from './assembly'
import type { Goal } from './goals'
import type { Body, Joint } from './joint'
import { polesOf } from './poles'

/** What a hand is told of an act: words, direction, tool, and what to mind there. */
export type Wording = Pick<Step, 'text' | 'direction'> & Partial<Pick<Step, 'place' | 'tool' | 'caution'>>
type Direction = (typeof DIRECTIONS)[number]

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
  f.key && f.key !== 'by hand' ? say(reader, 'tool', { key: f.key }) : f.key || undefined

/** What an act is done to, as it is spoken of. */
const thing = (reader: Reader, s: Saber, act: Act, name: string): Noun => toldNoun(reader, s, act.at) ?? { name }

function screwWords(reader: Reader, s: Saber, a: Assembly, act: Act): Wording | undefined {
  const f = byId(s.hilt.fasteners, partsOfRef(act.at)?.id)
  if (!f) return undefined
  const blade = Object.values(a.joints).some((j) => j.place && j.held.some((h) => h.screw === f.id))
  const tool = toolOf(reader, f)
  const screw = thing(reader, s, act, f.name)
  const text =
    act.do === 'tighten'
      ? say(reader, blade ? 'step.tightenBlade' : 'step.tighten', { screw })
      : blade && act.do === 'loosen'
        ? say(reader, 'step.loosenBlade', { screw })
        : say(reader, 'step.loosenJoint', { how: act.do === 'remove' ? 'remove' : 'loosen', screw })
  return {
    text,
    place: act.at,
    direction: act.do === 'tighten' ? 'clockwise' : 'anticlockwise',
    ...(tool ? { tool } : {}),
  }
}

function sectionWords(reader: Reader, s: Saber, j: Joint, act: Act, on: boolean): Wording {
  const section = thing(reader, s, act, j.name)
  const caution = j.hurts ? own(reader, j.hurts) : say(reader, on ? 'step.noWireInThread' : 'step.softSurface')
  const base = { place: act.at, caution }
  if (act.how === 'unscrew')
    return { ...base, text: say(reader, on ? 'step.screwOn' : 'step.unscrew', { section }), direction: turned(j, on) }
  if (act.how === 'turnPull')
    return { ...base, text: say(reader, on ? 'step.turnOn' : 'step.turnOff', { section }), direction: turned(j, on) }
  if (on) return { ...base, text: say(reader, 'step.pushOn', { section }), direction: 'push' }
  return {
    ...base,
    text: say(reader, act.how === 'pressPull' ? 'step.pressOff' : 'step.pullOff', { section }),
    direction: 'pull',
  }
}

function bladeWords(reader: Reader, s: Saber, act: Act, on: boolean): Wording | undefined {
  const blade = byId(s.blades, partsOfRef(act.at)?.id)
  const socket = byId(s.hilt.sockets, blade?.socket)
  if (!socket) return undefined
  return {
    text: say(reader, on ? 'step.bladeIn' : 'step.bladeOut', {
      how: socket.insertion,
      socket: nounOf(reader, s, refTo('socket', socket.id)) ?? socket.name,
      several: whether(s.hilt.sockets.length > 1),
    }),
    place: refTo('socket', socket.id),
    direction: socket.insertion === 'clockwise' ? 'clockwise' : on ? 'push' : 'pull',
  }
}

/** Words for a part out or in; undefined where a cell goes in and nobody has said which way round. */
function partWords(reader: Reader, s: Saber, j: Joint, act: Act, on: boolean): Wording | undefined {
  const p = byId(s.parts, partsOfRef(act.at)?.id)
  if (!p) return undefined
  const base = { place: act.at, ...(j.hurts ? { caution: own(reader, j.hurts) } : {}) }
  const how = act.how ?? 'pull'
  const end = act.towards ?? 'pommel'
  const direction: Direction = how === 'unscrew' ? turned(j, on) : how === 'lift' && !on ? 'lift' : on ? 'push' : 'pull'
  if (p.kind === 'cell') {
    if (!on)
      return {
        ...{ caution: say(reader, 'step.cellOut.caution'), ...base, direction: how === 'lift' ? 'lift' : 'slide' },
        text: how === 'lift' ? say(reader, 'step.cellOut') : say(reader, 'step.cellSlide', { end }),
      }
    const { plus, leads } = polesOf(p)
    if (!plus) return undefined
    const text = say(reader, 'step.cellIn', {
      plus,
      first: act.leads ?? leads ?? 'unsaid',
      landmark: p.landmark ? own(reader, p.landmark) : '',
      told: whether(p.landmark),
    })
    return { caution: say(reader, 'step.cellIn.caution'), ...base, text, direction: 'push' }
  }
  if (p.kind === 'chassis') {
    const caution = say(reader, 'step.chassis.caution')
    const name = thing(reader, s, act, j.name)
    if (!on)
      return {
        caution,
        ...base,
        text: say(reader, 'step.chassisOut', { name, how, end, tethered: whether(j.tethered) }),
        direction,
      }
    const mark = j.landmark ?? p.landmark
    const landmark = mark ? own(reader, mark) : ''
    return {
      caution,
      ...base,
      text: say(reader, 'step.chassisIn', { name, how, end, told: whether(landmark), landmark }),
      direction,
    }
  }
  if (p.kind === 'card')
    return {
      ...{ caution: say(reader, 'step.card.caution'), ...base, direction },
      text: on ? say(reader, 'step.cardIn') : say(reader, 'step.card'),
    }
  return {
    ...base,
    text: say(reader, on ? 'step.partIn' : 'step.partOut', { how, name: thing(reader, s, act, j.name) }),
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
export function wordsOf(reader: Reader, s: Saber, a: Assembly, act: Act): Wording | undefined {
  switch (act.do) {
    case 'loosen':
    case 'remove':
    case 'tighten':
      return screwWords(reader, s, a, act)
    case 'cut':
    case 'restore':
      return powerWords(reader, s, a, act)
    case 'plugIn': {
      const port = byId(s.parts, partsOfRef(act.at)?.id)
      const caution = say(reader, 'step.chargePort.caution')
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
          text: say(reader, 'step.chargePort', { cuts: whether(a.cutter), port: thing(reader, s, act, port.name) }),
          direction: 'push',
          caution,
        }
      )
    }
    case 'unplug':
      return { place: act.at, text: say(reader, 'step.unplug'), direction: 'pull' }
    case 'pullCheck':
      return {
        place: act.at,
        text: say(reader, 'step.pullCheck'),
        direction: 'pull',
        caution: say(reader, 'step.pullCheck.caution'),
      }
    case 'takeOff':
    case 'putOn': {
      const on = act.do === 'putOn'
      const j = a.joints[act.at as Body]
      if (!j) return undefined
      if (act.at.startsWith('section:')) return sectionWords(reader, s, j, act, on)
      return act.at.startsWith('blade:') ? bladeWords(reader, s, act, on) : partWords(reader, s, j, act, on)
    }
  }
}
