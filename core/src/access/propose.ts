import { known } from '../facts'
import { byId, type Fastener, type Saber, type Step, type Task } from '../record'
import { spanOf } from '../room'
import { say, whether } from '../words'

/** The tasks a client will meet with this saber, derived from what is fitted. */
export function tasksOf(saber: Saber): Task[] {
  const has = (...kinds: string[]) => saber.parts.some((p) => kinds.includes(p.kind))
  const removableCell = saber.parts.some((p) => p.kind === 'cell' && p.removable)
  const out: Task[] = []
  if (
    has('killSwitch', 'killKey') ||
    saber.cutPower === 'killSwitch' ||
    saber.cutPower === 'killKeyPull' ||
    saber.cutPower === 'killKeyTurn'
  )
    out.push('powerOn', 'powerOff')
  if (saber.hilt.sockets.length) out.push('bladeIn', 'bladeOut')
  if (removableCell) out.push('open', 'cellIn', 'cellOut', 'close')
  else if (has('card')) out.push('open', 'close')
  if (has('chargePort', 'charger') || saber.parts.some((p) => p.kind === 'cell')) out.push('charge')
  if (has('card')) out.push('card')
  return out
}

/** Tasks the saber needs and the record has no steps for. */
export const missingTasks = (saber: Saber): Task[] =>
  tasksOf(saber).filter((t) => !saber.access.some((p) => p.task === t && p.steps.length))

type NewStep = (text: string, more?: Partial<Step>) => Step

/**
 * A first draft of the steps of a task from the joints, screws and parts of this saber. What the record does not say
 * (which pole goes in first, how the thread turns) is left out rather than guessed. Ids are made from `newId`.
 */
export function proposeSteps(saber: Saber, task: Task, newId: () => string): Step[] {
  const step: NewStep = (text, more = {}) => ({ id: newId(), text, direction: 'none', ...more })
  return DRAFTS[task](saber, step)
}

const DRAFTS: Record<Task, (saber: Saber, step: NewStep) => Step[]> = {
  powerOn: (s, step) => [power(s, step, 'on')],
  powerOff: (s, step) => [power(s, step, 'off')],
  bladeIn,
  bladeOut,
  open,
  close,
  cellIn,
  cellOut: (s, step) => {
    const cell = cellOf(s)
    return cell
      ? [
          step(say('step.cellOut'), {
            place: `part:${cell.id}`,
            direction: 'lift',
            caution: say('step.cellOut.caution'),
          }),
        ]
      : []
  },
  charge,
  card: (s, step) => {
    const board = s.parts.find((p) => p.kind === 'board')
    return [
      step(say('step.card'), {
        ...(board ? { place: `part:${board.id}` as const } : {}),
        direction: 'push',
        caution: say('step.card.caution'),
      }),
    ]
  },
}

const cellOf = (s: Saber) => s.parts.find((p) => p.kind === 'cell')
const toolFor = (f: Fastener) => (f.key && f.key !== 'by hand' ? say('tool', { key: f.key }) : f.key)
const turn = (f: Fastener, direction: 'clockwise' | 'anticlockwise') => ({
  place: `fastener:${f.id}` as const,
  tool: toolFor(f),
  direction,
})

function power(s: Saber, step: NewStep, to: 'on' | 'off'): Step {
  const kill = s.parts.find((p) => p.kind === 'killSwitch' || p.kind === 'killKey')
  const place = kill ? { place: `part:${kill.id}` as const } : {}
  if (kill?.kind === 'killKey')
    return to === 'on'
      ? step(say('step.keyIn', { key: kill.name, how: s.cutPower === 'killKeyTurn' ? 'turn' : 'pull' }), {
          ...place,
          direction: 'pull',
        })
      : step(say('step.keyBack', { key: kill.name }), { ...place, direction: 'push' })
  return step(say('step.slide', { switch: kill?.name ?? '', named: whether(kill), to }), {
    ...place,
    direction: 'slide',
  })
}

/** The socket that the drafts speak of, with the screws that hold its blade. */
function mainBlade(s: Saber) {
  const socket = s.hilt.sockets[0]
  const screws = (socket?.retention ?? []).map((id) => byId(s.hilt.fasteners, id)).filter((f) => f !== undefined)
  return { socket, screws, place: socket ? { place: `socket:${socket.id}` as const } : {} }
}

function bladeIn(s: Saber, step: NewStep): Step[] {
  const { socket, screws, place } = mainBlade(s)
  return [
    ...screws.map((f) => step(say('step.loosenBlade', { screw: f.name }), turn(f, 'anticlockwise'))),
    step(say('step.bladeIn', { how: socket?.insertion ?? 'straight' }), {
      ...place,
      direction: socket?.insertion === 'clockwise' ? 'clockwise' : 'push',
    }),
    ...screws.map((f) => step(say('step.tightenBlade', { screw: f.name }), turn(f, 'clockwise'))),
    step(say('step.pullCheck'), { caution: say('step.pullCheck.caution'), direction: 'pull' }),
  ]
}

function bladeOut(s: Saber, step: NewStep): Step[] {
  const { socket, screws, place } = mainBlade(s)
  return [
    ...screws.map((f) => step(say('step.loosenBlade', { screw: f.name }), turn(f, 'anticlockwise'))),
    step(say('step.bladeOut', { how: socket?.insertion ?? 'straight' }), {
      ...place,
      direction: socket?.insertion === 'clockwise' ? 'clockwise' : 'pull',
    }),
    ...screws.map((f) => step(say('step.keepScrew', { screw: f.name }), turn(f, 'clockwise'))),
  ]
}

/** The screws of the joints, and the pommel as its joint lets it come off. */
function jointsOf(s: Saber) {
  const pommel = s.hilt.sections[0]
  return {
    screws: s.hilt.fasteners.filter((f) => f.purpose === 'joint'),
    pommel,
    threaded: pommel?.joint.kind === 'thread',
    left: pommel?.joint.hand === 'left',
  }
}

function open(s: Saber, step: NewStep): Step[] {
  const { screws, pommel, threaded, left } = jointsOf(s)
  const list = screws.map((f) =>
    step(
      say('step.loosenJoint', { how: f.clientMay === 'remove' ? 'remove' : 'loosen', screw: f.name }),
      turn(f, 'anticlockwise'),
    ),
  )
  if (!pommel) return list
  const place = `section:${pommel.id}` as const
  const caution = say('step.softSurface')
  return [
    ...list,
    threaded
      ? step(say('step.unscrew', { section: pommel.name }), {
          place,
          direction: left ? 'clockwise' : 'anticlockwise',
          caution,
        })
      : step(say('step.pullOff', { section: pommel.name }), { place, direction: 'pull', caution }),
  ]
}

function close(s: Saber, step: NewStep): Step[] {
  const { screws, pommel, threaded, left } = jointsOf(s)
  const caution = say('step.noWireInThread')
  const on = pommel
    ? [
        step(say(threaded ? 'step.screwOn' : 'step.pushOn', { section: pommel.name }), {
          place: `section:${pommel.id}`,
          direction: threaded ? (left ? 'anticlockwise' : 'clockwise') : 'push',
          caution,
        }),
      ]
    : []
  return [
    ...on,
    ...screws.toReversed().map((f) => {
      const { tool, ...rest } = turn(f, 'clockwise')
      return step(say('step.tighten', { screw: f.name }), { ...rest, ...(tool ? { tool } : {}), caution })
    }),
  ]
}

function cellIn(s: Saber, step: NewStep): Step[] {
  const cell = cellOf(s)
  if (!cell) return []
  const plus =
    cell.faces === undefined
      ? 'unknown'
      : (known(cell.at) ?? 0) < (spanOf(cell)?.x1 ?? 0) && cell.faces === 'emitter'
        ? 'emitter'
        : 'pommel'
  return [
    step(say('step.cellIn', { plus, landmark: cell.landmark ?? '', told: whether(cell.landmark) }), {
      place: `part:${cell.id}`,
      direction: 'push',
      caution: say('step.cellIn.caution'),
    }),
  ]
}

function charge(s: Saber, step: NewStep): Step[] {
  const port = s.parts.find((p) => p.kind === 'chargePort')
  if (port)
    return [
      step(say('step.chargePort', { port: port.name }), {
        place: `part:${port.id}`,
        direction: 'push',
        caution: say('step.chargePort.caution'),
      }),
    ]
  const cell = cellOf(s)
  return [
    step(say('step.chargeCell'), {
      ...(cell ? { place: `part:${cell.id}` as const } : {}),
      caution: say('step.chargeCell.caution'),
    }),
  ]
}
