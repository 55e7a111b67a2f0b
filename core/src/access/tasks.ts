import type { Saber, Task } from '../record'

/** The tasks a client will meet with this saber, derived from what is fitted. */
export function tasksOf(saber: Saber): Task[] {
  const has = (...kinds: string[]) => saber.parts.some((p) => kinds.includes(p.kind))
  const removableCell = saber.parts.some((p) => p.kind === 'cell' && p.removable)
  const out: Task[] = []
  if (has('killSwitch', 'killKey') || saber.cutPower === 'killSwitch' || saber.cutPower === 'killKey')
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
