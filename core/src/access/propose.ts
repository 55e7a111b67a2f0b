import { spanOf } from '../hilt/geometry'
import { known } from '../record/fact'
import { byId } from '../record/lookup'
import type { Procedure, Saber, Step, TASKS } from '../record/schema'

export type Task = (typeof TASKS)[number]

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

const key = (k: string) => (k && k !== 'by hand' ? `hex key ${k}` : k)

/**
 * A first draft of the steps of a task from the joints, screws and parts of this saber. What the record does not say
 * (which pole goes in first, how the thread turns) is left out rather than guessed. Ids are made from `id`.
 */
export function proposeSteps(saber: Saber, task: Task, newId: () => string): Step[] {
  const step = (text: string, more: Partial<Step> = {}): Step => ({ id: newId(), text, direction: 'none', ...more })
  const socket = saber.hilt.sockets[0]
  const screws = (socket?.retention ?? []).map((id) => byId(saber.hilt.fasteners, id)).filter((f) => f !== undefined)
  const pommel = saber.hilt.sections[0]
  const joint = pommel?.joint
  const jointScrews = saber.hilt.fasteners.filter((f) => f.purpose === 'joint')
  const cell = saber.parts.find((p) => p.kind === 'cell')
  const kill = saber.parts.find((p) => p.kind === 'killSwitch' || p.kind === 'killKey')
  const openJoint = (): Step[] => {
    const list = jointScrews.map((f) =>
      step(`${f.clientMay === 'remove' ? 'Take out' : 'Loosen'} ${f.name}`, {
        place: `fastener:${f.id}`,
        tool: key(f.key),
        direction: 'anticlockwise',
      }),
    )
    if (!pommel) return list
    const place = `section:${pommel.id}`
    if (joint?.kind === 'thread')
      list.push(
        step(`Unscrew the ${pommel.name}`, {
          place,
          direction: joint.hand === 'left' ? 'clockwise' : 'anticlockwise',
          caution: 'Work over a soft surface.',
        }),
      )
    else
      list.push(step(`Pull off the ${pommel.name}`, { place, direction: 'pull', caution: 'Work over a soft surface.' }))
    return list
  }
  switch (task) {
    case 'powerOn':
      return [
        step(
          kill?.kind === 'killKey'
            ? saber.cutPower === 'killKeyTurn'
              ? `Put the ${kill.name} in and turn it`
              : `Pull out the ${kill.name}`
            : `Slide the ${kill?.name ?? 'kill switch'} on`,
          { ...(kill ? { place: `part:${kill.id}` } : {}), direction: kill?.kind === 'killKey' ? 'pull' : 'slide' },
        ),
      ]
    case 'powerOff':
      return [
        step(
          kill?.kind === 'killKey' ? `Push the ${kill.name} back in` : `Slide the ${kill?.name ?? 'kill switch'} off`,
          { ...(kill ? { place: `part:${kill.id}` } : {}), direction: kill?.kind === 'killKey' ? 'push' : 'slide' },
        ),
      ]
    case 'bladeIn':
      return [
        ...screws.map((f) =>
          step(`Loosen ${f.name}; do not take it out`, {
            place: `fastener:${f.id}`,
            tool: key(f.key),
            direction: 'anticlockwise',
          }),
        ),
        step(
          socket?.insertion === 'clockwise'
            ? 'Turn the blade clockwise while pushing it in to the stop'
            : socket?.insertion === 'pushAndHold'
              ? 'Push the blade in to the stop and keep pressing'
              : 'Push the blade straight in to the stop; never twist it',
          {
            ...(socket ? { place: `socket:${socket.id}` } : {}),
            direction: socket?.insertion === 'clockwise' ? 'clockwise' : 'push',
          },
        ),
        ...screws.map((f) =>
          step(`Tighten ${f.name} until it holds; no more`, {
            place: `fastener:${f.id}`,
            tool: key(f.key),
            direction: 'clockwise',
          }),
        ),
        step('Pull at the blade: it must not move', { caution: 'Never swing before this check.', direction: 'pull' }),
      ]
    case 'bladeOut':
      return [
        ...screws.map((f) =>
          step(`Loosen ${f.name}; do not take it out`, {
            place: `fastener:${f.id}`,
            tool: key(f.key),
            direction: 'anticlockwise',
          }),
        ),
        step(
          socket?.insertion === 'clockwise'
            ? 'Turn the blade clockwise while pulling it out'
            : 'Pull the blade straight out',
          {
            ...(socket ? { place: `socket:${socket.id}` } : {}),
            direction: socket?.insertion === 'clockwise' ? 'clockwise' : 'pull',
          },
        ),
        ...screws.map((f) =>
          step(`Turn ${f.name} back in so that it is not lost`, {
            place: `fastener:${f.id}`,
            tool: key(f.key),
            direction: 'clockwise',
          }),
        ),
      ]
    case 'open':
      return openJoint()
    case 'close':
      return openJoint()
        .toReversed()
        .map((s) =>
          step(
            s.text
              .replace('Unscrew', 'Screw on')
              .replace('Pull off', 'Push on')
              .replace(/^(Loosen|Take out)/, 'Tighten'),
            {
              ...(s.place ? { place: s.place } : {}),
              ...(s.tool ? { tool: s.tool } : {}),
              direction:
                s.direction === 'anticlockwise' ? 'clockwise' : s.direction === 'clockwise' ? 'anticlockwise' : 'push',
              caution: 'No wire in the thread.',
            },
          ),
        )
    case 'cellIn': {
      if (!cell) return []
      const first =
        cell.faces === undefined
          ? ''
          : (known(cell.at) ?? 0) < (spanOf(cell)?.x1 ?? 0) && cell.faces === 'emitter'
            ? ', plus pole towards the emitter'
            : ', plus pole towards the pommel'
      return [
        step(`Put the cell in${first}${cell.landmark ? `: ${cell.landmark}` : ''}`, {
          place: `part:${cell.id}`,
          direction: 'push',
          caution: 'Never a cell with a damaged wrap. Support the chassis while pressing.',
        }),
      ]
    }
    case 'cellOut':
      return cell
        ? [
            step('Lift the cell out at its middle', {
              place: `part:${cell.id}`,
              direction: 'lift',
              caution: 'No metal tool against the wrap.',
            }),
          ]
        : []
    case 'charge': {
      const port = saber.parts.find((p) => p.kind === 'chargePort')
      return port
        ? [
            step(`Cut the power, then plug the charger into the ${port.name}`, {
              place: `part:${port.id}`,
              direction: 'push',
              caution: 'Never charge unattended.',
            }),
          ]
        : [
            step('Take the cell out and charge it in the charger', {
              ...(cell ? { place: `part:${cell.id}` } : {}),
              caution: 'Never charge unattended. Use a charger made for this cell.',
            }),
          ]
    }
    case 'card': {
      const board = saber.parts.find((p) => p.kind === 'board')
      return [
        step('With the power cut, push the card to release it; copy all of it before changing anything', {
          ...(board ? { place: `part:${board.id}` } : {}),
          direction: 'push',
          caution: 'Card and USB sockets snap: pull straight.',
        }),
      ]
    }
  }
}

/** Tasks the saber needs and the record has no steps for. */
export const missingTasks = (saber: Saber): Task[] =>
  tasksOf(saber).filter((t) => !saber.access.some((p: Procedure) => p.task === t && p.steps.length))
