// The server of a start that was killed: it still holds the address.
import { readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { beganAt } from './lock.mjs'

const noteOf = (data) => join(data, 'server.json')
const living = ({ pid, began }) => pid !== undefined && began !== undefined && beganAt(pid) === began

/** Writes down which server of which start has the address. */
export function noteServer(data, pid, port) {
  const self = { pid: process.pid, began: beganAt(process.pid) }
  writeFileSync(`${noteOf(data)}.new`, JSON.stringify({ pid, began: beganAt(pid), port, starter: self }), {
    mode: 0o600,
  })
  renameSync(`${noteOf(data)}.new`, noteOf(data))
}
export const forgetServer = (data) => rmSync(noteOf(data), { force: true })

/** Whether a process was started on this data folder. */
function isOn(pid, data) {
  try {
    return readFileSync(`/proc/${pid}/environ`, 'utf8').split('\0').includes(`NUBRIN_DATA=${data}`)
  } catch {
    return false
  }
}

/**
 * Ends the server that a killed start has left on this folder. It must be that very process, by when it began, on this folder,
 * and its starter must be gone; anything else is left alone. Gives the port it had, to be taken again.
 */
export async function endOrphan(data) {
  let left
  try {
    left = JSON.parse(readFileSync(noteOf(data), 'utf8'))
  } catch {
    return undefined
  }
  if (!living(left) || living(left.starter ?? {}) || !isOn(left.pid, data)) return undefined
  process.kill(left.pid, 'SIGTERM')
  for (let i = 0; i < 100 && living(left); i++) await new Promise((r) => setTimeout(r, 100))
  if (living(left)) process.kill(left.pid, 'SIGKILL')
  return left.port
}
